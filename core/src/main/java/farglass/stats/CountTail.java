package farglass.stats;

import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * Upper tail of a count of which mean and variance are known from simulated counts: binomial where it varies less than
 * a Poisson count (the usual case when totals are held fixed), quasi-Poisson where it varies more. McCullagh and Nelder
 * 1989, section 6.2.
 *
 * @param mean positive
 * @param variance not negative
 */
public record CountTail(double mean, double variance) {
    /** Simulated variances are no better known than this. */
    private static final double LEAST_RATIO = 0.05;

    /** Chance of at least {@code count}. */
    public double atLeast(int count) {
        double ratio = Math.max(LEAST_RATIO, variance / mean);
        if (ratio >= 1) {
            return PoissonCount.upperTail((int) Math.ceil(count / ratio), mean / ratio);
        }
        // n p = mean and 1 - p = ratio, n made whole
        int n = (int) Math.max(1, Math.round(mean / (1 - ratio)));
        if (count > n) {
            n = count;
        }
        return count == 0
                ? 1
                : BinomialDistribution.of(n, Math.min(1, mean / n)).survivalProbability(count - 1);
    }

    /** The same for a count that is only looked at because it reached {@code least}: the tail given that it did. */
    public double atLeast(int count, int least) {
        return count <= least ? 1 : Math.min(1, atLeast(count) / Math.max(Double.MIN_NORMAL, atLeast(least)));
    }
}
