package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RestoringTest {
    @TempDir
    private Path folder;

    private Path file;
    private Path backup;
    private MatchRecord then;

    @BeforeEach
    void aLibraryThatWentOnAfterItsBackup() throws Exception {
        file = folder.resolve("my.farglass");
        try (Library library = Library.open(file, Samples.NOON)) {
            library.addAll(List.of(Samples.record("m1"), Samples.record("m2")));
            then = library.apply("m1", Edit.add(Samples.record("m1"), Samples.sweep(5000)));
            backup = library.backUp(null);
            library.apply("m1", Edit.add(then, Samples.sweep(9000)));
            library.setRemoved("m2", true);
            library.add(Samples.record("m3"));
        }
    }

    @Test
    void whatDiffersIsSaidFirst() throws Exception {
        LibraryDifference d = new Restoring(file, backup, Samples.NOON).difference();
        assertThat(d.matches())
                .extracting(LibraryDifference.Match::id, LibraryDifference.Match::then, LibraryDifference.Match::now)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("m2", 2, -1),
                        org.assertj.core.groups.Tuple.tuple("m1", 3, 4),
                        org.assertj.core.groups.Tuple.tuple("m3", -1, 2));
        assertThat(new Restoring(file, backup, Samples.NOON).difference().nothing())
                .isFalse();
    }

    @Test
    void theWholeLibraryComesBackAndWhatWasThereIsKept() throws Exception {
        Restoring.Done done = new Restoring(file, backup, Samples.NOON).whole();
        try (Library library = Library.open(file, Samples.NOON)) {
            assertThat(library.matches()).extracting(MatchRecord::id).containsExactly("m1", "m2");
            assertThat(library.match("m1")).contains(then);
            assertThat(library.undo("m1")).contains(Samples.record("m1"));
        }
        assertThat(Salvage.of(done.kept().orElseThrow(), Samples.NOON).matches())
                .extracting(MatchRecord::id)
                .containsExactly("m1", "m3");
    }

    @Test
    void aLibraryThatCannotBeReadIsKeptByteForByteAndReplaced() throws Exception {
        byte[] rubbish = "gone".repeat(3000).getBytes(java.nio.charset.StandardCharsets.UTF_8);
        Files.write(file, rubbish);
        assertThat(new Restoring(file, backup, Samples.NOON).difference().matches())
                .hasSize(2);
        Restoring.Done done = new Restoring(file, backup, Samples.NOON).whole();
        assertThat(done.kept().orElseThrow()).hasBinaryContent(rubbish);
        assertThat(Verification.of(file, Samples.NOON).good()).isTrue();
    }

    @Test
    void aLibraryThatIsGoneComesBack() throws Exception {
        Files.delete(file);
        assertThat(new Restoring(file, backup, Samples.NOON).whole().kept()).isEmpty();
        assertThat(Salvage.of(file, Samples.NOON).matches()).hasSize(2);
    }

    @Test
    void oneMatchComesBackWithItsHistory() throws Exception {
        try (Library library = Library.open(file, Samples.NOON)) {
            Restoring.matches(library, backup, List.of("m1", "m2"), Samples.NOON);
            assertThat(library.matches()).extracting(MatchRecord::id).containsExactly("m1", "m2", "m3");
            assertThat(library.match("m1")).contains(then);
            assertThat(library.undo("m1")).contains(Samples.record("m1"));
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(() -> Restoring.matches(library, backup, List.of("m9"), Samples.NOON))
                    .withMessageContaining("m9")
                    .withMessageContaining("It holds: m1, m2");
        }
    }

    @Test
    void nothingIsTouchedForABadBackupOrAnOpenLibrary() throws Exception {
        Path bad = Files.write(folder.resolve("bad.bak"), new byte[500]);
        byte[] before = Files.readAllBytes(file);
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> new Restoring(file, bad, Samples.NOON).whole());
        try (Library open = Library.open(file, Samples.NOON)) {
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(() -> new Restoring(file, backup, Samples.NOON).whole())
                    .withMessageContaining("open in another window");
            assertThat(open.readOnly()).isFalse();
        }
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> new Restoring(file, file, Samples.NOON))
                .withMessageContaining("the library itself");
    }
}
