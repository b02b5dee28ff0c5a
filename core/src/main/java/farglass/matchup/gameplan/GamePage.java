package farglass.matchup.gameplan;

import farglass.stats.TagRef;
import java.util.List;
import java.util.Optional;

/**
 * The game plan as text: what the window shows, a paper prints and a document holds.
 *
 * @param parts in the order of the page; those with nothing to say are left out
 * @param drawing how a match goes under the plan
 */
public record GamePage(List<Part> parts, PhaseText drawing) {
    public GamePage {
        parts = List.copyOf(parts);
    }

    /** What a part speaks of, in the order of the page. */
    public enum Heading {
        IDEA,
        START,
        DECISIONS,
        WANTED,
        WEAPONS,
        REFUSE,
        SCORE,
        CALLS,
        SURE,
        LEARN
    }

    /**
     * @param title of the heading, in words
     * @param lines at least one
     */
    public record Part(Heading heading, String title, List<Line> lines) {
        public Part {
            lines = List.copyOf(lines);
        }
    }

    /**
     * One thing said.
     *
     * @param notes what it is worth and what it rests on, a sentence each
     * @param tags it rests on
     * @param likely whether it is likely to help, but not sure
     */
    public record Line(String text, List<String> notes, List<TagRef> tags, boolean likely) {
        Line(String text, List<String> notes, List<TagRef> tags) {
            this(text, notes, tags, false);
        }

        public Line {
            notes = List.copyOf(notes);
            tags = List.copyOf(tags);
        }

        static Line of(String text) {
            return new Line(text, List.of(), List.of());
        }
    }

    /** The part of a heading; empty when it has nothing to say. */
    public Optional<Part> part(Heading heading) {
        return parts.stream().filter(p -> p.heading() == heading).findFirst();
    }
}
