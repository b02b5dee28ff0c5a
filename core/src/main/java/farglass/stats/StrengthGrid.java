package farglass.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * How strong is a prior? Strengths on a log-uniform grid, weighted by the marginal likelihood of the other athletes'
 * counts, so that no flat or boundary maximum makes an answer jump. Gelman et al., Bayesian Data Analysis, ch. 5.
 *
 * @param strengths pseudo-occurrences
 * @param weights summing to 1
 */
record StrengthGrid(double[] strengths, double[] weights) {
    private static final int GRID = 60;
    /** A range of the log-likelihood below this says nothing of the strength. */
    private static final double FLAT = 0.5;

    /** Chance beforehand that an athlete is not as the others are. */
    private static final double UNLIKE = 0.1;

    private static final int TOGETHER = 5;
    private static final double NEGLIGIBLE = 1e-4;

    static StrengthGrid fixed(double strength) {
        return new StrengthGrid(new double[] {strength}, new double[] {1});
    }

    /**
     * @param logLikelihood of a strength
     * @param otherwise the strength when the likelihood is flat
     */
    static StrengthGrid fit(double min, double max, double otherwise, DoubleUnaryOperator logLikelihood) {
        double[] k = new double[GRID];
        double[] logs = new double[GRID];
        for (int i = 0; i < GRID; i++) {
            k[i] = min * Math.pow(max / min, i / (GRID - 1.0));
            logs[i] = logLikelihood.applyAsDouble(k[i]);
        }
        double best = Arrays.stream(logs).max().orElseThrow();
        if (best - Arrays.stream(logs).min().orElseThrow() < FLAT) {
            return fixed(otherwise);
        }
        double[] w = Arrays.stream(logs).map(l -> Math.exp(l - best)).toArray();
        return new StrengthGrid(k, w).merged().robust(min);
    }

    /**
     * With some weight on the weakest strength, for an athlete who is not as the others are: however alike those are, a
     * clear record of his own can then free itself. Schmidli et al., Biometrics 70, 2014 (robust mixture priors).
     */
    private StrengthGrid robust(double weakest) {
        double[] k = new double[strengths.length + 1];
        double[] w = new double[k.length];
        k[0] = weakest;
        w[0] = UNLIKE;
        for (int i = 0; i < weights.length; i++) {
            k[i + 1] = strengths[i];
            w[i + 1] = (1 - UNLIKE) * weights[i];
        }
        return new StrengthGrid(k, w);
    }

    /**
     * Neighbours taken together and weights made to sum to 1: no printed digit moves, and a posterior costs a fifth.
     */
    private StrengthGrid merged() {
        double total = Arrays.stream(weights).sum();
        List<double[]> groups = new ArrayList<>();
        for (int i = 0; i < strengths.length; i += TOGETHER) {
            double w = 0;
            double log = 0;
            for (int j = i; j < Math.min(strengths.length, i + TOGETHER); j++) {
                w += weights[j];
                log += weights[j] * Math.log(strengths[j]);
            }
            if (w >= NEGLIGIBLE * total) {
                groups.add(new double[] {Math.exp(log / w), w / total});
            }
        }
        return new StrengthGrid(
                groups.stream().mapToDouble(g -> g[0]).toArray(),
                groups.stream().mapToDouble(g -> g[1]).toArray());
    }

    /**
     * The same strengths weighed by one more likelihood, that of the athlete's own counts: a clear record frees itself
     * from a strong prior (ruling S04).
     */
    StrengthGrid given(DoubleUnaryOperator logLikelihood) {
        if (strengths.length == 1) {
            return this;
        }
        double[] logs = new double[strengths.length];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = Math.log(weights[i]) + logLikelihood.applyAsDouble(strengths[i]);
        }
        double best = Arrays.stream(logs).max().orElseThrow();
        double[] w = Arrays.stream(logs).map(l -> Math.exp(l - best)).toArray();
        double total = Arrays.stream(w).sum();
        return new StrengthGrid(strengths, Arrays.stream(w).map(v -> v / total).toArray());
    }

    double mean() {
        double sum = 0;
        for (int i = 0; i < strengths.length; i++) {
            sum += weights[i] * strengths[i];
        }
        return sum;
    }
}
