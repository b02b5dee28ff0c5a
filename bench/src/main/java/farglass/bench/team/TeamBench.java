package farglass.bench.team;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.TeamChange;
import farglass.time.MatchTime;
import farglass.work.team.TeamLink;
import farglass.work.team.TeamListener;
import farglass.work.team.TeamStatus;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;

/**
 * Twenty people tag, one edit every half second each, half of them in the same match, all mirrors and the server on
 * this machine. Measures how long after it is confirmed an edit is in others' mirrors, and how long it takes to be
 * confirmed; then holds all mirrors against each other and against what was confirmed.
 */
public final class TeamBench {
    private static final int WRITERS = 20;
    private static final long EVERY_MS = 500;
    private static final int OWN_IN_COMMON = 14;
    private static final int OWN_ALONE = 120;
    /** Mirrors that look when edits come; all take them in. */
    private static final int LOOKING = 4;

    private static final double LIMIT_MS = 1000;
    private static final long SETTLE_MS = 120_000;

    private final Map<String, Long> confirmedAt = new ConcurrentHashMap<>();
    private final List<Double> toOthers = Collections.synchronizedList(new ArrayList<>());
    private final List<Double> toConfirm = Collections.synchronizedList(new ArrayList<>());
    private volatile boolean over;

    private TeamBench() {}

    /** A match that nobody has tagged yet. */
    static MatchRecord match(String id) {
        MatchRecord.Details d = new MatchRecord.Details(
                null,
                null,
                null,
                null,
                "gi",
                "points-gi",
                480_000,
                MatchAthlete.of("ansa-kellivar", "Ansa Kellivar", null, null),
                MatchAthlete.of("brisa-tolendt", "Brisa Tolendt", null, null),
                null);
        return MatchRecord.of(
                id,
                d,
                List.of(),
                List.of(
                        new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                        Tag.Position.of(MatchTime.ZERO, "STD", null, (Corner) null)));
    }

    /** @param minutes how long they tag */
    public static void start(Path folder, double minutes) throws Exception {
        new TeamBench().run(folder, minutes);
    }

    private void run(Path folder, double minutes) throws Exception {
        try (BenchServer server = new BenchServer(folder)) {
            List<Library> mirrors = new ArrayList<>();
            List<TeamWriter> writers = new ArrayList<>();
            List<TeamLink> links = new ArrayList<>();
            for (int i = 0; i < WRITERS; i++) {
                Library l = Library.open(folder.resolve(i + ".farglass"), Clock.systemUTC());
                boolean common = i % 2 == 0;
                TeamWriter w =
                        new TeamWriter("w" + i, common ? "common" : "m" + i, common ? OWN_IN_COMMON : OWN_ALONE, i, 0);
                l.mirror().attach(server.address().url());
                if (i == 0) {
                    l.add(match("common"));
                    for (int k = 1; k < WRITERS; k += 2) {
                        l.add(match("m" + k));
                    }
                }
                TeamLink link = new TeamLink(l, w.match(), Runnable::run, i < LOOKING ? new Looking(l) : new Blind());
                mirrors.add(l);
                writers.add(w);
                links.add(link);
                link.start();
                awaitMatches(l);
            }
            tag(mirrors, writers, minutes);
            long settled = settle(mirrors);
            print(server, mirrors, writers, minutes, settled);
            links.forEach(TeamLink::close);
            mirrors.forEach(Library::close);
        }
    }

    private static void awaitMatches(Library l) throws LibraryException, InterruptedException {
        while (l.matches().size() < 1 + WRITERS / 2) {
            Thread.sleep(20);
        }
    }

    private void tag(List<Library> mirrors, List<TeamWriter> writers, double minutes) throws InterruptedException {
        List<Thread> threads = new ArrayList<>();
        long end = System.nanoTime() + (long) (minutes * TimeUnit.MINUTES.toNanos(1));
        for (int i = 0; i < WRITERS; i++) {
            Library l = mirrors.get(i);
            TeamWriter w = writers.get(i);
            Random random = new Random(i);
            Thread t = new Thread(() -> {
                try {
                    Thread.sleep(random.nextInt((int) EVERY_MS));
                    long next = System.nanoTime();
                    while (System.nanoTime() < end) {
                        long begun = System.nanoTime();
                        String note = w.edit(l);
                        long done = System.nanoTime();
                        toConfirm.add((done - begun) / 1e6);
                        if (!note.isEmpty()) {
                            confirmedAt.put(note, done);
                        }
                        next += TimeUnit.MILLISECONDS.toNanos(EVERY_MS);
                        Thread.sleep(Math.max(0, TimeUnit.NANOSECONDS.toMillis(next - System.nanoTime())));
                    }
                } catch (LibraryException | InterruptedException e) {
                    throw new IllegalStateException(e);
                }
            });
            t.start();
            threads.add(t);
        }
        for (Thread t : threads) {
            t.join();
        }
        over = true;
    }

