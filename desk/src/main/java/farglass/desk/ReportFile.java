package farglass.desk;

import farglass.store.Verification;
import farglass.store.WholeFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;

/** A file to send when something went wrong: versions, sizes and the log; no names, no tags, no film. */
final class ReportFile {
    private static final int MOST_BYTES = 1024 * 1024;

    private ReportFile() {}

    /**
     * @param home where the log lies
     * @param library what a look through the library found, or null
     */
    static void write(Path target, Path home, Verification library) throws IOException {
        StringBuilder out = new StringBuilder("Far Glass report, ")
                .append(Instant.now().truncatedTo(ChronoUnit.SECONDS))
                .append("\n\n");
        for (String name : List.of(
                "java.version", "java.vendor", "javafx.version", "os.name", "os.version", "os.arch", "file.encoding")) {
            out.append(name).append(": ").append(System.getProperty(name)).append('\n');
        }
        Runtime r = Runtime.getRuntime();
        out.append("cores: ").append(r.availableProcessors()).append('\n');
        out.append("memory: ")
                .append(r.totalMemory() >> 20)
                .append(" of ")
                .append(r.maxMemory() >> 20)
                .append(" MB\n");
        if (library != null) {
            out.append("library: version ").append(library.version());
            out.append(", rows ").append(new TreeMap<>(library.counts()));
            // a fault names what it is about
            out.append(", faults ").append(library.faults().size()).append('\n');
        }
        out.append("\nLog, the newest last\n\n");
        for (Path log : logs(LogFile.folder(home))) {
            out.append(Files.readString(log));
        }
        String text = out.length() > MOST_BYTES
                ? out.substring(0, 2000) + "\n...\n" + out.substring(out.length() - MOST_BYTES)
                : out.toString();
        WholeFile.write(target, text);
    }

    private static List<Path> logs(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(p -> p.getFileName().toString().matches("farglass\\.\\d+\\.log"))
                    .sorted(java.util.Comparator.reverseOrder())
                    .toList();
        }
    }
}
