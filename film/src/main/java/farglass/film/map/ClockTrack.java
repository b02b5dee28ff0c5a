package farglass.film.map;

import farglass.film.FilmException;
import farglass.film.map.FilmScan.Display;
import farglass.film.text.BesideThread;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** The clock of a scanned film, frame by frame. */
final class ClockTrack {
    /** Surer readings that follow each other show what the digits look like. */
    private static final double KNOWN = 0.8;
    /** So many displays must say the same minutes, and so large a share of those that say any. */
    private static final int AGREED = 3;

    private static final double UNANIMOUS = 0.95;
    private static final int MINUTE = 60;
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
                    throw new FilmException("Looking for the match clock was cancelled. Nothing was changed.");
                }
                TextLine line = BesideThread.result(displays.get(i).text());
                lines.add(line);
                Optional<ClockText> clock = ClockText.loose(line).filter(c -> c.confidence() >= SURE);
                shown[i] = clock.map(ClockText::seconds).orElse(-1);
                confidence[i] = clock.map(ClockText::confidence).orElse(1.0);
            }
            byShape(scan.ms(), displays, lines, shown, confidence);
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

    /** Reads the displays once more by the shapes of the digits that time bears out, where these tell them clearly. */
    private static void byShape(
            long[] ms, List<Display> displays, List<TextLine> lines, int[] shown, double[] confidence) {
        List<DigitShapes.Sample> known = new ArrayList<>();
        for (int i = 1; i + 1 < shown.length; i++) {
            boolean read = shown[i - 1] >= 0 && shown[i] >= 0 && shown[i + 1] >= 0 && confidence[i] >= KNOWN;
            if (read && follows(ms, displays, shown, i - 1, i) && follows(ms, displays, shown, i, i + 1)) {
                sample(displays.get(i), lines.get(i)).ifPresent(known::add);
            }
        }
        Optional<DigitShapes> shapes = DigitShapes.of(known);
        if (shapes.isEmpty()) {
            return;
        }
        List<Optional<DigitShapes.Told>> told =
                displays.stream().map(d -> shapes.get().read(d.inside())).toList();
        boolean[] done = new boolean[shown.length];
        for (int i = 0; i < shown.length; i++) {
            if (done[i] || told.get(i).isEmpty()) {
                continue;
            }
            DigitShapes.Told first = told.get(i).get();
            List<Integer> same = new ArrayList<>();
            for (int k = i; k < shown.length; k++) {
                if (!done[k] && told.get(k).filter(first::sameMinutes).isPresent()) {
                    same.add(k);
                    done[k] = true;
                }
            }
            int minutes = minutes(
                    same.stream()
                            .map(k -> minutes(lines.get(k), first.digits()))
                            .toList(),
                    same.stream().map(k -> told.get(k).orElseThrow().minutes()).toList());
            for (int k : minutes < 0 ? List.<Integer>of() : same) {
                shown[k] = MINUTE * minutes + told.get(k).orElseThrow().seconds();
                confidence[k] = Math.max(confidence[k], SURE);
            }
        }
    }

    /**
     * The minutes of displays that show the same: what the network reads, where it reads the same nearly every time;
     * else what the shapes tell, where they do.
     */
    private static int minutes(List<Integer> read, List<Integer> shape) {
        for (List<Integer> votes : List.of(read, shape)) {
            List<Integer> said = votes.stream().filter(m -> m >= 0).toList();
            for (int m : said) {
                if (said.size() >= AGREED && Collections.frequency(said, m) >= UNANIMOUS * said.size()) {
                    return m;
                }
            }
        }
        return -1;
    }

    /** Minutes that were read; -1 where it was no clock of so many digits. */
    private static int minutes(TextLine line, int digits) {
        String bare = line.text().replaceAll("[^0-9]", "");
        return bare.length() == digits && line.confidence() >= SURE
                ? Integer.parseInt(bare.substring(0, digits - 2))
                : -1;
    }

    /** The digits of a display and where they stand in its inside; empty when it is not minutes and seconds. */
    private static Optional<DigitShapes.Sample> sample(Display display, TextLine line) {
        StringBuilder digits = new StringBuilder();
        List<Double> at = new ArrayList<>();
        double whole = display.inside().width() / (1 - 2 * ScanPass.EDGE);
        for (int i = 0; i < line.text().length(); i++) {
            if (Character.isDigit(line.text().charAt(i))) {
                digits.append(line.text().charAt(i));
                at.add((line.at().get(i) - ScanPass.EDGE) * whole);
            }
        }
        boolean clock = digits.length() == 3 || digits.length() == 4;
        return clock ? Optional.of(new DigitShapes.Sample(display.inside(), digits.toString(), at)) : Optional.empty();
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
