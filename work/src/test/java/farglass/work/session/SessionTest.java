package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.tendency.LibraryIndex;
import farglass.work.task.Tasks;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-03-04T12:00:00Z"), ZoneOffset.UTC);
    private static final List<MatchRecord> DEMO =
            DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).subList(0, 6);

    @TempDir
    private Path folder;

    private final ExecutorService results = Executors.newSingleThreadExecutor();
    private final List<String> problems = new ArrayList<>();
    private final List<String> told = new ArrayList<>();
    private Library library;
    private Session session;

    @BeforeEach
    void open() throws Exception {
        library = Library.open(folder.resolve("my.farglass"), NOON);
        library.addAll(DEMO);
        LibraryContent content = LibraryContent.of(library);
        session = on(() -> new Session(content, NOON, new Tasks(results), new Told(), "nobody"));
    }

    @AfterEach
    void close() {
        session.close();
        results.shutdown();
    }

    private final class Told implements Messages {
        @Override
        public void problem(String message) {
            problems.add(message);
        }

        @Override
        public void done(String message) {
            told.add(message);
        }
    }

    /** On the thread of results, which the session belongs to. */
    private <T> T on(Callable<T> work) throws Exception {
        return results.submit(work).get();
    }

    private void on(Runnable work) throws Exception {
        results.submit(work).get();
    }

    /** What was ordered before now is written, and its outcome delivered. */
    private void settled() throws Exception {
        for (int i = 0; i < 3; i++) {
            Callable<Boolean> nothing = () -> true;
            CountDownLatch done = new CountDownLatch(1);
            session.tasks().write(nothing, x -> done.countDown(), e -> {});
            done.await();
            on(() -> {});
        }
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
        on(() -> {
            session.records().edit(id(), removeLast(shown()));
            assertThat(shown().tags()).hasSize(before - 1);
        });
        settled();
        assertThat(library.match(id())).contains(shown());
    }

    @Test
    void anEditMadeWhileAnUndoIsOnItsWayComesAfterIt() throws Exception {
        Edit removeFirst = new Edit.Remove(0, shown().tags().get(0));
        on(() -> session.records().edit(id(), removeFirst));
        settled();
        MatchRecord shorter = shown();
        // made for the version that the undo takes back
        Edit late = removeLast(shorter);
        on(() -> {
            session.records().undo(id());
            session.records().edit(id(), late);
            session.records().edit(id(), removeFirst);
        });
        settled();
        assertThat(shown().tags()).hasSize(shorter.tags().size());
        assertThat(shown()).isEqualTo(shorter);
        assertThat(library.match(id())).contains(shown());
        assertThat(problems).as("the one that no longer fits is told").hasSize(1);
    }

    @Test
    void whatCannotBeWrittenIsShownAsItIsKept() throws Exception {
        MatchRecord kept = library.apply(id(), removeLast(shown()));
        on(() -> session.records().edit(id(), removeLast(shown())));
        settled();
        assertThat(problems).isNotEmpty();
        assertThat(shown()).isEqualTo(kept);
    }

    @Test
    void thereIsOneIndexAndItFollowsTheMatches() throws Exception {
        LibraryIndex first = session.index();
        assertThat(session.index()).isSameAs(first);
        on(() -> session.records().edit(id(), removeLast(shown())));
        LibraryIndex second = session.index();
        assertThat(second).isNotSameAs(first);
        assertThat(second.facts()).anyMatch(f -> f.record() == shown());
        on(() -> session.records().setRemoved(id(), true));
        settled();
        assertThat(session.index().facts()).hasSize(DEMO.size() - 1);
    }

    @Test
    void namesAreLookedUpInTheMatchesThatAreThere() throws Exception {
        String who = DEMO.get(0).details().a().id();
        assertThat(on(() -> session.records().athletes())).containsKey(who);
        for (MatchRecord r : DEMO) {
            if (r.cornerOf(who).isPresent()) {
                on(() -> session.records().setRemoved(r.id(), true));
            }
        }
        settled();
        assertThat(on(() -> session.records().athletes())).doesNotContainKey(who);
        assertThat(session.records().match(id())).isEmpty();
    }

    @Test
    void aPlanIsKeptInVersionsAndAnAssignmentCanBeTakenBack() throws Exception {
        Plan empty = Plan.empty("p", "Plan", "a", "b");
        Plan titled = Plan.empty("p", "Plan for May", "a", "b");
        Assignment first = new Assignment("x", "a", List.of("b"), "Event", null, "points-gi", "gi", 6);
        on(() -> {
            session.plans().change(empty, titled);
            session.assignments().save(first);
            session.assignments().save(first.without("b"));
        });
        settled();
        assertThat(library.plans()).containsExactly(titled);
        assertThat(library.assignments()).containsExactly(first.without("b"));
        on(() -> {
            session.plans().step("p", -1);
            assertThat(session.assignments().undo()).contains(first);
            assertThat(session.assignments().undo()).isEmpty();
        });
        settled();
        assertThat(on(() -> session.plans().plan("p"))).contains(empty);
        assertThat(library.assignments()).containsExactly(first);
        assertThat(told).containsExactly("There is nothing to undo.");
    }
}
