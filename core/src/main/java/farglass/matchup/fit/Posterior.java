package farglass.matchup.fit;

import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.jspecify.annotations.Nullable;

/**
 * Figures as known of a record and what was expected of it: their means, or draws of what they may be.
 *
 * @param rng source of chance; null for means
 */
record Posterior(@Nullable UniformRandomProvider rng) {
    /** No chance is drawn nearer to 0 or 1. */
    private static final double CERTAIN = 1e-6;

    /** Of a rate: Gamma with this shape and rate. */
    double gamma(double shape, double rate) {
        return rng == null || shape <= 0
                ? shape / rate
                : AhrensDieterMarsagliaTsangGammaSampler.of(rng, shape, 1 / rate)
                        .sample();
    }

    /** Of a chance: Beta with these occurrences and failures. */
    double beta(double a, double b) {
        if (rng == null) {
            return a / (a + b);
        }
        double x = gamma(a, 1);
        return x / (x + gamma(b, 1));
    }

    /**
     * How much more often than expected something is done: Gamma(a, a) updated by the record, averaged over the
     * strengths a.
     *
     * @param expected tries that were expected, not negative
     */
    double factor(PriorStrength prior, double tries, double expected) {
        double[] weights = prior.givenEvents(tries, expected);
        double[] a = prior.strengths();
        if (rng != null) {
            int i = pick(rng, weights);
            return gamma(a[i] + tries, a[i] + expected);
        }
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += weights[i] * (a[i] + tries) / (a[i] + expected);
        }
        return sum;
    }

    /**
     * By how much success in a place differs from what was expected, in log odds: Beta(k p, k (1 - p)) updated by the
     * record, averaged over the strengths k; where there is none, it may still differ.
     *
     * @param expected log odds that were expected where nothing was decided
     * @param drawn how much the expected log odds are drawn away from their mean
     */
    double odds(PriorStrength prior, LocalRecords.Local seen, double expected, double drawn) {
        double odds = (seen.decided > 0 ? logit(seen.share()) : expected) + drawn;
        double p = within(1 / (1 + Math.exp(-odds)));
        double[] weights = prior.givenTries(seen.worked, seen.decided, p);
        double[] k = prior.strengths();
        if (rng != null) {
            int i = pick(rng, weights);
            double x = beta(k[i] * p + seen.worked, k[i] * (1 - p) + seen.decided - seen.worked);
            return logit(within(x)) - odds;
        }
        double mean = 0;
        for (int i = 0; i < k.length; i++) {
            mean += weights[i] * (k[i] * p + seen.worked) / (k[i] + seen.decided);
        }
        return logit(within(mean)) - odds;
    }

    /** A chance that is neither quite 0 nor quite 1. */
    static double within(double chance) {
        return Math.max(CERTAIN, Math.min(1 - CERTAIN, chance));
    }

    /** Log odds of a chance between 0 and 1. */
    static double logit(double chance) {
        return Math.log(chance / (1 - chance));
    }

    private static int pick(UniformRandomProvider rng, double[] weights) {
        double left = rng.nextDouble();
        int i = 0;
        while (i < weights.length - 1 && left >= weights[i]) {
            left -= weights[i++];
        }
        return i;
    }
}
