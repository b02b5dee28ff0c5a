package farglass.stats;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How often does it work? Beta-binomial posterior with recency weights and a design effect for matches.
 *
 * <p>Old occurrences weigh less (power prior, Ibrahim and Chen 2000); occurrences of one match are not independent, so
 * both weighted counts are divided by the design effect. From 6 matches on a seeded cluster bootstrap over matches
 * (2000 draws of the posterior mean) stands beside the interval as a check.
 */
public final class Proportion {
    private static final int CHECK_MATCHES = 6;

    private Proportion() {}

    /**
     * @param trials what was seen, may be empty
     * @param prior baseline
     * @param rho intra-match correlation in [0, 1]
     * @param seed seed of the bootstrap; one stream per claim
     */
    public static Estimate of(List<Trial> trials, BetaPrior prior, double rho, long seed) {
        Map<String, double[]> byMatch = new LinkedHashMap<>();
        double x = 0;
        double wx = 0;
        double w = 0;
        double ww = 0;
        for (Trial t : trials) {
            double[] sums = byMatch.computeIfAbsent(t.tag().match(), k -> new double[2]);
            sums[0] += t.worked() ? t.weight() : 0;
            sums[1] += t.weight();
            x += t.worked() ? 1 : 0;
            wx += t.worked() ? t.weight() : 0;
            w += t.weight();
            ww += t.weight() * t.weight();
        }
        int n = trials.size();
        int matches = byMatch.size();
        double effect = n == 0 ? 1 : Clustering.designEffect((double) n / matches, rho);
        Mixture posterior = prior.posterior(wx / effect, (w - wx) / effect);
        double effective = n == 0 ? 0 : Math.min(w * w / ww, w);
        double width = n == 0 ? 1 : Grade.jeffreysWidth(wx / w, effective);
        return new Estimate(
                new Estimate.Observed(x, n, n == 0 ? Double.NaN : x / n, matches, effective),
                posterior.mean(),
                new Estimate.Interval(posterior.quantile(Estimate.LOWER), posterior.quantile(Estimate.UPPER)),
                Grade.of(effective, matches, width),
                new Estimate.Reference(prior.average(), prior.source()),
                matches < CHECK_MATCHES
                        ? null
                        : new Redraw(
                                new ArrayList<>(byMatch.values()), prior.given(wx / effect, (w - wx) / effect), seed),
                trials.stream().map(Trial::tag).toList());
    }

    /** The posterior behind {@link #of}. */
    static Mixture posterior(List<Trial> trials, BetaPrior prior, double rho) {
        double w = trials.stream().mapToDouble(Trial::weight).sum();
        double wx =
                trials.stream().filter(Trial::worked).mapToDouble(Trial::weight).sum();
        long matches = trials.stream().map(t -> t.tag().match()).distinct().count();
        double effect = trials.isEmpty() ? 1 : Clustering.designEffect((double) trials.size() / matches, rho);
        return prior.posterior(wx / effect, (w - wx) / effect);
    }
}
