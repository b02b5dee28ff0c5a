package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

public class LibraryTest {
    @TempDir
    protected Path folder;

    /** The library under test: of one's own here, the mirror of a team's in a class that goes on from this one. */
    protected Library open() throws LibraryException {
        return Library.open(folder.resolve("my.farglass"), Samples.NOON);
    }

    private static Edit addSweep(MatchRecord r, long ms) {
        return Edit.add(r, Samples.sweep(ms));
    }

    @Test
    void anEditIsOnDiskAndCanBeUndoneAfterARestart() throws Exception {
        MatchRecord first = Samples.record("m1");
        MatchRecord edited;
        try (Library library = open()) {
            library.add(first);
            edited = library.apply("m1", addSweep(first, 5000));
            library.apply("m1", addSweep(edited, 9000));
        }
        try (Library library = open()) {
            assertThat(library.match("m1").orElseThrow().tags()).hasSize(4);
            assertThat(library.undo("m1")).contains(edited);
            assertThat(library.undo("m1")).contains(first);
            assertThat(library.undo("m1")).isEmpty();
            assertThat(library.canUndo("m1")).isFalse();
        }
        try (Library library = open()) {
            assertThat(library.redo("m1")).contains(edited);
            assertThat(library.canRedo("m1")).isTrue();
            library.apply("m1", addSweep(edited, 7000));
            assertThat(library.redo("m1"))
                    .as("what was undone is gone once something new is made")
                    .isEmpty();
        }
    }

    @Test
    void anyRowOfEditsUndoesToTheBeginningAndRedoesToTheEnd() throws Exception {
        RandomGenerator random = new SplittableRandom(20310503);
        List<MatchRecord> demo = DemoLibrary.matches(Lexicon.builtIn(), 7);
        try (Library library = open()) {
            MatchRecord start = demo.get(0);
            library.add(start);
            MatchRecord now = start;
            for (int i = 0; i < 60; i++) {
                assertThat(now.tags()).as("enough tags to go on with").isNotEmpty();
                int at = random.nextInt(now.tags().size());
                Tag tag = now.tags().get(at);
                Edit e = switch (random.nextInt(4)) {
                    case 0 -> Edit.remove(now, at);
                    case 1 -> Edit.replace(now, at, tag.at(tag.t().plus(random.nextInt(9000))));
                    case 2 -> new Edit.SetFilms(now.films(), List.of());
                    default -> addSweep(now, random.nextInt(300_000));
                };
                now = library.apply(now.id(), e);
            }
            for (int i = 0; i < 60; i++) {
                assertThat(library.undo(now.id())).isPresent();
            }
            assertThat(library.match(now.id())).contains(start);
            for (int i = 0; i < 60; i++) {
                assertThat(library.redo(now.id())).isPresent();
            }
            assertThat(library.match(now.id())).contains(now);
        }
    }

    @Test
    void aListWithOneKnownIdAddsNothing() throws Exception {
        try (Library library = open()) {
            library.add(Samples.record("m1"));
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(() -> library.addAll(List.of(Samples.record("m2"), Samples.record("m1"))))
                    .withMessageContaining("m1")
                    .withMessageContaining("nothing was added");
            assertThat(library.matches()).extracting(MatchRecord::id).containsExactly("m1");
        }
    }

    @Test
    void aListThatNamesAnIdTwiceAddsNothing() throws Exception {
        try (Library library = open()) {
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(() -> library.addAll(List.of(Samples.record("m1"), Samples.record("m1"))))
                    .withMessageContaining("m1");
            assertThat(library.matches()).isEmpty();
        }
    }

    @Test
    void aRemovedMatchComesBackWithItsLog() throws Exception {
        try (Library library = open()) {
            MatchRecord first = Samples.record("m1");
            library.add(first);
            library.apply("m1", addSweep(first, 5000));
            library.setRemoved("m1", true);
            assertThat(library.matches()).isEmpty();
            library.setRemoved("m1", false);
            assertThat(library.matches()).hasSize(1);
            assertThat(library.undo("m1")).contains(first);
        }
    }

