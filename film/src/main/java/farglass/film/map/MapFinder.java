package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.ClockRuns.Run;
import farglass.film.text.TextReader;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** Proposes the clock map of a film. */
public final class MapFinder {
    /** Confidence of a map made without reading a clock. */
    private static final double GUESS = 0.1;
    /** Shares of the work, for the progress told. */
    private static final double LOOKING = 0.3;

    private static final double SCANNING = 0.5;

    private final FilmFile film;
    private Box box;
    private Boolean down;
    private Long lengthMs;

    private MapFinder(FilmFile film) {
        this.film = film;
    }

    public static MapFinder of(FilmFile film) {
        return new MapFinder(film);
    }

    /** Where the match clock stands in the picture; without it, it is looked for. */
    public MapFinder box(Box clock) {
        box = clock;
        return this;
    }

    /** Whether the clock counts down; found out when not said. */
    public MapFinder down(Boolean countsDown) {
        down = countsDown;
        return this;
    }

    /** Match length that a clock counting down begins with; when not said, the highest reading. */
    public MapFinder length(Long ms) {
        lengthMs = ms;
        return this;
    }

    /**
     * Decodes the film once and, where no box was given, looks for the clock before; on the calling thread.
     *
     * @throws FilmException when it is damaged, cancelled, the text reader cannot be loaded, or no clock can be read in
     * the box
     */
    public MapProposal find(DoubleConsumer progress, BooleanSupplier cancelled) throws FilmException {
        try (TextReader reader = TextReader.open()) {
            if (box == null) {
                box = ClockPlace.find(film, reader, x -> progress.accept(LOOKING * x), cancelled)
                        .orElse(null);
            }
            return find(reader, x -> progress.accept(LOOKING + (1 - LOOKING) * x), cancelled);
        }
    }

    private MapProposal find(TextReader reader, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        FilmScan scan = FilmScan.of(film, box, x -> progress.accept(SCANNING * x), cancelled);
        List<FilmTime> shots =
                scan.shots().stream().map(i -> FilmTime.ofMs(scan.ms()[i])).toList();
        long duration = film.info().durationMs();
        if (box == null) {
            Segment whole =
                    new Segment(FilmTime.ofMs(0), FilmTime.ofMs(duration), Segment.Kind.LIVE, MatchTime.ZERO, 1);
            return new MapProposal(List.of(new MapProposal.Part(whole, GUESS)), shots, List.of(), true, null);
        }
        ClockTrack track =
                ClockTrack.of(scan, reader, down, x -> progress.accept(SCANNING + (1 - SCANNING) * x), cancelled);
        long length = lengthMs != null ? lengthMs : wholeMinutes(track, scan.ms());
        List<Run> runs = ClockRuns.of(track, scan.ms(), length);
        if (runs.isEmpty()) {
            throw new FilmException("No running clock could be read in the box. Nothing was changed. Draw the box"
                    + " closer round the digits, or type the clock at a few moments (clock 6:30) and try again.");
        }
        List<MapProposal.Part> parts = new SegmentBuilder(scan, track, runs, duration, length).parts();
        return new MapProposal(parts, shots, track.readings(), track.down(), box);
    }

    /** Matches last whole minutes: the highest reading of a clock that runs, made up to one. */
    private static long wholeMinutes(ClockTrack track, long[] ms) {
        long highest = ClockRuns.of(track, ms, 0).stream()
                .mapToLong(Run::firstShownMs)
                .map(q -> -q)
                .max()
                .orElse(0);
        return (highest + 59_999) / 60_000 * 60_000;
    }
}
