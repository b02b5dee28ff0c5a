package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.GrayPicture;
import farglass.film.map.FilmScan.Display;
import farglass.film.score.ScoreCrops;
import farglass.film.score.ScoreGraphic;
import farglass.film.text.BesideThread;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;

/**
 * How far the reading of a film came before it was cancelled, so that it can go on from there.
 *
 * @param clocks where the clock stands
 * @param rival another clock; null when there is none
 * @param graphics by place of the clock
 * @param scan what the film showed so far
 * @param crops pictures of the numbers of each graphic
 */
public record PausedReading(
        List<Box> clocks, @Nullable Box rival, List<ScoreGraphic> graphics, Scan scan, List<ScoreCrops.Taken> crops) {
    public PausedReading {
        clocks = List.copyOf(clocks);
        graphics = List.copyOf(graphics);
        crops = List.copyOf(crops);
    }

    /**
     * What a look over the film has gathered.
     *
     * @param frame the last one that was looked at; -1 before the first
     * @param ms when each frame appears
     * @param change to the frame before
     * @param pictures made small
     * @param shown what the clock said, by its places
     */
    public record Scan(
            int frame, List<Long> ms, List<Double> change, List<GrayPicture> pictures, List<List<Shown>> shown) {
        static final Scan NOTHING = new Scan(-1, List.of(), List.of(), List.of(), List.of());

        public Scan {
            ms = List.copyOf(ms);
            change = List.copyOf(change);
            pictures = List.copyOf(pictures);
            shown = List.copyOf(shown);
        }
    }

    /**
     * A display of the clock that was read.
     *
     * @param frame among those looked at
     */
    public record Shown(int frame, GrayPicture inside, TextLine text) {
        Display display() {
            return new Display(frame, inside, CompletableFuture.completedFuture(text));
        }

        /** Waits for what is still being read. */
        static List<Shown> of(List<Display> displays) throws FilmException {
            List<Shown> shown = new ArrayList<>();
            for (Display d : displays) {
                shown.add(new Shown(d.frame(), d.inside(), BesideThread.settled(d.text())));
            }
            return List.copyOf(shown);
        }
    }
}
