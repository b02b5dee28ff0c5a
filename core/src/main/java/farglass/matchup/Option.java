package farglass.matchup;

/**
 * What an athlete may do in a place.
 *
 * @param kind the natural mix, one action more than usual, or keeping what is
 * @param technique what is pressed, else null
 */
public record Option(Kind kind, String technique) {
    public static final Option NATURAL = new Option(Kind.NATURAL, null);
    public static final Option HOLD = new Option(Kind.HOLD, null);

    /** Kinds of option. */
    public enum Kind {
        NATURAL,
        PRESS,
        HOLD
    }

    static Option press(String technique) {
        return new Option(Kind.PRESS, technique);
    }

    /** {@code natural}, {@code hold}, or {@code press} and the technique. */
    public String key() {
        return kind == Kind.PRESS ? "press " + technique : kind.name().toLowerCase(java.util.Locale.ROOT);
    }
}
