package farglass.plan;

import java.util.List;

/**
 * A state of a plan laid by, to go back to or to compare with.
 *
 * @param name not blank
 */
public record Saved(String name, List<Fork> openings, Approach approach) {
    public Saved {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a saved plan needs a name");
        }
        openings = List.copyOf(openings);
    }
}
