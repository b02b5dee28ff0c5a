package farglass.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How often does it work? Beta-binomial posterior with recency weights and a design effect for matches.
 *
 * <p>Old occurrences weigh less (power prior, Ibrahim and Chen 2000); occurrences of one match are not independent, so
 * both weighted counts are divided by the design effect. From 6 matches on a seeded cluster bootstrap over matches (2000
 * draws of the posterior mean) stands beside the interval as a check.
 */
public final class Proportion {
    private static final int CHECK_MATCHES = 6;
    private static final int DRAWS = 2000;

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
        BetaMixture posterior = prior.posterior(wx / effect, (w - wx) / effect);
        double effective = n == 0 ? 0 : Math.min(w * w / ww, w);
        double width = n == 0 ? 1 : Grade.jeffreysWidth(wx / w, effective);
        return new Estimate(
                x,
                n,
                n == 0 ? Double.NaN : x / n,
                posterior.mean(),
                posterior.quantile(0.05),
                posterior.quantile(0.95),
                Estimate.LEVEL,
                matches,
                effective,
                Grade.of(effective, matches, width),
                prior.mean(),
                prior.source(),
                matches < CHECK_MATCHES ? null : bootstrap(new ArrayList<>(byMatch.values()), prior, seed),
                trials.stream().map(Trial::tag).toList());
    }

    private static Estimate.Interval bootstrap(List<double[]> matches, BetaPrior prior, long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[] draws = new double[DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            double x = 0;
            double n = 0;
            for (int i = 0; i < matches.size(); i++) {
                double[] sums = matches.get(rng.nextInt(matches.size()));
                x += sums[0];
                n += sums[1];
            }
            draws[d] = prior.posteriorMean(x, n - x);
        }
        Arrays.sort(draws);
        return new Estimate.Interval(draws[(int) (0.05 * DRAWS)], draws[(int) (0.95 * DRAWS) - 1]);
    }
}
