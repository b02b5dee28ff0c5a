package farglass.plan;

import java.time.LocalDate;
import java.util.List;

/**
 * What the work is for.
 *
 * @param us id of our athlete
 * @param opponents ids of likely opponents, the likeliest first
 * @param date day of the event, or null
 * @param attire {@code gi} or {@code no-gi}
 * @param minutes scheduled length of the match, positive
 */
public record Assignment(
        String id,
        String us,
        List<String> opponents,
        String event,
        LocalDate date,
        String ruleset,
        String attire,
        int minutes) {
    public Assignment {
        if (minutes <= 0) {
            throw new IllegalArgumentException("match length (" + minutes + " minutes) must be positive");
        }
        opponents = List.copyOf(opponents);
    }
}
