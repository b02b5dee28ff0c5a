package farglass.tendency;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How often an athlete goes on from one attempt to another: exchanges in which a step stands, and of those the ones in
 * which another stands within two steps after it.
 */
final class FollowCounts {
    private final Map<String, Integer> begun = new HashMap<>();
    private final Map<String, Map<String, Integer>> followed = new HashMap<>();

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

    /** Exchanges in which a step stands. */
    int begun(String step) {
        return begun.getOrDefault(step, 0);
    }

    /** Of those the ones in which another follows it. */
    int followed(String step, String next) {
        return followed.getOrDefault(step, Map.of()).getOrDefault(next, 0);
    }
}
