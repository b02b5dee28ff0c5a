package farglass.tendency;

import farglass.stats.Estimate;
import farglass.stats.TimeShare;
import java.util.ArrayList;
import java.util.IdentityHashMap;
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
            long ms = places.stream().mapToLong(p -> p.ms()).sum();
            rows.add(new Row(parts[0], parts[1], ms, share(evidence, places, p -> true)));
        });
        return rows;
    }

    /**
     * Share of the time in some places among the time in all that {@code denominator} accepts.
     *
     * @param places visits, all accepted by {@code denominator}
     */
    public static Estimate share(
            Evidence evidence, List<Evidence.Place> places, Predicate<Evidence.Place> denominator) {
        Map<Evidence.Seen, double[]> byMatch = new IdentityHashMap<>();
        evidence.places(denominator).forEach(p -> byMatch.computeIfAbsent(p.seen(), k -> new double[3])[0] += p.ms());
        for (Evidence.Place p : places) {
            double[] sums = byMatch.get(p.seen());
            sums[1] += p.ms();
            sums[2]++;
        }
        List<TimeShare.Exposure> exposures = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            double[] sums = byMatch.get(seen);
            if (sums != null && sums[0] > 0) {
                exposures.add(new TimeShare.Exposure(sums[1], sums[0], seen.weight(), (int) sums[2]));
            }
        }
        return TimeShare.of(exposures, places.stream().map(Evidence.Place::ref).toList());
    }
}
