package farglass.matchup.fit;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.gamma.LogGamma;

/**
 * How much what a model expects is worth against a record: strengths of priors on a grid, weighted by the marginal
 * likelihood of a library (Gelman et al., Bayesian Data Analysis, ch. 5) and by a weak prior of their own, so that a
 * library that says nothing leaves the usual strength. Some weight stays on the weakest, so that who is not as the
 * others are can free himself (Schmidli et al., Biometrics 70, 2014).
 */
final class PriorStrength {
    /** Standard deviation of the log of a strength before anything was seen. */
    private static final double SPREAD = 1;
    /** Chance beforehand that a record follows none of what is expected. */
    private static final double UNLIKE = 0.1;
    /** Strengths that weigh less are left out. */
    private static final double NEGLIGIBLE = 1e-3;

    private final double[] strengths;
    private final double[] logWeights;

    private PriorStrength(double[] strengths, double[] logWeights) {
        this.strengths = strengths;
        this.logWeights = logWeights;
    }

    /**
     * Counts of one athlete in one place.
     *
     * @param seen events, or tries that worked
     * @param expected events expected, or the expected share of tries that work, between 0 and 1
     * @param tries decided tries; not used for counts of events
     */
    record Counts(double seen, double expected, double tries) {
        /** Log likelihood of the events when their factor on what is expected is Gamma(a, a). */
        double logOfRate(double a) {
            return LogGamma.value(a + seen) - LogGamma.value(a) + a * Math.log(a) - (a + seen) * Math.log(a + expected);
        }

        /** Log likelihood of the successes when their chance is Beta(k p, k (1 - p)) around the expected p. */
        double logOfChance(double k) {
            double a = k * expected;
            double b = k - a;
            return LogGamma.value(a + seen)
                    - LogGamma.value(a)
                    + LogGamma.value(b + tries - seen)
                    - LogGamma.value(b)
                    + LogGamma.value(k)
                    - LogGamma.value(k + tries);
        }
    }

    /**
     * Strengths for factors on expected counts.
     *
     * @param grid strengths, positive and ascending
     * @param usual the strength where counts say nothing
     */
    static PriorStrength ofRates(List<Counts> counts, double[] grid, double usual) {
        return weigh(
                grid,
                usual,
                a -> counts.stream().mapToDouble(c -> c.logOfRate(a)).sum());
    }

    /** Strengths for chances around expected shares; parameters as those of {@link #ofRates}. */
    static PriorStrength ofChances(List<Counts> counts, double[] grid, double usual) {
        return weigh(
                grid,
                usual,
                k -> counts.stream().mapToDouble(c -> c.logOfChance(k)).sum());
    }

    private static PriorStrength weigh(double[] grid, double usual, DoubleUnaryOperator logLikelihood) {
        double[] logs = new double[grid.length];
        for (int i = 0; i < logs.length; i++) {
            double away = Math.log(grid[i] / usual) / SPREAD;
            logs[i] = logLikelihood.applyAsDouble(grid[i]) - away * away / 2;
        }
        double[] weights = normal(logs);
        double[] kept = new double[grid.length];
        double[] log = new double[grid.length];
        int n = 0;
        for (int i = 0; i < grid.length; i++) {
            double w = (1 - UNLIKE) * weights[i] + (i == 0 ? UNLIKE : 0);
            if (w >= NEGLIGIBLE) {
                kept[n] = grid[i];
                log[n++] = Math.log(w);
            }
        }
        return new PriorStrength(Arrays.copyOf(kept, n), Arrays.copyOf(log, n));
    }

    private static double[] normal(double[] logs) {
        double best = Arrays.stream(logs).max().orElseThrow();
        double[] w = Arrays.stream(logs).map(l -> Math.exp(l - best)).toArray();
        double sum = Arrays.stream(w).sum();
        return Arrays.stream(w).map(x -> x / sum).toArray();
    }

    /** Strengths that are told apart, ascending. */
    double[] strengths() {
        return strengths;
    }

    /** Weights of the strengths once a record of events is known; they sum to 1. */
    double[] givenEvents(double seen, double expected) {
        Counts c = new Counts(seen, expected, 0);
        return given(c::logOfRate);
    }

    /** Weights of the strengths once a record of tries is known; they sum to 1. */
    double[] givenTries(double worked, double decided, double expected) {
        Counts c = new Counts(worked, expected, decided);
        return given(c::logOfChance);
    }

    private double[] given(DoubleUnaryOperator logLikelihood) {
        double[] logs = logWeights.clone();
        for (int i = 0; i < logs.length; i++) {
            logs[i] += logLikelihood.applyAsDouble(strengths[i]);
        }
        return normal(logs);
    }

    /** The strength that weighs most, beside the weight kept on the weakest. */
    double likeliest() {
        int best = 0;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < strengths.length; i++) {
            double w = Math.exp(logWeights[i]) - (i == 0 ? UNLIKE : 0);
            if (w > most) {
                most = w;
                best = i;
            }
        }
        return strengths[best];
    }
}
