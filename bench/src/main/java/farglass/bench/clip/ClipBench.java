package farglass.bench.clip;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.MapFinder;
import farglass.film.map.MapProposal;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
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
    }

    /**
     * @param pictures folder of camera films, such as the examples of Debian's package opencv-doc
     * @param clips how many are made
     */
    public static void start(Path pictures, int clips) throws IOException, FilmException {
        List<List<BufferedImage>> cameras = cameras(pictures);
        if (cameras.isEmpty()) {
            System.err.println("ClipBench: no film in " + pictures
                    + ". Give a folder of camera films, such as the examples of" + " Debian's package opencv-doc.");
            return;
        }
        Map<String, Sum> byStyle = new TreeMap<>();
        double seconds = 0;
        double film = 0;
        Path clip = Files.createTempFile("clip", ".mp4");
        for (int i = 0; i < clips; i++) {
            Broadcast b = new Broadcast(new Random(900 + i));
            b.write(clip, cameras.get(i % cameras.size()));
            Sum sum = byStyle.computeIfAbsent(b.graphic.name(), k -> new Sum());
            long from = System.nanoTime();
            MapProposal found = map(clip);
            seconds += (System.nanoTime() - from) / 1e9;
            film += b.durationMs() / 1000.0;
            int asked = 0;
            int right = 0;
            for (long ms = 500; ms < b.durationMs() - 500; ms += 1000) {
                if (b.settled(ms)) {
                    asked++;
                    right += found != null && b.right(found.map(), ms) ? 1 : 0;
                }
            }
            sum.clips++;
            sum.asked += asked;
            sum.right += right;
            if (found != null) {
                score(b, found.score(), sum);
            }
            sum.changes += b.scored.size();
            sum.none += found == null || found.box() == null ? 1 : 0;
            System.out.printf(
                    Locale.ROOT,
                    "  %2d %-28s %-17s %2d px %4dx%-4d %.2f/s %s: %d of %d s; %d changes, read %s%s%n",
                    i,
                    b.graphic.name(),
                    b.graphic.face(),
                    b.graphic.size(),
                    b.width,
                    b.height,
                    b.rate,
                    b.down ? "down" : "up",
                    right,
                    asked,
                    b.scored.size(),
                    found == null ? "none" : read(found.score()),
                    found == null || found.box() == null ? ", no clock found" : "");
        }
        Files.delete(clip);
        byStyle.forEach((style, s) -> System.out.printf(
                Locale.ROOT,
                "%-28s %2d clips, %d of %d seconds right (%.1f %%), no clock found in %d;"
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

    private static String read(ScoreTrack score) {
        return score.graphic().names().stream().map(ScoreGraphic.Name::text).toList() + " "
                + score.scored().size();
    }

    /** Changes found within 1.5 s, or in the interval in which the graphic was hidden; all others are invented. */
    private static void score(Broadcast b, ScoreTrack score, Sum sum) {
        List<ScoreChange> left = new ArrayList<>(score.scored());
        for (Broadcast.Scored x : b.scored) {
            left.stream()
                    .filter(c -> c.athlete() == x.athlete() && c.after() == x.after())
                    .filter(c -> score.kind(c) == COLUMNS.get(x.column()))
                    .filter(c -> c.ms() >= x.from() - NEAR_MS && c.ms() <= x.until() + NEAR_MS)
                    .findFirst()
                    .ifPresent(c -> {
                        left.remove(c);
                        sum.found++;
                    });
        }
        sum.invented += left.size();
        List<String> names = score.graphic().names().stream()
                .map(n -> n.text().replace(" ", "").toUpperCase(Locale.ROOT))
                .toList();
        sum.names += names.equals(b.names().stream()
                        .map(n -> n.replace(" ", "").toUpperCase(Locale.ROOT))
                        .toList())
                ? 1
                : 0;
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
                for (int i = 0; i < Math.min(PICTURES, film.info().frames()); i++) {
                    pictures.add(picture(film, i));
                }
                cameras.add(pictures);
            } catch (FilmException e) {
                System.out.println("  left out: " + e.getMessage());
            }
        }
        return cameras;
    }

    private static BufferedImage picture(FilmFile film, int frame) throws FilmException {
        ByteBuffer bgra = ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT).order(ByteOrder.LITTLE_ENDIAN);
        film.picture(film.nearest(frame), bgra, WIDTH, HEIGHT);
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_3BYTE_BGR);
        int[] pixels = new int[WIDTH * HEIGHT];
        bgra.asIntBuffer().get(pixels);
        image.setRGB(0, 0, WIDTH, HEIGHT, pixels, 0, WIDTH);
        return image;
    }
}
