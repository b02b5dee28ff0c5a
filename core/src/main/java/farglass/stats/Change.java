package farglass.stats;

import java.util.Arrays;
import java.util.List;

/**
 * Did a proportion change? Both times get their own posterior under the same prior; recency weights are left out,
 * because the question is about time itself.
 */
public final class Change {
    /** Differences up to this size do not matter. */
    public static final double MATTERS = 0.10;

    private static final int GRID = 100;
    /** Chance beyond which a tail is not followed. */
    private static final double NOTHING = 1e-12;

    private Change() {}

    /**
     * @param early before the line
     * @param late after it
     * @param rho intra-match correlation in [0, 1]
     * @param least probability below which the answer does not matter
     * @return posterior probability that the two differ by more than 0.10; 0 when Chebyshev's inequality already tells
     * that it lies below {@code least}
     */
    public static double moved(List<Trial> early, List<Trial> late, BetaPrior prior, double rho, double least) {
        Mixture a = Proportion.posterior(even(early), prior, rho);
        Mixture b = Proportion.posterior(even(late), prior, rho);
        double room = MATTERS - Math.abs(a.mean() - b.mean());
        boolean still = room > 0 && a.variance() + b.variance() < least * room * room;
        return still ? 0 : apart(a, b);
    }

    private static List<Trial> even(List<Trial> trials) {
        return trials.stream()
                .map(t -> new Trial(t.tag(), t.index(), t.t(), t.worked(), 1, t.unsure()))
                .toList();
    }

    private static double apart(Mixture a, Mixture b) {
        double[] first = grid(a);
        double[] second = grid(b);
        int reach = (int) Math.round(MATTERS * GRID);
        double p = 0;
        for (int i = 0; i < GRID; i++) {
            // a lies within this cell, b is looked up from its middle
            double below = middle(second, i - reach);
            double above = 1 - middle(second, i + reach);
            p += (first[i + 1] - first[i]) * (below + above);
        }
        return p;
    }

    /** The distribution at every cell's edge, outwards from its middle until nothing is left. */
    private static double[] grid(Mixture m) {
        double[] cdf = new double[GRID + 1];
        int middle = (int) Math.round(m.mean() * GRID);
        int i = middle;
        for (; i <= GRID; i++) {
            cdf[i] = m.cdf((double) i / GRID);
            if (cdf[i] > 1 - NOTHING) {
                break;
            }
        }
        Arrays.fill(cdf, Math.min(i, GRID), GRID + 1, 1);
        for (i = middle - 1; i >= 0; i--) {
            cdf[i] = m.cdf((double) i / GRID);
            if (cdf[i] < NOTHING) {
                break;
            }
        }
        return cdf;
    }

    private static double middle(double[] cdf, int cell) {
        if (cell < 0) {
            return 0;
        }
        return cell >= GRID ? 1 : (cdf[cell] + cdf[cell + 1]) / 2;
    }
}
