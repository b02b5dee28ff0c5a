package farglass.lexicon;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A term under another name. */
public final class Renamed {
    private Renamed() {}

    /** The same term with another displayed name and other aliases. */
    public static Term of(Term t, String name, List<String> aliases) {
        return of(t, name, t.names(), aliases);
    }

    private static Term of(Term t, String name, Map<String, String> names, List<String> aliases) {
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
                    names,
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
                    names,
                    aliases);
        }
        return new Grip(t.code(), name, names, aliases);
    }

    /** The same term under its name in a language; the one it had stays a proper name, as that in English. */
    @SuppressWarnings("unchecked")
    static <T extends Term> T named(T t, String name) {
        Map<String, String> names = new LinkedHashMap<>(t.names());
        names.putIfAbsent(Lexicon.ENGLISH, t.name());
        return (T) of(t, name, names, t.aliases());
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
