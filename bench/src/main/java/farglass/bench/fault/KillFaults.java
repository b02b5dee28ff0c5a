package farglass.bench.fault;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.Backups;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Verification;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * Kills a process that tags, undoes, backs up, migrates, imports, exports, brings back and forgets, at moments drawn at
 * random, and holds what is there afterwards against what the process had said was done.
 */
public final class KillFaults {
    private static final int LONGEST_MS = 900;

    private final Path folder;
    private final int seeds;
    /** Texts of the tags that were confirmed and not taken back, by library and match. */
    private final Map<Path, Map<String, Set<String>>> confirmed = new HashMap<>();

    private final Map<String, Integer> killedIn = new TreeMap<>();
    private int edits;
    private int lost;
    private int unreadable;
    private int badBackups;
    private int brokenExports;
    private int remembered;
    /** Whether the process that was killed had forgotten somebody. */
    private boolean forgetting;

    public KillFaults(Path folder, int seeds) {
        this.folder = folder;
        this.seeds = seeds;
    }

    /** Prints what was killed in what, and what came of it. */
    public void run() throws Exception {
        Files.createDirectories(folder);
        for (int seed = 0; seed < seeds; seed++) {
            if (seed % 25 == 0) {
                old(folder.resolve("old-" + seed + ".farglass"));
            }
            kill(seed);
            check(seed);
        }
        Path errors = folder.resolve("errors.txt");
        long failed = Files.exists(errors)
                ? Files.readAllLines(errors).stream()
                        .filter(l -> l.contains("Exception"))
                        .count()
                : 0;
        if (failed > 0) {
            System.out.println("  exceptions of the processes themselves: " + failed + ", see " + errors);
        }
        System.out.printf(
                Locale.ROOT,
                "KillFaults                   kills %d %s  edits confirmed %d  lost %d  libraries unreadable %d  backups that do not verify %d"
                        + "  exports not whole %d  forgotten and found %d%n",
                seeds,
                killedIn,
                edits,
                lost,
                unreadable,
                badBackups,
                brokenExports,
                remembered);
    }

    /** A library of the first release, made by its own migration. */
    private static void old(Path file) throws IOException, SQLException {
        try (InputStream in = Library.class.getResourceAsStream("/farglass/store/migration/V1__library.sql");
                Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement s = c.createStatement()) {
            for (String one : new String(in.readAllBytes(), StandardCharsets.UTF_8).split(";\\s*\n")) {
                if (!one.isBlank()) {
                    s.execute(one);
                }
            }
            String document = MatchJson.write(KilledProcess.match("first", "x", "Ex"));
            s.execute(
                    "INSERT INTO match_record (id, document) VALUES ('first', '" + document.replace("'", "''") + "')");
            s.execute("PRAGMA user_version = 1");
        }
    }

