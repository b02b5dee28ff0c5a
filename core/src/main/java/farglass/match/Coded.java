package farglass.match;

import java.util.Locale;
import java.util.Optional;

/** A closed vocabulary whose members are written in lower case, words joined by {@code -}. */
public interface Coded {
    String name();

    default String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static <E extends Enum<E> & Coded> Optional<E> parse(Class<E> type, String code) {
        return Optional.ofNullable(type.cast(Codes.BY_TYPE.get(type).get(code)));
    }
}
