package farglass.stats;

import org.apache.commons.statistics.distribution.ChiSquaredDistribution;
import org.apache.commons.statistics.distribution.PoissonDistribution;

/** Is a count more than chance? Exact answers for a Poisson count. Garwood 1936. */
public final class PoissonCount {
    private static final double MISS = 0.05;

    private PoissonCount() {}

    /** Chance of seeing at least {@code count} when {@code expected} (positive) is the mean. */
    public static double upperTail(int count, double expected) {
        return count == 0 ? 1 : PoissonDistribution.of(expected).survivalProbability(count - 1);
    }

    /**
     * The same for a count that is only looked at because it reached {@code least}: the tail given that it did. Without
     * this, the many things that might have been looked at and never reached it would be forgotten.
     */
    public static double upperTail(int count, double expected, int least) {
        return count <= least ? 1 : Math.min(1, upperTail(count, expected) / upperTail(least, expected));
    }

    /** Exact lower 95 % bound of the mean behind a count. */
    public static double lower(int count) {
        return count == 0 ? 0 : ChiSquaredDistribution.of(2.0 * count).inverseCumulativeProbability(MISS) / 2;
    }

    /** Exact upper 95 % bound of the mean behind a count. */
    public static double upper(int count) {
        return ChiSquaredDistribution.of(2.0 * count + 2).inverseCumulativeProbability(1 - MISS) / 2;
    }
}