    /** How long it takes until nothing waits and all mirrors are the same, ms. */
    private static long settle(List<Library> mirrors) throws LibraryException, InterruptedException {
        long begun = System.nanoTime();
        while (TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun) < SETTLE_MS && !same(mirrors)) {
            Thread.sleep(50);
        }
        return TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
    }

    private static boolean same(List<Library> mirrors) throws LibraryException {
        List<MatchRecord> first = mirrors.get(0).matches();
        for (Library l : mirrors) {
            if (l.mirror().state().orElseThrow().waiting() > 0 || !l.matches().equals(first)) {
                return false;
            }
        }
        return true;
    }

    private void print(
            BenchServer server, List<Library> mirrors, List<TeamWriter> writers, double minutes, long settled)
            throws Exception {
        int edits = writers.stream().mapToInt(TeamWriter::edits).sum();
        int lost = 0;
        for (TeamWriter w : writers) {
            lost += w.lost(mirrors.get(0).match(w.match()).orElseThrow());
        }
        int clashes = 0;
        for (Library l : mirrors) {
            clashes += l.mirror().state().orElseThrow().clashes();
        }
        long steps = server.one("SELECT count(*) FROM farglass.change WHERE act = 'edit'");
        double[] others =
                toOthers.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        double[] confirm =
                toConfirm.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "TeamBench %d writers %.1f min   edits confirmed %d  in the log %d  clashes %d  lost or doubled %d  mirrors"
                        + " the same %b after %d ms%n",
                WRITERS,
                minutes,
                edits,
                steps,
                clashes,
                lost,
                same(mirrors),
                settled);
        System.out.printf(
                Locale.ROOT,
                "TeamBench edit to others     p50 %6.0f ms  p95 %6.0f ms  most %6.0f ms  of %d  p95/limit(%.0f ms) %.2f%n",
                at(others, 0.5),
                at(others, 0.95),
                at(others, 1),
                others.length,
                LIMIT_MS,
                at(others, 0.95) / LIMIT_MS);
        System.out.printf(
                Locale.ROOT,
                "TeamBench edit to confirmed  p50 %6.1f ms  p95 %6.1f ms  most %6.0f ms%n",
                at(confirm, 0.5),
                at(confirm, 0.95),
                at(confirm, 1));
    }

    private static double at(double[] sorted, double share) {
        return sorted.length == 0 ? 0 : sorted[(int) Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
    }

    /** Takes in and looks nowhere. */
    private static final class Blind implements TeamListener {
        @Override
        public void changed(Map<TeamChange.Kind, Set<String>> items) {
            // as a window that shows something else
        }

        @Override
        public void status(TeamStatus now) {
            // nobody looks
        }
    }

    /** Notes when an edit of somebody else is there to be drawn. */
    private final class Looking implements TeamListener {
        private final Library library;
        private final Set<String> known = new HashSet<>();

        Looking(Library library) {
            this.library = library;
        }

        @Override
        public void changed(Map<TeamChange.Kind, Set<String>> items) {
            long now = System.nanoTime();
            try {
                for (String id : items.getOrDefault(TeamChange.Kind.MATCH, Set.of())) {
                    for (Tag t : library.match(id).orElseThrow().tags()) {
                        Long at = t.info().note() == null
                                ? null
                                : confirmedAt.get(t.info().note());
                        if (at != null && known.add(t.info().note()) && !over) {
                            toOthers.add((now - at) / 1e6);
                        }
                    }
                }
            } catch (LibraryException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public void status(TeamStatus now) {
            if (now.problem() != null) {
                System.out.println("not reached: " + now.problem());
            }
        }
    }
}
