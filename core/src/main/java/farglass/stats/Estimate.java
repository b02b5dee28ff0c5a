package farglass.stats;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A proportion or share with all that is needed to judge it.
 *
 * @param x occurrences that count (or ms for a share of time)
 * @param n all occurrences (or ms)
 * @param raw x / n; NaN when n is 0
 * @param mean posterior mean (or the weighted share)
 * @param lo lower end of the interval
 * @param hi upper end
 * @param level level of the interval, 0.90
 * @param matches matches the occurrences come from
 * @param effective effective occurrences, min(Kish size, sum of weights)
 * @param baseline mean of the prior, NaN without one
 * @param prior in words, where the prior comes from
 * @param redraw the check of the interval, or null below 6 matches
 * @param tags what it rests on
 */
public record Estimate(
        double x,
        double n,
        double raw,
        double mean,
        double lo,
        double hi,
        double level,
        int matches,
        double effective,
        Grade grade,
        double baseline,
        String prior,
        @Nullable Redraw redraw,
        List<TagRef> tags) {
    /** The level of every interval except never-seen bounds. */
    public static final double LEVEL = 0.90;
    /** What lies below such an interval. */
    public static final double LOWER = 0.05;
    /** What lies below the upper end of such an interval. */
    public static final double UPPER = 0.95;

    public Estimate {
        tags = List.copyOf(tags);
    }

    /** The same with the library's average to compare with. */
    public Estimate against(double average, String where) {
        return new Estimate(x, n, raw, mean, lo, hi, level, matches, effective, grade, average, where, redraw, tags);
    }

    /** Cluster bootstrap interval over matches as a check, or null below 6 matches; worked out when first asked for. */
    public @Nullable Interval check() {
        return redraw == null ? null : redraw.interval();
    }

    /** An interval [lo, hi]. */
    public record Interval(double lo, double hi) {}
}
