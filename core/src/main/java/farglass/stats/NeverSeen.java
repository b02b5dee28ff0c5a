package farglass.stats;

/** What may be said of something never seen: exact upper 95 % bounds. Hanley and Lippman-Hand 1983. */
public final class NeverSeen {
    private static final double MISS = 0.05;

    private NeverSeen() {}

    /**
     * Largest chance per match that is still compatible with never seeing it in {@code matches} complete matches.
     *
     * @param matches at least 1
     * @return 1 - 0.05^(1/n)
     */
    public static double perMatch(int matches) {
        if (matches < 1) {
            throw new IllegalArgumentException("matches (" + matches + ") must be at least 1");
        }
        return 1 - Math.pow(MISS, 1.0 / matches);
    }

    /**
     * Largest rate per unit of exposure: -ln 0.05 / E.
     *
     * @param exposure positive
     */
    public static double rate(double exposure) {
        if (!(exposure > 0)) {
            throw new IllegalArgumentException("exposure (" + exposure + ") must be positive");
        }
        return -Math.log(MISS) / exposure;
    }
}
