package farglass.stats;

import java.util.List;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * How often per ten minutes? Gamma-Poisson posterior with recency weights and an overdispersion for matches.
 *
 * <p>Events of one match are not independent: events and exposure are both divided by Pearson's dispersion over the
 * matches (chi-squared over degrees of freedom, McCullagh and Nelder 1989, section 6.2), floor 1, pulled toward 1 as if
 * 10 more matches without overdispersion had been seen.
 */
public final class Rate {
    /** Rates are kept per minute and shown per ten. */
    static final double SHOWN_MINUTES = 10;

    private static final double MS_PER_MINUTE = 60_000;
    private static final int EVEN_MATCHES = 10;
    /** A strong rate's upper end is at most this many times its lower end. */
    private static final double STRONG_RATIO = 2.5;

    private Rate() {}

    /**
     * One match.
     *
     * @param events events seen
     * @param exposureMs time in which they could have happened
     * @param weight recency weight in (0, 1]
     */
    public record Exposed(int events, double exposureMs, double weight) {}

    /**
     * @param matches one entry per match with exposure
     * @param prior baseline per minute
     * @param tags the events
     * @return per ten minutes; {@code x} is events, {@code n} exposure in ms, {@code raw} events per ten minutes
     * @throws IllegalArgumentException without any exposure: nothing is known of a rate then
     */
    public static Estimate of(List<Exposed> matches, GammaPrior prior, List<TagRef> tags) {
        double events = 0;
        double ms = 0;
        double weighted = 0;
        double minutes = 0;
        double squares = 0;
        int seenIn = 0;
        for (Exposed m : matches) {
            events += m.events();
            ms += m.exposureMs();
            weighted += m.weight() * m.events();
            minutes += m.weight() * m.exposureMs() / MS_PER_MINUTE;
            squares += m.weight() * m.weight() * m.events();
            seenIn += m.events() > 0 ? 1 : 0;
        }
        if (!(minutes > 0)) {
            throw new IllegalArgumentException("exposure (" + ms + " ms) must be positive");
        }
        double spread = dispersion(matches, events / ms);
        Mixture posterior = prior.posterior(weighted / spread, minutes / spread);
        double lo = posterior.quantile(Estimate.LOWER);
        double hi = posterior.quantile(Estimate.UPPER);
        double effective = squares == 0 ? 0 : Math.min(weighted * weighted / squares, weighted);
        return new Estimate(
                new Estimate.Observed(events, ms, events / ms * MS_PER_MINUTE * SHOWN_MINUTES, seenIn, effective),
                posterior.mean() * SHOWN_MINUTES,
                new Estimate.Interval(lo * SHOWN_MINUTES, hi * SHOWN_MINUTES),
                grade(effective, seenIn),
                new Estimate.Reference(prior.mean() * SHOWN_MINUTES, prior.source()),
                null,
                tags);
    }

    private static Grade grade(double effective, int matches) {
        if (effective == 0) {
            return Grade.THIN;
        }
        double lo = ChiSquaredDistribution.of(2 * effective + 1).inverseCumulativeProbability(Estimate.LOWER);
        double hi = ChiSquaredDistribution.of(2 * effective + 1).inverseCumulativeProbability(Estimate.UPPER);
        // measured on the scale on which 0.35 is the limit of a proportion
        double width = hi / lo <= STRONG_RATIO ? Grade.STRONG_WIDTH : 1;
        return Grade.of(effective, matches, width);
    }

    private static double dispersion(List<Exposed> matches, double perMs) {
        double chi = 0;
        int df = -1;
        for (Exposed m : matches) {
            double expected = perMs * m.exposureMs();
            if (expected > 0) {
                chi += (m.events() - expected) * (m.events() - expected) / expected;
                df++;
            }
        }
        return df < 1 ? 1 : Math.max(1, (chi + EVEN_MATCHES) / (df + EVEN_MATCHES));
    }
}
