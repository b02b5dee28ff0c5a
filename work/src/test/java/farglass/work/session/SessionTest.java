package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.tendency.LibraryIndex;
import farglass.work.OpenSession;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionTest {
    private static final List<MatchRecord> DEMO =
            DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).subList(0, 6);

    @TempDir
    private Path folder;

    private OpenSession open;
    private Session session;

    @BeforeEach
    void open() throws Exception {
        open = OpenSession.of(folder.resolve("my.farglass"), DEMO);
        session = open.session();
    }

    @AfterEach
    void close() {
        open.close();
    }

    private static String id() {
        return DEMO.get(0).id();
    }

    private MatchRecord shown() {
        return session.records().match(id()).orElseThrow();
    }

    private static Edit removeLast(MatchRecord r) {
        int last = r.tags().size() - 1;
        Tag tag = r.tags().get(last);
        return new Edit.Remove(last, tag);
    }

    @Test
    void anEditIsShownAtOnceAndIsOnDiskSoonAfter() throws Exception {
        int before = shown().tags().size();
        open.on(() -> {
            session.records().edit(id(), removeLast(shown()));
            assertThat(shown().tags()).hasSize(before - 1);
        });
        open.settled();
        assertThat(open.library().match(id())).contains(shown());
    }

    @Test
    void anEditMadeWhileAnUndoIsOnItsWayComesAfterIt() throws Exception {
        Edit removeFirst = new Edit.Remove(0, shown().tags().get(0));
        open.on(() -> session.records().edit(id(), removeFirst));
        open.settled();
        MatchRecord shorter = shown();
        // made for the version that the undo takes back
        Edit late = removeLast(shorter);
        open.on(() -> {
            session.records().undo(id());
            session.records().edit(id(), late);
            session.records().edit(id(), removeFirst);
        });
        open.settled();
        assertThat(shown().tags()).hasSize(shorter.tags().size());
        assertThat(shown()).isEqualTo(shorter);
        assertThat(open.library().match(id())).contains(shown());
        assertThat(open.problems()).as("the one that no longer fits is told").hasSize(1);
    }

    @Test
    void whatCannotBeWrittenIsShownAsItIsKept() throws Exception {
        MatchRecord kept = open.library().apply(id(), removeLast(shown()));
        open.on(() -> session.records().edit(id(), removeLast(shown())));
        open.settled();
        assertThat(open.problems()).isNotEmpty();
        assertThat(shown()).isEqualTo(kept);
    }

    @Test
    void thereIsOneIndexAndItFollowsTheMatches() throws Exception {
        LibraryIndex first = session.index();
        assertThat(session.index()).isSameAs(first);
        open.on(() -> session.records().edit(id(), removeLast(shown())));
        LibraryIndex second = session.index();
        assertThat(second).isNotSameAs(first);
        assertThat(second.facts()).anyMatch(f -> f.record() == shown());
        open.on(() -> session.records().setRemoved(id(), true));
        open.settled();
        assertThat(session.index().facts()).hasSize(DEMO.size() - 1);
    }

    @Test
    void namesAreLookedUpInTheMatchesThatAreThere() throws Exception {
        String who = DEMO.get(0).details().a().id();
        assertThat(open.on(() -> session.records().athletes())).containsKey(who);
        for (MatchRecord r : DEMO) {
            if (r.cornerOf(who).isPresent()) {
                open.on(() -> session.records().setRemoved(r.id(), true));
            }
        }
        open.settled();
        assertThat(open.on(() -> session.records().athletes())).doesNotContainKey(who);
        assertThat(session.records().match(id())).isEmpty();
    }

    @Test
    void aPlanIsKeptInVersionsAndAnAssignmentCanBeTakenBack() throws Exception {
        Plan empty = Plan.empty("p", "Plan", "a", "b");
        Plan titled = Plan.empty("p", "Plan for May", "a", "b");
        Assignment first = new Assignment("x", "a", List.of("b"), "Event", null, "points-gi", "gi", 6);
        open.on(() -> {
            session.plans().change(empty, titled);
            session.assignments().save(first);
            session.assignments().save(first.without("b"));
        });
        open.settled();
        assertThat(open.library().plans()).containsExactly(titled);
        assertThat(open.library().assignments()).containsExactly(first.without("b"));
        open.on(() -> {
            session.plans().step("p", -1);
            assertThat(session.assignments().undo()).contains(first);
            assertThat(session.assignments().undo()).isEmpty();
        });
        open.settled();
        assertThat(open.on(() -> session.plans().plan("p"))).contains(empty);
        assertThat(open.library().assignments()).containsExactly(first);
        assertThat(open.told()).containsExactly("There is nothing to undo.");
    }

    @Test
    void aPlanThatCannotBeWrittenIsNotAmongThoseThatAreKept() throws Exception {
        Plan empty = Plan.empty("p", "Plan", "a", "b");
        Plan titled = Plan.empty("p", "Plan for May", "a", "b");
        try (OpenSession reading = OpenSession.reading(folder.resolve("my.farglass"))) {
            List<Plan> shown = new ArrayList<>();
            reading.session().listen(new SessionListener() {
                @Override
                public void planChanged(Plan now) {
                    shown.add(now);
                }
            });
            reading.on(() -> reading.session().plans().change(empty, titled));
            reading.settled();
            assertThat(shown).as("shown at once, then as it was").containsExactly(titled, empty);
            assertThat(reading.on(() -> reading.session().plans().all())).isEmpty();
            assertThat(reading.problems()).singleElement().asString().contains("reading only");
        }
    }
}
