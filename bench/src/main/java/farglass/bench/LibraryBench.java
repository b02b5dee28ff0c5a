package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.store.Library;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.work.session.Upkeep;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.UnaryOperator;

/**
 * Profiles from a library of 2,000 matches with 300,000 tags: warm, cold from disk in a process of its own, after one
 * tag has changed, and how the cost grows.
 */
final class LibraryBench {
    private static final int MATCHES = 2000;
    private static final int ROUNDS = 9;
    /** Rounds before, in which the machine's compiler does its work. */
    private static final int WARMING = 25;

    private static final double WARM_MS = 400;
    private static final double COLD_MS = 3000;
    private static final double CHANGED_MS = 100;
    private static final int MEMORY_MB = 1024;
    /** How often a process opens the library. */
    private static final int OPENED = 10;
    /** How often a process is started for it. */
    private static final int STARTED = 5;

    private static final int[] SIZES = {20, 63, 200, 632, 2000};
    /** The studied athlete's share of the matches when the growth is measured. */
    private static final double SHARE = 0.3;

    private final Lexicon lexicon = Lexicon.builtIn();

    void run(Path folder) throws Exception {
        for (int studied : new int[] {60, 120}) {
            List<MatchRecord> records = new BigLibrary(lexicon).of(MATCHES, studied);
            long tags = records.stream().mapToLong(r -> r.tags().size()).sum();
            System.out.printf(
                    Locale.ROOT,
                    "LibraryBench: %d tags in %d matches, %d of them the athlete's%n",
                    tags,
                    MATCHES,
                    studied);
            warm(records);
            changed("how a try ended", records, LibraryBench::turned);
            changed("who tried it", records, LibraryBench::swapped);
            cold(folder.resolve("big-" + studied + ".farglass"), records);
        }
        growth();
    }

