package farglass.stats;

import java.util.List;
import java.util.Optional;

/**
 * A step function of the time since something began, with its interval; 0 before the first point unless it starts at 1.
 *
 * @param cause what it counts, or {@code held} for the share still there
 * @param points in order of time, at most {@link ExitCurves#POINTS}
 * @param seenUntilMs last time anything was seen; nothing is said beyond
 * @param clustered whether the interval treats matches as sampling units; else Greenwood's, spells taken as independent
 */
public record Curve(String cause, List<Point> points, long seenUntilMs, boolean clustered) {
    /** The share still in the place. */
    public static final String HELD = "held";

    public Curve {
        points = List.copyOf(points);
    }

    /** Value and interval from {@code ms} on. */
    public record Point(long ms, double value, double lo, double hi) {}

    /** Value at a time; empty beyond what was seen. */
    public Optional<Point> at(long ms) {
        if (ms > seenUntilMs) {
            return Optional.empty();
        }
        double start = cause.equals(HELD) ? 1 : 0;
        Point found = new Point(0, start, start, start);
        for (Point p : points) {
            if (p.ms() <= ms) {
                found = p;
            }
        }
        return Optional.of(new Point(ms, found.value(), found.lo(), found.hi()));
    }
}
