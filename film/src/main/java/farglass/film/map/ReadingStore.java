package farglass.film.map;

import farglass.film.FilmException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;

/** What was read off films before, so that no film is read twice. A changed film is another. */
public final class ReadingStore {
    /** Grows with what the reader finds: what an older one found is read again. */
    private static final int VERSION = 2;

    private final Path folder;

    public ReadingStore(Path folder) {
        this.folder = folder;
    }

    /** What was read off a film with a clock that begins at so many ms; empty when it was not read yet. */
    public Optional<MapProposal> of(Path film, long lengthMs) {
        try {
            Path kept = file(film, lengthMs);
            return Files.exists(kept) ? Optional.of(MapDocument.read(Files.readString(kept))) : Optional.empty();
        } catch (IOException | FilmException e) {
            // a damaged reading is read again
            return Optional.empty();
        }
    }

    /**
     * Keeps what was read.
     *
     * @throws IOException when it cannot be written; nothing is left behind, and the film is read again next time
     */
    public void keep(Path film, long lengthMs, MapProposal found) throws IOException {
        Files.createDirectories(folder);
        byte[] bytes = MapDocument.write(found).toString().getBytes(StandardCharsets.UTF_8);
        Path target = file(film, lengthMs);
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            Files.write(part, bytes);
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private Path file(Path film, long lengthMs) throws IOException {
        String known = VERSION + "|" + film.getFileName() + "|" + Files.size(film) + "|"
                + Files.getLastModifiedTime(film).toMillis() + "|" + lengthMs;
        try {
            byte[] sha = MessageDigest.getInstance("SHA-256").digest(known.getBytes(StandardCharsets.UTF_8));
            return folder.resolve(HexFormat.of().formatHex(sha, 0, 12) + ".json");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
