package farglass.stats;

import farglass.text.CoreWords;
import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What share of the time? Ratio of time in a state to time watched, with matches as sampling units.
 *
 * <p>Variance of the ratio by linearisation (Cochran 1977, section 2.11), interval on the logit scale with a t quantile
 * of matches - 1 degrees of freedom; with one match nothing is known of the spread and the interval is [0, 1].
 */
public final class TimeShare {
    private TimeShare() {}

    /**
     * Time in one match.
     *
     * @param inMs time in the state
     * @param allMs time watched, positive
     * @param weight recency weight in (0, 1]
     * @param spans visits to the state
     */
    public record Exposure(double inMs, double allMs, double weight, int spans) {}

    /**
     * @param matches one entry per match watched, also where the state was never seen
     * @param tags position tags of the visits
     */
    public static Estimate of(List<Exposure> matches, List<TagRef> tags) {
        double in = matches.stream().mapToDouble(Exposure::inMs).sum();
        double all = matches.stream().mapToDouble(Exposure::allMs).sum();
        double weightedIn =
                matches.stream().mapToDouble(m -> m.weight() * m.inMs()).sum();
        double weightedAll =
                matches.stream().mapToDouble(m -> m.weight() * m.allMs()).sum();
        double share = weightedAll == 0 ? Double.NaN : weightedIn / weightedAll;
        int seenIn = (int) matches.stream().filter(m -> m.spans() > 0).count();
        double sumW = matches.stream().mapToDouble(m -> m.weight() * m.spans()).sum();
        double sumWw = matches.stream()
                .mapToDouble(m -> m.weight() * m.weight() * m.spans())
                .sum();
        double effective = sumWw == 0 ? 0 : Math.min(sumW * sumW / sumWw, sumW);
        double[] interval = interval(matches, share, weightedAll);
        return new Estimate(
                new Estimate.Observed(in, all, all == 0 ? Double.NaN : in / all, seenIn, effective),
                share,
                new Estimate.Interval(interval[0], interval[1]),
                Grade.of(effective, seenIn, interval[1] - interval[0]),
                new Estimate.Reference(Double.NaN, CoreWords.of("prior.matches")),
                null,
                tags);
    }

    private static double[] interval(List<Exposure> matches, double share, double weightedAll) {
        int m = matches.size();
        if (m < 2 || !(share > 0 && share < 1)) {
            return new double[] {0, 1};
        }
        double residuals = 0;
        for (Exposure e : matches) {
            double r = e.weight() * (e.inMs() - share * e.allMs());
            residuals += r * r;
        }
        double se = Math.sqrt(m / (m - 1.0) * residuals) / weightedAll;
        double t = TDistribution.of(m - 1).inverseCumulativeProbability(Estimate.UPPER);
        double logit = Math.log(share / (1 - share));
        double half = t * se / (share * (1 - share));
        return new double[] {logistic(logit - half), logistic(logit + half)};
    }

    private static double logistic(double v) {
        return 1 / (1 + Math.exp(-v));
    }
}
