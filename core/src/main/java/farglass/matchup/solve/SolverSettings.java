package farglass.matchup.solve;

import org.jspecify.annotations.Nullable;

/**
 * How hard an athlete can lean on one thing.
 *
 * @param pressFactor factor on the rate of an action that is pressed, at least 1
 * @param holdOwnFactor factor on the own rates while holding, 0..1
 * @param holdOtherFactor factor on the other's rates while one holds, 0..1
 * @param emphasis 0 keeps the own habits, 1 does whatever beats this opponent
 * @param elasticity success of an additional try against that of one chosen by oneself, 0..1; null to take what the
 * library shows
 * @param stepMs length of a step of the programme, positive
 */
public record SolverSettings(
        double pressFactor,
        double holdOwnFactor,
        double holdOtherFactor,
        double emphasis,
        @Nullable Double elasticity,
        long stepMs) {
    public static final SolverSettings USUAL = new SolverSettings(1.25, 0.35, 0.7, 0.5, null, 5000);
    /** Success of an additional try where neither film nor user say anything (ruling M28). */
    private static final double USUAL_ELASTICITY = 0.8;

    /** Longer, and places where events crowd would hold more than one of them a step. */
    private static final long COARSE_MS = 8000;

    private static final double SCALE = 0.05;
    private static final double LEAST = 0.01;

    public SolverSettings {
        if (!(pressFactor >= 1 && pressFactor <= 3)) {
            throw new IllegalArgumentException("pressing (" + pressFactor + ") must lie in 1..3");
        }
        if (!(holdOwnFactor >= 0 && holdOwnFactor <= 1 && holdOtherFactor >= 0 && holdOtherFactor <= 1)) {
            throw new IllegalArgumentException(
                    "holding (" + holdOwnFactor + ", " + holdOtherFactor + ") must lie in 0..1");
        }
        if (!(emphasis >= 0 && emphasis <= 1)) {
            throw new IllegalArgumentException("emphasis (" + emphasis + ") must lie in 0..1");
        }
        if (elasticity != null && !(elasticity >= 0 && elasticity <= 1)) {
            throw new IllegalArgumentException("elasticity (" + elasticity + ") must lie in 0..1");
        }
        if (stepMs <= 0) {
            throw new IllegalArgumentException("step (" + stepMs + " ms) must be positive");
        }
    }

    /** The same at another place of the dial, 0..1. */
    public SolverSettings emphasis(double e) {
        return new SolverSettings(pressFactor, holdOwnFactor, holdOtherFactor, e, elasticity, stepMs);
    }

    /** The same with another factor for what is pressed, 1..3. */
    public SolverSettings pressing(double factor) {
        return new SolverSettings(factor, holdOwnFactor, holdOtherFactor, emphasis, elasticity, stepMs);
    }

    /** Success of an additional try against that of a usual one, 0..1. */
    public double extraSuccess() {
        return elasticity == null ? USUAL_ELASTICITY : elasticity;
    }

    /** The same with additional tries that succeed so much as often as chosen ones, 0..1. */
    public SolverSettings elasticity(double e) {
        return new SolverSettings(pressFactor, holdOwnFactor, holdOtherFactor, emphasis, e, stepMs);
    }

    /** Longer steps, for what is worked out many times: the win chance moves by less than a thousandth. */
    public SolverSettings coarse() {
        return new SolverSettings(
                pressFactor, holdOwnFactor, holdOtherFactor, emphasis, elasticity, Math.max(stepMs, COARSE_MS));
    }

    /** Win chance that leaving the own habits by one nat a minute must at least bring; 0 at full emphasis. */
    double price() {
        return SCALE * (1 - emphasis) / Math.max(emphasis, LEAST);
    }
}
