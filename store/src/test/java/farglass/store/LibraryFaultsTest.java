package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What happens to a library when its file is linked, cut, emptied, deleted or replaced. */
class LibraryFaultsTest {
    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("my.farglass");
    }

    private Library open() throws LibraryException {
        return Library.open(file(), Samples.NOON);
    }

    private void filled() throws LibraryException {
        try (Library library = open()) {
            library.add(Samples.record("m1"));
            library.set("who", "me");
        }
        // a later day's first change leaves a backup that holds the match
        try (Library library = Library.open(file(), Samples.clock("2031-04-13T12:00:00Z"))) {
            library.add(Samples.record("m2"));
        }
    }

    private static void refused(LibraryException.Kind kind, ThrowingCallable opening) {
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(opening)
                .satisfies(e -> assertThat(e.kind()).isEqualTo(kind))
                .satisfies(e -> assertThat(e.getMessage()).doesNotContain("SQLITE", "org."));
    }

    @Test
    void aLinkLeadsToTheSameLock() throws Exception {
        filled();
        Path link = Files.createSymbolicLink(folder.resolve("link.farglass"), file());
        Path elsewhere = Files.createDirectories(folder.resolve("sub"));
        Path far = Files.createSymbolicLink(elsewhere.resolve("far.farglass"), link);
        try (Library library = open()) {
            refused(LibraryException.Kind.IN_USE, () -> Library.open(link, Samples.NOON));
            refused(LibraryException.Kind.IN_USE, () -> Library.open(far, Samples.NOON));
            library.add(Samples.record("m3"));
        }
        try (Library library = Library.open(far, Samples.NOON)) {
            assertThat(library.matches()).hasSize(3);
            assertThat(library.folder()).isEqualTo(folder.toRealPath());
        }
    }

    @Test
    void aSecondNameForTheFileIsRefusedBecauseItsJournalWouldBeMissed() throws Exception {
        filled();
        Path other = Files.createLink(folder.resolve("other.farglass"), file());
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> Library.open(other, Samples.NOON))
                .withMessageContaining("second name")
                .withMessageContaining("Copy it");
        Files.delete(other);
        open().close();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 99, 4096, 9000})
    void aFileCutShortIsNoNewLibrary(int bytes) throws Exception {
        filled();
        try (var channel = Files.newByteChannel(file(), StandardOpenOption.WRITE)) {
            channel.truncate(bytes);
        }
        refused(LibraryException.Kind.DAMAGED, this::open);
        assertThat(Files.size(file())).as("left as it is").isEqualTo(bytes);
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(this::open)
                .withMessageContaining("2031-04-13")
                .withMessageContaining("bring it back");
    }

    @Test
    void aLibraryThatIsGoneWhileItsBackupsAreThereIsNotBegunAnew() throws Exception {
        filled();
        Files.delete(file());
        refused(LibraryException.Kind.MISSING, this::open);
        assertThat(file()).doesNotExist();
    }

    @Test
    void whatIsConfirmedComesOutOfALibraryDeletedWhileOpen() throws Exception {
        filled();
        List<String> warned = new ArrayList<>();
        Library library = open();
        library.onWarning(warned::add);
        library.add(Samples.record("m3"));
        Files.delete(file());
        refused(LibraryException.Kind.DAMAGED, () -> library.add(Samples.record("m4")));
        refused(LibraryException.Kind.DAMAGED, () -> library.set("a", "b"));
        library.close();
        assertThat(warned).isNotEmpty();
        Path rescued = only("rescued");
        try (Library back = Library.open(rescued, Samples.NOON)) {
            assertThat(back.matches()).extracting(MatchRecord::id).containsExactly("m1", "m2", "m3");
        }
    }

    @Test
    void aLibraryReplacedOrCutWhileOpenIsNoticed() throws Exception {
        filled();
        Path other = folder.resolve("other");
        Files.copy(file(), other);
        try (Library library = open()) {
            Files.move(other, file(), StandardCopyOption.REPLACE_EXISTING);
            refused(LibraryException.Kind.DAMAGED, () -> library.add(Samples.record("m4")));
        }
        try (Library library = open()) {
            try (var channel = Files.newByteChannel(file(), StandardOpenOption.WRITE)) {
                channel.truncate(4096);
            }
            refused(LibraryException.Kind.DAMAGED, () -> library.add(Samples.record("m4")));
        }
    }

    private Path only(String ending) throws Exception {
        try (Stream<Path> files = Files.list(folder.resolve("backups"))) {
            List<Path> found = files.filter(p -> p.toString().endsWith(ending)).toList();
            assertThat(found).hasSize(1);
            return found.get(0);
        }
    }

    @Test
    void anOpenLibraryCanBeReadBesideButNotWritten() throws Exception {
        filled();
        try (Library library = open()) {
            MatchRecord r = library.match("m1").orElseThrow();
            library.apply("m1", Edit.add(r, Samples.sweep(5000)));
            try (Library beside = Library.read(file(), Samples.NOON)) {
                assertThat(beside.match("m1").orElseThrow().tags()).hasSize(3);
                assertThat(beside.readOnly()).isTrue();
                refused(LibraryException.Kind.READ_ONLY, () -> beside.set("a", "b"));
            }
            library.add(Samples.record("m3"));
        }
        assertThat(Verification.of(file(), Samples.NOON).good()).isTrue();
    }

    @Test
    void readingAnOldLibraryDoesNotChangeIt() throws Exception {
        try (var c = java.sql.DriverManager.getConnection("jdbc:sqlite:" + file());
                var s = c.createStatement()) {
            for (String one : new String(
                            LibraryTest.class
                                    .getResourceAsStream("release-1.sql")
                                    .readAllBytes(),
                            java.nio.charset.StandardCharsets.UTF_8)
                    .split(";\\s*\n")) {
                if (!one.isBlank()) {
                    s.execute(one);
                }
            }
        }
        byte[] before = Files.readAllBytes(file());
        assertThat(RecordSource.load(file(), Samples.NOON).records()).hasSize(1);
        assertThat(Verification.of(file(), Samples.NOON).faults()).isEmpty();
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
        open().close();
        try (Stream<Path> files = Files.list(folder.resolve("backups"))) {
            assertThat(files.map(Path::toString))
                    .as("a copy was made before the new form")
                    .singleElement()
                    .asString()
                    .endsWith(".before.bak");
        }
    }

    @Test
    void aBackupThatCannotBeMadeIsAWarningAndTheChangeIsKept() throws Exception {
        filled();
        Files.move(folder.resolve("backups"), folder.resolve("away"));
        Files.writeString(folder.resolve("backups"), "no folder");
        List<String> warned = new ArrayList<>();
        try (Library library = open()) {
            library.onWarning(warned::add);
            library.add(Samples.record("m3"));
            assertThat(library.matches()).hasSize(3);
        }
        assertThat(warned)
                .singleElement()
                .asString()
                .contains("No backup could be made")
                .contains("kept");
    }

    @Test
    void brokenBackupsDoNotCountAndNeighboursKeepTheirs() throws Exception {
        filled();
        Path backups = folder.resolve("backups");
        Files.write(backups.resolve("my.farglass.2031-04-20.bak"), new byte[0]);
        Files.write(backups.resolve("my.farglass.2031-04-21.bak"), new byte[5000]);
        Path neighbour = Files.write(backups.resolve("my.farglass.old.2031-04-01.bak"), new byte[10]);
        try (Library library = Library.open(file(), Samples.clock("2031-04-20T12:00:00Z"))) {
            assertThat(library.backups().newest().orElseThrow().date()).hasToString("2031-04-13");
            library.add(Samples.record("m3"));
        }
        Verification v = Verification.of(backups.resolve("my.farglass.2031-04-20.bak"), Samples.NOON);
        assertThat(v.faults()).as("the empty one was made anew").isEmpty();
        assertThat(v.counts()).containsEntry("match_record", 2L);
        for (int day = 22; day < 30; day++) {
            try (Library library = Library.open(file(), Samples.clock("2031-04-" + day + "T12:00:00Z"))) {
                library.set("day", "" + day);
            }
        }
        assertThat(backups.resolve("my.farglass.2031-04-21.bak")).doesNotExist();
        assertThat(neighbour).exists();
        assertThat(Backups.of(file(), Samples.NOON).all()).hasSize(7).allMatch(Backups.Backup::whole);
    }

    @Test
    void aSecondFolderGetsACopyOfEveryDay() throws Exception {
        Path second = folder.resolve("stick");
        try (Library library = open()) {
            library.set(Library.SECOND_BACKUPS, second.toString());
            assertThat(library.backups().all())
                    .as("nothing is worth a copy yet")
                    .isEmpty();
            library.add(Samples.record("m0"));
        }
        try (Library library = Library.open(file(), Samples.clock("2031-04-15T12:00:00Z"))) {
            library.add(Samples.record("m1"));
        }
        assertThat(second.resolve("my.farglass.2031-04-15.bak")).exists();
    }

    @Test
    void aDamagedLibraryIsReadAsFarAsItGoes() throws Exception {
        try (Library library = open()) {
            List<MatchRecord> many = new ArrayList<>();
            for (int i = 0; i < 200; i++) {
                many.add(Samples.record("m" + i));
            }
            library.addAll(many);
        }
        byte[] good = Files.readAllBytes(file());
        int readable = 0;
        for (long seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            byte[] bad = good.clone();
            // pages after the first: the table of contents stands there
            int at = 4096 * (1 + random.nextInt(bad.length / 4096 - 1));
            for (int i = 0; i < 4096; i++) {
                bad[at + i] = (byte) random.nextInt();
            }
            Path damaged = Files.write(folder.resolve("damaged.farglass"), bad);
            try {
                Salvage s = Salvage.of(damaged, Samples.NOON);
                readable++;
                if (s.matches().size() < 200) {
                    assertThat(s.missing()).as("seed %d", seed).isNotEmpty();
                }
                assertThat(s.matches()).as("seed %d", seed).hasSizeGreaterThan(100);
            } catch (LibraryException e) {
                assertThat(e.kind()).isEqualTo(LibraryException.Kind.DAMAGED);
            }
            for (String ending : List.of("-wal", "-shm")) {
                Files.deleteIfExists(folder.resolve("damaged.farglass" + ending));
            }
        }
        assertThat(readable).isGreaterThan(20);
    }

    @Test
    void damageInADocumentIsFoundAndSaid() throws Exception {
        filled();
        try (var c = java.sql.DriverManager.getConnection("jdbc:sqlite:" + file());
                var s = c.createStatement()) {
            s.execute("UPDATE match_record SET document = '{' WHERE id = 'm1'");
            s.execute("UPDATE match_record SET edits_applied = 4 WHERE id = 'm2'");
        }
        assertThat(Verification.of(file(), Samples.NOON).faults())
                .hasSize(2)
                .anyMatch(f -> f.contains("m1"))
                .anyMatch(f -> f.contains("history of match m2"));
        assertThat(Salvage.of(file(), Samples.NOON).matches())
                .extracting(MatchRecord::id)
                .containsExactly("m2");
    }

    @Test
    void aRemovedMatchThatIsImportedAgainKeepsItsHistory() throws Exception {
        try (Library library = open()) {
            MatchRecord first = Samples.record("m1");
            library.add(first);
            MatchRecord edited = library.apply("m1", Edit.add(first, Samples.sweep(5000)));
            library.setRemoved("m1", true);
            MatchRecord other = first.withTags(List.of(Samples.sweep(100), Samples.sweep(200)));
            library.add(other);
            assertThat(library.match("m1")).contains(other);
            assertThat(library.history("m1")).hasSize(2);
            assertThat(library.undo("m1")).contains(edited);
            assertThat(library.undo("m1")).contains(first);
            assertThat(library.redo("m1")).contains(edited);
            assertThat(library.redo("m1")).contains(other);
        }
    }

    @Test
    void aPathWithAnyLettersIsAPath() throws Exception {
        Path odd = folder.resolve("what? 50% of #1 & ü.farglass");
        try (Library library = Library.open(odd, Samples.NOON)) {
            library.add(Samples.record("m1"));
        }
        assertThat(odd).exists();
        assertThat(RecordSource.load(odd, Samples.NOON).records()).hasSize(1);
    }
}
