package farglass.film.score;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmWords;
import farglass.film.GrayPicture;
import farglass.film.text.BesideThread;
import farglass.film.text.TextReader;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * Reads along the rows of names. A number that stands alone is often overlooked by the network that finds text, and
 * read well by the one that reads it when it is shown the row.
 */
public final class RowLook {
    /** Length of a strip that is read, in heights of the name; more would be pressed together. */
    private static final double LONG = 13;
    /** Length of one in which the first number after a name stands. */
    private static final double SHORT = 4;
    /** Rows of numbers stand at most so many heights above or below their name. */
    private static final double BESIDE = 7;
    /** Rows below the large number of a card begin so many heights of the name below it, and are so many high. */
    private static final List<Double> BELOW = List.of(0.0, 0.5, 1.0);

    private static final double ROOM = 1.4;
    /** Share of the pictures in which a name must be read. */
    private static final double STAYS = 0.3;
    /** Pictures looked at. */
    private static final int PICTURES = 7;
    /** Names looked along, the most often read first. */
    private static final int NAMES = 6;

    private final FilmFile film;
    private final TextReader reader;

    private RowLook(FilmFile film, TextReader reader) {
        this.film = film;
        this.reader = reader;
    }

    /**
     * The words of those pictures in which the clock was read, with those along the rows of names.
     *
     * @param clock where the match clock stands; null when there is none
     * @throws FilmException when the film is damaged or it was cancelled
     */
    public static SampledWords along(
            FilmFile film, SampledWords sampled, @Nullable Box clock, TextReader reader, BooleanSupplier cancelled)
            throws FilmException {
        List<SampledWords.Picture> shown = sampled.pictures().stream()
                .filter(p -> clock == null || p.words().stream().anyMatch(w -> Layout.overlap(w.box(), clock)))
                .toList();
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            all.add(i);
        }
        SampledWords words = new SampledWords(shown);
        List<Region> names = Region.of(words, Word::letters).stream()
                .filter(r -> r.seen(all) >= Math.max(2, STAYS * shown.size()))
                .filter(r -> ScoreKind.of(r.text()).isEmpty())
                .sorted((a, b) -> Long.compare(b.seen(all), a.seen(all)))
                .limit(NAMES)
                .toList();
        List<Region> numbers = Region.of(words, w -> w.number().isPresent()).stream()
                .filter(r -> clock == null || !Layout.overlap(r.box(), clock))
                .filter(r -> r.seen(all) >= 2)
                .toList();
        return new RowLook(film, reader).look(shown, strips(names, numbers, film), cancelled);
    }

    /** Left and right of every name, and along every row near it in which numbers were found. */
    private static List<Strip> strips(List<Region> names, List<Region> numbers, FilmFile film) {
        List<Strip> strips = new ArrayList<>();
        for (Region name : names) {
            Box b = name.box();
            int far = (int) (LONG * b.height());
            int near = (int) (SHORT * b.height());
            int right = b.x() + b.width();
            add(strips, box(right, b.y(), far, b.height(), film), box(right, b.y(), near, b.height(), film));
            add(
                    strips,
                    box(b.x() - far, b.y(), far, b.height(), film),
                    box(b.x() - near, b.y(), near, b.height(), film));
            SortedSet<Integer> rows = new TreeSet<>();
            for (Region n : numbers) {
                double down = Math.abs(n.y() - name.y()) / b.height();
                boolean under = n.x() > b.x() - b.height() && n.x() < b.x() + b.width() + b.height();
                boolean known = rows.stream().anyMatch(y -> Math.abs(y - n.box().y()) < 0.5 * b.height());
                if (under && down > 0.7 && down < BESIDE && !known) {
                    rows.add(n.box().y());
                    int wide = Math.min(far, b.width() + 2 * b.height());
                    add(
                            strips,
                            box(
                                    b.x() - b.height() / 2,
                                    n.box().y(),
                                    wide,
                                    n.box().height(),
                                    film),
                            null);
                }
            }
            numbers.stream().filter(n -> onCard(n, name)).findFirst().ifPresent(n -> {
                below(n.box(), b, film).forEach(s -> strips.add(new Strip(s, null, ROOM)));
                names.stream()
                        .filter(o -> o != name && Math.abs(o.y() - name.y()) < b.height() / 2.0)
                        .filter(o -> numbers.stream().noneMatch(x -> onCard(x, o)))
                        .forEach(o -> otherCard(n.box(), o.box(), film, strips));
            });
        }
        return strips;
    }

    /** Whether a number is the large one on the card of an athlete. */
    static boolean onCard(Region n, Region name) {
        double high = name.box().height();
        double down = n.box().y() - name.box().y() - high;
        return n.box().height() > Layout.LARGE * high
                && Math.abs(n.x() - name.x()) < name.box().width() / 2.0 + high
                && down > -high / 2
                && down < 2 * high;
    }

    /** Along the rows of another card, whose large number was overlooked. */
    private static void otherCard(Box large, Box name, FilmFile film, List<Strip> strips) {
        int high = name.height();
        Box row = box(name.x() - high, large.y(), name.width() + 2 * high, large.height(), film);
        add(strips, row, null);
        if (row != null) {
            below(row, name, film).forEach(s -> strips.add(new Strip(s, null, ROOM)));
        }
    }

    /** Where the small numbers of a card may stand: in a row below the large one. */
    private static List<Box> below(Box large, Box name, FilmFile film) {
        double high = name.height();
        // an initial of the name may have been overlooked
        int left = (int) (Math.min(name.x(), large.x()) - 2 * high);
        int right = (int) (Math.max(name.x() + name.width(), large.x() + large.width()) + 2 * high);
        List<Box> strips = new ArrayList<>();
        for (double down : BELOW) {
            int top = (int) (large.y() + large.height() + down * high);
            int tall = (int) (ROOM * high);
            if (top + tall <= film.info().height()) {
                Box strip = box(left, top, right - left, tall, film);
                if (strip != null) {
                    strips.add(strip);
                }
            }
        }
        return strips;
    }

    private static void add(List<Strip> strips, @Nullable Box all, @Nullable Box near) {
        if (all != null) {
            strips.add(new Strip(all, near, 1));
        }
    }

    /** What lies in the picture of a row; null when that is too little. */
    private static @Nullable Box box(int left, int top, int width, int height, FilmFile film) {
        int x = Math.max(0, left);
        int right = Math.min(film.info().width(), left + width);
        return right - x > height / 2
                ? new Box(x, top, right - x, height)
                        .within(film.info().width(), film.info().height())
                : null;
    }

    private SampledWords look(List<SampledWords.Picture> shown, List<Strip> strips, BooleanSupplier cancelled)
            throws FilmException {
        List<SampledWords.Picture> closer = new ArrayList<>();
        int every = Math.max(1, (shown.size() + PICTURES - 1) / PICTURES);
        try (BesideThread beside = new BesideThread()) {
            for (int i = 0; i < shown.size(); i += every) {
                if (cancelled.getAsBoolean()) {
                    throw new FilmException(FilmWords.of("score.cancelled"));
                }
                SampledWords.Picture p = shown.get(i);
                List<Cut> cut = new ArrayList<>();
                for (Strip s : strips) {
                    Box near = s.near();
                    cut.add(new Cut(
                            s, film.gray(p.frame(), s.all()), near == null ? null : film.gray(p.frame(), near)));
                }
                int half = cut.size() / 2;
                Future<List<Word>> others = beside.begin(() -> numbers(cut.subList(0, half)));
                List<Word> found = numbers(cut.subList(half, cut.size()));
                found.addAll(BesideThread.result(others));
                // the first letter of a name that a strip reaches is no nought
                found.removeIf(w -> p.words().stream().anyMatch(n -> n.letters() && Layout.overlap(n.box(), w.box())));
                List<Word> words = new ArrayList<>(p.words());
                words.addAll(found);
                closer.add(new SampledWords.Picture(p.frame(), p.ms(), words));
            }
        }
        return new SampledWords(closer);
    }

    /**
     * A part of a picture along a row.
     *
     * @param near the end of it by the name; null when it has none
     * @param room how many times higher than its text it is
     */
    private record Strip(Box all, @Nullable Box near, double room) {}

    private record Cut(
            Strip strip, GrayPicture all, @Nullable GrayPicture near) {}

    /** A long strip shows every number at once, and one alone in it is easily overlooked. */
    private List<Word> numbers(List<Cut> cuts) throws FilmException {
        List<Word> words = new ArrayList<>();
        for (Cut c : cuts) {
            List<Word> found = numbers(c.all(), c.strip().all()).stream()
                    .map(w -> w.lower(c.strip().room()))
                    .toList();
            Box near = c.strip().near();
            GrayPicture closer = c.near();
            words.addAll(found.isEmpty() && near != null && closer != null ? numbers(closer, near) : found);
        }
        return words;
    }

    private List<Word> numbers(GrayPicture picture, Box box) throws FilmException {
        return Word.of(reader.read(picture, TextReader.Kind.ANY), box).stream()
                .filter(w -> w.number().isPresent())
                .toList();
    }
}
