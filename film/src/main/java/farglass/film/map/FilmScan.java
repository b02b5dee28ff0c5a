package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.GrayPicture;
import farglass.film.score.ScoreCrops;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.Function;

/**
 * One look over a film: when each frame appears, how much moved since the frame before, where the shot changes, and
 * what stood in the box round the clock. Frames are numbered among those that were decoded, which are not all.
 *
 * @param ms when each decoded frame appears
 * @param change mean absolute difference of brightness to the frame before, 0..255
 * @param shots frames that begin a new shot, in order; frame 0 is not one
 * @param pictures every decoded frame, made small
 * @param displays what each place of the clock showed, one for each change of it; empty without a clock
 */
record FilmScan(
        long[] ms, double[] change, List<Integer> shots, List<List<Display>> displays, List<GrayPicture> pictures) {
    /** Small enough to keep every frame of a long film (18 MB for ten minutes), large enough to tell a move. */
    private static final int WIDTH = 48;

    private static final int HEIGHT = 27;
    /** Pixels picked for one of the small picture, across and down: their mean is smooth enough to compare edges. */
    private static final int PICKED = 3;

    /** Displays of a box in which something moves all the time are taken this far apart at the least. */
    static final long DISPLAY_MS = 350;
    /** Share of the box at each side that may show what is behind the graphic. */
    private static final double EDGE = 0.15;
    /** Coding noise in a box that shows the same thing stays below this mean difference. */
    private static final double SAME_DISPLAY = 1.2;

    /**
     * The content of the box from one frame on, until the next display.
     *
     * @param frame first frame that shows it
     * @param inside without the edges, at which the picture behind the graphic shows
     * @param text what it says
     */
    record Display(int frame, GrayPicture inside, Future<TextLine> text) {}

    /**
     * @param clocks round the clock in each of its places; none when there is no clock
     * @param reader begins to read what a box shows while the film is gone through
     * @param score get their pictures on the way
     */
    static FilmScan of(
            FilmFile film,
            List<Box> clocks,
            Function<GrayPicture, Future<TextLine>> reader,
            List<ScoreCrops> score,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws FilmException {
        Pass pass = new Pass(film, clocks, reader);
        int n = film.info().frames();
        film.lookOver(frame -> {
            if (cancelled.getAsBoolean()) {
                throw new FilmException("Looking for the match clock was cancelled. Nothing was changed.");
            }
            pass.take(frame);
            for (ScoreCrops crops : score) {
                crops.take(film, frame, film.timeOf(frame).ms());
            }
            progress.accept((double) frame / n);
        });
        progress.accept(1);
        return pass.scan();
    }

    /** What was gathered so far. */
    private static final class Pass {
        private final FilmFile film;
        private final List<Box> clocks;
        private final Function<GrayPicture, Future<TextLine>> reader;
        private final List<Long> ms = new ArrayList<>();
        private final List<Double> change = new ArrayList<>();
        private final List<List<Display>> displays = new ArrayList<>();
        private final List<GrayPicture> pictures = new ArrayList<>();

        Pass(FilmFile film, List<Box> clocks, Function<GrayPicture, Future<TextLine>> reader) {
            this.film = film;
            this.clocks = clocks;
            this.reader = reader;
            clocks.forEach(c -> displays.add(new ArrayList<>()));
        }

        void take(int frame) throws FilmException {
            GrayPicture now = smoothed(film.thumbnail(frame, PICKED * WIDTH, PICKED * HEIGHT));
            change.add(pictures.isEmpty() ? 0 : now.difference(pictures.get(pictures.size() - 1)));
            pictures.add(now);
            ms.add(film.timeOf(frame).ms());
            for (int place = 0; place < clocks.size(); place++) {
                look(frame, clocks.get(place), displays.get(place));
            }
        }

        private void look(int frame, Box clock, List<Display> before) throws FilmException {
            int i = ms.size() - 1;
            Display last = before.isEmpty() ? null : before.get(before.size() - 1);
            if (last == null || ms.get(i) - ms.get(last.frame()) >= DISPLAY_MS) {
                GrayPicture shown = film.gray(frame, clock);
                GrayPicture inside = shown.inside(EDGE, EDGE);
                if (last == null || last.inside().difference(inside) > SAME_DISPLAY) {
                    before.add(new Display(i, inside, reader.apply(shown)));
                }
            }
        }

        FilmScan scan() {
            long[] at = ms.stream().mapToLong(Long::longValue).toArray();
            double[] moved = change.stream().mapToDouble(Double::doubleValue).toArray();
            return new FilmScan(at, moved, ShotFinder.of(pictures, at), displays, pictures);
        }
    }

    /** The frame on screen at a film moment. */
    int frameAt(double filmMs) {
        int i = Arrays.binarySearch(ms, Math.round(filmMs));
        return i >= 0 ? i : Math.max(0, -i - 2);
    }

    /** How much two moments of the film differ, 0..255. */
    double difference(double filmMs, double other) {
        return pictures.get(frameAt(filmMs)).difference(pictures.get(frameAt(other)));
    }

    private static GrayPicture smoothed(GrayPicture picked) {
        byte[] pixels = new byte[WIDTH * HEIGHT];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                int sum = 0;
                for (int v = 0; v < PICKED; v++) {
                    for (int u = 0; u < PICKED; u++) {
                        sum += picked.at(PICKED * x + u, PICKED * y + v);
                    }
                }
                pixels[y * WIDTH + x] = (byte) (sum / (PICKED * PICKED));
            }
        }
        return new GrayPicture(WIDTH, HEIGHT, pixels);
    }
}
