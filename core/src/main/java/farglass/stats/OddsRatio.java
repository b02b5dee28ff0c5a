package farglass.stats;

import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How much better with than without, as a log odds ratio; 0.5 is added to every cell (Haldane 1956; Anscombe 1956),
 * standard error after Woolf 1955.
 *
 * @param log log odds ratio
 * @param lo lower end of the 90 % interval
 * @param hi upper end
 * @param p two-sided
 */
public record OddsRatio(double log, double lo, double hi, double p) {
    private static final double HALF = 0.5;

    /** Successes and failures with, successes and failures without; may be fractional. */
    public static OddsRatio of(double with, double withNot, double without, double withoutNot) {
        double a = with + HALF;
        double b = withNot + HALF;
        double c = without + HALF;
        double d = withoutNot + HALF;
        double log = Math.log(a * d / (b * c));
        double se = Math.sqrt(1 / a + 1 / b + 1 / c + 1 / d);
        NormalDistribution normal = NormalDistribution.of(0, 1);
        double half = normal.inverseCumulativeProbability(Estimate.UPPER) * se;
        return new OddsRatio(log, log - half, log + half, 2 * normal.survivalProbability(Math.abs(log) / se));
    }
}
