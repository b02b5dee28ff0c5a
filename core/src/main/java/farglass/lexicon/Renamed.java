package farglass.lexicon;

import java.util.ArrayList;
import java.util.List;

/** A term under another name. */
public final class Renamed {
    private Renamed() {}

    /** The same term with another displayed name and other aliases. */
    public static Term of(Term t, String name, List<String> aliases) {
        if (t instanceof Position p) {
            return new Position(
                    p.code(),
                    name,
                    p.family(),
                    p.holder(),
                    p.guard(),
                    p.value(),
                    p.attackValue(),
                    p.across(),
                    p.scoring(),
                    p.names(),
                    aliases);
        }
        if (t instanceof Technique x) {
            return new Technique(
                    x.code(),
                    name,
                    x.family(),
                    x.from(),
                    x.to(),
                    x.role(),
                    x.by(),
                    x.side(),
                    x.limb(),
                    x.using(),
                    x.limbTie(),
                    x.restricted(),
                    x.names(),
                    aliases);
        }
        return new Grip(t.code(), name, t.names(), aliases);
    }

    /** The same term with another displayed name; the one it had is an alias. */
    @SuppressWarnings("unchecked")
    static <T extends Term> T of(T t, String name) {
        List<String> aliases = new ArrayList<>(t.aliases());
        aliases.add(t.name());
        return (T) of(t, name, aliases);
    }

    /** The same position with another standing value, -1..1. */
    public static Position valued(Position p, double value) {
        return new Position(
                p.code(),
                p.name(),
                p.family(),
                p.holder(),
                p.guard(),
                value,
                p.attackValue(),
                p.across(),
                p.scoring(),
                p.names(),
                p.aliases());
    }
}
