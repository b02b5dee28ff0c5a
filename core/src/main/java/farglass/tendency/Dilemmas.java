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
import java.util.function.BiFunction;

/**
 * Own attacks X and Y such that what the other does about X raises the success of Y: Y soon after X against all other
 * Y, as a log odds ratio. All such pairs are told with their counts; those are sure that stand at a false discovery
 * rate of 10 % with at least fair evidence with and without X.
 */
public final class Dilemmas {
    private static final long SOON_MS = 10_000;
    private static final double RATE = 0.10;
    /** Fewer occurrences cannot be fair evidence. */
    private static final int FAIR = 5;
    /** What was seen once tells nothing at all. */
    private static final int SEEN = 2;

    private Dilemmas() {}

    /**
     * @param x tried first
     * @param y tried within 10 s after it
     * @param after success of y after x
     * @param otherwise success of y else
     * @param q adjusted p; 1 where there is too little of either to be asked
     */
    public record Row(
            String x, String y, OddsRatio odds, Estimate after, List<Trial> trials, Estimate otherwise, double q) {
        /** Whether it is more than chance, at a false discovery rate of 10 %. */
        public boolean sure() {
            return q <= RATE && odds.log() > 0;
        }

        private Row adjusted(double p) {
            return new Row(x, y, odds, after, trials, otherwise, p);
        }
    }

    /**
     * Those that are more than chance.
     *
     * @param estimate makes an estimate of some tries of a technique
     */
    public static List<Row> of(Evidence evidence, BiFunction<String, List<Trial>, Estimate> estimate) {
        return pairs(evidence, estimate).stream().filter(Row::sure).toList();
    }

    /** All that were seen twice and worked better so, whether or not that is more than chance; the sure ones first. */
    public static List<Row> pairs(Evidence evidence, BiFunction<String, List<Trial>, Estimate> estimate) {
        Map<String, Map<String, List<Trial>>> after = new TreeMap<>();
        Map<String, List<Trial>> all = new TreeMap<>();
        collect(evidence, after, all);
        List<Row> rows = new ArrayList<>();
        after.forEach((x, byY) -> byY.forEach((y, with) -> {
            List<Trial> without = new ArrayList<>(all.get(y));
            without.removeAll(with);
            if (with.size() >= SEEN && !without.isEmpty()) {
                Estimate a = estimate.apply(y, with);
                Estimate b = estimate.apply(y, without);
                rows.add(new Row(x, y, OddsRatio.of(a.x(), a.n() - a.x(), b.x(), b.n() - b.x()), a, with, b, 1));
            }
        }));
        List<Row> asked = rows.stream().filter(Dilemmas::fair).toList();
        double[] q = FalseDiscovery.adjusted(
                asked.stream().mapToDouble(r -> r.odds().p()).toArray());
        List<Row> kept = new ArrayList<>();
        for (Row r : rows) {
            int at = asked.indexOf(r);
            if (r.odds().log() > 0 && r.after().raw() > r.otherwise().raw()) {
                kept.add(at < 0 ? r : r.adjusted(q[at]));
            }
        }
        kept.sort(Comparator.comparing((Row r) -> !r.sure())
                .thenComparing(Comparator.comparingDouble((Row r) -> r.sure()
                                ? r.odds().lo()
                                : r.trials().size() * r.odds().log())
                        .reversed()));
        return kept;
    }

    /** Whether there is enough with and without to ask for chance. */
    private static boolean fair(Row r) {
        return Math.min(r.after().n(), r.otherwise().n()) >= FAIR
                && r.after().grade() != Grade.THIN
                && r.otherwise().grade() != Grade.THIN;
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
