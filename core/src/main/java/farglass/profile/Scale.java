package farglass.profile;

import farglass.stats.Estimate;

/**
 * The scale on which a claim's number is drawn, the same for the screen and for paper.
 *
 * @param from value at its left end, in the unit of the claim
 * @param to value at its right end
 */
public record Scale(double from, double to) {
    /** Ends of scales: the first that holds the interval is taken. */
    private static final double[] ROUND = {1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 3600};

    /** The axis on which an estimate of a unit is drawn. */
    public static Scale of(Claim.Unit unit, Estimate e) {
        return new Scale(unit == Claim.Unit.DIFFERENCE ? -1 : 0, end(unit, e));
    }

    private static double end(Claim.Unit unit, Estimate e) {
        double scale = unit == Claim.Unit.TIME ? 1000 : 1;
        return switch (unit) {
            case SHARE, TIME_SHARE, DIFFERENCE, COUNT -> 1;
            case PER_TEN_MINUTES, TIME, TIMES_EXPECTED -> {
                double most = unit == Claim.Unit.TIMES_EXPECTED ? e.mean() : e.hi();
                for (double r : ROUND) {
                    if (most <= r * scale) {
                        yield r * scale;
                    }
                }
                yield most;
            }
        };
    }

    /** Where a value lies, 0 to 1; values outside lie at an end. */
    public double at(double value) {
        return Math.max(0, Math.min(1, (value - from) / (to - from)));
    }
}
