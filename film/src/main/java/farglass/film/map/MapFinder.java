package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmWords;
import farglass.film.map.ClockRuns.Run;
import farglass.film.score.CloseLook;
import farglass.film.score.Layout;
import farglass.film.score.MovedGraphic;
import farglass.film.score.RowLook;
import farglass.film.score.SampledWords;
import farglass.film.score.ScoreCrops;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreReader;
import farglass.film.score.ScoreTrack;
import farglass.film.text.BesideThread;
import farglass.film.text.TextReader;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** Proposes the clock map of a film. */
public final class MapFinder {
    /** Confidence of a map made without reading a clock. */
    private static final double GUESS = 0.1;
    /** Shares of the work, for the progress told. */
    private static final double LOOKING = 0.3;

    private static final double SCANNING = 0.7;
    private static final double CLOCK = 0.8;

    private final FilmFile film;
    private @Nullable Box box;
    private @Nullable Box rival;
    private @Nullable Boolean down;
    private @Nullable Long lengthMs;
    private @Nullable PausedReading before;
    private Consumer<PausedReading> pausing = x -> {};

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

    /** Goes on from where a reading was cancelled. */
    public MapFinder from(PausedReading reading) {
        before = reading;
        return this;
    }

    /** Is given how far the reading came when it is cancelled, for {@link #from}. */
    public MapFinder pausing(Consumer<PausedReading> keep) {
        pausing = keep;
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
            PausedReading begun = before != null ? before : begin(reader, x -> progress.accept(LOOKING * x), cancelled);
            rival = begun.rival();
            return find(reader, begun, x -> progress.accept(LOOKING + (1 - LOOKING) * x), cancelled);
        }
    }

    /** Looks for clock and score graphic in some pictures all over the film. */
    private PausedReading begin(TextReader reader, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        ClockPlace place = new ClockPlace(film, reader);
        SampledWords words = SampledWords.of(film, reader, place::look, progress, cancelled);
        List<Box> clocks = box != null ? List.of(box) : place.found();
        List<ScoreGraphic> graphics = new ArrayList<>();
        if (clocks.isEmpty()) {
            graphics.add(graphic(words, null, reader, cancelled));
        }
        for (Box clock : clocks) {
            graphics.add(graphic(words, clock, reader, cancelled));
        }
        List<ScoreCrops.Taken> crops = Collections.nCopies(graphics.size(), ScoreCrops.Taken.NOTHING);
        List<ScoreGraphic> whole = MovedGraphic.completed(
                graphics, film.info().width(), film.info().height());
        Box other = box != null ? null : place.rival().orElse(null);
        return new PausedReading(clocks, other, whole, PausedReading.Scan.NOTHING, crops);
    }

    private MapProposal find(TextReader reader, PausedReading begun, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        List<Box> clocks = begun.clocks();
        List<ScoreGraphic> graphics = begun.graphics();
        List<ScoreCrops> crops = new ArrayList<>();
        for (int i = 0; i < graphics.size(); i++) {
            crops.add(new ScoreCrops(graphics.get(i), begun.crops().get(i)));
        }
        // the clock is read on one thread while the film is decoded on others
        try (BesideThread reading = new BesideThread()) {
            ScanPass pass = new ScanPass(
                    film,
                    clocks,
                    shown -> reading.begin(() -> reader.read(shown, TextReader.Kind.CLOCK)),
                    begun.scan());
            try {
                FilmScan scan = FilmScan.of(film, pass, crops, x -> progress.accept(SCANNING * x), cancelled);
                return find(scan, clocks, reader, graphics, crops, progress, cancelled);
            } catch (FilmException e) {
                if (cancelled.getAsBoolean()) {
                    List<ScoreCrops.Taken> taken =
                            crops.stream().map(ScoreCrops::taken).toList();
                    pausing.accept(new PausedReading(clocks, rival, graphics, pass.paused(), taken));
                }
                throw e;
            }
        }
    }

    private ScoreGraphic graphic(SampledWords words, @Nullable Box clock, TextReader reader, BooleanSupplier cancelled)
            throws FilmException {
        ScoreGraphic graphic = Layout.of(
                RowLook.along(film, words, clock, reader, cancelled),
                clock,
                film.info().width(),
                film.info().height());
        return CloseLook.at(film, graphic, words, clock, reader);
    }

    private MapProposal find(
            FilmScan scan,
            List<Box> clocks,
            TextReader reader,
            List<ScoreGraphic> graphics,
            List<ScoreCrops> crops,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws FilmException {
        List<FilmTime> shots =
                scan.shots().stream().map(i -> FilmTime.ofMs(scan.ms()[i])).toList();
        long duration = film.info().durationMs();
        DoubleConsumer last = x -> progress.accept(CLOCK + (1 - CLOCK) * x);
        if (clocks.isEmpty()) {
            Segment whole =
                    new Segment(FilmTime.ofMs(0), FilmTime.ofMs(duration), Segment.Kind.LIVE, MatchTime.ZERO, 1);
            ScoreTrack score = ScoreReader.read(
                    List.of(new ScoreReader.View(graphics.get(0), crops.get(0), ms -> true)), reader, last, cancelled);
            return new MapProposal(
                    List.of(new MapProposal.Part(whole, GUESS)), shots, List.of(), true, null, null, score);
        }
        ClockTrack track =
                ClockTrack.of(scan, down, x -> progress.accept(SCANNING + (CLOCK - SCANNING) * x), cancelled);
        long length = lengthMs != null ? lengthMs : wholeMinutes(track, scan.ms());
        List<Run> runs = ClockRuns.of(track, scan.ms(), length);
        if (runs.isEmpty()) {
            throw new FilmException(FilmWords.of("map.no-clock"));
        }
        List<MapProposal.Part> parts = new SegmentBuilder(scan, track, runs, duration, length).parts();
        List<ScoreReader.View> views = new ArrayList<>();
        for (int i = 0; i < clocks.size(); i++) {
            int place = i;
            views.add(new ScoreReader.View(
                    graphics.get(i), crops.get(i), ms -> track.shownIn(place, scan.frameAt((double) ms))));
        }
        ScoreTrack score = ScoreReader.read(views, reader, last, cancelled);
        return new MapProposal(parts, shots, track.readings(), track.down(), clocks.get(0), rival, score);
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
