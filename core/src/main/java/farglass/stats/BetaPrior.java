package farglass.stats;

import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.apache.commons.numbers.gamma.LogBeta;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * Prior of a proportion: mean m and a distribution over its strength k, Beta(k m, k (1 - m)), k on [1, 30].
 *
 * <p>Where the strength cannot be fitted (fewer than 4 athletes with 3 occurrences, or a log-likelihood range under
 * 0.5) it is 4. Gelman et al., Bayesian Data Analysis, ch. 5.
 */
public final class BetaPrior {
    static final double DEFAULT_STRENGTH = 4;
    private static final double K_MIN = 1;
    private static final double K_MAX = 30;
    private static final int ATHLETES_TO_FIT = 4;
    private static final int OCCURRENCES_TO_FIT = 3;
    /** Fewer others are no baseline (ruling S01). */
    private static final int FEWEST = 3;

    private static final BetaPrior JEFFREYS = new BetaPrior(0.5, Double.NaN, StrengthGrid.fixed(1), "no baseline");

    private final double mean;
    /** What may be compared with; NaN for the prior that knows nothing. */
    private final double average;

    private final StrengthGrid strength;
    private final String source;

    private BetaPrior(double mean, double average, StrengthGrid strength, String source) {
        this.mean = mean;
        this.average = average;
        this.strength = strength;
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
        return JEFFREYS;
    }

    /** @param mean in (0, 1) */
    public static BetaPrior fixed(double mean, double strength, String source) {
        return new BetaPrior(mean, mean, StrengthGrid.fixed(strength), source);
    }

    /**
     * Baseline from the other athletes: mean (X + 0.5) / (N + 1).
     *
     * @param others counts per athlete, the athlete at hand left out
     */
    public static BetaPrior fit(List<Counts> others, String source) {
        return fit(others, each(others.size()), source);
    }

    /**
     * The same.
     *
     * @param times how many athletes have each of the counts, as many as counts
     */
    public static BetaPrior fit(List<Counts> others, int[] times, String source) {
        double x = 0;
        double n = 0;
        int athletes = 0;
        int[] usable = new int[times.length];
        for (int i = 0; i < times.length; i++) {
            x += times[i] * others.get(i).x();
            n += times[i] * others.get(i).n();
            usable[i] = others.get(i).n() >= OCCURRENCES_TO_FIT ? times[i] : 0;
            athletes += usable[i];
        }
        double m = (x + 0.5) / (n + 1);
        int fitted = athletes;
        if (fitted < ATHLETES_TO_FIT) {
            return fixed(m, DEFAULT_STRENGTH, source);
        }
        Repeats successes = Repeats.of(i -> others.get(i).x(), usable);
        Repeats failures = Repeats.of(i -> others.get(i).n() - others.get(i).x(), usable);
        Repeats tries = Repeats.of(i -> others.get(i).n(), usable);
        StrengthGrid grid = StrengthGrid.fit(K_MIN, K_MAX, DEFAULT_STRENGTH, k -> {
            double a = k * m;
            double b = k * (1 - m);
            // the logarithms of beta functions, each taken apart into its three gamma functions
            return successes.sum(s -> LogGamma.value(a + s))
                    + failures.sum(f -> LogGamma.value(b + f))
                    - tries.sum(t -> LogGamma.value(k + t))
                    - fitted * LogBeta.value(a, b);
        });
        return new BetaPrior(m, m, grid, source);
    }

    private static int[] each(int athletes) {
        int[] times = new int[athletes];
        Arrays.fill(times, 1);
        return times;
    }

    /**
     * Fewer others than make a baseline: their mean, taken for one occurrence, and Jeffreys where there is nobody
     * (ruling S01). What is rare is never taken for less than half an occurrence, as by Jeffreys: with less, nothing
     * seen would be known too surely (measured: coverage .81 at 60 matches).
     */
    public static BetaPrior few(List<Counts> others) {
        return few(others, each(others.size()));
    }

    /** @param times how many athletes have each of the counts, as many as counts */
    public static BetaPrior few(List<Counts> others, int[] times) {
        double x = 0;
        double n = 0;
        for (int i = 0; i < times.length; i++) {
            x += times[i] * others.get(i).x();
            n += times[i] * others.get(i).n();
        }
        int athletes = Arrays.stream(times).sum();
        return n == 0 ? JEFFREYS : weak((x + 0.5) / (n + 1), CoreWords.of("prior.few.family", athletes));
    }

    /** One occurrence, with at least half of one on either side. */
    private static BetaPrior weak(double m, String source) {
        double a = Math.max(0.5, m);
        double b = Math.max(0.5, 1 - m);
        return new BetaPrior(a / (a + b), m, StrengthGrid.fixed(a + b), source);
    }

