package farglass.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.List;
import java.util.Properties;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;

/** Opens, locks, migrates and backs up the file of a library. */
final class LibraryFile {
    /** Version of the newest migration; also kept in the file's {@code user_version}. */
    static final int VERSION = 2;

    private static final int BACKUPS = 7;

    private LibraryFile() {}

    /** A lock file beside the library, held while it is open. */
    record Lock(FileChannel channel, FileLock lock) implements AutoCloseable {
        static Lock take(Path library) throws LibraryException {
            Path file = library.resolveSibling(library.getFileName() + ".lock");
            FileChannel channel = null;
            try {
                channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock();
                if (lock != null) {
                    return new Lock(channel, lock);
                }
                channel.close();
            } catch (OverlappingFileLockException e) {
                closeQuietly(channel);
            } catch (IOException e) {
                closeQuietly(channel);
                throw new LibraryException(
                        "The library " + library + " cannot be written: its folder is read-only or gone."
                                + " Nothing was changed. Move it to a folder you may write to.",
                        e);
            }
            throw new LibraryException("The library " + library + " is open in another window or program."
                    + " Nothing was changed. Close it there first.");
        }

        private static void closeQuietly(FileChannel channel) {
            try {
                if (channel != null) {
                    channel.close();
                }
            } catch (IOException ignored) {
                // the lock was not taken, there is nothing left to lose
            }
        }

        @Override
        public void close() {
            try {
                lock.release();
                channel.close();
            } catch (IOException ignored) {
                // the operating system frees the lock with the process
            }
        }
    }

    static Connection connect(Path file) throws LibraryException {
        if (Files.exists(file) && !Files.isWritable(file)) {
            throw new LibraryException("The library " + file + " is read-only. Nothing was changed."
                    + " Make it writable, or copy it elsewhere and open the copy.");
        }
        String url = "jdbc:sqlite:" + file.toAbsolutePath();
        try {
            Connection c = DriverManager.getConnection(url, new Properties());
            try {
                prepare(c, file, url);
                return c;
            } catch (SQLException | LibraryException | FlywayException e) {
                c.close();
                throw e;
            }
        } catch (SQLException | FlywayException e) {
            throw new LibraryException(
                    "The file " + file + " cannot be opened as a library (" + firstLine(e)
                            + "). It was left as it is. If it was a library, the newest backup lies in "
                            + backupFolder(file) + ".",
                    e);
        }
    }

    private static void prepare(Connection c, Path file, String url) throws SQLException, LibraryException {
        int version = version(c);
        if (version > VERSION) {
            throw new LibraryException("The library " + file + " was written by a newer Far Glass (format " + version
                    + ", this one knows " + VERSION + "). It was left as it is. Open it with the newer program.");
        }
        try (Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = WAL");
            s.execute("PRAGMA synchronous = FULL");
            s.execute("PRAGMA busy_timeout = 3000");
        }
        if (version < VERSION) {
            Flyway.configure()
                    .dataSource(url, null, null)
                    .locations("classpath:farglass/store/migration")
                    // a library that lost Flyway's own table still says by its version what it has
                    .baselineOnMigrate(version > 0)
                    .baselineVersion(Integer.toString(Math.max(1, version)))
                    .load()
                    .migrate();
            try (Statement s = c.createStatement()) {
                s.execute("PRAGMA user_version = " + VERSION);
            }
        }
    }

    private static int version(Connection c) throws SQLException {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("PRAGMA user_version")) {
            return r.next() ? r.getInt(1) : 0;
        }
    }

    private static String firstLine(Exception e) {
        String message = String.valueOf(e.getMessage());
        return message.lines().findFirst().orElse(message);
    }

    private static Path backupFolder(Path file) {
        return file.toAbsolutePath().resolveSibling("backups");
    }

    /** The copies of a library that are there, oldest first. */
    static List<Path> backups(Path file) {
        Path folder = backupFolder(file);
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(p -> p.getFileName().toString().startsWith(file.getFileName() + "."))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** One backup a day, the last seven kept. Called before the first write of a session. */
    static void backUp(Connection c, Path file, LocalDate today) throws SQLException, IOException {
        Path folder = backupFolder(file);
        String stem = file.getFileName().toString();
        Path target = folder.resolve(stem + "." + today + ".bak");
        if (Files.exists(target)) {
            return;
        }
        Files.createDirectories(folder);
        try (var s = c.prepareStatement("VACUUM INTO ?")) {
            s.setString(1, target.toString());
            s.execute();
        }
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> old = files.filter(p -> p.getFileName().toString().startsWith(stem + "."))
                    .sorted()
                    .toList();
            for (int i = 0; i < old.size() - BACKUPS; i++) {
                Files.deleteIfExists(old.get(i));
            }
        }
    }
}
