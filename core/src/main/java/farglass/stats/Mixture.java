package farglass.stats;

import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;

/** A weighted mixture of distributions: a posterior averaged over prior strengths. */
final class Mixture {
    private static final double TOLERANCE = 1e-6;
    private static final int STEPS = 60;
    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    private final double[] weights;
    private final ContinuousDistribution[] parts;

    /** @param weights positive, summing to 1, one per part */
    Mixture(double[] weights, ContinuousDistribution[] parts) {
        this.weights = weights.clone();
        this.parts = parts.clone();
    }

    double mean() {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * parts[i].getMean();
        }
        return sum;
    }

    double cdf(double v) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * parts[i].cumulativeProbability(v);
        }
        return sum;
    }

    double density(double v) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * parts[i].density(v);
        }
        return sum;
    }

    /** Infinite where a part's is. */
    double variance() {
        double mean = mean();
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            double off = parts[i].getMean() - mean;
            sum += weights[i] * (parts[i].getVariance() + off * off);
        }
        return sum;
    }

    /**
     * Quantile within 1e-6 of its size: Newton steps from where a normal distribution has it, kept inside a bracket
     * that only shrinks.
     */
    double quantile(double q) {
        double mean = mean();
        double lo = parts[0].getSupportLowerBound();
        double hi = upper(mean, q);
        double normal = mean + NORMAL.inverseCumulativeProbability(q) * Math.sqrt(variance());
        double v = normal > lo && normal < hi ? normal : mean;
        double scale = Math.max(TOLERANCE, Math.abs(hi) * TOLERANCE);
        for (int i = 0; i < STEPS && hi - lo > scale; i++) {
            double miss = cdf(v) - q;
            if (miss < 0) {
                lo = v;
            } else {
                hi = v;
            }
            double step = miss / density(v);
            double newton = v - step;
            boolean inside = newton > lo && newton < hi;
            if (inside && Math.abs(step) < scale) {
                return newton;
            }
            v = inside ? newton : (lo + hi) / 2;
        }
        return v;
    }

    private double upper(double from, double q) {
        double end = parts[0].getSupportUpperBound();
        if (Double.isFinite(end)) {
            return end;
        }
        double hi = Math.max(from, TOLERANCE);
        while (cdf(hi) < q) {
            hi *= 2;
        }
        return hi;
    }
}
