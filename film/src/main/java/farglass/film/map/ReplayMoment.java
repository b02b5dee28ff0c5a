package farglass.film.map;

import farglass.time.Segment;
import java.util.Arrays;
import java.util.List;

/**
 * Which match moment a replay shows, and how slowly. A replay is mostly filmed from another side, so that pictures
 * cannot be compared; but how much changes within a quarter of a second of the match looks alike from everywhere. The
 * replay's curve of change, made for each usual speed, is held against the live one, and the place of the highest
 * correlation is taken, with some preference for what led up to the stop.
 */
final class ReplayMoment {
    private static final long GRID_MS = 80;
    /** Change is measured over this much match time: longer than coding noise, shorter than a move. */
    private static final double LAG_MS = 240;

    private static final double[] SPEEDS = {0.25, 1.0 / 3, 0.5, 0.75, 1};
    /** Taken from the correlation at each of these speeds: a replay is seldom very slow and seldom at full speed. */
    private static final double[] UNUSUAL = {0.08, 0.06, 0, 0.08, 0.15};
    /** Replays show what has just happened: what ended longer before the stop is less likely, by so much a second. */
    private static final double OLDER = 0.03;

    /** A short curve fits something by chance: taken off, over the root of its points. */
    private static final double CHANCE = 1.5;

    private static final long BACK_MS = 40_000;
    private static final int LEAST_POINTS = 8;

    private final FilmScan scan;
    private final double[] live;

    /** @param segments live film, from which change by match time is taken */
    ReplayMoment(FilmScan scan, List<Segment> segments, long endMs) {
        this.scan = scan;
        this.live = new double[(int) (endMs / GRID_MS) + 2];
        Arrays.fill(live, Double.NaN);
        for (Segment s : segments) {
            for (long m = (s.at().ms() / GRID_MS + 1) * GRID_MS;
                    m + LAG_MS < s.matchEnd().ms();
                    m += GRID_MS) {
                double film = s.from().ms() + m - s.at().ms();
                live[(int) (m / GRID_MS)] = change(film, LAG_MS);
            }
        }
    }

    /** Change from a film moment on; not a number across a change of shot. */
    private double change(double film, double lag) {
        int from = scan.frameAt(film);
        int to = scan.frameAt(film + lag);
        boolean cut = scan.shots().stream().anyMatch(s -> s > from && s <= to);
        return cut ? Double.NaN : Math.sqrt(scan.difference(film, film + lag));
    }

    /** Where a replay begins in match time, how fast it runs, and the correlation found, -1..1. */
    record Found(long matchMs, double speed, double correlation) {}

    /** @param stopMs match moment at which the live film before the replay stopped */
    Found find(long fromMs, long toMs, long stopMs) {
        Found best = null;
        double bestScore = -9;
        for (int k = 0; k < SPEEDS.length; k++) {
            double speed = SPEEDS[k];
            double[] curve = curve(fromMs, toMs, speed);
            long shown = Math.round((toMs - fromMs) * speed);
            for (long m = Math.max(0, stopMs - BACK_MS); m + shown <= stopMs + 400; m += GRID_MS) {
                double r = correlation(curve, (int) (m / GRID_MS));
                double score = r
                        - UNUSUAL[k]
                        - CHANCE / Math.sqrt(Math.max(1, curve.length))
                        - OLDER * Math.max(0, stopMs - m - shown) / 1000;
                if (score > bestScore) {
                    bestScore = score;
                    best = new Found(m, speed, r);
                }
            }
        }
        if (best == null) {
            // the replay is longer than what there was to show: from the beginning on, as slowly as it must be
            double speed = Math.max(0.05, Math.min(1, (double) stopMs / (toMs - fromMs)));
            return new Found(0, speed, 0);
        }
        // an end that all but meets the stop meets it
        long end = best.matchMs() + Math.round((toMs - fromMs) * best.speed());
        long shift = Math.abs(end - stopMs) <= 3 * GRID_MS ? stopMs - end : 0;
        return new Found(Math.max(0, best.matchMs() + shift), best.speed(), best.correlation());
    }

    private double[] curve(long fromMs, long toMs, double speed) {
        int n = (int) ((toMs - fromMs) * speed / GRID_MS);
        double[] curve = new double[n];
        for (int i = 0; i < n; i++) {
            double film = fromMs + i * GRID_MS / speed;
            curve[i] = film + LAG_MS / speed < toMs ? change(film, LAG_MS / speed) : Double.NaN;
        }
        return curve;
    }

    /** Pearson's correlation of the curve with the live one from a place on, over the points both have. */
    private double correlation(double[] curve, int at) {
        double sa = 0;
        double sb = 0;
        double saa = 0;
        double sbb = 0;
        double sab = 0;
        int n = 0;
        for (int i = 0; i < curve.length && at + i < live.length; i++) {
            double a = curve[i];
            double b = live[at + i];
            if (!Double.isNaN(a) && !Double.isNaN(b)) {
                sa += a;
                sb += b;
                saa += a * a;
                sbb += b * b;
                sab += a * b;
                n++;
            }
        }
        double va = saa - sa * sa / Math.max(1, n);
        double vb = sbb - sb * sb / Math.max(1, n);
        return n < LEAST_POINTS || va <= 0 || vb <= 0 ? -1 : (sab - sa * sb / n) / Math.sqrt(va * vb);
    }
}
