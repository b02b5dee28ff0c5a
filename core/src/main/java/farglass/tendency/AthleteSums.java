package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Situation;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** One athlete's matches that count for the library's average, and their sums. */
final class AthleteSums {
    private final String athlete;
    private final List<MatchFacts> matches;
    private final Map<String, int[]> tries = new HashMap<>();
    private final Map<Situation, Long> ms = new LinkedHashMap<>();
    /** By trigger, then answer; null until asked for. */
    private @Nullable Map<String, Map<String, Integer>> answers;
    /** By place and role, then how it was left; null until asked for. */
    private @Nullable Map<Situation, Map<String, Integer>> exits;
    /** By place and role, then technique: stays in which it was tried; null until asked for. */
    private @Nullable Map<Situation, Map<String, Integer>> stays;
    /** Null until asked for. */
    private @Nullable FollowCounts follows;

    AthleteSums(String athlete, List<MatchFacts> matches) {
        this.athlete = athlete;
        this.matches = matches;
        for (MatchFacts f : matches) {
            MatchFacts.Tally t = requireNonNull(f.tally(athlete));
            t.tries().forEach((key, n) -> {
                int[] sum = tries.computeIfAbsent(key, k -> new int[3]);
                for (int i = 0; i < sum.length; i++) {
                    sum[i] += n[i];
                }
            });
            t.ms().forEach((stand, v) -> ms.merge(stand, v, Long::sum));
        }
    }

    String athlete() {
        return athlete;
    }

    List<MatchFacts> matches() {
        return matches;
    }

    MatchFacts.@Nullable Tally tally(MatchFacts f) {
        return f.tally(athlete);
    }

    /** Attempts that worked, that had an outcome, and all; null when there were none. */
    int @Nullable [] tries(String key) {
        return tries.get(key);
    }

    Map<Situation, Long> ms() {
        return ms;
    }

    /** Time in some places and roles. */
    double time(Set<Situation> counted) {
        double sum = 0;
        for (Map.Entry<Situation, Long> e : ms.entrySet()) {
            sum += counted.contains(e.getKey()) ? e.getValue() : 0;
        }
        return sum;
    }

    /** How often each answer followed a trigger of the other's. */
    synchronized Map<String, Integer> answers(String trigger) {
        if (answers == null) {
            answers = sums(f -> f.answerCounts(f.record().cornerOf(athlete).orElseThrow()));
        }
        return answers.getOrDefault(trigger, Map.of());
    }

    /** How often a place was left in each way. */
    synchronized Map<String, Integer> exits(Situation stand) {
        if (exits == null) {
            exits = sums(f -> f.exitCounts(f.record().cornerOf(athlete).orElseThrow()));
        }
        return exits.getOrDefault(stand, Map.of());
    }

    /** In how many stays in a place each technique was tried, and under {@link PlaceStays#ALL} all stays. */
    synchronized Map<String, Integer> stays(Situation at) {
        if (stays == null) {
            stays = sums(
                    f -> PlaceStays.counts(f.stays(f.record().cornerOf(athlete).orElseThrow())));
        }
        return stays.getOrDefault(at, Map.of());
    }

    /** How often one attempt followed another. */
    synchronized FollowCounts follows() {
        if (follows == null) {
            FollowCounts counts = new FollowCounts();
            matches.forEach(
                    f -> counts.add(f.exchanges(f.record().cornerOf(athlete).orElseThrow())));
            follows = counts;
        }
        return follows;
    }

    private <K> Map<K, Map<String, Integer>> sums(Function<MatchFacts, Map<K, Map<String, Integer>>> of) {
        Map<K, Map<String, Integer>> all = new HashMap<>();
        for (MatchFacts f : matches) {
            of.apply(f).forEach((key, counts) -> {
                Map<String, Integer> sum = all.computeIfAbsent(key, k -> new HashMap<>());
                counts.forEach((what, n) -> sum.merge(what, n, Integer::sum));
            });
        }
        return all;
    }

    /** Keys whose attempts are not the same in both; either may be null. */
    static Set<String> changedTries(@Nullable AthleteSums a, @Nullable AthleteSums b) {
        Map<String, int[]> was = a == null ? Map.of() : a.tries;
        Map<String, int[]> is = b == null ? Map.of() : b.tries;
        Set<String> keys = new HashSet<>(was.keySet());
        keys.addAll(is.keySet());
        keys.removeIf(k -> Arrays.equals(was.get(k), is.get(k)));
        return keys;
    }

    static boolean sameTime(@Nullable AthleteSums a, @Nullable AthleteSums b) {
        return Objects.equals(a == null ? Map.of() : a.ms, b == null ? Map.of() : b.ms);
    }
}
