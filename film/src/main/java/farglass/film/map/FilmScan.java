package farglass.film.map;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmWords;
import farglass.film.GrayPicture;
import farglass.film.score.ScoreCrops;
import farglass.film.text.TextLine;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

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
    /** Displays of a box in which something moves all the time are taken this far apart at the least. */
    static final long DISPLAY_MS = 350;

    /**
     * The content of the box from one frame on, until the next display.
     *
     * @param frame first frame that shows it
     * @param inside without the edges, at which the picture behind the graphic shows
     * @param text what it says
     */
    record Display(int frame, GrayPicture inside, Future<TextLine> text) {}

    /**
     * Goes on from the last frame that was looked at.
     *
     * @param pass gathers
     * @param score get their pictures on the way
     * @throws FilmException when the film is damaged, or it was cancelled; what was gathered stays
     */
    static FilmScan of(
            FilmFile film, ScanPass pass, List<ScoreCrops> score, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        int n = film.info().frames();
        film.lookOver(pass.frame() + 1, frame -> {
            if (cancelled.getAsBoolean()) {
                throw new FilmException(FilmWords.of("clock.cancelled"));
            }
            for (ScoreCrops crops : score) {
                crops.take(film, frame, film.timeOf(frame).ms());
            }
            pass.take(frame);
            progress.accept((double) frame / n);
        });
        progress.accept(1);
        return pass.scan();
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
}
