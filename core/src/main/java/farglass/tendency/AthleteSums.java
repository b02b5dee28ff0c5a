package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Situation;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** One athlete's matches that count for the library's average, and their sums. */
final class AthleteSums {
    private final String athlete;
    private final List<MatchFacts> matches;
    private final Map<String, int[]> tries = new HashMap<>();
    private final Map<Situation, Long> ms = new LinkedHashMap<>();
    private final Map<String, List<int[]>> byMatch = new HashMap<>();
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
                addTries(key, n);
                if (AthleteCounts.alike(key) && n[1] > 0) {
                    byMatch.computeIfAbsent(key, k -> new ArrayList<>()).add(new int[] {n[0], n[1]});
                }
            });
            t.ms().forEach((stand, v) -> ms.merge(stand, v, Long::sum));
        }
    }

    /** Of what has been counted before. */
    AthleteSums(String athlete, Collection<AthleteCounts> counted) {
        this.athlete = athlete;
        this.matches = List.of();
        Map<String, Map<String, Integer>> allAnswers = new HashMap<>();
        Map<Situation, Map<String, Integer>> allExits = new HashMap<>();
        Map<Situation, Map<String, Integer>> allStays = new HashMap<>();
        FollowCounts allFollows = new FollowCounts();
        for (AthleteCounts c : counted) {
            c.tries().forEach(this::addTries);
            c.ms().forEach((stand, v) -> ms.merge(stand, v, Long::sum));
            add(allAnswers, c.answers());
            add(allExits, c.exits());
            add(allStays, c.stays());
            allFollows.add(c.follows());
            c.byMatch()
                    .forEach((key, n) ->
                            byMatch.computeIfAbsent(key, k -> new ArrayList<>()).addAll(n));
        }
        this.answers = allAnswers;
        this.exits = allExits;
        this.stays = allStays;
        this.follows = allFollows;
    }

    private void addTries(String key, int[] n) {
        int[] sum = tries.computeIfAbsent(key, k -> new int[3]);
        for (int i = 0; i < sum.length; i++) {
            sum[i] += n[i];
        }
    }

    /** All of it. */
    synchronized AthleteCounts counts() {
        return new AthleteCounts(tries, ms, answers(), exits(), stays(), follows(), byMatch);
    }

    String athlete() {
        return athlete;
    }

    /** Per match, attempts of one kind that worked and attempts; for {@link AthleteCounts#alike} keys only. */
    List<int[]> byMatch(String key) {
        return byMatch.getOrDefault(key, List.of());
    }

    /** Attempts that worked, that had an outcome, and all; null when there were none. */
    int @Nullable [] tries(String key) {
        return tries.get(key);
    }

    Map<Situation, Long> ms() {
        return ms;
    }

    /** Time in some places and roles. */
    long time(Set<Situation> counted) {
        long sum = 0;
        for (Map.Entry<Situation, Long> e : ms.entrySet()) {
            sum += counted.contains(e.getKey()) ? e.getValue() : 0;
        }
        return sum;
    }

    /** How often each answer followed a trigger of the other's. */
    Map<String, Integer> answers(String trigger) {
        return answers().getOrDefault(trigger, Map.of());
    }

    /** All attempts by key. */
    Map<String, int[]> tries() {
        return tries;
    }

    /** By trigger, then answer. */
    synchronized Map<String, Map<String, Integer>> answers() {
        if (answers == null) {
            answers = sums(f -> f.answerCounts(f.record().cornerOf(athlete).orElseThrow()));
        }
        return answers;
    }

    /** How often a place was left in each way. */
    Map<String, Integer> exits(Situation stand) {
        return exits().getOrDefault(stand, Map.of());
    }

    /** By place and role, then way. */
    synchronized Map<Situation, Map<String, Integer>> exits() {
        if (exits == null) {
            exits = sums(f -> f.exitCounts(f.record().cornerOf(athlete).orElseThrow()));
        }
        return exits;
    }

    /** In how many stays in a place each technique was tried, and under {@link PlaceStays#ALL} all stays. */
    Map<String, Integer> stays(Situation at) {
        return stays().getOrDefault(at, Map.of());
    }

    /** By place and role, then technique. */
    synchronized Map<Situation, Map<String, Integer>> stays() {
        if (stays == null) {
            stays = sums(
                    f -> PlaceStays.counts(f.stays(f.record().cornerOf(athlete).orElseThrow())));
        }
        return stays;
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
        matches.forEach(f -> add(all, of.apply(f)));
        return all;
    }

    private static <K> void add(Map<K, Map<String, Integer>> all, Map<K, Map<String, Integer>> more) {
        more.forEach((key, counts) -> {
            Map<String, Integer> sum = all.computeIfAbsent(key, k -> new HashMap<>());
            counts.forEach((what, n) -> sum.merge(what, n, Integer::sum));
        });
    }
}
