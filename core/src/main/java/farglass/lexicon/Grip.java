package farglass.lexicon;

import java.util.List;
import java.util.Map;

/** A way to take hold. */
public record Grip(String code, String name, Map<String, String> names, List<String> aliases) implements Term {
    public Grip {
        names = names == null ? Map.of() : Map.copyOf(names);
        aliases = aliases == null ? List.of() : List.copyOf(aliases);
    }
}