    @Test
    void plansKeepTheirVersionsAndAssignmentsTheirOrder() throws Exception {
        try (Library library = open()) {
            var plan = Samples.plan();
            library.save(plan);
            library.save(plan.remarks("loud"));
            library.save(Samples.assignment("b"));
            library.save(Samples.assignment("a"));
            library.set("who", "me");
        }
        try (Library library = open()) {
            String id = Samples.plan().id();
            assertThat(library.stepPlan(id, -1)).contains(Samples.plan());
            assertThat(library.stepPlan(id, -1)).isEmpty();
            assertThat(library.plans()).containsExactly(Samples.plan());
            assertThat(library.stepPlan(id, 1).orElseThrow().remarks()).isEqualTo("loud");
            assertThat(library.assignments()).containsExactly(Samples.assignment("b"), Samples.assignment("a"));
            assertThat(library.setting("who")).contains("me");
            assertThat(library.setting("nobody")).isEmpty();
        }
    }

    @Test
    void aSecondProgramIsTurnedAway() throws Exception {
        try (Library library = open()) {
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(this::open)
                    .withMessageContaining("open in another window")
                    .withMessageContaining("Nothing was changed");
            library.add(Samples.record("m1"));
        }
        try (Library library = open()) {
            assertThat(library.matches()).hasSize(1);
        }
    }

    @Test
    void aLibraryOfANewerVersionIsLeftAlone() throws Exception {
        open().close();
        sql("PRAGMA user_version = 99");
        byte[] before = Files.readAllBytes(folder.resolve("my.farglass"));
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(this::open)
                .withMessageContaining("newer Far Glass")
                .withMessageContaining("format 99");
        assertThat(Files.readAllBytes(folder.resolve("my.farglass"))).isEqualTo(before);
    }

    @Test
    void whatIsNoLibraryIsLeftAlone() throws Exception {
        Path file = folder.resolve("my.farglass");
        Files.writeString(file, "holiday pictures, not a database ".repeat(100));
        byte[] before = Files.readAllBytes(file);
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(this::open)
                .withMessageContaining("cannot be opened as a library")
                .withMessageContaining("left as it is");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    @Test
    void aFolderThatCannotBeMadeIsSaid() throws Exception {
        Path file = Files.writeString(folder.resolve("taken"), "x");
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> Library.open(file.resolve("sub").resolve("my.farglass"), Samples.NOON))
                .withMessageContaining("Choose another folder");
    }

    @Test
    void aReadOnlyFileIsRefusedAndAWriteThatFailsKeepsWhatWasConfirmed() throws Exception {
        MatchRecord first = Samples.record("m1");
        try (Library library = open()) {
            library.add(first);
            sqlOn(library, "PRAGMA query_only = 1");
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(() -> library.apply("m1", addSweep(first, 5000)))
                    .withMessageContaining("could not be written")
                    .withMessageContaining("is kept");
            assertThat(library.match("m1")).contains(first);
            assertThat(library.canUndo("m1")).isFalse();
        }
    }

    @Test
    void aDamagedRecordIsNamedAndNothingElseHappens() throws Exception {
        try (Library library = open()) {
            library.add(Samples.record("m1"));
        }
        sql("UPDATE match_record SET document = replace(document, '\"STD\"', '7')");
        try (Library library = open()) {
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(library::matches)
                    .withMessageContaining("/tags/1/position")
                    .withMessageContaining("backups");
        }
    }

    @Test
    void oneBackupADayIsMadeBeforeTheFirstWriteAndSevenAreKept() throws Exception {
        for (int day = 10; day < 20; day++) {
            try (Library library =
                    Library.open(folder.resolve("my.farglass"), Samples.clock("2031-04-" + day + "T12:00:00Z"))) {
                library.add(Samples.record("m" + day));
                library.set("day", "" + day);
            }
        }
        try (Stream<Path> files = Files.list(folder.resolve("backups"))) {
            assertThat(files.map(p -> p.getFileName().toString()))
                    .hasSize(7)
                    .contains("my.farglass.2031-04-19.bak", "my.farglass.2031-04-13.bak");
        }
        Path restored = folder.resolve("restored.farglass");
        Files.copy(folder.resolve("backups").resolve("my.farglass.2031-04-19.bak"), restored);
        try (Library library = Library.open(restored, Samples.NOON)) {
            assertThat(library.matches()).hasSize(9);
        }
    }

