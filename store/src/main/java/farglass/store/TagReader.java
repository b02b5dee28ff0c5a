package farglass.store;

import farglass.match.Tag;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Reads the tags of single records, and what is kept beside them, when somebody looks at them. On a connection of its
 * own, so that a look never waits for what is being written.
 */
final class TagReader implements AutoCloseable {
    private final Path file;
    private final Backups backups;
    private LibraryFile.@Nullable Reading reading;
    private boolean closed;

    TagReader(Path file, Backups backups) {
        this.file = file;
        this.backups = backups;
    }

    /**
     * The tags of a record as it stands now, in the order of time; none of a record that has been deleted.
     *
     * @throws UncheckedIOException with one sentence when they cannot be read
     */
    List<Tag> tags(String id) {
        try {
            byte[] document = document(id);
            // put together outside the lock: several records are read at a time
            return document == null
                    ? List.of()
                    : Documents.matches(List.of(document)).get(0).tags();
        } catch (SQLException e) {
            throw unread(LibraryFile.damaged(file, backups, e));
        } catch (LibraryException e) {
            throw unread(e);
        }
    }

    private static UncheckedIOException unread(LibraryException e) {
        return new UncheckedIOException(e.getMessage(), new IOException(e));
    }

    private byte @Nullable [] document(String id) throws SQLException, LibraryException {
        return look(c -> {
                    try (PreparedStatement s = c.prepareStatement("SELECT document FROM match_record WHERE id = ?")) {
                        s.setString(1, id);
                        try (ResultSet r = s.executeQuery()) {
                            return r.next() ? Optional.of(r.getBytes(1)) : Optional.<byte[]>empty();
                        }
                    }
                })
                .orElse(null);
    }

    /** What is looked at. */
    interface Look<T> {
        Optional<T> at(Connection connection) throws SQLException;
    }

    /**
     * Looks at the library beside the connection that writes.
     *
     * @throws UncheckedIOException with one sentence when it cannot be read
     */
    <T> Optional<T> looked(Look<T> what) {
        try {
            return look(what);
        } catch (SQLException e) {
            throw unread(LibraryFile.damaged(file, backups, e));
        } catch (LibraryException e) {
            throw unread(e);
        }
    }

    private synchronized <T> Optional<T> look(Look<T> what) throws SQLException, LibraryException {
        if (closed) {
            throw new LibraryException(StoreWords.of("heads.closed", file));
        }
        if (reading == null) {
            reading = LibraryFile.readable(file, backups);
        }
        return what.at(reading.connection());
    }

    @Override
    public synchronized void close() {
        closed = true;
        if (reading != null) {
            try {
                reading.connection().close();
            } catch (SQLException ignored) {
                // it has only read
            }
            LibraryFile.drop(reading.copy());
            reading = null;
        }
    }
}
