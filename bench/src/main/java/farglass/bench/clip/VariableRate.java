package farglass.bench.clip;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.bytedeco.javacpp.Loader;

/** The moments of a film whose pictures come now faster, now slower, as phones write them. */
final class VariableRate {
    /** How far a picture is moved at most, in seconds, and after how many seconds it begins anew: 31 % either way. */
    private static final double MOVED_S = 0.4;

    private static final double EVERY_S = 8;

    private VariableRate() {}

    /** @param ms moment at an even rate */
    static long moved(double ms) {
        return Math.round(ms + 1000 * MOVED_S * Math.sin(2 * Math.PI * ms / 1000 / EVERY_S));
    }

    /** Gives the pictures of an even film the moments of {@link #moved}, without coding them anew. */
    static void spread(Path film) throws IOException {
        String moments = String.format(Locale.ROOT, "setts=ts=TS+%f/TB*sin(2*PI*TS*TB/%f)", MOVED_S, EVERY_S);
        Path spread = film.resolveSibling(film.getFileName() + ".spread.mp4");
        for (String program : List.of(Loader.load(org.bytedeco.ffmpeg.ffmpeg.class), "ffmpeg")) {
            if (run(
                    program,
                    "-y",
                    "-v",
                    "error",
                    "-i",
                    film.toString(),
                    "-c",
                    "copy",
                    "-bsf:v",
                    moments,
                    spread.toString())) {
                Files.move(spread, film, StandardCopyOption.REPLACE_EXISTING);
                return;
            }
        }
        throw new IOException("No FFmpeg could give " + film + " its moments.");
    }

    private static boolean run(String program, String... options) throws IOException {
        List<String> command = new ArrayList<>(List.of(program));
        command.addAll(List.of(options));
        try {
            return new ProcessBuilder(command).inheritIO().start().waitFor() == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } catch (IOException absent) {
            return false;
        }
    }
}
