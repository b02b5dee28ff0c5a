package farglass.bench.team;

import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Verification;
import farglass.store.server.Exchange;
import farglass.store.server.TeamException;
import farglass.store.server.TeamServer;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Four people tag and exchange with one server while faults come at random: the server killed and started again, every
 * connection cut in the middle, a program killed, a clock set back, the disk of a mirror full. Afterwards all mirrors
 * are held against each other, and against what each had been told was confirmed.
 */
public final class TeamFaults {
    private static final int MIRRORS = 4;
    private static final int OWN = 30;
    private static final List<String> MATCHES = List.of("m1", "m2");
    private static final List<String> KINDS =
            List.of("server killed", "connection cut", "program killed", "clock set back", "disk full");
    private static final int LONGEST_MS = 400;
    private static final int ROUNDS = 3;
    private static final int COMPARED = 20;

    private final Path folder;
    private final int faults;
    private final Random random;
    private final List<TeamMember> members = new ArrayList<>();
    private final Map<String, Integer> done = new TreeMap<>();
    private int differed;

    public TeamFaults(Path folder, int faults, long seed) {
        this.folder = folder;
        this.faults = faults;
        this.random = new Random(seed);
    }

    /** Prints what was done and what came of it. */
    public void run() throws Exception {
        try (BenchServer server = new BenchServer(folder)) {
            begin(server);
            for (int i = 0; i < MIRRORS; i++) {
                TeamMember m = new TeamMember(folder, i, server.address(), MATCHES.get(i % MATCHES.size()), OWN);
                m.begin();
                members.add(m);
            }
            for (int i = 0; i < faults; i++) {
                Thread.sleep(random.nextInt(LONGEST_MS));
                String kind = KINDS.get(random.nextInt(KINDS.size()));
                TeamMember whom = members.get(random.nextInt(MIRRORS));
                fault(kind, whom, server);
                done.merge(kind, 1, Integer::sum);
                if (i % COMPARED == COMPARED - 1) {
                    compare(server);
                    for (TeamMember m : members) {
                        m.begin();
                    }
                }
            }
            compare(server);
            print();
        } finally {
            for (TeamMember m : members) {
                m.kill();
                m.unmount();
            }
        }
    }

    private void begin(BenchServer server) throws LibraryException, TeamException {
        try (Library first = Library.open(folder.resolve("first.farglass"), Clock.systemUTC());
                TeamServer s = TeamServer.open(server.address())) {
            for (String m : MATCHES) {
                first.add(TeamBench.match(m));
            }
            first.mirror().attach(server.address().url());
            new Exchange(first, s).both();
        }
    }

    private void fault(String kind, TeamMember whom, BenchServer server)
            throws IOException, InterruptedException, SQLException {
        switch (kind) {
            case "server killed" -> {
                server.kill();
                Thread.sleep(random.nextInt(LONGEST_MS));
                server.startAgain();
            }
            case "connection cut" -> server.cut();
            case "program killed" -> {
                whom.kill();
                whom.begin();
            }
            case "clock set back" -> whom.clock(Duration.ofHours(-random.nextInt(100)));
            case "disk full" -> {
                whom.diskFull(true);
                Thread.sleep(random.nextInt(LONGEST_MS));
                whom.diskFull(false);
            }
            default -> throw new IllegalArgumentException(kind);
        }
    }

    /** Everybody stops and exchanges what there is. */
    private void compare(BenchServer server) throws Exception {
        for (TeamMember m : members) {
            m.end();
        }
        List<List<MatchRecord>> all = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            all.clear();
            for (TeamMember m : members) {
                try (Library l = Library.open(m.file(), Clock.systemUTC());
                        TeamServer s = TeamServer.open(server.address())) {
                    new Exchange(l, s).both();
                    all.add(l.matches());
                }
            }
        }
        for (List<MatchRecord> one : all) {
            differed += one.equals(all.get(0)) ? 0 : 1;
        }
    }

    private void print() throws Exception {
        int lost = 0;
        int edits = 0;
        int damaged = 0;
        for (TeamMember m : members) {
            damaged += Verification.of(m.file(), Clock.systemUTC()).good() ? 0 : 1;
            try (Library l = Library.read(members.get(0).file(), Clock.systemUTC())) {
                lost += m.lost(l.match(m.match()).orElseThrow());
            }
            edits += m.confirmed();
        }
        System.out.printf(
                Locale.ROOT,
                "TeamFaults                   faults %d %s  edits confirmed %d  lost or doubled %d  mirrors that differed %d"
                        + "  mirrors that do not verify %d%n",
                faults,
                done,
                edits,
                lost,
                differed,
                damaged);
    }
}
