package farglass.matchup.solve;

import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What an athlete may do in a place.
 *
 * @param kind the natural mix, one action more than usual, or keeping what is
 * @param technique what is pressed, else null
 */
public record Option(Kind kind, @Nullable String technique) {
    public static final Option NATURAL = new Option(Kind.NATURAL, null);
    public static final Option HOLD = new Option(Kind.HOLD, null);

    /** Kinds of option. */
    public enum Kind {
        NATURAL,
        PRESS,
        HOLD
    }

    /** To do one thing more than usual. */
    public static Option press(@Nullable String technique) {
        return new Option(Kind.PRESS, technique);
    }

    /** {@code natural}, {@code hold}, or {@code press} and the technique. */
    public String key() {
        return kind == Kind.PRESS ? "press " + technique : kind.name().toLowerCase(java.util.Locale.ROOT);
    }

    /** What {@link #key} gave; empty when it is no such text. */
    public static Optional<Option> ofKey(String key) {
        if (key.startsWith("press ") && key.length() > 6) {
            return Optional.of(press(key.substring(6)));
        }
        return Stream.of(NATURAL, HOLD).filter(o -> o.key().equals(key)).findFirst();
    }
}
