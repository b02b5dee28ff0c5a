package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.store.Library;
import farglass.tendency.Filter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.CompletableFuture;

/**
 * Profiles from a library on disk, each time opened, read and indexed anew; prints the milliseconds of each as soon as
 * it is there, and at the end the highest memory of the process in MB.
 */
final class ColdProfile {
    private ColdProfile() {}

    /** @param args the library, and how often */
    public static void main(String[] args) throws Exception {
        for (int i = 0; i < Integer.parseInt(args[1]); i++) {
            long from = System.nanoTime();
            CompletableFuture<Lexicon> lexicon = CompletableFuture.supplyAsync(Lexicon::builtIn);
            try (Library library = Library.open(Path.of(args[0]), Clock.systemUTC())) {
                List<MatchRecord> records = library.matches();
                Profile p = Profile.of(records, BigLibrary.STUDIED, Filter.ALL, lexicon.join(), 1);
                if (p.claims().isEmpty()) {
                    throw new IllegalStateException("a profile without a claim");
                }
            }
            System.out.println((System.nanoTime() - from) / 1_000_000);
        }
        System.out.println(highestMb());
    }

    private static long highestMb() throws Exception {
        return Files.readAllLines(Path.of("/proc/self/status")).stream()
                .filter(l -> l.startsWith("VmHWM"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D+", "")) / 1024)
                .findFirst()
                .orElse(0);
    }
}
