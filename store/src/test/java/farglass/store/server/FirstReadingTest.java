package farglass.store.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.store.Library;
import farglass.store.Samples;
import farglass.time.MatchTime;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A team's library comes into an empty mirror, page by page, on a real server. */
class FirstReadingTest {
    private static final int MATCHES = 230;

    @TempDir
    private Path folder;

    private TeamAddress team;
    private Library ines;
    private Library omar;

    @BeforeEach
    void fill() throws Exception {
        team = TestServer.team();
        ines = mirror("ines");
        List<MatchRecord> made = new ArrayList<>();
        for (int i = 0; i < MATCHES; i++) {
            made.add(Samples.record("m" + i));
        }
        ines.addAll(made);
        exchange(ines);
        omar = mirror("omar");
    }

    @AfterEach
    void end() {
        ines.close();
        omar.close();
    }

    private Library mirror(String name) throws Exception {
        Library l = Library.open(folder.resolve(name + ".farglass"), Samples.NOON);
        l.author(name);
        l.mirror().attach(team.url());
        return l;
    }

    private void exchange(Library l) throws Exception {
        try (TeamServer server = TeamServer.open(team)) {
            new Exchange(l, server).both();
        }
    }

    private static void tag(Library l, String match, long ms) throws Exception {
        MatchRecord r = l.match(match).orElseThrow();
        Tag.Action a = Tag.Action.of(MatchTime.ofMs(ms), Corner.A, "knee-cut");
        l.apply(match, Edit.addAll(r, TagIds.name(r, List.of(a))));
    }

    private void same() throws Exception {
        exchange(ines);
        exchange(omar);
        exchange(ines);
        assertThat(omar.matches()).isEqualTo(ines.matches()).hasSize(MATCHES + 1);
    }

    @Test
    void itComesInPagesAndWhatIsDoneMeanwhileComesToo() throws Exception {
        List<Double> shares = new ArrayList<>();
        List<Integer> there = new ArrayList<>();
        try (TeamServer server = TeamServer.open(team)) {
            new Exchange(omar, server, share -> {
                        shares.add(share);
                        try {
                            there.add(omar.heads().count());
                            // in a match that has come, one that has not, and a new one
                            tag(ines, "m0", 5000 + shares.size());
                            tag(ines, "m" + (MATCHES - 1), 5000 + shares.size());
                            tag(omar, "m1", 7000 + shares.size());
                            if (shares.size() == 1) {
                                ines.add(Samples.record("late"));
                            }
                            exchange(ines);
                        } catch (Exception e) {
                            throw new AssertionError(e);
                        }
                    })
                    .both();
        }
        assertThat(shares).hasSizeGreaterThan(2).isSorted().last().isEqualTo(1.0);
        assertThat(there).isSorted();
        assertThat(there.get(0)).isPositive().isLessThan(MATCHES);
        same();
        assertThat(ines.match("m1").orElseThrow().tags().stream()
                        .filter(t -> t instanceof Tag.Action a && a.technique().equals("knee-cut"))
                        .count())
                .isEqualTo(shares.size());
    }

    @Test
    void brokenOffItBeginsAnewAndLosesNothing() throws Exception {
        ines.add(Samples.record("late"));
        exchange(ines);
        try (TeamServer server = TeamServer.open(team)) {
            Exchange breaking = new Exchange(omar, server, share -> {
                throw new IllegalStateException("the line");
            });
            assertThatIllegalStateException().isThrownBy(breaking::both);
        }
        assertThat(omar.heads().count()).isPositive().isLessThan(MATCHES);
        tag(omar, "m0", 9000);
        same();
        assertThat(omar.match("m0").orElseThrow().tags()).anyMatch(t -> t.t().ms() == 9000 && t instanceof Tag.Action);
    }
}
