package farglass.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Watches that the file a library was opened from is still the one that lies there, and not shorter. What is written to
 * a file that was deleted or replaced is gone with the program; while it is open, its content can still be copied out.
 */
final class OpenFile {
    private final Path file;
    private final Object key;
    private final LibraryLock lock;
    private final Backups backups;
    private long bytes;
    /** Why nothing can be written any more; null while all is well. */
    private @Nullable String lost;

    OpenFile(Path file, LibraryLock lock, Backups backups) throws IOException {
        this.file = file;
        this.lock = lock;
        this.backups = backups;
        BasicFileAttributes a = attributes();
        this.key = a.fileKey();
        this.bytes = a.size();
    }

    private BasicFileAttributes attributes() throws IOException {
        return Files.readAttributes(file, BasicFileAttributes.class);
    }

    /** The file may have become smaller by what we did. */
    void resized() {
        try {
            bytes = Files.size(file);
        } catch (IOException e) {
            // told at the next check
        }
    }

    private Optional<String> change() {
        try {
            BasicFileAttributes a = attributes();
            if (key != null && !key.equals(a.fileKey())) {
                return Optional.of(StoreWords.of("open.replaced"));
            }
            if (a.size() < bytes) {
                return Optional.of(StoreWords.of("open.cut"));
            }
            bytes = a.size();
            return lock.stands() ? Optional.empty() : Optional.of(StoreWords.of("open.lock"));
        } catch (IOException e) {
            return Optional.of(StoreWords.of("open.gone"));
        }
    }

    /**
     * Looks whether the file is what it was; when it is not, what is confirmed is copied out to beside the backups.
     *
     * @throws LibraryException when it is not, now or at an earlier look
     */
    void check(Connection c) throws LibraryException {
        if (lost == null) {
            Optional<String> change = change();
            if (change.isEmpty()) {
                return;
            }
            lost = StoreWords.of("open.lost", file, change.get(), rescued(c));
        }
        throw new LibraryException(LibraryException.Kind.DAMAGED, lost, null);
    }

    private String rescued(Connection c) {
        Path target = backups.aside("rescued");
        try {
            Backups.copy(c, target);
            return StoreWords.of("open.rescued", target);
        } catch (SQLException | IOException e) {
            return StoreWords.of("open.unrescued", LibraryFile.reason(e));
        }
    }
}
