package farglass.work.team;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.server.TeamAddress;
import farglass.store.server.TestServer;
import farglass.team.TeamRole;
import farglass.time.MatchTime;
import farglass.work.OpenSession;
import farglass.work.session.SessionListener;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two sessions on mirrors of one team, as two windows have them. */
class TeamLinkTest {
    private static final long PATIENCE_MS = 20_000;

    @TempDir
    private Path folder;

    private final List<OpenSession> open = new ArrayList<>();
    private final List<TeamStatus> told = java.util.Collections.synchronizedList(new ArrayList<>());
    private TeamAddress team;
    private MatchRecord match;
    private OpenSession ines;
    private OpenSession omar;

    @BeforeEach
    void start() throws Exception {
        team = TestServer.team();
        match = DemoLibrary.matches(Lexicon.builtIn(), 3).get(0);
        ines = session("ines", List.of(match));
        omar = session("omar", List.of());
        omar.on(() -> omar.session().listen(new SessionListener() {
            @Override
            public void teamChanged(TeamStatus now) {
                told.add(now);
            }
        }));
        await(() -> omar.session().records().match(match.id()).isPresent());
    }

    @AfterEach
    void end() {
        open.forEach(OpenSession::close);
    }

    private OpenSession session(String name, List<MatchRecord> matches) throws Exception {
        Path file = folder.resolve(name + ".farglass");
        try (Library l = Library.open(file, OpenSession.NOON)) {
            l.mirror().attach(team.url());
            l.set("name", name);
        }
        OpenSession s = OpenSession.of(file, matches);
        open.add(s);
        s.on(() -> s.session().joinTeam());
        return s;
    }

    private static void await(Callable<Boolean> seen) throws Exception {
        long until = System.currentTimeMillis() + PATIENCE_MS;
        while (!seen.call()) {
            assertThat(System.currentTimeMillis()).as("it did not come").isLessThan(until);
            Thread.sleep(10);
        }
    }

    private MatchRecord shown(OpenSession s) {
        return s.session().records().match(match.id()).orElseThrow();
    }

    private void tag(OpenSession s, long ms) throws Exception {
        s.on(() -> {
            MatchRecord r = shown(s);
            Tag.Action a = Tag.Action.of(MatchTime.ofMs(ms), Corner.A, "armbar");
            s.session().records().edit(r.id(), Edit.addAll(r, TagIds.name(r, List.of(a))));
        });
    }

    @Test
    void whatOneTagsTheOtherSees() throws Exception {
        int before = match.tags().size();
        for (int i = 0; i < 5; i++) {
            tag(ines, 1000L * i);
            tag(omar, 1000L * i + 1);
        }
        await(() ->
                shown(ines).tags().size() == before + 10 && shown(omar).tags().size() == before + 10);
        assertThat(shown(ines)).isEqualTo(shown(omar));
        omar.on(() -> omar.session().records().undo(match.id()));
        await(() -> shown(ines).tags().size() == before + 9);
        assertThat(omar.problems()).isEmpty();
        assertThat(ines.problems()).isEmpty();
    }

    @Test
    void aCutLineIsToldAndWhatWasConfirmedMeanwhileIsSentWhenItIsBack() throws Exception {
        int before = match.tags().size();
        await(() -> told.stream().anyMatch(TeamStatus::reached));
        for (int i = 0; i < 4; i++) {
            TestServer.cut(team);
            tag(omar, 1000L * i);
        }
        await(() -> shown(ines).tags().size() == before + 4);
        await(() -> told.stream().anyMatch(s -> !s.reached() && s.problem() != null));
        await(() ->
                told.get(told.size() - 1).reached() && told.get(told.size() - 1).waiting() == 0);
    }

    @Test
    void whoIsAtWhichMatchIsSeen() throws Exception {
        await(() -> ines.session().team().isPresent());
        ines.session().team().orElseThrow().at(match.id());
        TeamStatus.Present there = new TeamStatus.Present("ines", match.id());
        await(() -> told.stream().anyMatch(s -> s.present().contains(there)));
        assertThat(told.get(told.size() - 1).present())
                .as("oneself is not told of")
                .hasSize(1);
    }

    @Test
    void aPlanAndANewMatchComeToo() throws Exception {
        Plan plan = Plan.empty("p", "Against Brisa", "ansa-kellivar", "brisa-tolendt");
        ines.on(() -> ines.session().plans().change(plan, plan.remarks("stay low")));
        await(() -> omar.session().plans().plan("p").isPresent());
        assertThat(omar.session().plans().plan("p").orElseThrow().remarks()).isEqualTo("stay low");
        MatchRecord second = DemoLibrary.matches(Lexicon.builtIn(), 3).get(1);
        omar.on(() -> omar.session().records().add(List.of(second), () -> {}));
        await(() -> ines.session().records().match(second.id()).isPresent());
        ines.on(() -> ines.session().records().setRemoved(second.id(), true));
        await(() -> omar.session().records().match(second.id()).isEmpty());
    }

    @Test
    void closingSendsWhatWasConfirmedLast() throws Exception {
        int before = match.tags().size();
        await(() -> told.stream().anyMatch(TeamStatus::reached));
        tag(ines, 1000);
        ines.session().close();
        await(() -> shown(omar).tags().size() == before + 1);
    }

    @Test
    void whatARoleMayNotDoIsRefusedAtOnce() throws Exception {
        Path file = folder.resolve("coach.farglass");
        try (Library l = Library.open(file, OpenSession.NOON)) {
            l.mirror()
                    .attach(TestServer.member(team, "cora", TeamRole.COACH, null)
                            .url());
        }
        OpenSession cora = OpenSession.of(file, List.of());
        open.add(cora);
        List<TeamStatus> hers = java.util.Collections.synchronizedList(new ArrayList<>());
        cora.on(() -> cora.session().listen(new SessionListener() {
            @Override
            public void teamChanged(TeamStatus now) {
                hers.add(now);
            }
        }));
        cora.on(() -> cora.session().joinTeam());
        await(() -> cora.session().records().match(match.id()).isPresent());
        await(() -> hers.stream().anyMatch(s -> s.role() == TeamRole.COACH));
        MatchRecord before = cora.session().records().match(match.id()).orElseThrow();
        cora.on(() -> cora.session()
                .records()
                .edit(match.id(), new Edit.Remove(3, before.tags().get(3))));
        cora.on(() -> cora.session().records().setRemoved(match.id(), true));
        cora.settled();
        assertThat(cora.session().records().match(match.id())).contains(before);
        assertThat(cora.problems())
                .hasSize(2)
                .allSatisfy(p -> assertThat(p).contains("As a coach").contains("Nothing was changed"));
        Tag.Remark remark = new Tag.Remark(
                MatchTime.ofMs(4000),
                RemarkKind.PRAISE,
                Corner.A,
                "cora",
                "well held",
                null,
                null,
                Map.of(),
                TagInfo.NONE);
        cora.on(() ->
                cora.session().records().edit(match.id(), Edit.addAll(before, TagIds.name(before, List.of(remark)))));
        await(() -> ines.session().records().match(match.id()).orElseThrow().tags().stream()
                .anyMatch(t -> t instanceof Tag.Remark r && r.text().equals("well held")));
        // plans are hers to make
        Plan plan = Plan.empty(
                "p-cora",
                "the plan",
                match.details().a().id(),
                match.details().b().id());
        cora.on(() -> cora.session().plans().change(plan, plan));
        cora.settled();
        assertThat(cora.problems()).hasSize(2);
    }
}
