package farglass.film.map;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.film.Box;
import farglass.film.FilmException;
import farglass.match.Corner;
import java.io.BufferedOutputStream;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.jspecify.annotations.Nullable;

/**
 * What was read off films before, so that no film is read twice, and how far readings came that were cancelled. A
 * changed film is another.
 */
public final class ReadingStore {
    /** Grows with what the reader finds: what an older one found is read again. */
    private static final int VERSION = 3;

    private static final String PAUSED = ".paused";
    private static final String FIRST = "first";
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path folder;

    public ReadingStore(Path folder) {
        this.folder = folder;
    }

    /**
     * What was read off a film.
     *
     * @param first who a person has said the first athlete of its graphic is, when what was read was taken; null before
     */
    public record Reading(MapProposal found, @Nullable Corner first) {}

    /** What was read off a film with a clock that begins at so many ms; empty when it was not read yet. */
    public Optional<Reading> of(Path film, long lengthMs) {
        try {
            Path kept = file(film, lengthMs, null, ".json");
            if (!Files.exists(kept)) {
                return Optional.empty();
            }
            String text = Files.readString(kept);
            String first = JSON.readTree(text).path(FIRST).asText();
            Corner who = Arrays.stream(Corner.values())
                    .filter(c -> c.name().equals(first))
                    .findFirst()
                    .orElse(null);
            return Optional.of(new Reading(MapDocument.read(text), who));
        } catch (IOException | FilmException e) {
            // a damaged reading is read again
            return Optional.empty();
        }
    }

    /**
     * Keeps what was read, as taken where it was.
     *
     * @throws IOException when it cannot be written; nothing is left behind, and the film is read again next time
     */
    public void keep(Path film, long lengthMs, Reading reading) throws IOException {
        ObjectNode doc = MapDocument.write(reading.found());
        if (reading.first() != null) {
            doc.put(FIRST, reading.first().name());
        }
        byte[] bytes = doc.toString().getBytes(StandardCharsets.UTF_8);
        write(file(film, lengthMs, null, ".json"), out -> out.write(bytes));
    }

    /**
     * How far the reading of a film came that was cancelled; empty when none was, or what was kept of it is damaged.
     *
     * @param box that was drawn round the clock; null when it was looked for
     */
    public Optional<PausedReading> paused(Path film, long lengthMs, @Nullable Box box) {
        try {
            Path kept = file(film, lengthMs, box, PAUSED);
            if (!Files.exists(kept)) {
                return Optional.empty();
            }
            try (InputStream in = new InflaterInputStream(Files.newInputStream(kept))) {
                return Optional.of(JSON.readValue(in, PausedReading.class));
            }
        } catch (IOException e) {
            // it is read from the beginning
            return Optional.empty();
        }
    }

    /**
     * Keeps how far the reading of a film came, about 3 MB a minute; of other films nothing of the kind is kept.
     *
     * @throws IOException when it cannot be written; nothing is left behind
     */
    public void pause(Path film, long lengthMs, @Nullable Box box, PausedReading reading) throws IOException {
        dropPaused();
        Deflater quick = new Deflater(Deflater.BEST_SPEED);
        try {
            write(file(film, lengthMs, box, PAUSED), out -> {
                try (OutputStream packed = new DeflaterOutputStream(out, quick)) {
                    JSON.writeValue(packed, reading);
                }
            });
        } finally {
            quick.end();
        }
    }

    /** Forgets readings that were cancelled. */
    public void dropPaused() throws IOException {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> kept = Files.list(folder)) {
            for (Path p : kept.filter(f -> f.toString().endsWith(PAUSED)).toList()) {
                Files.delete(p);
            }
        }
    }

    private interface Writer {
        void write(OutputStream out) throws IOException;
    }

    private void write(Path target, Writer writer) throws IOException {
        Files.createDirectories(folder);
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            // not a channel, which would be closed when the window closes meanwhile
            try (OutputStream out = new BufferedOutputStream(new FileOutputStream(part.toFile()))) {
                writer.write(out);
            }
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private Path file(Path film, long lengthMs, @Nullable Box box, String ending) throws IOException {
        String known = VERSION + "|" + film.getFileName() + "|" + Files.size(film) + "|"
                + Files.getLastModifiedTime(film).toMillis() + "|" + lengthMs + (box == null ? "" : "|" + box);
        try {
            byte[] sha = MessageDigest.getInstance("SHA-256").digest(known.getBytes(StandardCharsets.UTF_8));
            return folder.resolve(HexFormat.of().formatHex(sha, 0, 12) + ending);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
