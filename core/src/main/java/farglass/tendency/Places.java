package farglass.tendency;

import farglass.stats.Estimate;
import farglass.stats.TagRef;
import farglass.stats.TimeShare;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;

/** Time in every position and role. */
public final class Places {
    private Places() {}

    /**
     * @param role holder, guard, under or neutral
     * @param ms live match time, unweighted
     * @param share share of all live time
     */
    public record Row(String position, String role, long ms, Estimate share) {}

    /** One row per position and role seen, in code order. */
    public static List<Row> of(Evidence evidence) {
        Map<String, List<Evidence.Place>> groups = new TreeMap<>();
        for (Evidence.Place p : evidence.places(p -> true)) {
            groups.computeIfAbsent(p.span().place() + " " + p.role(), k -> new ArrayList<>())
                    .add(p);
        }
        List<Row> rows = new ArrayList<>();
        groups.forEach((key, places) -> {
            String[] parts = key.split(" ");
            long ms = places.stream().mapToLong(p -> p.span().lengthMs()).sum();
            rows.add(new Row(parts[0], parts[1], ms, share(evidence, places, p -> true)));
        });
        return rows;
    }

    /** Time in some places over time in all that {@code denominator} accepts, unweighted; NaN without any. */
    static double ratio(
            List<Evidence> athletes, Predicate<Evidence.Place> wanted, Predicate<Evidence.Place> denominator) {
        double in = 0;
        double all = 0;
        for (Evidence e : athletes) {
            for (Evidence.Place p : e.places(denominator)) {
                all += p.span().lengthMs();
                in += wanted.test(p) ? p.span().lengthMs() : 0;
            }
        }
        return all == 0 ? Double.NaN : in / all;
    }

    /**
     * Share of the time in some places among the time in all that {@code denominator} accepts.
     *
     * @param places visits, all accepted by {@code denominator}
     */
    static Estimate share(Evidence evidence, List<Evidence.Place> places, Predicate<Evidence.Place> denominator) {
        List<TimeShare.Exposure> exposures = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            double all = seen.line().spans().stream()
                    .filter(s -> denominator.test(new Evidence.Place(seen, s)))
                    .mapToLong(s -> s.lengthMs())
                    .sum();
            List<Evidence.Place> mine =
                    places.stream().filter(p -> p.seen() == seen).toList();
            double in = mine.stream().mapToLong(p -> p.span().lengthMs()).sum();
            if (all > 0) {
                exposures.add(new TimeShare.Exposure(in, all, seen.weight(), mine.size()));
            }
        }
        List<TagRef> tags = places.stream().map(Evidence.Place::ref).toList();
        return TimeShare.of(exposures, tags);
    }
}
