package farglass.store;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import org.jspecify.annotations.Nullable;

/**
 * Files and folders that nobody but their owner may read: what is studied about people is nobody else's business. On
 * systems without such permissions the folder of the user keeps others out.
 */
final class OwnerOnly {
    private static final String FILE = "rw-------";
    private static final String FOLDER = "rwx------";

    private OwnerOnly() {}

    /** An empty file; one that is there already is emptied of other readers only. */
    static void create(Path file) throws IOException {
        try {
            Files.createFile(file, attributes(file, FILE));
        } catch (FileAlreadyExistsException e) {
            file(file);
        }
    }

    /** A folder with those above it that are missing; those that are there stay as they are. */
    static void folder(Path folder) throws IOException {
        Files.createDirectories(folder, attributes(folder, FOLDER));
    }

    /** The folder that a file is to lie in, likewise. */
    static void folderOf(Path file) throws IOException {
        Path folder = file.toAbsolutePath().getParent();
        if (folder != null) {
            folder(folder);
        }
    }

    /** Takes a file, and what SQLite keeps beside it, from all readers but its owner; others change nothing. */
    static void file(Path file) {
        for (String ending : new String[] {"", "-wal", "-shm"}) {
            Path p = file.resolveSibling(file.getFileName() + ending);
            PosixFileAttributeView view = Files.getFileAttributeView(p, PosixFileAttributeView.class);
            if (view != null && Files.exists(p)) {
                try {
                    view.setPermissions(PosixFilePermissions.fromString(FILE));
                } catch (IOException ignored) {
                    // a library of somebody else, whose permissions are his
                }
            }
        }
    }

    private static FileAttribute<?>[] attributes(Path file, String permissions) {
        return posix(file)
                ? new FileAttribute<?>[] {
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString(permissions))
                }
                : new FileAttribute<?>[0];
    }

    /** Whether the file system of the nearest folder that is there knows owners. */
    private static boolean posix(Path file) {
        for (@Nullable Path p = file.toAbsolutePath(); p != null; p = p.getParent()) {
            if (Files.exists(p)) {
                return Files.getFileAttributeView(p, PosixFileAttributeView.class) != null;
            }
        }
        return false;
    }
}