    @Test
    void aLibraryOfTheFirstReleaseOpens() throws Exception {
        // the schema as it was released, with a row of each kind, made without today's migrations
        try (Connection c = connection();
                Statement s = c.createStatement()) {
            String schema = new String(
                    LibraryTest.class.getResourceAsStream("release-1.sql").readAllBytes(),
                    java.nio.charset.StandardCharsets.UTF_8);
            for (String one : schema.split(";\\s*\n")) {
                if (!one.isBlank()) {
                    s.execute(one);
                }
            }
        }
        try (Library library = open()) {
            assertThat(library.matches()).extracting(MatchRecord::id).containsExactly("old");
            assertThat(library.undo("old").orElseThrow().tags()).hasSize(2);
            assertThat(library.plans()).hasSize(1);
            assertThat(library.assignments()).hasSize(1);
        }
    }

    @Test
    void nothingConfirmedIsLostWhenTheProcessIsKilled() throws Exception {
        Path file = folder.resolve("my.farglass");
        Process p = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Killed.class.getName(),
                        file.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .redirectOutput(folder.resolve("confirmed").toFile())
                .start();
        assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
        List<String> confirmed = Files.readAllLines(folder.resolve("confirmed"));
        assertThat(confirmed).hasSizeGreaterThanOrEqualTo(20);
        try (Library library = open()) {
            List<Tag> tags = library.match("m1").orElseThrow().tags();
            assertThat(tags).hasSize(2 + confirmed.size());
            for (int i = 0; i < confirmed.size(); i++) {
                assertThat(library.undo("m1")).isPresent();
            }
            assertThat(library.match("m1").orElseThrow().tags()).hasSize(2);
        }
    }

    /** Tags until it kills itself in mid-work, after saying of each tag that it was confirmed. */
    static final class Killed {
        public static void main(String[] args) throws Exception {
            Library library = Library.open(new File(args[0]).toPath(), Samples.NOON);
            MatchRecord r = Samples.record("m1");
            library.add(r);
            for (int i = 0; i < 25; i++) {
                r = library.apply("m1", addSweep(r, 1000 + i * 100));
                System.out.println(i);
                System.out.flush();
            }
            Runtime.getRuntime().halt(9);
        }
    }

    private Connection connection() throws Exception {
        return DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("my.farglass"));
    }

    private void sql(String statement) throws Exception {
        try (Connection c = connection();
                Statement s = c.createStatement()) {
            s.execute(statement);
        }
    }

    private static void sqlOn(Library library, String statement) throws IOException {
        try {
            var field = Library.class.getDeclaredField("connection");
            field.setAccessible(true);
            try (Statement s = ((Connection) field.get(library)).createStatement()) {
                s.execute(statement);
            }
        } catch (ReflectiveOperationException | java.sql.SQLException e) {
            throw new IOException(e);
        }
    }

    @Test
    void theFirstChangeOfAPlanCanBeTakenBackToo() throws Exception {
        try (Library library = open()) {
            Plan empty = Plan.empty("p", "Against them", "us", "them");
            Plan once = empty.remarks("calm");
            Plan twice = once.remarks("loud");
            // what was there before is kept with the first change
            library.save(empty, once);
            library.save(once, twice);
            assertThat(library.plans()).containsExactly(twice);
            assertThat(library.stepPlan("p", -1)).contains(once);
            assertThat(library.stepPlan("p", -1)).contains(empty);
            assertThat(library.stepPlan("p", -1)).as("nothing was before it").isEmpty();
            assertThat(library.stepPlan("p", 1)).contains(once);
            assertThat(library.plans()).containsExactly(once);
        }
        try (Library again = open()) {
            assertThat(again.plans())
                    .singleElement()
                    .satisfies(p -> assertThat(p.remarks()).isEqualTo("calm"));
        }
    }
}
