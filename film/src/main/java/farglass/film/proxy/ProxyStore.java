package farglass.film.proxy;

import farglass.film.FilmInfo;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;

/** The folder in which the proxies of all films of a library lie, kept under a size. */
public final class ProxyStore {
    /** Decoding of one 640x360 frame, milliseconds, on a slow machine; larger pictures take as many times longer. */
    private static final double FRAME_MS = 0.7;

    private static final double FRAME_PIXELS = 640 * 360;
    /** Film whose farthest frame from a key frame is decoded faster than this needs no proxy. */
    private static final double QUICK_MS = 80;

    private final Path folder;
    private final long limitBytes;

    /** @param limitBytes when exceeded, the proxies of films not looked at for longest are deleted */
    public ProxyStore(Path folder, long limitBytes) {
        this.folder = folder;
        this.limitBytes = limitBytes;
    }

    /** Whether jumping about in such a film is slow without a proxy. */
    public static boolean wanted(FilmInfo info) {
        double group = (double) info.frames() / Math.max(1, info.keyFrames());
        return group * FRAME_MS * info.width() * info.height() / FRAME_PIXELS > QUICK_MS;
    }

    /** The proxy of a film, whether made yet or not; another film, or a changed one, has another. */
    public Proxy of(Path film, FilmInfo info) {
        String name;
        try {
            name = film.getFileName() + "|" + Files.size(film) + "|"
                    + Files.getLastModifiedTime(film).toMillis();
        } catch (IOException e) {
            name = film.toString();
        }
        return new Proxy(
                folder.resolve(HexFormat.of().toHexDigits((long) name.hashCode() << 20 ^ info.durationMs())),
                film,
                info);
    }

    /** Deletes the proxies not used for longest until the rest fits, but never that of {@code kept}. */
    public void tidy(Proxy kept) {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> list = Files.list(folder)) {
            List<Path> films = list.filter(Files::isDirectory)
                    .sorted(Comparator.comparing(ProxyStore::used))
                    .toList();
            long total = films.stream().mapToLong(ProxyStore::size).sum();
            for (Path p : films) {
                if (total <= limitBytes) {
                    return;
                }
                if (!p.equals(kept.folder())) {
                    total -= size(p);
                    delete(p);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static long used(Path film) {
        try {
            return Files.getLastModifiedTime(film).toMillis();
        } catch (IOException e) {
            return 0;
        }
    }

    private static long size(Path film) {
        try (Stream<Path> pieces = Files.list(film)) {
            return pieces.mapToLong(p -> p.toFile().length()).sum();
        } catch (IOException e) {
            return 0;
        }
    }

    private static void delete(Path film) throws IOException {
        try (Stream<Path> pieces = Files.list(film)) {
            for (Path p : pieces.toList()) {
                Files.deleteIfExists(p);
            }
        }
        Files.deleteIfExists(film);
    }
}
