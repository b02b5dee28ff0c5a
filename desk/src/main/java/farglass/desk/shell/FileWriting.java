package farglass.desk.shell;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;

/** Writes one file in the background and tells in a notice how it went. */
public final class FileWriting {
    private FileWriting() {}

    /** What writes the file. */
    public interface Work {
        void to(Path path) throws IOException;
    }

    /** @param athletes ids of those the file tells of; empty for everybody */
    public static void write(Desk desk, Path path, Set<String> athletes, Work work) {
        desk.tasks()
                .command(
                        Words.of("export.name", path.getFileName()),
                        () -> {
                            work.to(path);
                            return path;
                        },
                        done -> {
                            desk.exported(athletes, done);
                            desk.notices().done(Words.of("export.done", done));
                        },
                        e -> desk.notices().problem(Words.of("export.failed", path, e.getMessage())));
    }
}
