package farglass.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Options of the virtual machine with which the window is started. */
final class WindowOptions {
    private static final String NAME = "window ";

    private WindowOptions() {}

    /** As the launcher reads them, from the folder it stands in. */
    static List<String> read() throws IOException {
        return Files.readAllLines(Path.of("jvm.options")).stream()
                .filter(l -> l.startsWith(NAME))
                .flatMap(l -> List.of(l.substring(NAME.length()).strip().split(" +")).stream())
                .toList();
    }
}
