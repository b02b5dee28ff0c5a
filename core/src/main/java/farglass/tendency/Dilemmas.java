package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.stats.Estimate;
import farglass.stats.FalseDiscovery;
import farglass.stats.Grade;
import farglass.stats.OddsRatio;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Own attacks X and Y such that what the other does about X raises the success of Y: Y soon after X against all other
 * Y, as a log odds ratio; listed at a false discovery rate of 10 % with at least fair evidence with and without X.
 */
public final class Dilemmas {
    private static final long SOON_MS = 10_000;
    private static final double RATE = 0.10;
    /** Fewer occurrences cannot be fair evidence. */
    private static final int FAIR = 5;

    private Dilemmas() {}

    /**
     * @param x tried first
     * @param y tried within 10 s after it
     * @param after success of y after x
     * @param otherwise success of y else
     * @param q adjusted p
     */
    public record Row(
            String x, String y, OddsRatio odds, Estimate after, List<Trial> trials, Estimate otherwise, double q) {}

    /** @param estimate makes an estimate of some tries of a technique */
    public static List<Row> of(
            Evidence evidence, java.util.function.BiFunction<String, List<Trial>, Estimate> estimate) {
        Map<String, Map<String, List<Trial>>> after = new TreeMap<>();
        Map<String, List<Trial>> all = new TreeMap<>();
        collect(evidence, after, all);
        List<Row> rows = new ArrayList<>();
        after.forEach((x, byY) -> byY.forEach((y, with) -> {
            List<Trial> without = new ArrayList<>(all.get(y));
            without.removeAll(with);
            if (Math.min(with.size(), without.size()) < FAIR) {
                return;
            }
            Estimate a = estimate.apply(y, with);
            Estimate b = estimate.apply(y, without);
            if (a.grade() != Grade.THIN && b.grade() != Grade.THIN) {
                rows.add(new Row(x, y, OddsRatio.of(a.x(), a.n() - a.x(), b.x(), b.n() - b.x()), a, with, b, 1));
            }
        }));
        double[] q = FalseDiscovery.adjusted(
                rows.stream().mapToDouble(r -> r.odds().p()).toArray());
        List<Row> kept = new ArrayList<>();
        for (int i = 0; i < q.length; i++) {
            Row r = rows.get(i);
            if (q[i] <= RATE && r.odds().log() > 0) {
                kept.add(new Row(r.x(), r.y(), r.odds(), r.after(), r.trials(), r.otherwise(), q[i]));
            }
        }
        kept.sort(Comparator.comparingDouble((Row r) -> r.odds().lo()).reversed());
        return kept;
    }

    private static void collect(
            Evidence evidence, Map<String, Map<String, List<Trial>>> after, Map<String, List<Trial>> all) {
        Evidence.Act before = null;
        for (Evidence.Act act : evidence.own(a -> !a.family().equals("grip"))) {
            if (act.decided()) {
                String y = act.action().technique();
                all.computeIfAbsent(y, k -> new ArrayList<>()).add(act.trial());
                boolean soon = before != null
                        && before.seen() == act.seen()
                        && act.action().t().since(before.action().t()) <= SOON_MS;
                if (soon && !requireNonNull(before).action().technique().equals(y)) {
                    after.computeIfAbsent(before.action().technique(), k -> new TreeMap<>())
                            .computeIfAbsent(y, k -> new ArrayList<>())
                            .add(act.trial());
                }
            }
            before = act;
        }
    }
}
