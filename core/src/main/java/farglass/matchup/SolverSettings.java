package farglass.matchup;

/**
 * How hard an athlete can lean on one thing.
 *
 * @param b factor on the rate of an action that is pressed, at least 1
 * @param h1 factor on the own rates while holding, 0..1
 * @param h2 factor on the other's rates while one holds, 0..1
 * @param emphasis 0 keeps the own habits, 1 does whatever beats this opponent
 * @param stepMs length of a step of the programme, positive
 */
public record SolverSettings(double b, double h1, double h2, double emphasis, long stepMs) {
    public static final SolverSettings USUAL = new SolverSettings(1.25, 0.35, 0.7, 0.5, 5000);
    private static final long COARSE_MS = 12_000;
    private static final double SCALE = 0.05;
    private static final double LEAST = 0.01;

    public SolverSettings {
        if (!(b >= 1 && b <= 3)) {
            throw new IllegalArgumentException("pressing (" + b + ") must lie in 1..3");
        }
        if (!(h1 >= 0 && h1 <= 1 && h2 >= 0 && h2 <= 1)) {
            throw new IllegalArgumentException("holding (" + h1 + ", " + h2 + ") must lie in 0..1");
        }
        if (!(emphasis >= 0 && emphasis <= 1)) {
            throw new IllegalArgumentException("emphasis (" + emphasis + ") must lie in 0..1");
        }
        if (stepMs <= 0) {
            throw new IllegalArgumentException("step (" + stepMs + " ms) must be positive");
        }
    }

    public SolverSettings emphasis(double e) {
        return new SolverSettings(b, h1, h2, e, stepMs);
    }

    public SolverSettings pressing(double factor) {
        return new SolverSettings(factor, h1, h2, emphasis, stepMs);
    }

    /** Longer steps, for what is worked out many times: the win chance moves by less than a thousandth. */
    public SolverSettings coarse() {
        return new SolverSettings(b, h1, h2, emphasis, Math.max(stepMs, COARSE_MS));
    }

    /** Win chance that leaving the own habits by one nat a minute must at least bring; 0 at full emphasis. */
    double price() {
        return SCALE * (1 - emphasis) / Math.max(emphasis, LEAST);
    }
}
