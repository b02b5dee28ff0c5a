package farglass.brief;

import farglass.scout.GameFigure;
import farglass.stats.TagRef;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One thing to be said.
 *
 * @param id the same from day to day: {@code title}, {@code report}, {@code game}, {@code dangers}, {@code openings},
 * {@code plan}, {@code start}, {@code decision:sentence}, {@code weapons}, {@code refuse}, {@code calls},
 * {@code fork:f1}, {@code claim:athlete/id}, {@code conduct}, {@code notes}
 * @param heading small, above
 * @param text the sentence
 * @param points under it
 * @param notes what the speaker says; empty when nothing was written
 * @param moments tags that show it, at most a few
 * @param hidden whether the user leaves it out
 * @param figure the game drawn; null on slides of words
 */
public record Slide(
        String id,
        Kind kind,
        String heading,
        String text,
        List<String> points,
        String notes,
        List<TagRef> moments,
        boolean hidden,
        @Nullable GameFigure figure) {
    /** What it is about. */
    public enum Kind {
        TITLE,
        REPORT,
        PLAN,
        FORK,
        CLAIM,
        CONDUCT,
        NOTES
    }

    public Slide {
        points = List.copyOf(points);
        moments = List.copyOf(moments);
    }

    /** One of words alone. */
    public Slide(
            String id,
            Kind kind,
            String heading,
            String text,
            List<String> points,
            String notes,
            List<TagRef> moments,
            boolean hidden) {
        this(id, kind, heading, text, points, notes, moments, hidden, null);
    }
}
