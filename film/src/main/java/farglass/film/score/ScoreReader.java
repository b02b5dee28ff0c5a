package farglass.film.score;

import farglass.film.FilmException;
import farglass.film.FilmWords;
import farglass.film.GrayPicture;
import farglass.film.score.NumberTrack.Reading;
import farglass.film.text.BesideThread;
import farglass.film.text.TextLine;
import farglass.film.text.TextReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.LongPredicate;
import org.jspecify.annotations.Nullable;

/**
 * Reads one number of a score graphic over a film: every two seconds first, and wherever two readings differ all that
 * lie between, so that a change is found to half a second.
 */
public final class ScoreReader {
    /** Steps of half a second between readings where nothing changes. */
    private static final int COARSE = 4;
    /** Coding noise in a picture that shows the same thing stays below this mean difference. */
    private static final double SAME = 1.2;
    /** While the middle says the same, the whole picture is read again after so many readings, for time. */
    private static final int AGAIN = 5;
    /** Less sure readings are none. */
    private static final double SURE = 0.35;
    /** Support of what is a number: moving leaves taken for one had 0.06 and 0.15, small digits far away 0.3. */
    private static final double BORNE_OUT = 0.25;

    private final View view;
    private final TextReader reader;
    private final int column;
    private final int athlete;

    /** What the middle of the number said last, and the whole of it. */
    private String narrowBefore = "";

    private TextLine wideBefore = new TextLine("", 0, List.of());
    private TextLine longerBefore = wideBefore;
    private int readSince;

    /**
     * The score graphic in one of its places.
     *
     * @param crops pictures of its numbers all over the film
     * @param shown whether it is on the picture at a film moment in ms
     */
    public record View(ScoreGraphic graphic, ScoreCrops crops, LongPredicate shown) {}

    private ScoreReader(View view, TextReader reader, int column, int athlete) {
        this.view = view;
        this.reader = reader;
        this.column = column;
        this.athlete = athlete;
    }

    /**
     * Every change of the score, in film order.
     *
     * @param views the graphic where it stands mostly, then where else it stands; places in which it has other columns
     * or other names are left out
     * @throws FilmException when it was cancelled
     */
    public static ScoreTrack read(
            List<View> views, TextReader reader, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        ScoreGraphic graphic = views.stream()
                .map(View::graphic)
                .filter(g -> !g.columns().isEmpty())
                .findFirst()
                .orElse(ScoreGraphic.NONE);
        List<View> same = views.stream().filter(v -> v.graphic().like(graphic)).toList();
        List<List<ReadNumber>> numbers = new ArrayList<>();
        int columns = graphic.columns().size();
        try (BesideThread beside = new BesideThread()) {
            for (int c = 0; c < columns; c++) {
                int column = c;
                Future<ReadNumber> second = beside.begin(() -> number(same, reader, column, 1, cancelled));
                ReadNumber first = number(same, reader, column, 0, cancelled);
                numbers.add(List.of(first, BesideThread.result(second)));
                progress.accept((c + 1.0) / columns);
            }
        }
        return track(graphic, numbers);
    }

    private static ReadNumber number(
            List<View> views, TextReader reader, int column, int athlete, BooleanSupplier cancelled)
            throws FilmException {
        List<Reading> readings = new ArrayList<>();
        for (View v : views) {
            readings.addAll(new ScoreReader(v, reader, column, athlete).readings(cancelled));
        }
        readings.sort(Comparator.comparingLong(Reading::ms));
        return ReadNumber.of(readings, new ChangeMoment(views, column, athlete));
    }

    /** What stands still for a number and is hardly ever read as the same one is none. */
    private static ScoreTrack track(ScoreGraphic graphic, List<List<ReadNumber>> all) {
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        List<List<ReadNumber>> numbers = new ArrayList<>();
        for (int c = 0; c < all.size(); c++) {
            if (all.get(c).stream().anyMatch(n -> n.track().support() >= BORNE_OUT)) {
                columns.add(graphic.columns().get(c));
                numbers.add(all.get(c));
            }
        }
        List<@Nullable ScoreKind> kinds = ColumnKinds.of(
                columns,
                numbers.stream()
                        .map(c -> c.stream().map(n -> n.track().changes()).toList())
                        .toList());
        List<ScoreChange> score = new ArrayList<>();
        for (int c = 0; c < kinds.size(); c++) {
            for (int athlete = 0; athlete < 2; athlete++) {
                for (NumberTrack.Change x : numbers.get(c).get(athlete).changes(kinds.get(c))) {
                    score.add(new ScoreChange(x.fromMs(), x.ms(), athlete, c, x.before(), x.after(), x.confidence()));
                }
            }
        }
        score.sort(ScoreChange.IN_FILM_ORDER);
        return new ScoreTrack(new ScoreGraphic(graphic.names(), columns), kinds, score);
    }

