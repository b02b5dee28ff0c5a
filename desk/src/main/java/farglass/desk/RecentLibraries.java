package farglass.desk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Which libraries were open last on this machine, the newest first; a line each in a file of the user's own. */
public final class RecentLibraries {
    private static final Logger LOG = LoggerFactory.getLogger(RecentLibraries.class);
    private static final int MOST = 8;

    private final Path file;

    /** @param home the folder of the program's own files */
    public RecentLibraries(Path home) {
        this.file = home.resolve("recent-libraries.txt");
    }

    /** Those that are still there. */
    public List<Path> all() {
        List<Path> found = new ArrayList<>();
        try {
            for (String line : Files.exists(file) ? Files.readAllLines(file) : List.<String>of()) {
                Path library = Path.of(line.strip());
                if (!line.isBlank() && Files.isRegularFile(library)) {
                    found.add(library);
                }
            }
        } catch (IOException | InvalidPathException e) {
            // a list of conveniences is no reason to stop
            LOG.warn("recent libraries cannot be read: {}", e.toString());
        }
        return found;
    }

    /** This one is open now. */
    public void opened(Path library) {
        List<Path> next = new ArrayList<>(all());
        next.remove(library);
        next.add(0, library);
        Path part = file.resolveSibling(file.getFileName() + ".part");
        try {
            Files.createDirectories(file.getParent());
            Files.write(part, next.stream().limit(MOST).map(Path::toString).toList());
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            LOG.warn("recent libraries cannot be written: {}", e.toString());
        }
    }
}
