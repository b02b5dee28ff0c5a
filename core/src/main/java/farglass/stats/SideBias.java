package farglass.stats;

import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * To which side? Posterior under Beta(2, 2), which keeps 3 of 3 from looking like a habit.
 *
 * @param right attempts to the right
 * @param left attempts to the left
 * @param pRight P(share to the right &gt; 0.5)
 * @param pBeyond P(share to the preferred side &gt; 0.6)
 * @param word what may be said
 */
public record SideBias(int right, int left, double pRight, double pBeyond, Word word) {
    private static final double PRIOR = 2;
    private static final double SIDED = 0.95;
    private static final double SIDED_MEAN = 0.6;
    private static final double LEANS = 0.80;

    /** What may be said of a side. */
    public enum Word {
        RIGHT_SIDED,
        LEANS_RIGHT,
        BOTH_SIDES,
        LEANS_LEFT,
        LEFT_SIDED
    }

    /**
     * @param weightedRight recency-weighted attempts to the right, design effect taken out
     * @param weightedLeft the same to the left
     * @param grade grade of the evidence; thin evidence says nothing (ruling S14)
     */
    public static SideBias of(int right, int left, double weightedRight, double weightedLeft, Grade grade) {
        BetaDistribution beta = BetaDistribution.of(PRIOR + weightedRight, PRIOR + weightedLeft);
        double pRight = beta.survivalProbability(0.5);
        boolean toRight = pRight >= 0.5;
        double p = toRight ? pRight : 1 - pRight;
        double mean = toRight ? beta.getMean() : 1 - beta.getMean();
        double beyond = toRight ? beta.survivalProbability(0.6) : beta.cumulativeProbability(0.4);
        Word word;
        if (p >= SIDED && mean >= SIDED_MEAN && grade != Grade.THIN) {
            word = toRight ? Word.RIGHT_SIDED : Word.LEFT_SIDED;
        } else if (p >= LEANS && mean >= SIDED_MEAN && grade != Grade.THIN) {
            word = toRight ? Word.LEANS_RIGHT : Word.LEANS_LEFT;
        } else {
            word = Word.BOTH_SIDES;
        }
        return new SideBias(right, left, pRight, beyond, word);
    }
}
