package farglass.match;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An athlete as of the day of a match.
 *
 * @param id identity across the library
 * @param marker how to tell the athlete from the other on film, free text, or null
 * @param colour colour chip of what is worn, {@code #rrggbb}, or null
 * @param extra fields kept as read: grade, weightKg, team, stance and whatever else stood there
 */
public record MatchAthlete(
        String id,
        String name,
        @Nullable String marker,
        @Nullable String colour,
        Map<String, Object> extra) {
    public MatchAthlete {
        extra = Collections.unmodifiableMap(new LinkedHashMap<>(extra));
    }

    /** An athlete of whom nothing further is known. */
    public static MatchAthlete of(String id, String name, String marker, String colour) {
        return new MatchAthlete(id, name, marker, colour, Map.of());
    }

    /** See {@link PersonName#last}. */
    public String surname() {
        return PersonName.last(name);
    }
}
