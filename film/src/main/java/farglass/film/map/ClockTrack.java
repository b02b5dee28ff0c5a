package farglass.film.map;

import farglass.film.FilmException;
import farglass.film.text.BesideThread;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** The clock of a scanned film, frame by frame. */
final class ClockTrack {
    /** A reading that stands for a shorter time between two others is a slip of the reader. */
    private static final long SLIP_MS = 120;
    /** Less sure readings are none. */
    private static final double SURE = 0.6;
    /** Displays this close follow a picture that changes all the time, not a clock that has moved on. */
    private static final long RESTLESS_MS = FilmScan.DISPLAY_MS + 250;
    /** A clock may be read a second early or late. */
    private static final double LOOSE_S = 1.2;

    private final int[] seconds;
    private final List<ClockReading> readings;
    private final boolean down;

    private ClockTrack(int[] seconds, List<ClockReading> readings, boolean down) {
        this.seconds = seconds;
        this.readings = readings;
        this.down = down;
    }

    /**
     * Takes what every display of the box says.
     *
     * @param down whether the clock counts down; null to find out
     * @throws FilmException when it was cancelled
     */
    static ClockTrack of(FilmScan scan, @Nullable Boolean down, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        int n = scan.displays().size();
        int[] shown = new int[n];
        double[] confidence = new double[n];
        for (int i = 0; i < n; i++) {
            if (cancelled.getAsBoolean()) {
                throw new FilmException("Looking for the match clock was cancelled. Nothing was changed.");
            }
            TextLine line = BesideThread.result(scan.displays().get(i).text());
            Optional<ClockText> clock = ClockText.of(line).filter(c -> c.confidence() >= SURE);
            shown[i] = clock.map(ClockText::seconds).orElse(-1);
            confidence[i] = clock.map(ClockText::confidence).orElse(1.0);
            if (i % 20 == 0) {
                progress.accept((double) i / n);
            }
        }
        progress.accept(1);
        dropMisread(scan, shown);
        boolean falls = down != null ? down : falls(shown);
        return frames(scan, shown, confidence, falls);
    }

    /** Readings that neither follow the one before nor lead to the one after, while those two fit each other. */
    private static void dropMisread(FilmScan scan, int[] shown) {
        int[] read = shown.clone();
        int before = -1;
        for (int i = 0; i < read.length; i++) {
            if (read[i] < 0) {
                continue;
            }
            int after = i + 1;
            while (after < read.length && read[after] < 0) {
                after++;
            }
            if (before >= 0 && after < read.length) {
                boolean odd = !follows(scan, read, before, i) && !follows(scan, read, i, after);
                if (odd && follows(scan, read, before, after)) {
                    shown[i] = -1;
                    continue;
                }
            }
            before = i;
        }
    }

    /** Whether the clock can have gone from one display to a later one by running, standing, or both. */
    private static boolean follows(FilmScan scan, int[] read, int from, int to) {
        long passed = scan.ms()[scan.displays().get(to).frame()]
                - scan.ms()[scan.displays().get(from).frame()];
        return Math.abs(read[to] - read[from]) <= passed / 1000.0 + LOOSE_S;
    }

    /** Whether it goes down by one more often than up. */
    private static boolean falls(int[] shown) {
        int sum = 0;
        int before = -1;
        for (int s : shown) {
            if (s >= 0 && before >= 0 && Math.abs(s - before) == 1) {
                sum += s - before;
            }
            before = s >= 0 ? s : before;
        }
        return sum <= 0;
    }

    private static ClockTrack frames(FilmScan scan, int[] shown, double[] confidence, boolean down) {
        long[] ms = scan.ms();
        int[] seconds = new int[ms.length];
        double[] sure = new double[ms.length];
        for (int i = 0; i < shown.length; i++) {
            int from = scan.displays().get(i).frame();
            int to = i + 1 < shown.length ? scan.displays().get(i + 1).frame() : ms.length;
            // in a restless box nobody knows which of the frames between first showed the next reading
            boolean restless = i + 1 < shown.length && ms[to] - ms[from] < RESTLESS_MS && shown[i + 1] != shown[i];
            for (int f = from; f < to; f++) {
                boolean unknown = restless && f > from;
                seconds[f] = unknown ? -1 : shown[i];
                sure[f] = unknown ? 1 : confidence[i];
            }
        }
        for (int f = 0; !scan.displays().isEmpty() && f < scan.displays().get(0).frame(); f++) {
            seconds[f] = -1;
        }
        dropSlips(seconds, ms);
        return new ClockTrack(seconds, readings(seconds, sure, ms), down);
    }

    private static void dropSlips(int[] seconds, long[] ms) {
        int from = 0;
        for (int i = 1; i <= seconds.length; i++) {
            if (i < seconds.length && seconds[i] == seconds[from]) {
                continue;
            }
            boolean slip =
                    from > 0 && i < seconds.length && ms[i] - ms[from] < SLIP_MS && seconds[from - 1] == seconds[i];
            if (slip && !joins(seconds, ms, from, i)) {
                for (int f = from; f < i; f++) {
                    seconds[f] = seconds[i];
                }
            }
            from = i;
        }
    }

    /** Whether a reading among frames that nobody can read is the second after the last one read, or before the next. */
    private static boolean joins(int[] seconds, long[] ms, int from, int to) {
        if (seconds[to] >= 0) {
            return false;
        }
        int before = from - 1;
        while (before >= 0 && seconds[before] < 0) {
            before--;
        }
        int after = to;
        while (after < seconds.length && seconds[after] < 0) {
            after++;
        }
        return (before >= 0 && nextTo(seconds[before], seconds[from], ms[from] - ms[before]))
                || (after < seconds.length && nextTo(seconds[from], seconds[after], ms[after] - ms[from]));
    }

    private static boolean nextTo(int seconds, int later, long passed) {
        return Math.abs(seconds - later) == 1 && passed < 1000 * LOOSE_S;
    }

    private static List<ClockReading> readings(int[] seconds, double[] confidence, long[] ms) {
        List<ClockReading> readings = new ArrayList<>();
        for (int i = 0; i < seconds.length; i++) {
            if (i == 0 || seconds[i] != seconds[i - 1]) {
                readings.add(new ClockReading(ms[i], seconds[i] < 0 ? null : seconds[i], confidence[i]));
            }
        }
        return readings;
    }

    /** Seconds on the clock at a frame, -1 where none can be read. */
    int at(int frame) {
        return seconds[frame];
    }

    List<ClockReading> readings() {
        return readings;
    }

    boolean down() {
        return down;
    }
}
