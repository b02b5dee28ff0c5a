package farglass.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** A text file that is there whole or not at all: written beside its target, then moved into place. */
public final class WholeFile {
    private WholeFile() {}

    public static void write(Path target, String text) throws IOException {
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            Files.writeString(part, text);
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
