package farglass.stats;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * The middle of some times with a distribution-free interval from order statistics (Conover 1999, section 3.2). Its
 * level is at least 90 % where that many values allow it. The whole range of fewer than five holds the middle too
 * seldom (of two values every other time): there it is widened to what a constant hazard would leave open (Epstein and
 * Sobel, JASA 48, 1953).
 */
public final class Median {
    /** Widest interval of a strong time, as a share of its value. */
    private static final double STRONG_WIDTH = 0.35;

    /** From so many values on their range holds the middle in nine of ten cases. */
    private static final int ENOUGH = 5;

    private Median() {}

    /** @param ms one value per trial, in the order of the trials; not empty */
    public static Estimate of(List<Long> ms, List<Trial> trials) {
        if (ms.isEmpty()) {
            throw new IllegalArgumentException("times (0) must not be empty");
        }
        double[] sorted = ms.stream().mapToDouble(v -> v).sorted().toArray();
        int n = sorted.length;
        double middle = (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
        BinomialDistribution binomial = BinomialDistribution.of(n, 0.5);
        int r = 0;
        while (r + 1 <= n / 2 && binomial.cumulativeProbability(r) <= Estimate.LOWER) {
            r++;
        }
        double lo = sorted[Math.max(0, r - 1)];
        double hi = sorted[Math.min(n - 1, n - Math.max(1, r))];
        if (n < ENOUGH) {
            double sum = Arrays.stream(sorted).sum();
            ChiSquaredDistribution hazard = ChiSquaredDistribution.of(2 * n);
            double twice = 2 * Math.log(2) * sum;
            lo = Math.min(lo, twice / hazard.inverseCumulativeProbability(1 - Estimate.LOWER));
            hi = Math.max(hi, twice / hazard.inverseCumulativeProbability(Estimate.LOWER));
        }
        double w = trials.stream().mapToDouble(Trial::weight).sum();
        double ww = trials.stream().mapToDouble(t -> t.weight() * t.weight()).sum();
        double effective = ww == 0 ? 0 : Math.min(w * w / ww, w);
        int matches = (int) trials.stream().map(t -> t.tag().match()).distinct().count();
        double width = middle <= 0 ? 1 : (hi - lo) / middle;
        return new Estimate(
                new Estimate.Observed(n, n, middle, matches, effective),
                middle,
                new Estimate.Interval(lo, hi),
                Grade.of(effective, matches, width <= STRONG_WIDTH ? Grade.STRONG_WIDTH : 1),
                new Estimate.Reference(Double.NaN, ""),
                null,
                trials.stream().map(Trial::tag).toList());
    }

    /** Plain median; NaN of nothing. */
    public static double of(long... ms) {
        if (ms.length == 0) {
            return Double.NaN;
        }
        long[] sorted = ms.clone();
        Arrays.sort(sorted);
        return (sorted[(ms.length - 1) / 2] + sorted[ms.length / 2]) / 2.0;
    }
}
