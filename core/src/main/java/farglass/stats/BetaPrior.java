package farglass.stats;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.numbers.gamma.LogBeta;

/**
 * Prior of a proportion: mean m and a distribution over its strength k, Beta(k m, k (1 - m)).
 *
 * <p>The strength is not fixed at its best-fitting value but averaged over a log-uniform grid on [1, 30], weighted by the
 * marginal likelihood of the other athletes' counts, so that no flat or boundary maximum makes the answer jump. Where it
 * cannot be fitted (fewer than 4 athletes with 3 occurrences, or a log-likelihood range under 0.5) it is 4. Gelman et al.,
 * Bayesian Data Analysis, ch. 5.
 */
public final class BetaPrior {
    static final double DEFAULT_STRENGTH = 4;
    private static final int GRID = 60;
    private static final double K_MIN = 1;
    private static final double K_MAX = 30;
    private static final int ATHLETES_TO_FIT = 4;
    private static final int OCCURRENCES_TO_FIT = 3;
    private static final double FLAT = 0.5;

    private final double mean;
    private final double[] strengths;
    private final double[] weights;
    private final String source;

    private BetaPrior(double mean, double[] strengths, double[] weights, String source) {
        this.mean = mean;
        this.strengths = strengths;
        this.weights = weights;
        this.source = source;
    }

    /**
     * Counts of one other athlete.
     *
     * @param x successes
     * @param n attempts, at least x
     */
    public record Counts(double x, double n) {}

    /** Jeffreys prior Beta(1/2, 1/2): no baseline. */
    public static BetaPrior jeffreys() {
        return new BetaPrior(0.5, new double[] {1}, new double[] {1}, "no baseline");
    }

    /** @param mean in (0, 1) */
    public static BetaPrior fixed(double mean, double strength, String source) {
        return new BetaPrior(mean, new double[] {strength}, new double[] {1}, source);
    }

    /**
     * Baseline from the other athletes: mean (X + 0.5) / (N + 1).
     *
     * @param others counts per athlete, the athlete at hand left out
     */
    public static BetaPrior fit(List<Counts> others, String source) {
        double x = others.stream().mapToDouble(Counts::x).sum();
        double n = others.stream().mapToDouble(Counts::n).sum();
        double m = (x + 0.5) / (n + 1);
        List<Counts> usable =
                others.stream().filter(c -> c.n() >= OCCURRENCES_TO_FIT).toList();
        if (usable.size() < ATHLETES_TO_FIT) {
            return fixed(m, DEFAULT_STRENGTH, source);
        }
        double[] k = new double[GRID];
        double[] logLik = new double[GRID];
        for (int i = 0; i < GRID; i++) {
            k[i] = K_MIN * Math.pow(K_MAX / K_MIN, i / (GRID - 1.0));
            for (Counts c : usable) {
                double a = k[i] * m;
                double b = k[i] * (1 - m);
                logLik[i] += LogBeta.value(a + c.x(), b + c.n() - c.x()) - LogBeta.value(a, b);
            }
        }
        double best = Arrays.stream(logLik).max().orElseThrow();
        if (best - Arrays.stream(logLik).min().orElseThrow() < FLAT) {
            return fixed(m, DEFAULT_STRENGTH, source);
        }
        double[] w = Arrays.stream(logLik).map(l -> Math.exp(l - best)).toArray();
        double total = Arrays.stream(w).sum();
        return new BetaPrior(m, k, Arrays.stream(w).map(v -> v / total).toArray(), source);
    }

    public double mean() {
        return mean;
    }

    /** In words, where it comes from. */
    public String source() {
        return source;
    }

    /** Mean strength in pseudo-occurrences. */
    public double strength() {
        double sum = 0;
        for (int i = 0; i < strengths.length; i++) {
            sum += weights[i] * strengths[i];
        }
        return sum;
    }

    /** Posterior after x successes and y failures (which may be fractional). */
    BetaMixture posterior(double x, double y) {
        int n = strengths.length;
        double[] a = new double[n];
        double[] b = new double[n];
        for (int i = 0; i < n; i++) {
            a[i] = strengths[i] * mean + x;
            b[i] = strengths[i] * (1 - mean) + y;
        }
        return new BetaMixture(weights, a, b);
    }

    double posteriorMean(double x, double y) {
        double sum = 0;
        for (int i = 0; i < strengths.length; i++) {
            sum += weights[i] * (strengths[i] * mean + x) / (strengths[i] + x + y);
        }
        return sum;
    }
}