    private List<Reading> readings(BooleanSupplier cancelled) throws FilmException {
        List<Integer> steps = new ArrayList<>();
        for (int i = 0; i < view.crops().size(); i++) {
            if (view.shown().test(view.crops().ms(i))) {
                steps.add(i);
            }
        }
        @Nullable Reading[] read = new Reading[steps.size()];
        int before = -1;
        readSince = AGAIN;
        for (int i : coarse(read.length)) {
            if (cancelled.getAsBoolean()) {
                throw new FilmException(FilmWords.of("score.reading.cancelled"));
            }
            read[i] = reading(steps, i, before < 0 ? null : read[before], before);
            if (before >= 0) {
                between(steps, read, before, i);
            }
            before = i;
        }
        List<Reading> readings = new ArrayList<>();
        for (Reading r : read) {
            if (r != null) {
                readings.add(r);
            }
        }
        return readings;
    }

    /** Every fourth of so many steps, and the last. */
    static List<Integer> coarse(int steps) {
        List<Integer> coarse = new ArrayList<>();
        for (int i = 0; i < steps - 1; i += COARSE) {
            coarse.add(i);
        }
        if (steps > 0) {
            coarse.add(steps - 1);
        }
        return coarse;
    }

    /** Reads all steps between two whose readings differ. */
    private void between(List<Integer> steps, @Nullable Reading[] read, int from, int to) throws FilmException {
        Reading a = read[from];
        Reading b = read[to];
        if (a == null || b == null || a.value() == b.value()) {
            return;
        }
        for (int i = from + 1; i < to; i++) {
            read[i] = reading(steps, i, read[i - 1], i - 1);
        }
    }

    private Reading reading(List<Integer> steps, int at, @Nullable Reading before, int beforeAt) throws FilmException {
        int step = steps.get(at);
        GrayPicture middle = view.crops().middle(column, athlete, step);
        long ms = view.crops().ms(step);
        if (before != null) {
            GrayPicture last = view.crops().middle(column, athlete, steps.get(beforeAt));
            if (middle.difference(last) < SAME) {
                return new Reading(ms, before.value(), before.other(), before.longer(), before.confidence());
            }
        }
        TextLine narrow = digits(middle);
        boolean two = wideBefore.text().length() > 1 || longerBefore.text().length() > 1;
        if (two || !narrow.text().equals(narrowBefore) || readSince >= AGAIN) {
            wideBefore = digits(view.crops().wide(column, athlete, step));
            longerBefore = digits(view.crops().longer(column, athlete, step));
            readSince = 0;
        }
        readSince++;
        narrowBefore = narrow.text();
        return reading(ms, narrow, wideBefore, longerBefore);
    }

    /** At full contrast more digits are read, but for some faint ones that noise covers then. */
    private TextLine digits(GrayPicture picture) throws FilmException {
        TextLine line = reader.read(picture.contrasted(), TextReader.Kind.DIGITS);
        return number(line) >= 0 ? line : reader.read(picture, TextReader.Kind.DIGITS);
    }

    /**
     * The middle shows one digit best, and cuts two that do not stand in the middle; what shows the rest may show the
     * edges of the graphic, of which the left one is easily read as a one. What the other picture says is kept as
     * possible.
     *
     * @param narrow what the middle says
     * @param wide what twice as much says
     * @param longer what the picture says from where one digit begins
     */
    static Reading reading(long ms, TextLine narrow, TextLine wide, TextLine longer) {
        int a = number(narrow);
        int c = longer.text().matches("[1-9][0-9]") ? number(longer) : -1;
        // the two strokes of a nought are easily read as ones, where the middle says nothing
        int b = a < 0 && wide.text().equals("11") ? -1 : number(wide);
        if (a < 0 || b < 0 || a == b) {
            return a < 0 ? new Reading(ms, b, b, c, wide.confidence()) : new Reading(ms, a, a, c, narrow.confidence());
        }
        String n = narrow.text();
        String w = wide.text();
        boolean doubled = n.length() == 2 && w.length() == 1;
        boolean cut = n.length() == 1 && w.length() == 2 && (w.startsWith(n) || w.endsWith(n));
        boolean edge = w.charAt(0) == '1' && w.endsWith(n);
        boolean wider = doubled || (cut && !edge);
        return wider ? new Reading(ms, b, a, c, wide.confidence()) : new Reading(ms, a, b, c, narrow.confidence());
    }

    private static int number(TextLine line) {
        boolean number = line.text().matches("[0-9]{1,2}") && line.confidence() >= SURE;
        return number ? Integer.parseInt(line.text()) : -1;
    }
}
