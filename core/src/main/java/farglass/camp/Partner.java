package farglass.camp;

import java.util.Set;

/**
 * Somebody to train with.
 *
 * @param imitates techniques of the opponent that he can stand in for; empty when nobody has said
 */
public record Partner(String name, Set<String> imitates) {
    public Partner {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a partner needs a name");
        }
        imitates = Set.copyOf(imitates);
    }
}
