package farglass.stats;

import java.util.List;

/**
 * Did a proportion change? Both times get their own posterior under the same prior; recency weights are left out, because
 * the question is about time itself.
 *
 * @param early before the line
 * @param late after it
 * @param difference late - early
 * @param pMoved posterior probability that the two differ by more than 0.10
 */
public record Change(Estimate early, Estimate late, Difference difference, double pMoved) {
    /** Differences up to this size do not matter. */
    public static final double MATTERS = 0.10;

    private static final int GRID = 100;

    public static Change of(List<Trial> early, List<Trial> late, BetaPrior prior, double rho, long seed) {
        List<Trial> first = even(early);
        List<Trial> second = even(late);
        Estimate a = Proportion.of(first, prior, rho, seed);
        Estimate b = Proportion.of(second, prior, rho, seed + 1);
        return new Change(
                a,
                b,
                Difference.of(b, a),
                apart(Proportion.posterior(first, prior, rho), Proportion.posterior(second, prior, rho)));
    }

    private static List<Trial> even(List<Trial> trials) {
        return trials.stream()
                .map(t -> new Trial(t.tag(), t.index(), t.t(), t.worked(), 1, t.unsure()))
                .toList();
    }

    private static double apart(Mixture a, Mixture b) {
        double[] first = new double[GRID + 1];
        double[] second = new double[GRID + 1];
        for (int i = 0; i <= GRID; i++) {
            first[i] = a.cdf((double) i / GRID);
            second[i] = b.cdf((double) i / GRID);
        }
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

    private static double middle(double[] cdf, int cell) {
        if (cell < 0) {
            return 0;
        }
        return cell >= GRID ? 1 : (cdf[cell] + cdf[cell + 1]) / 2;
    }
}
