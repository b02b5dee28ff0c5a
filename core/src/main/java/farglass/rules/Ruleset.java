package farglass.rules;

import farglass.text.CoreWords;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The rules of an event as far as the score depends on them.
 *
 * @param code e.g. {@code points-gi}
 * @param attire {@code gi} or {@code no-gi}; null when it is for both
 * @param from first day it holds, or null
 * @param to last day it holds, or null
 * @param points points by award code: takedown, sweep, pass, knee-on-belly, mount, back; an award that is missing does
 * not count
 * @param holdMs match time for which control must be held, 0 or more
 * @param recoverMs match time a guard must stand before it counts as recovered
 * @param advantages ladder level from which an attempt that was not completed earns an advantage, by family; empty for
 * none
 * @param nearAdvantage whether a scoring place left before the hold is over earns an advantage
 * @param dgpTop what coming up on top out of a double guard pull earns: "advantage" or "none"
 * @param penalties what each penalty does, in order
 * @param pointsFrom share of the length from which on points count, 0..1
 * @param guardPull points for a guard pull from then on, usually negative; 0 for none
 * @param backPlaces positions that count as the back held
 * @param overtimeMs match time after the scheduled length, 0 for none
 * @param tieBreaks in order: points, advantages, penalties, decision, draw
 * @param restricted techniques that may not be used
 */
public record Ruleset(
        String code,
        String name,
        @Nullable String attire,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        Map<String, Integer> points,
        long holdMs,
        long recoverMs,
        Map<String, Integer> advantages,
        boolean nearAdvantage,
        String dgpTop,
        List<PenaltyEffect> penalties,
        double pointsFrom,
        int guardPull,
        Set<String> backPlaces,
        long overtimeMs,
        List<String> tieBreaks,
        Set<String> restricted) {
    public Ruleset {
        points = Collections.unmodifiableMap(new LinkedHashMap<>(points));
        advantages = Collections.unmodifiableMap(new LinkedHashMap<>(advantages));
        penalties = List.copyOf(penalties);
        backPlaces = Set.copyOf(backPlaces);
        tieBreaks = List.copyOf(tieBreaks);
        restricted = Set.copyOf(restricted);
        if (holdMs < 0 || recoverMs < 0 || overtimeMs < 0) {
            throw new IllegalArgumentException("hold, recovery and overtime must not be negative");
        }
        if (!(pointsFrom >= 0 && pointsFrom <= 1)) {
            throw new IllegalArgumentException("pointsFrom (" + pointsFrom + ") must lie in 0..1");
        }
    }

    /** Whether points are given at all. */
    public boolean counts() {
        return !points.isEmpty();
    }

    /** Points for an award; 0 where it gives none. */
    public int value(String award) {
        return points.getOrDefault(award, 0);
    }

    /** Whether it holds on a day; on an unknown day it does. */
    public boolean validOn(@Nullable LocalDate day) {
        return day == null || ((from == null || !day.isBefore(from)) && (to == null || !day.isAfter(to)));
    }

    /** Its name in the language in force, for one that ships; else as the team has named it. */
    public String title() {
        return CoreWords.name(name);
    }
}
