package farglass.tendency;

import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How often an athlete goes on from one attempt to another: exchanges in which a step stands, and of those the ones in
 * which another stands within two steps after it.
 */
public final class FollowCounts {
    private final Map<String, Integer> begun = new HashMap<>();
    private final Map<String, Map<String, Integer>> followed = new HashMap<>();

    FollowCounts() {}

    /** Counts the exchanges of a match. */
    void add(List<List<Exchanges.Step>> exchanges) {
        for (List<Exchanges.Step> steps : exchanges) {
            add(Sequences.tried(steps).stream().map(Exchanges.Step::symbol).toArray(String[]::new));
        }
    }

    private void add(String[] steps) {
        Map<String, Set<String>> pairs = new HashMap<>();
        for (int i = 0; i < steps.length; i++) {
            Set<String> after = pairs.computeIfAbsent(steps[i], k -> new HashSet<>());
            for (int j = i + 1; j <= i + UsualOnward.AHEAD && j < steps.length; j++) {
                after.add(steps[j]);
            }
        }
        pairs.forEach((step, after) -> {
            begun.merge(step, 1, Integer::sum);
            Map<String, Integer> counts = followed.computeIfAbsent(step, k -> new HashMap<>());
            after.forEach(next -> counts.merge(next, 1, Integer::sum));
        });
    }

    /** Adds others. */
    void add(FollowCounts more) {
        more.begun.forEach((step, n) -> begun.merge(step, n, Integer::sum));
        more.followed.forEach((step, after) -> {
            Map<String, Integer> counts = followed.computeIfAbsent(step, k -> new HashMap<>());
            after.forEach((next, n) -> counts.merge(next, n, Integer::sum));
        });
    }

    /** Adds a step that stands in some exchanges, and what follows it in how many of them. */
    void add(String step, int exchanges, Map<String, Integer> after) {
        begun.merge(step, exchanges, Integer::sum);
        Map<String, Integer> counts = followed.computeIfAbsent(step, k -> new HashMap<>());
        after.forEach((next, n) -> counts.merge(next, n, Integer::sum));
    }

    /** Exchanges by the step that stands in them. */
    Map<String, Integer> begun() {
        return Collections.unmodifiableMap(begun);
    }

    /** What follows a step, in how many exchanges each. */
    Map<String, Integer> after(String step) {
        return Collections.unmodifiableMap(followed.getOrDefault(step, Map.of()));
    }

    /** Exchanges in which a step stands. */
    int begun(String step) {
        return begun.getOrDefault(step, 0);
    }

    /** Of those the ones in which another follows it. */
    int followed(String step, String next) {
        return followed.getOrDefault(step, Map.of()).getOrDefault(next, 0);
    }
}