    private void kill(int seed) throws IOException, InterruptedException {
        Random random = new Random(seed);
        forgetting = false;
        Process p = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Xshare:auto",
                        "-cp",
                        System.getProperty("java.class.path"),
                        KilledProcess.class.getName(),
                        folder.toString(),
                        Integer.toString(seed))
                .redirectError(ProcessBuilder.Redirect.appendTo(
                        folder.resolve("errors.txt").toFile()))
                .start();
        boolean early = seed % 4 == 0;
        String begun = null;
        try (BufferedReader said = p.inputReader(StandardCharsets.UTF_8)) {
            Thread killer = null;
            for (String line = said.readLine(); line != null; line = said.readLine()) {
                if (killer == null && (early || line.equals("ready"))) {
                    // from its first word on or from its first edit, so that the start of Java is not what is killed
                    killer = new Thread(() -> {
                        try {
                            Thread.sleep(random.nextInt(LONGEST_MS));
                        } catch (InterruptedException e) {
                            return;
                        }
                        // not through the process itself, which would close what it has said and nobody has read
                        p.toHandle().destroyForcibly();
                    });
                    killer.start();
                }
                begun = line.startsWith("begin ") ? line.substring(6) : null;
                heard(line, seed);
            }
        }
        p.waitFor(20, TimeUnit.SECONDS);
        settle(begun, seed);
    }

    private void heard(String line, int seed) {
        String[] words = line.split(" ", 3);
        if (words[0].equals("tag")) {
            edits++;
            confirmed(seed, words[1]).add(words[2]);
        } else if (words[0].equals("undo")) {
            edits++;
            confirmed(seed, words[1]).remove(words[2]);
        }
        forgetting |= line.contains("forg");
    }

    private Set<String> confirmed(int seed, String match) {
        return confirmed
                .computeIfAbsent(KilledProcess.library(folder, seed), k -> new HashMap<>())
                .computeIfAbsent(match, k -> new LinkedHashSet<>());
    }

    /** What had been begun and not confirmed may stand or not: the library says which. */
    private void settle(String begun, int seed) {
        killedIn.merge(begun == null ? "between" : begun.split(" ")[0], 1, Integer::sum);
        if (begun == null || !(begun.startsWith("tag") || begun.startsWith("undo"))) {
            return;
        }
        String[] words = begun.split(" ", 3);
        try (Library l = Library.open(KilledProcess.library(folder, seed), KilledProcess.clock(seed))) {
            Set<String> there = texts(l.match(words[1]).orElseThrow());
            Set<String> known = confirmed(seed, words[1]);
            if (there.contains(words[2])) {
                known.add(words[2]);
            } else {
                known.remove(words[2]);
            }
        } catch (LibraryException e) {
            // counted by the check that follows
        }
    }

    private static Set<String> texts(MatchRecord r) {
        Set<String> texts = new LinkedHashSet<>();
        for (Tag t : r.tags()) {
            if (t instanceof Tag.Remark m) {
                texts.add(m.text());
            }
        }
        return texts;
    }

    private void check(int seed) throws IOException {
        Path file = KilledProcess.library(folder, seed);
        if (!Files.exists(file)) {
            // killed before the first word that counts
            return;
        }
        Clock clock = KilledProcess.clock(seed);
        List<String> athletes = new ArrayList<>();
        try (Library l = Library.open(file, clock)) {
            for (Map.Entry<String, Set<String>> e :
                    confirmed.getOrDefault(file, Map.of()).entrySet()) {
                Set<String> there = l.match(e.getKey()).map(KillFaults::texts).orElse(Set.of());
                for (String text : e.getValue()) {
                    if (!there.contains(text)) {
                        lost++;
                        System.out.println("  seed " + seed + ": lost " + e.getKey() + " " + text);
                    }
                }
            }
            for (MatchRecord r : l.matches()) {
                athletes.add(r.athlete(Corner.A).id());
            }
            for (String a : athletes) {
                if (a.startsWith("vanishing-")) {
                    // killed while it was being forgotten: asked again, it must go
                    l.forget(l.concerning(a));
                }
            }
        } catch (LibraryException e) {
            unreadable++;
            System.out.println("  seed " + seed + ": " + e.getMessage());
            return;
        }
        verify(seed, file, clock);
        exports(seed);
        if (forgetting) {
            forgotten(seed);
        }
    }

    private void verify(int seed, Path file, Clock clock) {
        try {
            Verification v = Verification.of(file, clock);
            if (!v.good()) {
                unreadable++;
                System.out.println("  seed " + seed + ": " + v.faults());
            }
            for (Backups.Backup b : Backups.of(file, clock).all()) {
                if (!b.whole() || !Verification.of(b.path(), clock).good()) {
                    badBackups++;
                    System.out.println(
                            "  seed " + seed + ": bad backup " + b.path().getFileName());
                }
            }
        } catch (LibraryException e) {
            badBackups++;
            System.out.println("  seed " + seed + ": " + e.getMessage());
        }
    }

    private void exports(int seed) throws IOException {
        Path out = folder.resolve("out");
        if (!Files.isDirectory(out)) {
            return;
        }
        try (Stream<Path> files = Files.list(out)) {
            for (Path p : files.filter(f -> f.toString().endsWith(".json")).toList()) {
                try {
                    MatchJson.read(p);
                } catch (FormatException e) {
                    brokenExports++;
                    System.out.println("  seed " + seed + ": " + p.getFileName() + " " + e.getMessage());
                }
            }
        }
    }

    private void forgotten(int seed) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.filter(Files::isRegularFile).toList()) {
                if (new String(Files.readAllBytes(p), StandardCharsets.ISO_8859_1).contains("Vanishing")) {
                    remembered++;
                    System.out.println("  seed " + seed + ": " + p.getFileName() + " names who was forgotten");
                }
            }
        }
    }
}
