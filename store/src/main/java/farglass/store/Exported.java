package farglass.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import org.jdbi.v3.core.Handle;

/**
 * A file that was written outside the library.
 *
 * @param athletes ids of those it tells of; empty for everybody
 * @param checksum SHA-256 of what was written, as hexadecimal digits
 */
record Exported(Path path, Set<String> athletes, String checksum) {
    Exported {
        athletes = Set.copyOf(athletes);
    }

    /** A file as it lies there now; reads all of it. */
    static Exported of(Path written, Set<String> athletes) throws IOException {
        Path path = written.toAbsolutePath().normalize();
        return new Exported(path, athletes, checksum(path));
    }

    void note(Handle h, Instant at, long bytes) {
        h.execute("DELETE FROM exported WHERE path = ?", path.toString());
        h.execute(
                "INSERT INTO exported (path, made_at, athletes, bytes, checksum) VALUES (?, ?, ?, ?, ?)",
                path.toString(),
                at.toString(),
                String.join("\n", athletes),
                bytes,
                checksum);
    }

    static List<Exported> all(Handle h) {
        List<Exported> all = new ArrayList<>();
        h.createQuery("SELECT path, athletes, checksum FROM exported ORDER BY path")
                .map((row, context) -> new Exported(
                        Path.of(row.getString(1)),
                        row.getString(2).isEmpty()
                                ? Set.of()
                                : Set.of(row.getString(2).split("\n")),
                        row.getString(3)))
                .forEach(all::add);
        return all;
    }

    boolean tellsOf(String athlete) {
        return athletes.isEmpty() || athletes.contains(athlete);
    }

    /** Whether the file is still what was written; what somebody has changed since is theirs. */
    boolean unchanged() {
        try {
            return Files.isRegularFile(path) && checksum(path).equals(checksum);
        } catch (IOException e) {
            return false;
        }
    }

    private static String checksum(Path file) throws IOException {
        try (InputStream in = new DigestInputStream(Files.newInputStream(file), MessageDigest.getInstance("SHA-256"))) {
            in.transferTo(java.io.OutputStream.nullOutputStream());
            return HexFormat.of()
                    .formatHex(((DigestInputStream) in).getMessageDigest().digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
