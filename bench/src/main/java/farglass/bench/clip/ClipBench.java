package farglass.bench.clip;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.MapFinder;
import farglass.film.map.MapProposal;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * The clock map without a box, on camera film with a graphic drawn over it: share of sampled seconds that are right, by
 * style of graphic, changes of the score, names, and time against the length of the film.
 */
public final class ClipBench {
    /** Pictures taken of each camera film. */
    private static final int PICTURES = 300;

    private static final int WIDTH = 960;
    private static final int HEIGHT = 540;
    private static final List<ScoreKind> COLUMNS = List.of(ScoreKind.POINTS, ScoreKind.ADVANTAGES, ScoreKind.PENALTIES);
    /** Where Debian keeps typefaces. */
    private static final Path LETTERS = Path.of("/usr/share/fonts");
    /** A change of the score is found when it is this near. */
    private static final long NEAR_MS = 1500;

    private ClipBench() {}

    /** Sums over clips. */
    private static final class Sum {
        int clips;
        int asked;
        int right;
        int none;
        int changes;
        int found;
        int invented;
        int names;

        void add(Sum one) {
            clips += one.clips;
            asked += one.asked;
            right += one.right;
            none += one.none;
            changes += one.changes;
            found += one.found;
            invented += one.invented;
            names += one.names;
        }
    }

    /**
     * @param pictures folder of camera films, such as the examples of Debian's package opencv-doc
     * @param from number of the first clip; each number gives one clip, always the same on one machine
     * @param clips how many are made
     * @param keep folder in which the clips are kept; null for none
     */
    public static void start(Path pictures, int from, int clips, Path keep) throws IOException, FilmException {
        List<List<BufferedImage>> cameras = cameras(pictures);
        if (cameras.isEmpty()) {
            System.err.println("ClipBench: no film in " + pictures
                    + ". Give a folder of camera films, such as the examples of" + " Debian's package opencv-doc.");
            return;
        }
        Faces faces = new Faces(LETTERS);
        Map<String, Sum> byStyle = new TreeMap<>();
        double seconds = 0;
        double film = 0;
        for (int i = from; i < from + clips; i++) {
            Broadcast b = new Broadcast(faces, new Random(900 + i));
            Path clip = keep == null ? Files.createTempFile("clip", ".mp4") : keep.resolve("clip" + i + ".mp4");
            if (keep == null || !Files.exists(clip)) {
                b.write(clip, cameras.get(i % cameras.size()));
            }
            long began = System.nanoTime();
            MapProposal found = map(clip);
            seconds += (System.nanoTime() - began) / 1e9;
            film += b.durationMs() / 1000.0;
            if (keep == null) {
                Files.delete(clip);
            }
            Sum one = measure(b, i, found);
            for (String style : b.styles()) {
                byStyle.computeIfAbsent(style, k -> new Sum()).add(one);
            }
        }
        byStyle.forEach((style, s) -> System.out.printf(
                Locale.ROOT,
                "%-24s %2d clips, %d of %d seconds right (%.1f %%), no clock found in %d;"
                        + " score changes %d of %d, invented %d; names in %d%n",
                style,
                s.clips,
                s.right,
                s.asked,
                100.0 * s.right / s.asked,
                s.none,
                s.found,
                s.changes,
                s.invented,
                s.names));
        System.out.printf(Locale.ROOT, "%.0f s for %.0f s of film: %.2f, limit 0.10%n", seconds, film, seconds / film);
    }

    private static Sum measure(Broadcast b, int number, MapProposal found) {
        Sum one = new Sum();
        one.clips = 1;
        for (long ms = 500; ms < b.durationMs() - 500; ms += 1000) {
            if (b.settled(ms)) {
                one.asked++;
                one.right += found != null && b.right(found.map(), ms) ? 1 : 0;
            }
        }
        List<String> wrong = new ArrayList<>();
        one.changes = b.scored.size();
        one.none = found == null || found.box() == null ? 1 : 0;
        if (found != null) {
            score(b, found.score(), one, wrong);
        }
        System.out.printf(
                Locale.ROOT,
                "  %3d %s: %d of %d s; %d of %d changes, invented %d%s%s%n",
                number,
                b.words(),
                one.right,
                one.asked,
                one.found,
                one.changes,
                one.invented,
                one.none > 0 ? ", no clock found" : "",
                wrong.isEmpty() ? "" : "; " + String.join(", ", wrong));
        return one;
    }

    /** Changes found within 1.5 s, or in the interval in which the graphic was hidden; all others are invented. */
    private static void score(Broadcast b, ScoreTrack score, Sum sum, List<String> wrong) {
        List<ScoreChange> left = new ArrayList<>(score.scored());
        for (Broadcast.Scored x : b.scored) {
            Optional<ScoreChange> hit = left.stream()
                    .filter(c -> c.athlete() == x.athlete() && c.after() == x.after())
                    .filter(c -> score.kind(c) == COLUMNS.get(x.column()))
                    .filter(c -> c.ms() >= x.from() - NEAR_MS && c.ms() <= x.until() + NEAR_MS)
                    .findFirst();
            if (hit.isPresent()) {
                left.remove(hit.get());
                sum.found++;
            } else {
                wrong.add("missed " + x);
            }
        }
        sum.invented = left.size();
        left.forEach(c -> wrong.add("invented " + c + " of " + score.kind(c)));
        List<String> read =
                score.graphic().names().stream().map(n -> bare(n.text())).toList();
        if (read.equals(b.names().stream().map(ClipBench::bare).toList())) {
            sum.names = 1;
        } else {
            wrong.add("names " + read + " of " + b.names());
        }
    }

    /** A name as a reader compares it: spaces, points and case aside. */
    private static String bare(String name) {
        return name.replaceAll("[ .]", "").toUpperCase(Locale.ROOT);
    }

    private static MapProposal map(Path clip) {
        try (FilmFile film = FilmFile.open(clip)) {
            return MapFinder.of(film).find(x -> {}, () -> false);
        } catch (FilmException e) {
            System.out.println("  " + e.getMessage());
            return null;
        }
    }

    private static List<List<BufferedImage>> cameras(Path folder) throws IOException {
        List<List<BufferedImage>> cameras = new ArrayList<>();
        List<Path> files;
        try (Stream<Path> all = Files.list(folder)) {
            files = all.filter(p -> p.toString().matches(".*\\.(avi|mp4|mkv|webm)"))
                    .sorted()
                    .toList();
        }
        for (Path p : files) {
            try (FilmFile film = FilmFile.open(p)) {
                List<BufferedImage> pictures = new ArrayList<>();
                film.lookOver(0, frame -> {
                    if (pictures.size() < PICTURES) {
                        pictures.add(picture(film, frame));
                    }
                });
                cameras.add(pictures);
            } catch (FilmException e) {
                System.out.println("  left out: " + e.getMessage());
            }
        }
        return cameras;
    }

    private static BufferedImage picture(FilmFile film, int frame) throws FilmException {
        ByteBuffer bgra = ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT).order(ByteOrder.LITTLE_ENDIAN);
        film.picture(frame, bgra, WIDTH, HEIGHT);
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_3BYTE_BGR);
        int[] pixels = new int[WIDTH * HEIGHT];
        bgra.asIntBuffer().get(pixels);
        image.setRGB(0, 0, WIDTH, HEIGHT, pixels, 0, WIDTH);
        return image;
    }
}
