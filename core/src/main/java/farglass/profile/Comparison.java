package farglass.profile;

import farglass.match.MatchRecord;
import farglass.stats.Difference;
import farglass.stats.Estimate;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Two athletes, or one under two filters, claim by claim.
 *
 * @param rows clear differences first, larger ones before smaller
 * @param meetings their matches against each other, oldest first; empty for one athlete
 */
public record Comparison(List<Row> rows, List<MatchRecord> meetings) {
    private static final Set<Claim.Unit> COMPARED =
            Set.of(Claim.Unit.SHARE, Claim.Unit.TIME_SHARE, Claim.Unit.PER_TEN_MINUTES, Claim.Unit.TIME);

    public Comparison {
        rows = List.copyOf(rows);
        meetings = List.copyOf(meetings);
    }

    /**
     * One claim of both.
     *
     * @param b turned to the side of a where it is about a side
     * @param difference a less b
     */
    public record Row(Claim a, Claim b, Difference difference) {}

    /** Lays what both profiles say of the same side by side. */
    public static Comparison of(Profile a, Profile b) {
        Map<String, Claim> theirs = new LinkedHashMap<>();
        b.pages().values().forEach(p -> p.claims().forEach(c -> theirs.putIfAbsent(c.id(), c)));
        Map<String, Row> rows = new LinkedHashMap<>();
        for (Question q : Question.values()) {
            for (Claim mine : a.page(q).claims()) {
                Claim other = theirs.get(mine.id());
                if (other != null && comparable(mine) && comparable(other)) {
                    Claim turned = turned(other, mine);
                    rows.putIfAbsent(
                            mine.id(), new Row(mine, turned, Difference.of(mine.estimate(), turned.estimate())));
                }
            }
        }
        List<Row> sorted = new ArrayList<>(rows.values());
        sorted.sort(Comparator.comparing((Row r) -> !r.difference().clear())
                .thenComparing(r -> r.difference().grade())
                .thenComparing(Comparator.comparingDouble(Comparison::size).reversed())
                .thenComparing(r -> r.a().id()));
        return new Comparison(sorted, meetings(a.evidence().index(), a.athlete(), b.athlete()));
    }

    private static boolean comparable(Claim c) {
        return COMPARED.contains(c.unit())
                && c.topic() != Claim.Topic.NOT_SEEN
                && c.topic() != Claim.Topic.CHAIN
                && c.remarks().prominence() != Claim.Prominence.COVERAGE
                && Double.isFinite(c.estimate().mean());
    }

    /** Differences in different units are put in order by their size in intervals. */
    private static double size(Row r) {
        Difference d = r.difference();
        double width = d.hi() - d.lo();
        return width <= 0 ? 0 : Math.abs(d.value()) / width;
    }

    private static Claim turned(Claim other, Claim mine) {
        if (other.topic() != Claim.Topic.SIDE || other.template().equals(mine.template())) {
            return other;
        }
        Estimate e = other.estimate();
        Estimate flipped = new Estimate(
                new Estimate.Observed(e.n() - e.x(), e.n(), 1 - e.raw(), e.matches(), e.effective()),
                1 - e.mean(),
                new Estimate.Interval(1 - e.hi(), 1 - e.lo(), e.level()),
                e.grade(),
                new Estimate.Reference(e.baseline(), e.prior()),
                null,
                e.tags());
        return Claim.of(
                        other.id(),
                        other.topic(),
                        mine.template(),
                        other.args(),
                        other.unit(),
                        flipped,
                        other.trials().stream().map(t -> t.turned()).toList())
                .sided(other.side())
                .hiding(other.hidden())
                .doubted(other.doubts())
                .noted(other.note());
    }

    private static List<MatchRecord> meetings(LibraryIndex index, String a, String b) {
        if (a.equals(b)) {
            return List.of();
        }
        return index.records(a).stream()
                .filter(r -> r.cornerOf(b).isPresent())
                .sorted(Comparator.comparing(
                                (MatchRecord r) -> r.details().date(), Comparator.nullsFirst(Comparator.naturalOrder()))
                        .thenComparing(MatchRecord::id))
                .toList();
    }
}
