package farglass.stats;

import org.apache.commons.statistics.distribution.BetaDistribution;

/** A weighted mixture of beta distributions: the posterior of a proportion averaged over prior strengths. */
final class BetaMixture {
    private static final double TOLERANCE = 1e-6;
    private final double[] weights;
    private final BetaDistribution[] parts;

    /**
     * @param weights positive, summing to 1
     * @param a first shapes
     * @param b second shapes
     */
    BetaMixture(double[] weights, double[] a, double[] b) {
        this.weights = weights.clone();
        this.parts = new BetaDistribution[weights.length];
        for (int i = 0; i < weights.length; i++) {
            parts[i] = BetaDistribution.of(a[i], b[i]);
        }
    }

    double mean() {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * parts[i].getMean();
        }
        return sum;
    }

    double cdf(double p) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * parts[i].cumulativeProbability(p);
        }
        return sum;
    }

    /** Quantile by bisection, within 1e-6. */
    double quantile(double q) {
        double lo = 0;
        double hi = 1;
        while (hi - lo > TOLERANCE) {
            double mid = (lo + hi) / 2;
            if (cdf(mid) < q) {
                lo = mid;
            } else {
                hi = mid;
            }
        }
        return (lo + hi) / 2;
    }
}
