package farglass.bench.truth;

/** What is planted in an opponent, in log odds that an attempt works. */
final class Planted {
    /** For one of our attacks against him. */
    static final double HOLE = 2;
    /** For one of his own. */
    static final double WEAPON = 1;
    /** How much more often the weapon is used. */
    static final double WEAPON_RATE = 2;

    private Planted() {}

    /** A chance moved by log odds. */
    static double moved(double chance, double odds) {
        return 1 / (1 + (1 - chance) / chance * Math.exp(-odds));
    }
}
