package farglass.store.server;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Samples;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Three people tag two matches over a line that is cut anywhere; programs end in the middle. */
class FaultyExchangeTest {
    private static final List<String> MATCHES = List.of("m1", "m2");
    private static final int STEPS = 160;

    @TempDir
    private Path folder;

    private final Library[] mirrors = new Library[3];
    /** What was confirmed and never taken back, by anybody. */
    private final TreeSet<String> standing = new TreeSet<>();

    private TeamAddress direct;
    private TeamAddress cut;
    private Random random;
    private int number;

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void nothingConfirmedIsLostAndNothingComesTwice(long seed) throws Exception {
        random = new Random(seed);
        direct = TestServer.team();
        try (CutLine line = new CutLine(TestServer.port())) {
            cut = new TeamAddress(direct.url().replaceFirst(":\\d+/", ":" + line.port() + "/"));
            for (int i = 0; i < mirrors.length; i++) {
                open(i);
                if (i == 0) {
                    for (String m : MATCHES) {
                        mirrors[0].add(Samples.record(m));
                    }
                    mirrors[0].mirror().attach(cut.url());
                }
                exchange(i, direct);
            }
            int failed = 0;
            for (int k = 0; k < STEPS; k++) {
                int who = random.nextInt(mirrors.length);
                act(who);
                if (random.nextInt(3) == 0) {
                    line.cutAfter(random.nextInt(6000));
                    failed += exchange(who, cut) ? 0 : 1;
                    line.mend();
                }
                if (random.nextInt(25) == 0) {
                    mirrors[who].close();
                    open(who);
                }
            }
            assertThat(failed).as("exchanges that were cut").isGreaterThan(10);
        }
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < mirrors.length; i++) {
                assertThat(exchange(i, direct)).isTrue();
            }
        }
        for (Library l : mirrors) {
            assertThat(l.matches()).isEqualTo(mirrors[0].matches());
            assertThat(l.mirror().state().orElseThrow().waiting()).isZero();
        }
        List<String> found = mirrors[0].matches().stream()
                .flatMap(m -> m.tags().stream())
                .filter(Tag.Action.class::isInstance)
                .map(t -> ((Tag.Action) t).technique())
                .sorted()
                .toList();
        assertThat(found).containsExactlyElementsOf(standing);
        for (Library l : mirrors) {
            l.close();
        }
    }

    private void open(int i) throws LibraryException {
        mirrors[i] = Library.open(folder.resolve(i + ".farglass"), Samples.NOON);
        mirrors[i].author("p" + i);
        if (i > 0 || mirrors[i].mirror().attached()) {
            mirrors[i].mirror().attach(cut.url());
        }
    }

    /** Whether it came to its end. */
    private boolean exchange(int i, TeamAddress by) throws LibraryException {
        try (TeamServer server = TeamServer.open(by)) {
            new Exchange(mirrors[i], server).both();
            return true;
        } catch (TeamException e) {
            assertThat(e.kind()).isEqualTo(TeamException.Kind.UNREACHED);
            return false;
        }
    }

    /** Tags, changes or takes away what is one's own; what others change of it meanwhile is a clash and is not done. */
    private void act(int who) throws LibraryException {
        Library l = mirrors[who];
        String match = MATCHES.get(random.nextInt(MATCHES.size()));
        MatchRecord r = l.match(match).orElseThrow();
        List<Integer> own = new ArrayList<>();
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a && a.technique().startsWith("p" + who)) {
                own.add(i);
            }
        }
        own.sort(Comparator.naturalOrder());
        int what = random.nextInt(6);
        if (what < 3 || own.isEmpty()) {
            String name = "p" + who + "-" + number++;
            Tag.Action a = Tag.Action.of(MatchTime.ofMs(random.nextInt(60_000)), Corner.A, name);
            l.apply(match, Edit.addAll(r, TagIds.name(r, List.of(a))));
            standing.add(name);
            return;
        }
        int i = own.get(random.nextInt(own.size()));
        Tag.Action a = (Tag.Action) r.tags().get(i);
        switch (what) {
            case 3 -> {
                l.apply(match, Edit.remove(r, i));
                standing.remove(a.technique());
            }
            case 4 -> l.apply(match, Edit.replace(r, i, a.sided(random.nextBoolean() ? Side.LEFT : Side.RIGHT)));
            default -> l.apply(match, Edit.replace(r, i, a.at(MatchTime.ofMs(random.nextInt(60_000)))));
        }
    }
}
