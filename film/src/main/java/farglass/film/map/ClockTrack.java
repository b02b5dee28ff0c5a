package farglass.film.map;

import farglass.film.FilmException;
import farglass.film.FilmWords;
import farglass.film.map.FilmScan.Display;
import farglass.film.text.BesideThread;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.Arrays;
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
    /** A clock that nobody can read for less stands there all the same. */
    static final long HIDDEN_MS = 1200;
    /** A clock may be read a second early or late. */
    private static final double LOOSE_S = 1.2;

    private final int[] seconds;
    private final List<ClockReading> readings;
    private final boolean down;
    /** By place of the clock, seconds by frame. */
    private final List<Place> places;

    /** What one place of the clock says, by frame, and whether it stands there. */
    private record Place(int[] seconds, double[] confidence, boolean[] shown) {}

    private ClockTrack(List<Place> places, int[] seconds, List<ClockReading> readings, boolean down) {
        this.places = places;
        this.seconds = seconds;
        this.readings = readings;
        this.down = down;
    }

    /**
     * Takes what every display of the clock says, in each of its places; where nothing is read in the first, that of
     * the next holds.
     *
     * @param down whether the clock counts down; null to find out
     * @throws FilmException when it was cancelled
     */
    static ClockTrack of(FilmScan scan, @Nullable Boolean down, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        List<Place> places = new ArrayList<>();
        int[] first = {};
        for (List<Display> displays : scan.displays()) {
            int[] shown = new int[displays.size()];
            double[] confidence = new double[shown.length];
            List<TextLine> lines = new ArrayList<>();
            for (int i = 0; i < shown.length; i++) {
                if (cancelled.getAsBoolean()) {
                    throw new FilmException(FilmWords.of("clock.cancelled"));
                }
                TextLine line = BesideThread.result(displays.get(i).text());
                lines.add(line);
                Optional<ClockText> clock = ClockText.loose(line).filter(c -> c.confidence() >= SURE);
                shown[i] = clock.map(ClockText::seconds).orElse(-1);
                confidence[i] = clock.map(ClockText::confidence).orElse(1.0);
            }
            new ShapeReading(displays, lines)
                    .read(shown, confidence, (from, to) -> follows(scan.ms(), displays, shown, from, to));
            dropMisread(scan.ms(), displays, shown);
            first = places.isEmpty() ? shown : first;
            places.add(frames(scan.ms(), displays, shown, confidence));
            progress.accept((double) places.size() / scan.displays().size());
        }
        boolean falls = down != null ? down : falls(first);
        int[] seconds = new int[scan.ms().length];
        double[] sure = new double[seconds.length];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = -1;
            sure[i] = 1;
            for (Place p : places) {
                if (seconds[i] < 0 && p.seconds()[i] >= 0) {
                    seconds[i] = p.seconds()[i];
                    sure[i] = p.confidence()[i];
                }
            }
        }
        return new ClockTrack(places, seconds, readings(seconds, sure, scan.ms()), falls);
    }

    /** Whether the clock stands in one of its places at a frame: it is read there, or just before and just after. */
    boolean shownIn(int place, int frame) {
        return places.get(place).shown()[frame];
    }

    /** Readings that neither follow the one before nor lead to the one after, while those two fit each other. */
    private static void dropMisread(long[] ms, List<Display> displays, int[] shown) {
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
                boolean odd = !follows(ms, displays, read, before, i) && !follows(ms, displays, read, i, after);
                if (odd && follows(ms, displays, read, before, after)) {
                    shown[i] = -1;
                    continue;
                }
            }
            before = i;
        }
    }

    /** Whether the clock can have gone from one display to a later one by running, standing, or both. */
    private static boolean follows(long[] ms, List<Display> displays, int[] read, int from, int to) {
        long passed = ms[displays.get(to).frame()] - ms[displays.get(from).frame()];
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

    private static Place frames(long[] ms, List<Display> displays, int[] shown, double[] confidence) {
        int[] seconds = new int[ms.length];
        double[] sure = new double[ms.length];
        for (int i = 0; i < shown.length; i++) {
            int from = displays.get(i).frame();
            int to = i + 1 < shown.length ? displays.get(i + 1).frame() : ms.length;
            // in a restless box nobody knows which of the frames between first showed the next reading
            boolean restless = i + 1 < shown.length && ms[to] - ms[from] < RESTLESS_MS && shown[i + 1] != shown[i];
            for (int f = from; f < to; f++) {
                boolean unknown = restless && f > from;
                seconds[f] = unknown ? -1 : shown[i];
                sure[f] = unknown ? 1 : confidence[i];
            }
        }
        for (int f = 0; !displays.isEmpty() && f < displays.get(0).frame(); f++) {
            seconds[f] = -1;
        }
        dropSlips(seconds, ms);
        return new Place(seconds, sure, shown(seconds, ms));
    }

    private static boolean[] shown(int[] seconds, long[] ms) {
        boolean[] shown = new boolean[seconds.length];
        int before = -1;
        for (int i = 0; i < seconds.length; i++) {
            if (seconds[i] >= 0) {
                boolean hidden = before < 0 || ms[i] - ms[before] >= HIDDEN_MS;
                Arrays.fill(shown, hidden ? i : before, i + 1, true);
                before = i;
            }
        }
        return shown;
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

    /** Whether a reading among unread frames is the second after the last one read, or before the next. */
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
