package farglass.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import org.jspecify.annotations.Nullable;

/**
 * Who may write a library: whoever holds the lock on the file beside it. The library is named by its real path, so that
 * links lead to the same lock. The library's own file cannot carry the lock: the system drops such a lock when any
 * other reader in the process closes the file, SQLite's own locks along with it.
 */
final class LibraryLock implements AutoCloseable {
    private final Path file;
    private final Object key;
    private final FileChannel channel;
    private final FileLock lock;

    private LibraryLock(Path file, FileChannel channel, FileLock lock) throws IOException {
        this.file = file;
        this.channel = channel;
        this.lock = lock;
        this.key = key(file);
    }

    /** @param library its real path */
    static LibraryLock take(Path library) throws LibraryException {
        Path file = library.resolveSibling(library.getFileName() + ".lock");
        FileChannel channel = null;
        try {
            channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            OwnerOnly.file(file);
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return new LibraryLock(file, channel, lock);
            }
            channel.close();
        } catch (OverlappingFileLockException e) {
            closeQuietly(channel);
        } catch (IOException e) {
            closeQuietly(channel);
            throw new LibraryException(LibraryException.Kind.READ_ONLY, StoreWords.of("lock.unwritable", library), e);
        }
        throw new LibraryException(LibraryException.Kind.IN_USE, StoreWords.of("lock.in-use", library), null);
    }

    /** Whether the file that carries the lock is still the one others would ask for. */
    boolean stands() {
        try {
            return key(file).equals(key);
        } catch (IOException e) {
            return false;
        }
    }

    private static Object key(Path file) throws IOException {
        BasicFileAttributes a = Files.readAttributes(file, BasicFileAttributes.class);
        return a.fileKey() == null ? file : a.fileKey();
    }

    private static void closeQuietly(@Nullable FileChannel channel) {
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
