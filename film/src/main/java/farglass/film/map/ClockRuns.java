package farglass.film.map;

import java.util.ArrayList;
import java.util.List;

/**
 * Stretches of film in which the match clock runs at the speed of the film.
 *
 * <p>A clock in whole seconds bounds the difference of film and match time: shown from a match moment q until q + 1 s,
 * a film moment f gives f - q - 1000 &lt; difference &lt;= f - q. As long as the bounds of all frames overlap, the
 * clock runs; each change of the last digit narrows them to about one frame. A standing or jumping clock makes them
 * part, and a new stretch begins.
 */
final class ClockRuns {
    /** Frames come late or early by so much. */
    private static final double LOOSE_MS = 60;
    /** A stretch of fewer different readings may be a clock that stands. */
    private static final int READINGS = 3;
    /** Two stretches whose differences are this close are one, with unreadable film between. */
    private static final double SAME_MS = 200;

    private ClockRuns() {}

    /**
     * @param from first frame
     * @param to last frame, inclusive
     * @param offsetMs film time minus match time, ms
     * @param lastShownMs match moment at which the last reading began to be shown
     * @param firstShownMs match moment at which the first reading began to be shown
     */
    record Run(int from, int to, double offsetMs, long firstShownMs, long lastShownMs) {}

    /** @param lengthMs match length that a clock counting down begins with */
    static List<Run> of(ClockTrack track, long[] ms, long lengthMs) {
        List<Run> runs = new ArrayList<>();
        int from = -1;
        int last = -1;
        double lo = 0;
        double hi = 0;
        int readings = 0;
        long first = 0;
        long shown = Long.MIN_VALUE;
        for (int i = 0; i <= ms.length; i++) {
            int seconds = i < ms.length ? track.at(i) : -1;
            if (i < ms.length && seconds < 0) {
                continue;
            }
            long q = i < ms.length ? shownFrom(seconds, track.down(), lengthMs) : 0;
            double nextLo = i < ms.length ? Math.max(lo, ms[i] - q - 1000.0) : 0;
            double nextHi = i < ms.length ? Math.min(hi, (double) (ms[i] - q)) : 0;
            boolean goesOn = from >= 0 && i < ms.length && nextLo <= nextHi + LOOSE_MS && q >= shown;
            if (goesOn) {
                lo = nextLo;
                hi = nextHi;
                readings += q == shown ? 0 : 1;
            } else {
                if (from >= 0 && readings >= READINGS) {
                    runs.add(new Run(from, last, (lo + hi) / 2, first, shown));
                }
                if (i == ms.length) {
                    break;
                }
                from = i;
                first = q;
                lo = ms[i] - q - 1000.0;
                hi = ms[i] - q;
                readings = 1;
            }
            shown = q;
            last = i;
        }
        return joined(runs);
    }

    /** The match moment from which on the clock shows so many seconds. */
    static long shownFrom(int seconds, boolean down, long lengthMs) {
        return down ? lengthMs - seconds * 1000L : seconds * 1000L;
    }

    private static List<Run> joined(List<Run> runs) {
        List<Run> done = new ArrayList<>();
        for (Run r : runs) {
            Run before = done.isEmpty() ? null : done.get(done.size() - 1);
            if (before != null
                    && Math.abs(before.offsetMs() - r.offsetMs()) < SAME_MS
                    && r.firstShownMs() >= before.lastShownMs()) {
                int a = before.to() - before.from();
                int b = r.to() - r.from();
                double offset = (before.offsetMs() * a + r.offsetMs() * b) / Math.max(1, a + b);
                done.set(
                        done.size() - 1,
                        new Run(before.from(), r.to(), offset, before.firstShownMs(), r.lastShownMs()));
            } else {
                done.add(r);
            }
        }
        return done;
    }
}
