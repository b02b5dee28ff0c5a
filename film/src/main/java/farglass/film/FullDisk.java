package farglass.film;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Says in plain words why a file could not be written. */
public final class FullDisk {
    /** With less room than this nothing of use can be written. */
    private static final long LITTLE_BYTES = 256 * 1024;

    private FullDisk() {}

    /** The disk being full when it is, else what the exception says. */
    public static String reason(Path target, IOException e) {
        try {
            Path place = target.toAbsolutePath();
            while (place != null && !Files.exists(place)) {
                place = place.getParent();
            }
            // FFmpeg says -28 where the system says ENOSPC
            boolean full = (place != null && Files.getFileStore(place).getUsableSpace() < LITTLE_BYTES)
                    || String.valueOf(e.getMessage()).contains("error -28");
            return full ? FilmWords.of("disk.full") : String.valueOf(e.getMessage());
        } catch (IOException unknown) {
            return String.valueOf(e.getMessage());
        }
    }
}
