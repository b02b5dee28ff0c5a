package farglass.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.List;
import java.util.Properties;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jspecify.annotations.Nullable;
import org.sqlite.JDBC;

/** Opens, makes and migrates the SQLite file of a library. */
final class LibraryFile {
    /** Version of the newest migration; also kept in the file's {@code user_version}. */
    static final int VERSION = 7;
    /** From here on a library has a table of drafts. */
    static final int WITH_DRAFTS = 4;

    /** First bytes of every SQLite file, see its "Database File Format", section 1.3. */
    private static final byte[] HEAD = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);

    private static final int HEADER_BYTES = 100;

    private LibraryFile() {}

    /**
     * A connection for reading.
     *
     * @param copy folder of a copy that was made for it, or null
     */
    record Reading(Connection connection, @Nullable Path copy) {}

    /**
     * The path by which every program reaches the same file: links are followed.
     *
     * @throws LibraryException when a link leads nowhere or the folder cannot be made
     */
    static Path real(Path file) throws LibraryException {
        try {
            if (Files.exists(file)) {
                return file.toRealPath();
            }
            if (Files.isSymbolicLink(file)) {
                throw new LibraryException(StoreWords.of("file.link", file, Files.readSymbolicLink(file)));
            }
            Path folder = file.toAbsolutePath().getParent();
            if (folder == null) {
                return file.toAbsolutePath();
            }
            OwnerOnly.folder(folder);
            return folder.toRealPath().resolve(file.getFileName());
        } catch (IOException e) {
            throw new LibraryException(StoreWords.of("file.folder", file), e);
        }
    }

    /**
     * Opens for writing; a library that is not there is made (one whose backups are there only when {@code anew} says
     * so), an older one brought to today's form after a backup.
     */
    static Connection writable(Path file, Backups backups, boolean anew) throws LibraryException {
        if (!Files.exists(file)) {
            if (!anew && backups.newest().isPresent()) {
                throw new LibraryException(
                        LibraryException.Kind.MISSING, StoreWords.of("file.only-backups", file), null);
            }
            make(file);
        }
        examine(file, backups);
        if (!Files.isWritable(file)) {
            throw new LibraryException(LibraryException.Kind.READ_ONLY, StoreWords.of("file.read-only", file), null);
        }
        if (names(file) > 1) {
            // SQLite keeps its journal by the file's name: what is confirmed under one would be missed under the other
            throw new LibraryException(StoreWords.of("file.second-name", file));
        }
        // earlier versions left that to the system
        OwnerOnly.file(file);
        try {
            Connection c = connect(url(file, ""), "10000");
            try {
                prepare(c, file, backups);
                return c;
            } catch (SQLException | LibraryException | FlywayException e) {
                c.close();
                throw e;
            }
        } catch (SQLException | FlywayException e) {
            throw damaged(file, backups, e);
        }
    }

    /**
     * Opens for reading only, also when another program is writing it or its folder cannot be written. What stood when
     * a read began is what it sees.
     */
    static Reading readable(Path file, Backups backups) throws LibraryException {
        if (!Files.exists(file)) {
            throw new LibraryException(StoreWords.of("file.none", file));
        }
        examine(file, backups);
        Path journal = file.resolveSibling(file.getFileName() + "-wal");
        try {
            boolean free = file.getParent() == null || Files.isWritable(file.getParent());
            if (free) {
                return new Reading(tried(url(file, "?mode=ro")), null);
            }
            if (!Files.exists(journal) || Files.size(journal) == 0) {
                return new Reading(tried(url(file, "?immutable=1")), null);
            }
            // a journal that cannot be worked in where it lies
            Path copy = Files.createTempDirectory("farglass-reading");
            Path there = copy.resolve("library");
            Files.copy(file, there);
            Files.copy(journal, copy.resolve("library-wal"));
            return new Reading(tried(url(there, "")), copy);
        } catch (SQLException e) {
            throw damaged(file, backups, e);
        } catch (IOException e) {
            throw new LibraryException(StoreWords.of("file.unread", file, reason(e)), e);
        }
    }

    private static Connection tried(String url) throws SQLException {
        Connection c = connect(url, "10000");
        try {
            version(c);
            return c;
        } catch (SQLException e) {
            c.close();
            throw e;
        }
    }

    /** Deletes a copy that was made for reading. */
    static void drop(@Nullable Path copy) {
        if (copy == null) {
            return;
        }
        try (Stream<Path> files = Files.walk(copy)) {
            for (Path p : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException ignored) {
            // it lies in the system's folder for such files, which is emptied by the system
        }
    }

    static Connection connect(String url, String timeoutMs) throws SQLException {
        Properties p = new Properties();
        p.setProperty("busy_timeout", timeoutMs);
        // not by the driver manager, which would load every driver there is
        Connection c = new JDBC().connect(url, p);
        if (c == null) {
            throw new SQLException("not an address of SQLite");
        }
        return c;
    }

    /** A file's address for SQLite; as an address, because a path may hold a question mark. */
    static String url(Path file, String query) {
        return "jdbc:sqlite:" + file.toAbsolutePath().toUri().toString().replaceFirst("^file:/+", "file:///") + query;
    }

    /** Refuses what is plainly no whole library, before SQLite could take it for an empty one. */
    private static void examine(Path file, Backups backups) throws LibraryException {
        if (!Files.isRegularFile(file)) {
            throw new LibraryException(
                    StoreWords.of(Files.isDirectory(file) ? "file.folder-not" : "file.device-not", file));
        }
        try {
            long size = Files.size(file);
            String fault = fault(file);
            boolean journal = Files.exists(file.resolveSibling(file.getFileName() + "-wal"));
            if (fault != null && !(journal && size >= HEADER_BYTES && !fault.equals(StoreWords.of("fault.head")))) {
                throw damaged(file, backups, new SQLException(fault));
            }
        } catch (IOException e) {
            throw new LibraryException(StoreWords.of("file.permissions", file, reason(e)), e);
        }
    }

    /** What is plainly wrong with a file's length or beginning; null when nothing is. */
    static @Nullable String fault(Path file) throws IOException {
        long size = Files.size(file);
        if (size < HEADER_BYTES) {
            return size == 0 ? StoreWords.of("fault.empty") : StoreWords.of("fault.short", Long.toString(size));
        }
        ByteBuffer head = ByteBuffer.allocate(HEADER_BYTES);
        try (SeekableByteChannel in = Files.newByteChannel(file)) {
            while (head.hasRemaining() && in.read(head) >= 0) {
                // reads on
            }
        }
        for (int i = 0; i < HEAD.length; i++) {
            if (head.get(i) != HEAD[i]) {
                return StoreWords.of("fault.head");
            }
        }
        int page = head.getShort(16) & 0xffff;
        long whole = (page == 1 ? 65536L : page) * (head.getInt(28) & 0xffffffffL);
        return size < whole ? StoreWords.of("fault.cut", Long.toString(size), Long.toString(whole)) : null;
    }

    /** How many names the file has in its file system; 1 where that cannot be told. */
    private static int names(Path file) {
        try {
            return ((Number) Files.getAttribute(file, "unix:nlink")).intValue();
        } catch (IOException | UnsupportedOperationException | IllegalArgumentException e) {
            return 1;
        }
    }

    /** A new library comes into being whole, under another name first: a file of no bytes is never ours. */
    private static void make(Path file) throws LibraryException {
        Path part = file.resolveSibling(file.getFileName() + ".new");
        try {
            clear(part);
            OwnerOnly.create(part);
            try (Connection c = connect(url(part, ""), "3000")) {
                migrate(c, url(part, ""), 0);
            }
            WholeFile.sync(part);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            WholeFile.syncFolder(file);
        } catch (SQLException | FlywayException | IOException e) {
            throw new LibraryException(StoreWords.of("file.unmade", file, reason(e)), e);
        } finally {
            clear(part);
        }
    }

    /** Deletes a file of SQLite's and what it may have left beside it. */
    static void clear(Path file) {
        for (String ending : List.of("", "-wal", "-shm", "-journal")) {
            try {
                Files.deleteIfExists(file.resolveSibling(file.getFileName() + ending));
            } catch (IOException ignored) {
                // the next try will say so
            }
        }
    }

    private static void prepare(Connection c, Path file, Backups backups) throws SQLException, LibraryException {
        int version = version(c);
        if (version > VERSION) {
            throw new LibraryException(
                    LibraryException.Kind.NEWER, StoreWords.of("file.newer", file, version, VERSION), null);
        }
        try (Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = WAL");
            s.execute("PRAGMA synchronous = FULL");
            // what is deleted is overwritten where it stood
            s.execute("PRAGMA secure_delete = ON");
        }
        if (version < VERSION) {
            backups.beforeChange(c);
            migrate(c, url(file, ""), version);
        }
    }

    private static void migrate(Connection c, String url, int version) throws SQLException {
        Flyway.configure()
                .dataSource(url, null, null)
                .locations("classpath:farglass/store/migration")
                // a library that lost Flyway's own table still says by its version what it has
                .loggers("slf4j")
                .baselineOnMigrate(version > 0)
                .baselineVersion(Integer.toString(Math.max(1, version)))
                .load()
                .migrate();
        try (Statement s = c.createStatement()) {
            s.execute("PRAGMA user_version = " + VERSION);
        }
    }

    static int version(Connection c) throws SQLException {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("PRAGMA user_version")) {
            return r.next() ? r.getInt(1) : 0;
        }
    }

    /** A library that cannot be read, with the way out. */
    static LibraryException damaged(Path file, Backups backups, Exception e) {
        String way =
                backups.newest().map(b -> StoreWords.of("file.way", b.date())).orElse(StoreWords.of("file.no-way"));
        return new LibraryException(
                LibraryException.Kind.DAMAGED, StoreWords.of("file.unopened", file, reason(e), way), e);
    }

    /** A failure in plain words, without the codes of the database. */
    static String reason(Exception e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof org.sqlite.SQLiteException s) {
                return switch (s.getResultCode().code & 0xff) {
                    case 5, 6 -> StoreWords.of("reason.held");
                    case 8 -> StoreWords.of("reason.unwritable");
                    case 10 -> StoreWords.of("reason.disk");
                    case 11 -> StoreWords.of("reason.damaged");
                    case 13 -> StoreWords.of("reason.full");
                    case 14 -> StoreWords.of("reason.unopened");
                    case 23 -> StoreWords.of("reason.denied");
                    case 26 -> StoreWords.of("reason.no-library");
                    default -> StoreWords.of("reason.refused");
                };
            }
        }
        if (e instanceof FlywayException) {
            return StoreWords.of("reason.form");
        }
        if (e instanceof java.nio.file.AccessDeniedException) {
            return StoreWords.of("reason.denied");
        }
        if (e instanceof java.nio.file.NoSuchFileException) {
            return StoreWords.of("reason.missing");
        }
        if (e instanceof java.nio.file.FileSystemException f && f.getReason() != null) {
            return f.getReason();
        }
        return String.valueOf(e.getMessage()).lines().findFirst().orElse("");
    }
}
