package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.profile.Profile;
import farglass.store.Library;
import farglass.tendency.Filter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;

/** A profile from a library on disk; prints the milliseconds since the process began, and its highest memory in MB. */
final class ColdProfile {
    private ColdProfile() {}

    public static void main(String[] args) throws Exception {
        Instant began = ProcessHandle.current().info().startInstant().orElseGet(Instant::now);
        try (Library library = Library.open(Path.of(args[0]), Clock.systemUTC())) {
            List<MatchRecord> records = library.matches();
            Profile p = Profile.of(records, BigLibrary.STUDIED, Filter.ALL, Lexicon.builtIn(), 1);
            if (p.claims().isEmpty()) {
                throw new IllegalStateException("a profile without a claim");
            }
            long ms = Instant.now().toEpochMilli() - began.toEpochMilli();
            System.out.println(ms + " " + highestMb());
        }
    }

    private static long highestMb() throws Exception {
        return Files.readAllLines(Path.of("/proc/self/status")).stream()
                .filter(l -> l.startsWith("VmHWM"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D+", "")) / 1024)
                .findFirst()
                .orElse(0);
    }
}
