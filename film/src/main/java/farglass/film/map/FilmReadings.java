package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.match.Corner;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Clock and score of films, each read once: what was read before is read from the folder, a reading that was cancelled
 * goes on where it stopped, and what a person took and corrected holds for the film and for the next of its event. What
 * was read and not taken is no more than read: nothing is learned from it.
 */
public final class FilmReadings {
    private final ReadingStore store;
    private final LayoutStore layouts;

    /** @param folder where readings are kept; made when the first one is */
    public FilmReadings(Path folder) {
        this.store = new ReadingStore(folder);
        this.layouts = new LayoutStore(folder);
    }

    /** What came of reading a film. */
    public sealed interface Outcome {}

    /**
     * A film that was read.
     *
     * @param first who the first athlete of the graphic is, when a person has said so
     * @param crops pictures of what was read
     * @param notKept why it could not be kept; null when it was
     */
    public record Read(
            MapProposal found,
            @Nullable Corner first,
            RegionCrops crops,
            @Nullable IOException notKept) implements Outcome {}

    /**
     * A reading that was cancelled.
     *
     * @param notKept why it will begin anew; null when it will go on
     */
    public record Stopped(@Nullable IOException notKept) implements Outcome {}

    /**
     * Clock and score of a film.
     *
     * @param box round the clock; null to look for it
     * @param lengthMs that the clock begins at
     * @throws FilmException when the film is damaged, no clock can be read in the box, or it was cancelled before
     * anything was read
     */
    public Outcome read(Path film, @Nullable Box box, long lengthMs, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        Optional<ReadingStore.Reading> before = box == null ? store.of(film, lengthMs) : Optional.empty();
        Stop stop = new Stop(film, box, lengthMs);
        try (FilmFile opened = FilmFile.open(film, cancelled)) {
            MapProposal found;
            IOException notKept = null;
            if (before.isPresent()) {
                found = before.get().found();
            } else {
                MapFinder finder =
                        MapFinder.of(opened).box(box).length(lengthMs).pausing(stop::at);
                store.paused(film, lengthMs, box).ifPresent(finder::from);
                found = finder.find(progress, cancelled);
                notKept = keep(film, lengthMs, found);
            }
            Corner first = before.map(ReadingStore.Reading::first).orElse(null);
            // what a person took of this very film holds before what the event's graphics usually count
            MapProposal told = first != null ? found : found.with(layouts.told(found.score()));
            return new Read(told, first, RegionCrops.of(opened, told), notKept);
        } catch (FilmException e) {
            if (stop.outcome != null) {
                return stop.outcome;
            }
            throw e;
        }
    }

    /** What was read off a film and taken; empty when it was not. */
    public Optional<ReadingStore.Reading> taken(Path film, long lengthMs) {
        return store.of(film, lengthMs).filter(k -> k.first() != null);
    }

    /**
     * Keeps what was taken of a film; what its numbers count holds for the next film that looks the same.
     *
     * @param found with the score as it was taken
     * @param first who the first athlete of the graphic is
     * @throws IOException when it cannot be written; what was read stays as it was
     */
    public void take(Path film, long lengthMs, MapProposal found, Corner first) throws IOException {
        layouts.keep(found.score());
        store.keep(film, lengthMs, new ReadingStore.Reading(found, first));
    }

    /** What was read is shown also when it cannot be kept. */
    private @Nullable IOException keep(Path film, long lengthMs, MapProposal found) {
        try {
            store.keep(film, lengthMs, new ReadingStore.Reading(found, null));
            store.dropPaused();
            return null;
        } catch (IOException e) {
            return e;
        }
    }

    /** Keeps what was read when it is cancelled. */
    private final class Stop {
        private final Path film;
        private final @Nullable Box box;
        private final long lengthMs;
        private @Nullable Stopped outcome;

        Stop(Path film, @Nullable Box box, long lengthMs) {
            this.film = film;
            this.box = box;
            this.lengthMs = lengthMs;
        }

        void at(PausedReading reading) {
            try {
                store.pause(film, lengthMs, box, reading);
                outcome = new Stopped(null);
            } catch (IOException e) {
                outcome = new Stopped(e);
            }
        }
    }
}
