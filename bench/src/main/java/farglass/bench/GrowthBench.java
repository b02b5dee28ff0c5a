package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.store.Library;
import farglass.work.session.Upkeep;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * What the same athlete's profile costs as the library around him grows: a process is started, opens the library, makes
 * the whole profile of 60 matches and ends.
 */
final class GrowthBench {
    private static final int STUDIED = 60;
    private static final int PIECE = 500;
    /** Matches of every other athlete, as in a library of a team that follows a division. */
    private static final int EACH = 16;

    private static final int ROUNDS = 5;

    private GrowthBench() {}

    /** @param sizes numbers of matches, the first the smallest */
    static void run(Path folder, int[] sizes) throws Exception {
        double least = 0;
        Path classes = folder.resolve("classes.jsa");
        for (int size : sizes) {
            Path file = folder.resolve("growth-" + size + ".farglass");
            made(file, size);
            if (!Files.exists(classes)) {
                started(file, "-XX:ArchiveClassesAtExit=" + classes);
            }
            double[] ms = new double[ROUNDS];
            long memory = 0;
            for (int i = 0; i < ROUNDS; i++) {
                double[] told = started(file, "-XX:SharedArchiveFile=" + classes);
                ms[i] = told[0];
                memory = Math.max(memory, (long) told[1]);
            }
            Arrays.sort(ms);
            double median = ms[ROUNDS / 2];
            least = least == 0 ? median : least;
            System.out.printf(
                    Locale.ROOT,
                    "  %6d matches, %4d MB: profile from the start of a process %6.0f ms (%.0f to %.0f), %.2f of the"
                            + " smallest library's (limit 1.5), %d MB of memory%n",
                    size,
                    Files.size(file) / 1_000_000,
                    median,
                    ms[0],
                    ms[ROUNDS - 1],
                    median / least,
                    memory);
        }
    }

    private static void made(Path file, int size) throws Exception {
        BigLibrary big = new BigLibrary(Lexicon.builtIn(), Math.max(20, size / EACH));
        try (Library library = Library.open(file, Clock.systemUTC())) {
            for (int from = 0; from < size; from += PIECE) {
                library.addAll(big.part(from, Math.min(size, from + PIECE), size, STUDIED));
            }
            long from = System.nanoTime();
            Upkeep.now(library);
            System.out.printf(
                    Locale.ROOT,
                    "  %6d matches: heads and counts made in %.1f s%n",
                    size,
                    (System.nanoTime() - from) / 1e9);
        }
    }

    /** Milliseconds to the profile since the process was started, and its memory in MB. */
    private static double[] started(Path file, String archive) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "java",
                "-Xmx1g",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                archive,
                "-Xlog:cds=off",
                "-Xlog:cds+dynamic=off",
                "-cp",
                System.getProperty("java.class.path"),
                ColdProfile.class.getName(),
                file.toString(),
                "1"));
        long from = System.nanoTime();
        Process p = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        double ms = 0;
        List<String> said = new ArrayList<>();
        try (BufferedReader out = p.inputReader()) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                ms = said.isEmpty() ? (System.nanoTime() - from) / 1e6 : ms;
                said.add(line);
            }
        }
        if (p.waitFor() != 0 || said.size() != 2) {
            throw new IOException("the process that opens the library failed");
        }
        return new double[] {ms, Double.parseDouble(said.get(1))};
    }
}
