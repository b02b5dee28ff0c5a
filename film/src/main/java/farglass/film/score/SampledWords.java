package farglass.film.score;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmWords;
import farglass.film.text.BesideThread;
import farglass.film.text.TextFinder;
import farglass.film.text.TextReader;
import farglass.time.FilmTime;
import java.math.BigInteger;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.concurrent.Future;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.Function;

/**
 * The text of some pictures all over a film.
 *
 * @param pictures in film order
 */
public record SampledWords(List<Picture> pictures) {
    /** Pictures of a film of a match, at least. */
    private static final int LEAST = 14;
    /** Of longer films there is one picture in this time, so that a match in them is met often enough. */
    private static final long EVERY_MS = 40_000;

    private static final int MOST = 45;
    /** Fewer pictures say too little about what stays in its place. */
    private static final int ENOUGH = 9;
    /** Steps of this share of a whole fall evenly all over it. */
    private static final double GOLDEN = 0.618;
    /** Width that text is looked for at; larger pictures are brought to it, for time. */
    private static final int WIDTH = 960;

    /**
     * One picture.
     *
     * @param words in no order
     */
    public record Picture(int frame, long ms, List<Word> words) {}

    /** Told of every picture as soon as it was read, while its film is still near. */
    public interface Watcher {
        /** Whether enough is known, so that no more pictures need be looked at. */
        boolean read(Picture picture) throws FilmException;
    }

    /** @throws FilmException when the film is damaged, the network cannot be loaded, or it was cancelled */
    public static SampledWords of(
            FilmFile film, TextReader reader, Watcher watcher, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        int width = Math.min(WIDTH, film.info().width());
        int height = Math.max(1, (int)
                Math.round(film.info().height() * (double) width / film.info().width()));
        try (TextFinder finder = TextFinder.open()) {
            // lines are looked for in the next picture while those of the last are read
            try (BesideThread finding = new BesideThread()) {
                Function<ByteBuffer, Future<List<Box>>> find =
                        bgra -> finding.begin(() -> finder.find(bgra, width, height));
                return read(film, find, width, height, reader, watcher, progress, cancelled);
            }
        }
    }

    private static SampledWords read(
            FilmFile film,
            Function<ByteBuffer, Future<List<Box>>> find,
            int width,
            int height,
            TextReader reader,
            Watcher watcher,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws FilmException {
        List<Integer> frames = spread(frames(film));
        List<Picture> pictures = new ArrayList<>();
        int before = -1;
        Future<List<Box>> found = null;
        boolean enough = false;
        for (int i = 0; i <= frames.size() && !enough; i++) {
            if (cancelled.getAsBoolean()) {
                throw new FilmException(FilmWords.of("clock.cancelled"));
            }
            int frame = -1;
            Future<List<Box>> next = null;
            if (i < frames.size()) {
                frame = film.nearest(frames.get(i));
                ByteBuffer bgra = ByteBuffer.allocateDirect(4 * width * height);
                film.picture(frame, bgra, width, height);
                next = find.apply(bgra);
            }
            if (found != null) {
                pictures.add(read(film, before, BesideThread.result(found), width, reader));
                enough = watcher.read(pictures.get(pictures.size() - 1)) && pictures.size() >= ENOUGH;
                progress.accept((double) pictures.size() / frames.size());
            }
            before = frame;
            found = next;
        }
        pictures.sort(Comparator.comparingLong(Picture::ms));
        return new SampledWords(List.copyOf(pictures));
    }

    /** The same in an order in which the first of them, however many are taken, lie all over the film. */
    static List<Integer> spread(List<Integer> frames) {
        int n = frames.size();
        int step = (int) Math.round(n * GOLDEN);
        while (n > 1 && BigInteger.valueOf(step).gcd(BigInteger.valueOf(n)).intValue() != 1) {
            step++;
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            order.add(frames.get((int) ((long) i * step % n)));
        }
        return order;
    }

    private static Picture read(FilmFile film, int frame, List<Box> lines, int width, TextReader reader)
            throws FilmException {
        List<Word> words = new ArrayList<>();
        for (Box b : lines) {
            Box line = whole(b, film, width);
            words.addAll(Word.of(reader.read(film.gray(frame, line), TextReader.Kind.ANY), line));
        }
        return new Picture(frame, film.timeOf(frame).ms(), List.copyOf(words));
    }

    /** Frames all over the film; key frames where there are any near, because they cost no decoding of others. */
    private static List<Integer> frames(FilmFile film) {
        long duration = film.info().durationMs();
        int n = (int) Math.max(LEAST, Math.min(MOST, duration / EVERY_MS));
        SortedSet<Integer> frames = new TreeSet<>();
        for (int i = 0; i < n; i++) {
            int frame = film.frameAt(FilmTime.ofMs(Math.round((i + 0.5) / n * duration)));
            int key = film.keyFrameBefore(frame);
            boolean near = film.timeOf(frame).ms() - film.timeOf(key).ms() < duration / n;
            frames.add(near && !frames.contains(key) ? key : frame);
        }
        return List.copyOf(frames);
    }

    /** A box of the small picture in the picture as stored. */
    private static Box whole(Box b, FilmFile film, int width) {
        double scale = film.info().width() / (double) width;
        int x = (int) Math.floor(b.x() * scale);
        int y = (int) Math.floor(b.y() * scale);
        int w = Math.max(1, (int) Math.ceil(b.width() * scale));
        int h = Math.max(1, (int) Math.ceil(b.height() * scale));
        return new Box(x, y, w, h).within(film.info().width(), film.info().height());
    }
}
