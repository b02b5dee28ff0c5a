package farglass.store;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * What a backup holds otherwise than the library does now.
 *
 * @param matches those that are not the same, those only in the backup first
 * @param plans ids of plans that are not the same
 * @param assignments ids of assignments that are not the same
 * @param settings names of settings that are not the same
 */
public record LibraryDifference(
        List<Match> matches, List<String> plans, List<String> assignments, List<String> settings) {
    /**
     * A match that is not the same.
     *
     * @param then tags in the backup, -1 when the match is not in it
     * @param now tags in the library, -1 when the match is not in it
     */
    public record Match(String id, String title, int then, int now) {}

    public LibraryDifference {
        matches = List.copyOf(matches);
        plans = List.copyOf(plans);
        assignments = List.copyOf(assignments);
        settings = List.copyOf(settings);
    }

    /** Whether both are alike. */
    public boolean nothing() {
        return matches.isEmpty() && plans.isEmpty() && assignments.isEmpty() && settings.isEmpty();
    }

    static LibraryDifference between(Salvage then, Salvage now) {
        Map<String, MatchRecord> was = byId(then.matches(), MatchRecord::id);
        Map<String, MatchRecord> is = byId(now.matches(), MatchRecord::id);
        List<Match> matches = new ArrayList<>();
        was.forEach((id, r) -> {
            MatchRecord other = is.get(id);
            if (!r.equals(other)) {
                matches.add(new Match(
                        id,
                        title(r),
                        r.tags().size(),
                        other == null ? -1 : other.tags().size()));
            }
        });
        matches.sort(java.util.Comparator.comparing(m -> m.now() >= 0));
        is.forEach((id, r) -> {
            if (!was.containsKey(id)) {
                matches.add(new Match(id, title(r), -1, r.tags().size()));
            }
        });
        return new LibraryDifference(
                matches,
                unlike(byId(then.plans(), Plan::id), byId(now.plans(), Plan::id)),
                unlike(byId(then.assignments(), a -> a.id()), byId(now.assignments(), a -> a.id())),
                unlike(then.settings(), now.settings()));
    }

    private static String title(MatchRecord r) {
        return r.details().a().name() + " - " + r.details().b().name()
                + (r.details().date() == null ? "" : ", " + r.details().date());
    }

    private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
        Map<String, T> map = new LinkedHashMap<>();
        all.forEach(x -> map.put(id.apply(x), x));
        return map;
    }

    private static <T> List<String> unlike(Map<String, T> then, Map<String, T> now) {
        Map<String, T> all = new java.util.TreeMap<>(then);
        all.putAll(now);
        return all.keySet().stream()
                .filter(id -> !Objects.equals(then.get(id), now.get(id)))
                .toList();
    }
}
