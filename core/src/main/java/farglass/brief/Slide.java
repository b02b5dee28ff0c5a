package farglass.brief;

import farglass.stats.TagRef;
import java.util.List;

/**
 * One thing to be said.
 *
 * @param id the same from day to day: {@code title}, {@code report}, {@code dangers}, {@code openings}, {@code
 * fork:f1}, {@code claim:athlete/id}, {@code conduct}, {@code notes}
 * @param heading small, above
 * @param text the sentence
 * @param points under it
 * @param notes what the speaker says; empty when nothing was written
 * @param moments tags that show it, at most a few
 * @param hidden whether the user leaves it out
 */
public record Slide(
        String id,
        Kind kind,
        String heading,
        String text,
        List<String> points,
        String notes,
        List<TagRef> moments,
        boolean hidden) {
    /** What it is about. */
    public enum Kind {
        TITLE,
        REPORT,
        FORK,
        CLAIM,
        CONDUCT,
        NOTES
    }

    public Slide {
        points = List.copyOf(points);
        moments = List.copyOf(moments);
    }
}
