package farglass.stats;

import org.apache.commons.statistics.distribution.BetaDistribution;

/** Grade of evidence, best first. */
public enum Grade {
    STRONG,
    FAIR,
    THIN;

    /** Occurrences and matches that a strong claim needs. */
    static final double STRONG_OCCURRENCES = 12;

    static final int STRONG_MATCHES = 4;
    /** Widest 90 % interval a strong proportion may have, from the data alone. */
    static final double STRONG_WIDTH = 0.35;

    static final double FAIR_OCCURRENCES = 5;
    static final int FAIR_MATCHES = 3;

    /**
     * @param effective effective occurrences, min(Kish size, sum of weights)
     * @param matches matches they come from
     * @param width width of an interval that no prior has narrowed
     */
    public static Grade of(double effective, int matches, double width) {
        if (effective >= STRONG_OCCURRENCES && matches >= STRONG_MATCHES && width <= STRONG_WIDTH) {
            return STRONG;
        }
        return effective >= FAIR_OCCURRENCES && matches >= FAIR_MATCHES ? FAIR : THIN;
    }

    /**
     * Width of the 90 % Jeffreys interval of a proportion at an effective size, which decides whether the grade may be
     * strong. At p = 0.5 about 21 occurrences are needed for 0.35. Brown, Cai, DasGupta 2001.
     */
    public static double jeffreysWidth(double p, double effective) {
        BetaDistribution beta = BetaDistribution.of(p * effective + 0.5, (1 - p) * effective + 0.5);
        return beta.inverseCumulativeProbability(Estimate.UPPER) - beta.inverseCumulativeProbability(Estimate.LOWER);
    }
}
