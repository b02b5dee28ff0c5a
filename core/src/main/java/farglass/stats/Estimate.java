package farglass.stats;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A proportion, rate, share or other number with all that is needed to judge it.
 *
 * @param observed what was counted
 * @param mean posterior mean (or the weighted share)
 * @param interval around it
 * @param reference what it may be compared with
 * @param redraw the check of the interval, or null below 6 matches
 * @param tags what it rests on
 */
public record Estimate(
        Observed observed,
        double mean,
        Interval interval,
        Grade grade,
        Reference reference,
        @Nullable Redraw redraw,
        List<TagRef> tags) {
    /** The level of every interval except never-seen bounds. */
    public static final double LEVEL = 0.90;
    /** What lies below such an interval. */
    public static final double LOWER = 0.05;
    /** What lies below the upper end of such an interval. */
    public static final double UPPER = 0.95;

    /**
     * What was counted.
     *
     * @param x occurrences that count (or ms for a share of time)
     * @param n all occurrences (or ms)
     * @param raw x / n; NaN when n is 0
     * @param matches matches the occurrences come from
     * @param effective effective occurrences, min(Kish size, sum of weights)
     */
    public record Observed(double x, double n, double raw, int matches, double effective) {}

    /**
     * An interval [lo, hi].
     *
     * @param level 0..1
     */
    public record Interval(double lo, double hi, double level) {
        /** At the usual level. */
        public Interval(double lo, double hi) {
            this(lo, hi, LEVEL);
        }
    }

    /**
     * What a number may be compared with.
     *
     * @param average mean of the prior, NaN without one
     * @param source in words, where it comes from
     */
    public record Reference(double average, String source) {}

    public Estimate {
        tags = List.copyOf(tags);
    }

    /** The same with the library's average to compare with. */
    public Estimate against(double average, String where) {
        return new Estimate(observed, mean, interval, grade, new Reference(average, where), redraw, tags);
    }

    /** Cluster bootstrap interval over matches as a check, or null below 6 matches; worked out when first asked for. */
    public @Nullable Interval check() {
        return redraw == null ? null : redraw.interval();
    }

    /** Occurrences that count (or ms for a share of time). */
    public double x() {
        return observed.x();
    }

    /** All occurrences (or ms). */
    public double n() {
        return observed.n();
    }

    /** What was counted, as a share of all; NaN when there is nothing. */
    public double raw() {
        return observed.raw();
    }

    /** Matches the occurrences come from. */
    public int matches() {
        return observed.matches();
    }

    /** Effective occurrences. */
    public double effective() {
        return observed.effective();
    }

    /** Lower end of the interval. */
    public double lo() {
        return interval.lo();
    }

    /** Upper end of the interval. */
    public double hi() {
        return interval.hi();
    }

    /** Level of the interval, 0..1. */
    public double level() {
        return interval.level();
    }

    /** Mean of the prior, NaN without one. */
    public double baseline() {
        return reference.average();
    }

    /** In words, where the prior comes from. */
    public String prior() {
        return reference.source();
    }
}
