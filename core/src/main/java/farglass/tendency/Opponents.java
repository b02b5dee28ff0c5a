package farglass.tendency;

import farglass.match.MatchAthlete;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which opponents count.
 *
 * @param ids only these, or empty for all
 * @param stance left or right lead, or null
 * @param grade their grade as of the match, or null
 * @param minKg least weight, or null
 * @param maxKg greatest weight, or null
 */
public record Opponents(
        Set<String> ids,
        @Nullable String stance,
        @Nullable String grade,
        @Nullable Double minKg,
        @Nullable Double maxKg) {
    public static final Opponents ALL = new Opponents(Set.of(), null, null, null, null);

    public Opponents {
        ids = Set.copyOf(ids);
    }

    /** One opponent only. */
    public static Opponents only(String id) {
        return new Opponents(Set.of(id), null, null, null, null);
    }

    /** An attribute that is asked for and not known does not match. */
    boolean accepts(MatchAthlete a) {
        Double kg = weight(a);
        return (ids.isEmpty() || ids.contains(a.id()))
                && (stance == null || stance.equals(a.extra().get("stance")))
                && (grade == null || grade.equals(a.extra().get("grade")))
                && (minKg == null || (kg != null && kg >= minKg))
                && (maxKg == null || (kg != null && kg <= maxKg));
    }

    /** Weight as of the match in kg, or null. */
    static @Nullable Double weight(MatchAthlete a) {
        return a.extra().get("weightKg") instanceof Number n ? n.doubleValue() : null;
    }
}
