package farglass.film.map;

import farglass.film.map.DigitBook.Shown;
import farglass.film.map.DigitBook.Value;
import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The clock of a scanned film, frame by frame. */
final class ClockTrack {
    /** A reading that stands for a shorter time between two others is a slip of the reader. */
    private static final long SLIP_MS = 120;

    private static final int REFINEMENTS = 2;
    /** A display this near a change of the clock may show either reading. */
    private static final long EDGE_MS = 80;

    private final int[] seconds;
    private final List<ClockReading> readings;
    private final boolean down;

    private ClockTrack(int[] seconds, List<ClockReading> readings, boolean down) {
        this.seconds = seconds;
        this.readings = readings;
        this.down = down;
    }

    /** A moment whose clock the user has read. */
    record Known(long filmMs, int seconds) {}

    static ClockTrack of(FilmScan scan, Boolean down, List<Known> known) {
        List<Shown> shown = new ArrayList<>();
        for (int i = 0; i < scan.displays().size(); i++) {
            FilmScan.Display d = scan.displays().get(i);
            long to = i + 1 < scan.displays().size()
                    ? scan.ms()[scan.displays().get(i + 1).frame()]
                    : scan.ms()[scan.ms().length - 1];
            shown.add(new Shown(scan.ms()[d.frame()], to, Glyph.of(d.picture())));
        }
        DigitBook book = book(shown, down, known);
        ClockTrack track = read(scan, shown, book);
        for (int round = 0; round < REFINEMENTS; round++) {
            book = refined(scan, shown, track, book);
            track = read(scan, shown, book);
        }
        return track;
    }

    /**
     * The digits learned anew from every display of the stretches in which the clock is known to run, whatever was read
     * there: a digit once misread is told by its neighbours in time.
     */
    private static DigitBook refined(FilmScan scan, List<Shown> shown, ClockTrack track, DigitBook book) {
        List<float[]> sums = new ArrayList<>();
        int[] counts = new int[10];
        for (int d = 0; d < 10; d++) {
            sums.add(new float[Glyph.WIDTH * Glyph.HEIGHT]);
        }
        for (ClockRuns.Run run : ClockRuns.of(track, scan.ms(), 0)) {
            for (Shown s : shown) {
                double match = s.fromMs() - run.offsetMs();
                double phase = Math.floorMod(Math.round(match), 1000L);
                boolean inside = s.fromMs() >= scan.ms()[run.from()] && s.fromMs() <= scan.ms()[run.to()];
                if (!inside || phase > 1000 - EDGE_MS || (phase < EDGE_MS && s.toMs() - s.fromMs() < EDGE_MS)) {
                    continue;
                }
                long begun = (long) Math.floor((match + EDGE_MS) / 1000);
                String text = digits((int) (track.down() ? -begun : begun));
                for (int i = 0; text.length() == s.glyphs().size() && i < text.length(); i++) {
                    int digit = text.charAt(i) - '0';
                    counts[digit]++;
                    float[] ink = s.glyphs().get(i).ink();
                    for (int k = 0; k < ink.length; k++) {
                        sums.get(digit)[k] += ink[k];
                    }
                }
            }
        }
        List<Glyph> glyphs = new ArrayList<>();
        List<Integer> digits = new ArrayList<>();
        for (int d = 0; d < 10; d++) {
            if (counts[d] == 0) {
                return book;
            }
            for (int k = 0; k < sums.get(d).length; k++) {
                sums.get(d)[k] /= counts[d];
            }
            glyphs.add(new Glyph(sums.get(d)));
            digits.add(d);
        }
        return DigitBook.of(glyphs, digits, track.down());
    }

    private static ClockTrack read(FilmScan scan, List<Shown> shown, DigitBook book) {
        int[] seconds = new int[scan.ms().length];
        double[] confidence = new double[seconds.length];
        for (int i = 0; i < shown.size(); i++) {
            int from = scan.displays().get(i).frame();
            int to = i + 1 < shown.size() ? scan.displays().get(i + 1).frame() : seconds.length;
            Optional<Value> value = book.read(shown.get(i).glyphs());
            for (int f = from; f < to; f++) {
                seconds[f] = value.map(Value::seconds).orElse(-1);
                confidence[f] = value.map(Value::confidence).orElse(1.0);
            }
        }
        dropSlips(seconds, scan.ms());
        return new ClockTrack(seconds, readings(seconds, confidence, scan.ms()), book.down());
    }

    private static DigitBook book(List<Shown> shown, Boolean down, List<Known> known) {
        List<Glyph> glyphs = new ArrayList<>();
        List<Integer> digits = new ArrayList<>();
        for (Known k : known) {
            for (Shown s : shown) {
                if (s.fromMs() <= k.filmMs() && s.toMs() > k.filmMs()) {
                    name(s.glyphs(), k.seconds(), glyphs, digits);
                }
            }
        }
        boolean complete = digits.stream().distinct().count() == 10;
        Optional<DigitBook> learned = complete ? Optional.empty() : DigitBook.learned(shown, down);
        return learned.orElseGet(() -> {
            if (!complete) {
                shipped(glyphs, digits);
            }
            return DigitBook.of(glyphs, digits, down == null || down);
        });
    }

    private static void name(List<Glyph> shapes, int seconds, List<Glyph> glyphs, List<Integer> digits) {
        String text = digits(seconds);
        if (text.length() == shapes.size()) {
            for (int i = 0; i < shapes.size(); i++) {
                glyphs.add(shapes.get(i));
                digits.add(text.charAt(i) - '0');
            }
        }
    }

    /** The digits of a clock: {@code 605} for 6:05. */
    private static String digits(int seconds) {
        return seconds < 0 ? "" : String.format(Locale.ROOT, "%d%02d", seconds / 60, seconds % 60);
    }

    private static void shipped(List<Glyph> glyphs, List<Integer> digits) {
        for (Typeface face : Typeface.values()) {
            for (int d = 0; d < 10; d++) {
                List<Glyph> drawn = Glyph.of(Lettering.picture(face, Integer.toString(d)));
                if (drawn.size() == 1) {
                    glyphs.add(drawn.get(0));
                    digits.add(d);
                }
            }
        }
    }

    private static void dropSlips(int[] seconds, long[] ms) {
        int from = 0;
        for (int i = 1; i <= seconds.length; i++) {
            if (i < seconds.length && seconds[i] == seconds[from]) {
                continue;
            }
            boolean slip = from > 0 && i < seconds.length && ms[i] - ms[from] < SLIP_MS;
            if (slip) {
                int before = seconds[from - 1];
                for (int k = from; k < i; k++) {
                    seconds[k] = before;
                }
            }
            from = i;
        }
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
