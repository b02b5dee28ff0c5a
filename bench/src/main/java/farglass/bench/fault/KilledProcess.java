package farglass.bench.fault;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.store.Backups;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Restoring;
import farglass.store.WholeFile;
import farglass.store.json.MatchJson;
import farglass.time.MatchTime;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Works on a library until it is killed, and says before and after each thing what it is. */
public final class KilledProcess {
    /** Processes that work on one match, one after the other. */
    private static final int PER_MATCH = 10;

    private static final int MOST_TAGS = 200;

    private final Path folder;
    private final int seed;
    private final Random random;
    private final String match;

    private KilledProcess(Path folder, int seed) {
        this.folder = folder;
        this.seed = seed;
        this.random = new Random(seed * 31L + 7);
        this.match = "m" + seed / PER_MATCH;
    }

    /** Every process is a day later than the one before, so that each makes the backup of its day. */
    static Clock clock(int seed) {
        Instant day = LocalDate.of(2031, 1, 1).plusDays(seed).atTime(9, 0).toInstant(ZoneOffset.UTC);
        return Clock.fixed(day, ZoneOffset.UTC);
    }

    /** One in five works on a library that the first release left. */
    static Path library(Path folder, int seed) {
        return folder.resolve(seed % 5 == 0 ? "old-" + seed / 25 * 25 + ".farglass" : "new.farglass");
    }

    static MatchRecord match(String id, String athlete, String name) {
        MatchRecord.Details d = new MatchRecord.Details(
                LocalDate.of(2031, 4, 12),
                "Lantern Bay Open",
                null,
                null,
                "gi",
                "points-gi",
                480_000,
                MatchAthlete.of(athlete, name, null, null),
                MatchAthlete.of("ansa-kellivar", "Ansa Kellivar", null, null),
                null);
        return MatchRecord.of(id, d, List.of(), List.of(new Tag.Start(MatchTime.ZERO, TagInfo.NONE)));
    }

    private static void say(String line) {
        System.out.println(line);
        System.out.flush();
    }

    /** @param args folder and seed */
    public static void main(String[] args) throws Exception {
        java.util.logging.Logger.getLogger("").setLevel(java.util.logging.Level.WARNING);
        new KilledProcess(Path.of(args[0]), Integer.parseInt(args[1])).work();
    }

    private void work() throws LibraryException, IOException {
        Path file = library(folder, seed);
        say("begin opening");
        try (Library first = Library.open(file, clock(seed))) {
            say("opened");
            if (seed % 7 == 3) {
                say("begin backup");
                first.backUp(null);
                say("backed up");
            }
        }
        if (seed % 7 == 3) {
            // what comes back is what is there: nothing confirmed may be missing at any moment
            say("begin restoring");
            List<Backups.Backup> all = Backups.of(file, clock(seed)).all();
            new Restoring(file, all.get(all.size() - 1).path(), clock(seed)).whole();
            say("restored");
        }
        try (Library library = Library.open(file, clock(seed))) {
            Deque<String> made = new ArrayDeque<>();
            MatchRecord now = library.match(match).orElse(null);
            if (now == null) {
                say("begin import");
                now = match(match, "brisa-tolendt", "Brisa Tolendt");
                library.add(now);
                say("imported");
            }
            say("ready");
            for (int i = 0; ; i++) {
                int what = random.nextInt(100);
                if (what < 70 && now.tags().size() < MOST_TAGS) {
                    String text = seed + "-" + i;
                    say("begin tag " + match + " " + text);
                    now = library.apply(match, Edit.add(now, remark(text)));
                    say("tag " + match + " " + text);
                    made.push(text);
                } else if (what < 78 && !made.isEmpty()) {
                    String text = made.pop();
                    say("begin undo " + match + " " + text);
                    now = library.undo(match).orElseThrow();
                    say("undo " + match + " " + text);
                } else if (what < 86) {
                    export(library);
                } else if (what < 92) {
                    say("begin backup");
                    library.backUp(null);
                    say("backed up");
                } else if (what < 96) {
                    say("begin import");
                    library.add(match("import-" + seed + "-" + i, "odile-marrowen", "Odile Marrowen"));
                    say("imported");
                } else {
                    forget(library, i);
                }
            }
        }
    }

    private static Tag remark(String text) {
        return new Tag.Remark(
                MatchTime.ofMs(1500), RemarkKind.ERROR, Corner.A, "seen", text, Map.of(), null, Map.of(), TagInfo.NONE);
    }

    private void export(Library library) throws LibraryException, IOException {
        say("begin export");
        Path out = Files.createDirectories(folder.resolve("out"));
        for (MatchRecord r : library.matches()) {
            WholeFile.write(out.resolve(r.id() + ".json"), MatchJson.write(r));
        }
        say("exported");
    }

    private void forget(Library library, int i) throws LibraryException {
        String id = "vanishing-" + seed + "-" + i;
        say("begin forget");
        library.add(match(id, id, "Zed Vanishing"));
        library.forget(library.concerning(id));
        say("forgot");
    }
}
