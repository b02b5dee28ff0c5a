package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.GrayPicture;
import farglass.film.map.FilmScan.Display;
import farglass.film.map.PausedReading.Shown;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Future;
import java.util.function.Function;

/** Gathers what a look over a film shows, frame by frame. */
final class ScanPass {
    /** Small enough to keep every frame of a long film (18 MB for ten minutes), large enough to tell a move. */
    private static final int WIDTH = 48;

    private static final int HEIGHT = 27;
    /** Pixels picked for one of the small picture, across and down: their mean is smooth enough to compare edges. */
    private static final int PICKED = 3;
    /** Share of the box at each side that may show what is behind the graphic. */
    static final double EDGE = 0.15;
    /** Coding noise in a box that shows the same thing stays below this mean difference. */
    private static final double SAME_DISPLAY = 1.2;

    private final FilmFile film;
    private final List<Box> clocks;
    private final Function<GrayPicture, Future<TextLine>> reader;
    private final List<Long> ms;
    private final List<Double> change;
    private final List<List<Display>> displays = new ArrayList<>();
    private final List<GrayPicture> pictures;
    private int frame;

    /** @param before what was gathered already */
    ScanPass(
            FilmFile film,
            List<Box> clocks,
            Function<GrayPicture, Future<TextLine>> reader,
            PausedReading.Scan before) {
        this.film = film;
        this.clocks = clocks;
        this.reader = reader;
        frame = before.frame();
        ms = new ArrayList<>(before.ms());
        change = new ArrayList<>(before.change());
        pictures = new ArrayList<>(before.pictures());
        for (int place = 0; place < clocks.size(); place++) {
            displays.add(new ArrayList<>());
            if (place < before.shown().size()) {
                before.shown()
                        .get(place)
                        .forEach(s -> displays.get(displays.size() - 1).add(s.display()));
            }
        }
    }

    /** The last frame that was looked at; -1 before the first. */
    int frame() {
        return frame;
    }

    /** A frame after the last. */
    void take(int number) throws FilmException {
        GrayPicture now = smoothed(film.thumbnail(number, PICKED * WIDTH, PICKED * HEIGHT));
        change.add(pictures.isEmpty() ? 0 : now.difference(pictures.get(pictures.size() - 1)));
        pictures.add(now);
        ms.add(film.timeOf(number).ms());
        for (int place = 0; place < clocks.size(); place++) {
            look(number, clocks.get(place), displays.get(place));
        }
        frame = number;
    }

    private void look(int number, Box clock, List<Display> before) throws FilmException {
        int i = ms.size() - 1;
        Display last = before.isEmpty() ? null : before.get(before.size() - 1);
        if (last == null || ms.get(i) - ms.get(last.frame()) >= FilmScan.DISPLAY_MS) {
            GrayPicture shown = film.gray(number, clock);
            GrayPicture inside = shown.inside(EDGE, EDGE);
            if (last == null || last.inside().difference(inside) > SAME_DISPLAY) {
                before.add(new Display(i, inside, reader.apply(shown)));
            }
        }
    }

    /** Waits for displays that are still being read. */
    PausedReading.Scan paused() throws FilmException {
        List<List<Shown>> shown = new ArrayList<>();
        for (List<Display> place : displays) {
            shown.add(Shown.of(place));
        }
        return new PausedReading.Scan(frame, ms, change, pictures, shown);
    }

    FilmScan scan() {
        long[] at = ms.stream().mapToLong(Long::longValue).toArray();
        double[] moved = change.stream().mapToDouble(Double::doubleValue).toArray();
        return new FilmScan(at, moved, ShotFinder.of(pictures, at), displays, pictures);
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
