package farglass.tendency;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.Estimate;
import farglass.stats.TimeShare;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiPredicate;

/** Time in every position and role. */
public final class PositionTimes {
    private static final long[] NONE = {0, 0};

    private PositionTimes() {}

    /**
     * @param role holder, guard, under or neutral
     * @param ms live match time, unweighted
     * @param share share of all live time
     */
    public record Row(String position, Role role, long ms, Estimate share) {}

    /** One row per position and role seen, in code order. */
    public static List<Row> of(Evidence evidence) {
        Map<Situation, List<Evidence.Visit>> groups = new TreeMap<>();
        for (Evidence.Visit p : evidence.visits()) {
            groups.computeIfAbsent(new Situation(p.span().place(), p.role()), k -> new ArrayList<>())
                    .add(p);
        }
        List<Row> rows = new ArrayList<>();
        groups.forEach((where, places) -> {
            long ms = places.stream().mapToLong(p -> p.ms()).sum();
            rows.add(new Row(where.position(), where.role(), ms, share(evidence, places, (place, role) -> true)));
        });
        return rows;
    }

    /**
     * Share of the time in some places among the time in all that {@code denominator} accepts.
     *
     * @param places visits, all accepted by {@code denominator}
     * @param denominator of a position and the athlete's role there
     */
    public static Estimate share(
            Evidence evidence, List<Evidence.Visit> places, BiPredicate<String, Role> denominator) {
        Map<Evidence.Seen, long[]> whole = evidence.time(denominator);
        IdentityHashMap<Evidence.Seen, long[]> visits = new IdentityHashMap<>();
        for (Evidence.Visit p : places) {
            long[] sums = visits.computeIfAbsent(p.seen(), k -> new long[2]);
            sums[0] += p.ms();
            sums[1]++;
        }
        List<TimeShare.Exposure> exposures = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            long[] all = whole.get(seen);
            long[] in = visits.getOrDefault(seen, NONE);
            if (all != null) {
                exposures.add(new TimeShare.Exposure(in[0], all[0], seen.weight(), (int) in[1]));
            }
        }
        return TimeShare.of(exposures, places.stream().map(Evidence.Visit::ref).toList());
    }
}
