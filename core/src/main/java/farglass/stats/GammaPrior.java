package farglass.stats;

import java.util.List;
import org.apache.commons.numbers.gamma.LogGamma;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * Prior of a rate: mean m per minute and a distribution over its strength alpha in pseudo-events,
 * Gamma(alpha, alpha / m), alpha on [0.5, 10]; 2 where it cannot be fitted. Gelman et al., Bayesian Data Analysis, ch.
 * 2.
 */
public final class GammaPrior {
    static final double DEFAULT_STRENGTH = 2;
    private static final double A_MIN = 0.5;
    private static final double A_MAX = 10;
    private static final int ATHLETES_TO_FIT = 4;
    private static final double MINUTES_TO_FIT = 1;

    private final double mean;
    private final StrengthGrid strength;
    private final String source;

    private GammaPrior(double mean, StrengthGrid strength, String source) {
        this.mean = mean;
        this.strength = strength;
        this.source = source;
    }

    /**
     * Counts of one other athlete.
     *
     * @param events events seen
     * @param minutes exposure, positive
     */
    public record Counts(double events, double minutes) {}

    /** No baseline: Jeffreys Gamma(0.5, 0). */
    public static GammaPrior jeffreys() {
        return new GammaPrior(Double.NaN, StrengthGrid.fixed(A_MIN), "no baseline");
    }

    /**
     * Baseline from the other athletes: mean (X + 0.5) / E.
     *
     * @param others counts per athlete, the athlete at hand left out; without any exposure there is no baseline
     */
    public static GammaPrior fit(List<Counts> others, String source) {
        double events = others.stream().mapToDouble(Counts::events).sum();
        double minutes = others.stream().mapToDouble(Counts::minutes).sum();
        if (minutes <= 0) {
            return jeffreys();
        }
        double m = (events + 0.5) / minutes;
        List<Counts> usable =
                others.stream().filter(c -> c.minutes() >= MINUTES_TO_FIT).toList();
        if (usable.size() < ATHLETES_TO_FIT) {
            return new GammaPrior(m, StrengthGrid.fixed(DEFAULT_STRENGTH), source);
        }
        Repeats counts = Repeats.of(usable.stream().mapToDouble(Counts::events));
        StrengthGrid grid = StrengthGrid.fit(A_MIN, A_MAX, DEFAULT_STRENGTH, a -> {
            double b = a / m;
            double log = usable.size() * (a * Math.log(b) - LogGamma.value(a)) + counts.sum(x -> LogGamma.value(a + x));
            for (Counts c : usable) {
                log -= (a + c.events()) * Math.log(b + c.minutes());
            }
            return log;
        });
        return new GammaPrior(m, grid, source);
    }

    /** Mean rate per minute; NaN without a baseline. */
    public double mean() {
        return mean;
    }

    /** Whose average it is. */
    public String source() {
        return source;
    }

    /** Mean strength in pseudo-events. */
    public double strength() {
        return strength.mean();
    }

    /** Posterior of the rate per minute after events seen in minutes of exposure, minutes positive. */
    Mixture posterior(double events, double minutes) {
        StrengthGrid own = Double.isNaN(mean)
                ? strength
                : strength.given(k -> {
                    double b = k / mean;
                    return LogGamma.value(k + events)
                            - LogGamma.value(k)
                            + k * Math.log(b)
                            - (k + events) * Math.log(b + minutes);
                });
        double[] a = own.strengths();
        GammaDistribution[] parts = new GammaDistribution[a.length];
        for (int i = 0; i < a.length; i++) {
            double before = Double.isNaN(mean) ? 0 : a[i] / mean;
            parts[i] = GammaDistribution.of(a[i] + events, 1 / (before + minutes));
        }
        return new Mixture(own.weights(), parts);
    }
}
