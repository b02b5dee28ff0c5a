package farglass.desk.shell;

import java.io.IOException;
import java.nio.file.Path;

/** Writes one file in the background and tells in a notice how it went. */
public final class FileWriting {
    private FileWriting() {}

    /** What writes the file. */
    public interface Work {
        void to(Path path) throws IOException;
    }

    public static void write(Desk desk, Path path, Work work) {
        desk.background()
                .compute(
                        "export",
                        () -> {
                            work.to(path);
                            return path;
                        },
                        done -> desk.notices().done(Words.of("export.done", done)),
                        e -> desk.notices().problem(Words.of("export.failed", path, e.getMessage())));
    }
}
