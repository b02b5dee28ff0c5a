package farglass.lexicon;

import java.util.List;
import java.util.Map;

/**
 * A state of the match that lasts.
 *
 * @param code short upper-case code, e.g. {@code DLR}
 * @param name displayed English name
 * @param family family code: standing, seated, closed-half, open-guard, leg-entanglement, passing, pin, back-turtle,
 * lock, other
 * @param holder whether one athlete is ahead in it
 * @param guard whether one athlete plays guard in it
 * @param value standing value for the holder, -1 (about to be submitted) to 1
 * @param attackValue standing value for the guard player when he is the holder (leg entanglements); null elsewhere
 * @param across place on the chart, 0 (far apart) to 1 (tight control)
 * @param scoring scoring set (pass-pin, knee-on-belly, mount, back) or null
 * @param names names by language (pt, ja)
 * @param aliases other names and short typing forms
 */
public record Position(
        String code,
        String name,
        String family,
        boolean holder,
        boolean guard,
        double value,
        Double attackValue,
        double across,
        String scoring,
        Map<String, String> names,
        List<String> aliases)
        implements Term {
    public Position {
        names = names == null ? Map.of() : Map.copyOf(names);
        aliases = aliases == null ? List.of() : List.copyOf(aliases);
    }

    /** Nobody ahead and nobody playing guard. */
    public boolean neutral() {
        return !holder && !guard;
    }
}
