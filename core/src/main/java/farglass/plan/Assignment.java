package farglass.plan;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What the work is for.
 *
 * @param us id of our athlete
 * @param opponents ids of likely opponents, the likeliest first
 * @param date day of the event, or null
 * @param attire {@code gi} or {@code no-gi}
 * @param minutes scheduled length of the match, positive
 * @param chances to meet an opponent, by id, 0..1; they need not sum to 1, because one may meet several
 */
public record Assignment(
        String id,
        String us,
        List<String> opponents,
        @Nullable String event,
        @Nullable LocalDate date,
        @Nullable String ruleset,
        @Nullable String attire,
        int minutes,
        Map<String, Double> chances) {
    public Assignment {
        if (minutes <= 0) {
            throw new IllegalArgumentException("match length (" + minutes + " minutes) must be positive");
        }
        opponents = List.copyOf(opponents);
        chances = Map.copyOf(chances);
        if (chances.values().stream().anyMatch(c -> !(c >= 0 && c <= 1))) {
            throw new IllegalArgumentException("a chance to meet an opponent must lie in 0..1");
        }
    }

    /** An assignment whose opponents are all as likely. */
    public Assignment(
            String id,
            String us,
            List<String> opponents,
            @Nullable String event,
            @Nullable LocalDate date,
            @Nullable String ruleset,
            @Nullable String attire,
            int minutes) {
        this(id, us, opponents, event, date, ruleset, attire, minutes, Map.of());
    }

    /** Chance to meet an opponent, 0..1; until the user says otherwise all are as likely. */
    public double chance(String opponent) {
        return chances.getOrDefault(opponent, opponents.isEmpty() ? 0 : 1.0 / opponents.size());
    }

    /** The same without an opponent. */
    public Assignment without(String opponent) {
        Map<String, Double> next = new HashMap<>(chances);
        next.remove(opponent);
        List<String> others =
                opponents.stream().filter(o -> !o.equals(opponent)).toList();
        return new Assignment(id, us, others, event, date, ruleset, attire, minutes, next);
    }

    /** The same without chances to meet anybody in particular. */
    public Assignment unweighted() {
        return new Assignment(id, us, opponents, event, date, ruleset, attire, minutes, Map.of());
    }

    /** The same with another chance to meet an opponent, 0..1. */
    public Assignment chance(String opponent, double chance) {
        Map<String, Double> next = new HashMap<>(chances);
        next.put(opponent, chance);
        return new Assignment(id, us, opponents, event, date, ruleset, attire, minutes, next);
    }
}
