package farglass.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * How long does a place last, and how does it end? Kaplan-Meier for the share still there and Aalen-Johansen for the
 * cumulative incidence of every cause (Kaplan and Meier 1958; Aalen and Johansen 1978). Events come before censorings
 * of the same time.
 *
 * <p>Intervals lie on the scale log(-log) (Kalbfleisch and Prentice 2002). From 4 matches on their standard error comes
 * from a seeded bootstrap over matches with a t quantile, because the spells of one match are not independent; with
 * fewer from Greenwood's formula and its counterpart for competing causes (Marubini and Valsecchi 1995, section 10.3).
 * Where no event was seen yet the end is exact: 0.05^(1 / number at risk).
 */
public final class ExitCurves {
    /** Number of points of a curve beside those at the times that are quoted. */
    public static final int POINTS = 60;
    /** Times whose value is quoted in words: a curve is exact there, ms. */
    private static final long[] QUOTED = {15_000, 30_000, 60_000};

    private static final int BOOTSTRAP_MATCHES = 4;
    private static final int DRAWS = 400;
    private static final double MISS = 0.05;

    private final List<Spell> spells;
    private final List<String> causes;
    private final long[] shown;
    private final int[] matchOf;
    /** Per spell, what the bootstrap asks for hundreds of times. */
    private final double[] weights;

    private final long[] ms;
    /** Per spell: its cause's number, -1 for another cause, -2 when it was not seen to end. */
    private final int[] causeOf;

    private final int matches;

    private ExitCurves(List<Spell> given, List<String> causes) {
        spells = new ArrayList<>(given);
        spells.sort(Comparator.comparingLong(Spell::ms).thenComparing(s -> s.cause() == null));
        this.causes = causes;
        TreeSet<Long> times = new TreeSet<>();
        spells.stream().filter(s -> s.cause() != null).forEach(s -> times.add(s.ms()));
        List<Long> all = new ArrayList<>(times);
        int n = Math.min(POINTS, all.size());
        TreeSet<Long> kept = new TreeSet<>();
        for (int i = 0; i < n; i++) {
            kept.add(all.get(n == 1 ? 0 : (int) Math.round(i * (all.size() - 1.0) / (n - 1))));
        }
        for (long t : QUOTED) {
            Long last = times.floor(t);
            if (last != null) {
                kept.add(last);
            }
        }
        shown = kept.stream().mapToLong(t -> t).toArray();
        Map<String, Integer> numbers = new LinkedHashMap<>();
        matchOf = spells.stream()
                .mapToInt(s -> numbers.computeIfAbsent(s.tag().match(), k -> numbers.size()))
                .toArray();
        matches = numbers.size();
        weights = spells.stream().mapToDouble(Spell::weight).toArray();
        ms = spells.stream().mapToLong(Spell::ms).toArray();
        causeOf = spells.stream()
                .mapToInt(s -> s.cause() == null ? -2 : causes.indexOf(s.cause()))
                .toArray();
    }

    /**
     * @param causes causes to give a curve each; a spell with another cause counts as one that competes
     * @param seed of the bootstrap
     * @return {@link Curve#HELD} first, then one curve per cause; empty without any spell
     */
    public static List<Curve> of(List<Spell> spells, List<String> causes, long seed) {
        return spells.isEmpty() ? List.of() : new ExitCurves(spells, List.copyOf(causes)).curves(seed);
    }

    /** Values at the shown times: row 0 the share gone, row c + 1 the incidence of cause c. */
    private double[][] values(double[] factor) {
        double[][] out = new double[causes.size() + 1][shown.length];
        double[] at = new double[causes.size() + 1];
        double risk = 0;
        for (int i = 0; i < weights.length; i++) {
            risk += weights[i] * factor[matchOf[i]];
        }
        double held = 1;
        int next = 0;
        double[] by = new double[causes.size()];
        for (int i = 0; i < weights.length; ) {
            long now = ms[i];
            while (next < shown.length && shown[next] < now) {
                fill(out, at, next++);
            }
            double events = 0;
            double leaving = 0;
            Arrays.fill(by, 0);
            for (; i < weights.length && ms[i] == now; i++) {
                double w = weights[i] * factor[matchOf[i]];
                leaving += w;
                events += causeOf[i] >= -1 ? w : 0;
                if (causeOf[i] >= 0) {
                    by[causeOf[i]] += w;
                }
            }
            if (events > 0 && risk > 0) {
                for (int c = 0; c < by.length; c++) {
                    at[c + 1] += held * by[c] / risk;
                }
                held *= Math.max(0, 1 - events / risk);
                at[0] = 1 - held;
            }
            risk -= leaving;
        }
        while (next < shown.length) {
            fill(out, at, next++);
        }
        return out;
    }