    private static double median(int rounds, Callable<?> work) throws Exception {
        double[] ms = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            long from = System.nanoTime();
            work.call();
            ms[i] = (System.nanoTime() - from) / 1e6;
        }
        Arrays.sort(ms);
        return ms[rounds / 2];
    }

    private static void line(String what, double ms, double limit) {
        System.out.printf(Locale.ROOT, "  %-46s %9.1f ms  limit %.0f ms: %.2f%n", what, ms, limit, ms / limit);
    }

    private void warm(List<MatchRecord> records) throws Exception {
        LibraryIndex index = LibraryIndex.of(records, lexicon);
        // another seed each time, or the chains would be known from the time before
        long[] seed = {1};
        Callable<Profile> work = () -> Profile.of(index, BigLibrary.STUDIED, Filter.ALL, seed[0]++);
        median(WARMING, work);
        line("whole profile, warm", median(ROUNDS, work), WARM_MS);
    }

    /**
     * One tag of the athlete's match changes; every page is made right again.
     *
     * @param change of the tag, which turns it back when it is done again
     */
    private void changed(String what, List<MatchRecord> records, UnaryOperator<Tag.Action> change) throws Exception {
        LibraryIndex[] index = {LibraryIndex.of(records, lexicon)};
        List<MatchRecord> now = new ArrayList<>(records);
        int at = 0;
        while (!now.get(at).details().a().id().equals(BigLibrary.STUDIED) || tryIn(now.get(at)) < 0) {
            at++;
        }
        int match = at;
        double worst = 0;
        Question slowest = null;
        double sum = 0;
        for (Question q : Question.values()) {
            Callable<Object> work = () -> {
                now.set(match, changed(now.get(match), change));
                index[0] = index[0].with(now);
                return Profile.page(index[0], BigLibrary.STUDIED, Filter.ALL, 1, q);
            };
            median(WARMING, work);
            double ms = median(ROUNDS, work);
            sum += ms;
            if (ms > worst) {
                worst = ms;
                slowest = q;
            }
        }
        line("a page after a change of " + what + ", mean", sum / Question.values().length, CHANGED_MS);
        line("  the slowest of them, " + slowest, worst, CHANGED_MS);
    }

    private static int tryIn(MatchRecord r) {
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a && a.outcome() != null) {
                return i;
            }
        }
        return -1;
    }

    private static MatchRecord changed(MatchRecord r, UnaryOperator<Tag.Action> change) {
        int i = tryIn(r);
        List<Tag> tags = new ArrayList<>(r.tags());
        tags.set(i, change.apply((Tag.Action) tags.get(i)));
        return r.withTags(tags);
    }

    /** From failed to completed and back. */
    private static Tag.Action turned(Tag.Action a) {
        return a.result(a.completed() ? Outcome.STUFFED : Outcome.COMPLETED, 1, a.to(), a.until());
    }

    /** What follows what is another row then. */
    private static Tag.Action swapped(Tag.Action a) {
        return Tag.Action.of(a.t(), a.by().other(), a.technique()).result(a.outcome(), 1, a.to(), a.until());
    }

    /**
     * From disk: by a program that runs and opens the library anew, and from the start of a process as a command is
     * run.
     */
    private void cold(Path file, List<MatchRecord> records) throws Exception {
        try (Library library = Library.open(file, Clock.systemUTC())) {
            library.addAll(records);
            Upkeep.now(library);
        }
        Opened running = opened(file, OPENED, "-XX:+UseParallelGC");
        double[] later = running.ms().stream()
                .skip(OPENED / 2)
                .mapToDouble(x -> x)
                .sorted()
                .toArray();
        line("read from disk, running program, whole profile", later[later.length / 2], COLD_MS);
        Path classes = file.resolveSibling(file.getFileName() + ".jsa");
        opened(file, 1, command("-XX:ArchiveClassesAtExit=" + classes));
        double[] starts = new double[STARTED];
        Opened started = null;
        for (int i = 0; i < STARTED; i++) {
            started = opened(file, 1, command("-XX:SharedArchiveFile=" + classes));
            starts[i] = started.sinceStartMs();
        }
        Arrays.sort(starts);
        line("the same from the start of a process", starts[STARTED / 2], COLD_MS);
        long memory = Math.max(running.highestMb(), started.highestMb());
        System.out.printf(
                Locale.ROOT,
                "  %-46s %9d MB  limit %d MB: %.2f%n",
                "  memory of these processes at their highest",
                memory,
                MEMORY_MB,
                memory / (double) MEMORY_MB);
    }

    /** Options of the launcher's commands, which leave an archive of loaded classes the first time and use it later. */
    private static String[] command(String archive) {
        return new String[] {
            "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", archive, "-Xlog:cds=off", "-Xlog:cds+dynamic=off"
        };
    }

    /**
     * What a process that opens a library says.
     *
     * @param sinceStartMs from its start to its first profile
     * @param ms of every profile, the opening with it
     */
    private record Opened(double sinceStartMs, List<Long> ms, long highestMb) {}

    private static Opened opened(Path file, int times, String... options) throws Exception {
        List<String> command = new ArrayList<>(List.of("java", "-Xmx" + MEMORY_MB + "m"));
        command.addAll(List.of(options));
        command.addAll(List.of(
                "-cp",
                System.getProperty("java.class.path"),
                ColdProfile.class.getName(),
                file.toString(),
                Integer.toString(times)));
        long from = System.nanoTime();
        Process p = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        List<Long> said = new ArrayList<>();
        double first = 0;
        try (BufferedReader out = p.inputReader()) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                first = said.isEmpty() ? (System.nanoTime() - from) / 1e6 : first;
                said.add(Long.parseLong(line));
            }
        }
        if (p.waitFor() != 0 || said.size() != times + 1) {
            throw new IOException("the process that opens the library failed");
        }
        return new Opened(first, said.subList(0, times), said.get(times));
    }

    /** Least squares of log cost on log tags. */
    private void growth() throws Exception {
        double sx = 0;
        double sy = 0;
        double sxx = 0;
        double sxy = 0;
        for (int size : SIZES) {
            List<MatchRecord> records = new BigLibrary(lexicon).of(size, (int) Math.round(size * SHARE));
            double tags = records.stream().mapToLong(r -> r.tags().size()).sum();
            LibraryIndex index = LibraryIndex.of(records, lexicon);
            long[] seed = {1};
            Callable<Profile> work = () -> Profile.of(index, BigLibrary.STUDIED, Filter.ALL, seed[0]++);
            median(WARMING / 2, work);
            double ms = median(5, work);
            double x = Math.log(tags);
            double y = Math.log(ms);
            sx += x;
            sy += y;
            sxx += x * x;
            sxy += x * y;
            System.out.printf(
                    Locale.ROOT, "  %8.0f tags, %4.0f of the athlete's matches: %8.1f ms%n", tags, size * SHARE, ms);
        }
        int n = SIZES.length;
        double slope = (n * sxy - sx * sy) / (n * sxx - sx * sx);
        System.out.printf(Locale.ROOT, "  cost grows with tags to the power of %.2f (n log n here: 1.11)%n", slope);
    }
}