    /**
     * Priors of the shares of several categories: the marginals of a Dirichlet prior whose mean is the other athletes'
     * row and whose one strength is fitted to the whole row. A category that the others never show counts 0.5 / (number
     * of categories).
     *
     * @param others one row of counts per athlete: the categories in order, and last all others together
     * @param categories number of categories, at least 1
     * @return one prior per category; evenly spread with strength 4 where there are no others
     */
    public static List<BetaPrior> row(List<double[]> others, int categories) {
        return row(others, each(others.size()), categories);
    }

    /** @param times how many athletes have each of the rows, as many as rows */
    public static List<BetaPrior> row(List<double[]> others, int[] times, int categories) {
        double[] sums = new double[categories + 1];
        double[] totals = new double[times.length];
        int[] usable = new int[times.length];
        for (int i = 0; i < times.length; i++) {
            double[] row = others.get(i);
            for (int c = 0; c < sums.length; c++) {
                sums[c] += times[i] * row[c];
            }
            totals[i] = Arrays.stream(row).sum();
            usable[i] = totals[i] >= OCCURRENCES_TO_FIT ? times[i] : 0;
        }
        double seen = Arrays.stream(sums).sum();
        boolean known = seen > 0;
        for (int c = 0; c < sums.length; c++) {
            sums[c] = sums[c] > 0 ? sums[c] : known ? 0.5 / categories : 1;
        }
        double total = Arrays.stream(sums).sum();
        double[] m = Arrays.stream(sums).map(s -> s / total).toArray();
        StrengthGrid grid = Arrays.stream(usable).sum() < ATHLETES_TO_FIT
                ? StrengthGrid.fixed(DEFAULT_STRENGTH)
                : StrengthGrid.fit(K_MIN, K_MAX, DEFAULT_STRENGTH, dirichlet(others, totals, usable, m));
        int athletes = Arrays.stream(times).sum();
        boolean few = athletes < FEWEST;
        String source =
                known ? CoreWords.of(few ? "prior.few.others" : "prior.others", athletes) : CoreWords.of("prior.even");
        List<BetaPrior> priors = new ArrayList<>();
        for (int c = 0; c < categories; c++) {
            // a category is shown only when it was seen, so that nothing has to be lent to what never was
            priors.add(new BetaPrior(m[c], m[c], few ? StrengthGrid.fixed(1) : grid, source));
        }
        return priors;
    }

    private static DoubleUnaryOperator dirichlet(List<double[]> rows, double[] totals, int[] times, double[] m) {
        Repeats[] shown = new Repeats[m.length];
        int[] showing = new int[m.length];
        for (int c = 0; c < m.length; c++) {
            int category = c;
            int[] those = new int[times.length];
            for (int i = 0; i < times.length; i++) {
                those[i] = rows.get(i)[c] > 0 ? times[i] : 0;
            }
            shown[c] = Repeats.of(i -> rows.get(i)[category], those);
            showing[c] = Arrays.stream(those).sum();
        }
        Repeats all = Repeats.of(i -> totals[i], times);
        int athletes = Arrays.stream(times).sum();
        return k -> {
            double log = athletes * LogGamma.value(k) - all.sum(n -> LogGamma.value(k + n));
            for (int c = 0; c < m.length; c++) {
                double a = k * m[c];
                log += shown[c].sum(v -> LogGamma.value(a + v)) - showing[c] * LogGamma.value(a);
            }
            return log;
        };
    }

    /** The same with its strength weighed by the athlete's own x successes and y failures. */
    BetaPrior given(double x, double y) {
        StrengthGrid own = strength.given(k -> {
            double a = k * mean;
            double b = k * (1 - mean);
            return LogBeta.value(a + x, b + y) - LogBeta.value(a, b);
        });
        return new BetaPrior(mean, average, own, source);
    }

    /** Its mean, 0..1. */
    public double mean() {
        return mean;
    }

    /** The mean as something to compare with; NaN for the prior that knows nothing. */
    double average() {
        return average;
    }

    /** In words, where it comes from. */
    public String source() {
        return source;
    }

    /** Mean strength in pseudo-occurrences. */
    public double strength() {
        return strength.mean();
    }

    /** Posterior after x successes and y failures (which may be fractional). */
    Mixture posterior(double x, double y) {
        StrengthGrid own = given(x, y).strength;
        double[] k = own.strengths();
        BetaDistribution[] parts = new BetaDistribution[k.length];
        for (int i = 0; i < k.length; i++) {
            parts[i] = BetaDistribution.of(k[i] * mean + x, k[i] * (1 - mean) + y);
        }
        return new Mixture(own.weights(), parts);
    }

    double posteriorMean(double x, double y) {
        double[] k = strength.strengths();
        double sum = 0;
        for (int i = 0; i < k.length; i++) {
            sum += strength.weights()[i] * (k[i] * mean + x) / (k[i] + x + y);
        }
        return sum;
    }
}