    private static void fill(double[][] out, double[] at, int k) {
        for (int c = 0; c < at.length; c++) {
            out[c][k] = at[c];
        }
    }

    private List<Curve> curves(long seed) {
        double[] ones = new double[matches];
        Arrays.fill(ones, 1);
        double[][] values = values(ones);
        boolean clustered = matches >= BOOTSTRAP_MATCHES;
        double[][] errors = clustered ? bootstrap(seed, values) : new PlainErrors(spells, causes, shown).logLog(values);
        double quantile = clustered
                ? TDistribution.of(matches - 1.0).inverseCumulativeProbability(Estimate.UPPER)
                : NormalDistribution.of(0, 1).inverseCumulativeProbability(Estimate.UPPER);
        long last = spells.get(spells.size() - 1).ms();
        List<Curve> curves = new ArrayList<>();
        for (int c = 0; c <= causes.size(); c++) {
            List<Curve.Point> points = new ArrayList<>();
            double top = 1;
            for (int k = 0; k < shown.length; k++) {
                double[] ends = ends(values[c][k], errors[c][k] * quantile, atRisk(shown[k]), top);
                top = values[c][k] < 1 ? 1 - ends[0] : top;
                points.add(
                        c == 0
                                ? new Curve.Point(shown[k], 1 - values[c][k], 1 - ends[1], 1 - ends[0])
                                : new Curve.Point(shown[k], values[c][k], ends[0], ends[1]));
            }
            curves.add(new Curve(c == 0 ? Curve.HELD : causes.get(c - 1), points, last, clustered));
        }
        return curves;
    }

    /** Interval of a share gone; {@code top} is the last defined upper end of the share still there. */
    private static double[] ends(double gone, double half, int atRisk, double top) {
        if (gone <= 0) {
            return new double[] {0, 1 - Math.pow(MISS, 1.0 / Math.max(1, atRisk))};
        }
        double still = 1 - gone;
        if (still <= 1e-12) {
            return new double[] {1 - top, 1};
        }
        double lo = Math.pow(still, Math.exp(half));
        double hi = Math.pow(still, Math.exp(-half));
        return new double[] {1 - hi, 1 - lo};
    }

    private int atRisk(long ms) {
        return (int) spells.stream().filter(s -> s.ms() >= ms).count();
    }

    /** Standard errors of log(-log(1 - value)) over matches drawn with replacement. */
    private double[][] bootstrap(long seed, double[][] values) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[][] sum = new double[values.length][shown.length];
        double[][] squares = new double[values.length][shown.length];
        double edge = 0.5 / spells.size();
        for (int d = 0; d < DRAWS; d++) {
            double[] factor = new double[matches];
            for (int m = 0; m < matches; m++) {
                factor[rng.nextInt(matches)]++;
            }
            double[][] draw = values(factor);
            for (int c = 0; c < draw.length; c++) {
                for (int k = 0; k < shown.length; k++) {
                    double still = Math.min(1 - edge, Math.max(edge, 1 - draw[c][k]));
                    double v = Math.log(-Math.log(still));
                    sum[c][k] += v;
                    squares[c][k] += v * v;
                }
            }
        }
        for (int c = 0; c < values.length; c++) {
            for (int k = 0; k < shown.length; k++) {
                double mean = sum[c][k] / DRAWS;
                squares[c][k] = Math.sqrt(Math.max(0, squares[c][k] / DRAWS - mean * mean) * DRAWS / (DRAWS - 1.0));
            }
        }
        return squares;
    }
}
