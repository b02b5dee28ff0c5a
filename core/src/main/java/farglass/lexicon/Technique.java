package farglass.lexicon;

import java.util.List;
import java.util.Map;

/**
 * Something an athlete tries.
 *
 * @param code lower case, words joined by {@code -}
 * @param name displayed English name
 * @param family family code, see {@link Family}
 * @param from position codes it may start in (families are expanded when the lexicon is read)
 * @param to usual target positions, most usual first; empty when it changes no position
 * @param role who may do it
 * @param by who may do it in a place, by position code, where it is not {@code role}: an armbar is tried from a guard
 *     by the one who plays it, from mount by the one on top
 * @param side {@code own} when the side is that of the acting athlete, {@code none} when it has no side
 * @param limb what is attacked: arm, leg, neck, or null
 * @param using what attacks it: arm, leg, or null
 * @param limbTie {@code opposite} when the acting limb attacks the limb of the opposite side, else {@code none}
 * @param restricted rulesets that commonly forbid it
 * @param names names by language (pt, ja)
 * @param aliases other names and short typing forms
 */
public record Technique(
        String code,
        String name,
        String family,
        List<String> from,
        List<String> to,
        Performer role,
        Map<String, Performer> by,
        String side,
        String limb,
        String using,
        String limbTie,
        List<String> restricted,
        Map<String, String> names,
        List<String> aliases)
        implements Term {
    public Technique {
        from = List.copyOf(from);
        by = by == null ? Map.of() : Map.copyOf(by);
        to = List.copyOf(to);
        restricted = restricted == null ? List.of() : List.copyOf(restricted);
        names = names == null ? Map.of() : Map.copyOf(names);
        aliases = aliases == null ? List.of() : List.copyOf(aliases);
    }

    /** Who may do it in a place. */
    public Performer performer(String position) {
        return by.getOrDefault(position, role);
    }

    /** Whether it is done to a side. */
    public boolean sided() {
        return "own".equals(side);
    }
}
