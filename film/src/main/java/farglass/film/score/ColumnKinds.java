package farglass.film.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Which column counts what: what its heading says, how large it is, where it stands, and how its numbers change.
 * Points come by two, three and four, advantages and penalties by one; a second penalty brings the other an advantage,
 * a third one two points. The assignment with the highest log posterior is taken.
 */
final class ColumnKinds {
    private static final List<ScoreKind> USUAL = List.of(ScoreKind.POINTS, ScoreKind.ADVANTAGES, ScoreKind.PENALTIES);
    private static final double HEADING = 6;
    private static final double LARGER = 3;
    /** A column that counts nothing known. */
    private static final double UNKNOWN = -3;
    /** Text this much higher than the rest is meant to be seen first. */
    private static final double LARGE = 1.2;

    private static final double BROUGHT = 2;
    private static final long TOGETHER_MS = 1600;
    private static final int MOST_PENALTIES = 4;

    private static final double COMMON = Math.log(0.7);
    /** Points are innermost in some bars, and penalties furthest from them all the same. */
    private static final double REVERSED = Math.log(0.14);

    private static final double SELDOM = Math.log(0.05);
    /** Chance of each step of points, by its size; the rest is shared by all others. */
    private static final Map<Integer, Double> POINTS = Map.of(2, 0.5, 3, 0.2, 4, 0.25, 1, 0.004);

    /** Of a number that counts something else every step is about as likely. */
    private static final double ANY = Math.log(0.1);

    private static final double OTHER = 0.02;
    private static final double ONE = 0.97;

    private final List<ScoreGraphic.Column> columns;
    /** By column and athlete. */
    private final List<List<List<NumberTrack.Change>>> changes;

    private double best = Double.NEGATIVE_INFINITY;
    private @Nullable ScoreKind[] found;

    private ColumnKinds(List<ScoreGraphic.Column> columns, List<List<List<NumberTrack.Change>>> changes) {
        this.columns = columns;
        this.changes = changes;
        this.found = new ScoreKind[columns.size()];
    }

    /**
     * The kind of each column; null for one that counts none of them.
     *
     * @param changes by column and athlete
     */
    static List<@Nullable ScoreKind> of(
            List<ScoreGraphic.Column> columns, List<List<List<NumberTrack.Change>>> changes) {
        ColumnKinds kinds = new ColumnKinds(columns, changes);
        kinds.tryAll(new ScoreKind[columns.size()], 0);
        return new ArrayList<>(Arrays.asList(kinds.found));
    }

    private void tryAll(@Nullable ScoreKind[] taken, int at) {
        if (at == taken.length) {
            double value = value(taken);
            if (value > best) {
                best = value;
                found = taken.clone();
            }
            return;
        }
        for (ScoreKind k : ScoreKind.values()) {
            if (!Arrays.asList(taken).subList(0, at).contains(k)) {
                taken[at] = k;
                tryAll(taken, at + 1);
            }
        }
        taken[at] = null;
        tryAll(taken, at + 1);
    }

    private double value(@Nullable ScoreKind[] taken) {
        List<ScoreKind> order = new ArrayList<>();
        for (ScoreKind k : taken) {
            if (k != null) {
                order.add(k);
            }
        }
        if (!columns.isEmpty() && !order.contains(ScoreKind.POINTS)) {
            return Double.NEGATIVE_INFINITY;
        }
        boolean usual = order.equals(USUAL.subList(0, order.size()));
        List<ScoreKind> back = new ArrayList<>(order);
        Collections.reverse(back);
        boolean reversed = back.equals(USUAL.subList(0, back.size()));
        double sum = order.isEmpty() ? SELDOM : usual ? COMMON : reversed ? REVERSED : SELDOM;
        for (int c = 0; c < taken.length; c++) {
            sum += column(c, taken[c], taken);
        }
        return sum;
    }

    private double column(int c, @Nullable ScoreKind k, @Nullable ScoreKind[] taken) {
        ScoreKind heading = columns.get(c).heading();
        double sum = k == null ? UNKNOWN : 0;
        if (heading != null) {
            sum += heading == k ? HEADING : -HEADING;
        }
        if (k == ScoreKind.POINTS && larger(c)) {
            sum += LARGER;
        }
        for (int athlete = 0; athlete < 2; athlete++) {
            for (NumberTrack.Change x : changes.get(c).get(athlete)) {
                sum += step(k, x);
                if (k == ScoreKind.PENALTIES) {
                    sum += x.after() > MOST_PENALTIES ? -HEADING * x.confidence() : 0;
                    ScoreKind brings = x.after() == 2 ? ScoreKind.ADVANTAGES : ScoreKind.POINTS;
                    sum += x.after() >= 2 && brought(brings, 1 - athlete, x.ms(), taken) ? BROUGHT : 0;
                }
            }
        }
        return sum;
    }

    private static double step(@Nullable ScoreKind k, NumberTrack.Change x) {
        int by = x.after() - x.before();
        if (by < 0 || x.fromMs() == 0) {
            return 0;
        }
        if (k == null) {
            return ANY;
        }
        double chance = k == ScoreKind.POINTS ? POINTS.getOrDefault(by, OTHER) : by == 1 ? ONE : OTHER;
        // a change that was hardly read says as little
        return x.confidence() * Math.log(chance);
    }

    private boolean brought(ScoreKind what, int athlete, long ms, @Nullable ScoreKind[] taken) {
        int c = Arrays.asList(taken).indexOf(what);
        return c >= 0 && changes.get(c).get(athlete).stream().anyMatch(x -> Math.abs(x.ms() - ms) <= TOGETHER_MS);
    }

    private boolean larger(int c) {
        double own = columns.get(c).first().height();
        boolean all = columns.size() > 1;
        for (int i = 0; i < columns.size(); i++) {
            all &= i == c || own > LARGE * columns.get(i).first().height();
        }
        return all;
    }
}
