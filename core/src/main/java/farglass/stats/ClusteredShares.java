package farglass.stats;

import java.util.Collection;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * Do two shares differ by more than chance, when what was counted comes in clusters? The variance of each share is that
 * of a ratio over clusters, but never less than the binomial one; the difference is held against Student's t. Rao and
 * Scott, Biometrics 48, 1992; Cochran, Sampling Techniques, 1977, section 3.12.
 */
public final class ClusteredShares {
    /** Added to what worked and what did not, so that none of some is not taken for never. */
    private static final double HALF = 0.5;

    private static final int CLUSTERS = 2;

    private ClusteredShares() {}

    /** Counts of one cluster: {@code x} of {@code n}. */
    public record Counts(int x, int n) {}

    /** @return two-sided p, in (0, 1]; 1 with fewer than two clusters on either side */
    public static double p(Collection<Counts> first, Collection<Counts> second) {
        if (Math.min(first.size(), second.size()) < CLUSTERS) {
            return 1;
        }
        double sd = Math.sqrt(variance(first) + variance(second));
        double t = Math.abs(share(first) - share(second)) / sd;
        return 2 * TDistribution.of(first.size() + second.size() - 2).survivalProbability(t);
    }

    private static double share(Collection<Counts> clusters) {
        double x = clusters.stream().mapToInt(Counts::x).sum();
        double n = clusters.stream().mapToInt(Counts::n).sum();
        return (x + HALF) / (n + 2 * HALF);
    }

    private static double variance(Collection<Counts> clusters) {
        double p = share(clusters);
        double n = clusters.stream().mapToInt(Counts::n).sum();
        double k = clusters.size();
        double squares = clusters.stream()
                .mapToDouble(c -> (c.x() - p * c.n()) * (c.x() - p * c.n()))
                .sum();
        return Math.max(k / (k - 1) * squares / (n * n), p * (1 - p) / n);
    }
}
