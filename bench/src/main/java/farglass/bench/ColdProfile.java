package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.profile.Profile;
import farglass.store.Library;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.work.session.LibraryContent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.ForkJoinPool;

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
            ForkJoinPool.commonPool().execute(Lexicon::builtIn);
            try (Library library = Library.read(Path.of(args[0]), Clock.systemUTC())) {
                LibraryContent content = LibraryContent.of(library);
                LibraryIndex index = LibraryIndex.of(content.matches(), Lexicon.builtIn(), content.counts());
                Profile p = Profile.of(index, BigLibrary.STUDIED, Filter.ALL, 1);
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
