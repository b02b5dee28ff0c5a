package farglass.match;

import farglass.time.FilmTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What was drawn on the picture at one moment of a film, shown from then on for a while.
 *
 * @param at film moment of the frame it was drawn on
 * @param heldMs how long it is shown, film ms, positive
 */
public record Drawing(FilmTime at, long heldMs, List<Mark> marks) {
    /** How long a drawing is shown unless said otherwise. */
    public static final long HELD_MS = 2500;

    /** What can be drawn. */
    public enum Kind implements Coded {
        ARROW,
        LINE,
        /** The ellipse in the rectangle. */
        RING,
        /** Everything outside the ellipse in the rectangle is dimmed. */
        SPOTLIGHT,
        TEXT,
        /** The angle at the first point between the upright and the way to the second, with its degrees. */
        ANGLE
    }

    /**
     * One stroke. Coordinates are shares of the stored picture, 0..1, from its upper left corner.
     *
     * @param who the athlete whose colour it has; null for neither
     * @param text for {@link Kind#TEXT}, else null
     */
    public record Mark(
            Kind kind,
            @Nullable Corner who,
            double x1,
            double y1,
            double x2,
            double y2,
            @Nullable String text) {
        public Mark {
            if (!(inside(x1) && inside(y1) && inside(x2) && inside(y2))) {
                throw new IllegalArgumentException(
                        "mark (" + x1 + "," + y1 + " to " + x2 + "," + y2 + ") must lie in 0..1");
            }
        }

        private static boolean inside(double v) {
            return v >= 0 && v <= 1;
        }
    }

    public Drawing {
        if (heldMs <= 0) {
            throw new IllegalArgumentException("held (" + heldMs + " ms) must be positive");
        }
        marks = List.copyOf(marks);
    }

    /** The same with the athletes' colours exchanged. */
    public Drawing swapped() {
        return new Drawing(
                at,
                heldMs,
                marks.stream()
                        .map(m -> new Mark(
                                m.kind(),
                                m.who() == null ? null : m.who().other(),
                                m.x1(),
                                m.y1(),
                                m.x2(),
                                m.y2(),
                                m.text()))
                        .toList());
    }

    /** Whether it is on the picture at a film moment. */
    public boolean shownAt(FilmTime f) {
        return f.compareTo(at) >= 0 && f.ms() < at.ms() + heldMs;
    }
}
