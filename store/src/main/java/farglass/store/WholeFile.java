package farglass.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** A file that is there whole or not at all: written beside its target, brought to the disk, then moved into place. */
public final class WholeFile {
    private WholeFile() {}

    /** What writes the content to the path it is given. */
    public interface Content {
        void to(Path part) throws IOException;
    }

    /** Writes a text as UTF-8. */
    public static void write(Path target, String text) throws IOException {
        write(target, part -> Files.write(part, text.getBytes(StandardCharsets.UTF_8)));
    }

    /** Nothing is left behind when the content cannot be written. */
    public static void write(Path target, Content content) throws IOException {
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            content.to(part);
            sync(part);
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
            syncFolder(target);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** Brings a file's content to the disk. */
    static void sync(Path file) throws IOException {
        try (FileChannel c = FileChannel.open(file, StandardOpenOption.WRITE)) {
            c.force(true);
        }
    }

    /** Brings a file's name to the disk; systems that cannot are left to do it in their own time. */
    static void syncFolder(Path file) {
        try (FileChannel c = FileChannel.open(file.toAbsolutePath().getParent(), StandardOpenOption.READ)) {
            c.force(true);
        } catch (IOException ignored) {
            // not every system opens a folder
        }
    }
}
