package farglass.stats;

import java.util.Arrays;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * The cluster bootstrap over matches that stands beside an interval as a check: posterior means of 2000 redrawn
 * libraries with the prior as it is. Worked out when it is first asked for, because most claims are never looked at;
 * always the same for the same seed.
 */
public final class Redraw {
    private static final int DRAWS = 2000;

    private final double[][] matches;
    private final BetaPrior prior;
    private final long seed;
    private volatile Estimate.@Nullable Interval interval;

    /** @param matches weighted successes and weighted tries of each match */
    Redraw(List<double[]> matches, BetaPrior prior, long seed) {
        this.matches = matches.toArray(new double[0][]);
        this.prior = prior;
        this.seed = seed;
    }

    /** The middle 90 %. */
    public Estimate.Interval interval() {
        Estimate.Interval known = interval;
        if (known == null) {
            known = draw();
            interval = known;
        }
        return known;
    }

    private Estimate.Interval draw() {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[] draws = new double[DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            double x = 0;
            double n = 0;
            for (int i = 0; i < matches.length; i++) {
                double[] sums = matches[rng.nextInt(matches.length)];
                x += sums[0];
                n += sums[1];
            }
            draws[d] = prior.posteriorMean(x, n - x);
        }
        Arrays.sort(draws);
        return new Estimate.Interval(draws[(int) (Estimate.LOWER * DRAWS)], draws[(int) (Estimate.UPPER * DRAWS) - 1]);
    }

    /** The same matches, prior and seed give the same interval. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Redraw r
                && seed == r.seed
                && prior.mean() == r.prior.mean()
                && Arrays.deepEquals(matches, r.matches);
    }

    @Override
    public int hashCode() {
        return Long.hashCode(seed) * 31 + Arrays.deepHashCode(matches);
    }
}
