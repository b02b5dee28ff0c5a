package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A library on a disk of half a megabyte; where the machine lets nobody mount one, there is nothing to test. */
class FullLibraryDiskTest {
    @TempDir
    private Path folder;

    private Path small;

    private static boolean run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor() == 0;
    }

    @BeforeEach
    void mount() throws Exception {
        small = Files.createDirectory(folder.resolve("small"));
        assumeTrue(Files.isExecutable(Path.of("/bin/mount")));
        assumeTrue(run("/bin/mount", "-t", "tmpfs", "-o", "size=600k", "tmpfs", small.toString()));
    }

    @AfterEach
    void unmount() throws Exception {
        run("/bin/umount", small.toString());
    }

    @Test
    void whatWasConfirmedIsThereWhatWasNotIsSaidAndWorkGoesOnWhenThereIsRoom() throws Exception {
        Path file = small.resolve("my.farglass");
        List<String> warned = new ArrayList<>();
        MatchRecord now = Samples.record("m1");
        int confirmed = 0;
        String said = null;
        Path filler = small.resolve("filler");
        try (Library library = Library.open(file, Samples.NOON)) {
            library.onWarning(warned::add);
            library.add(now);
            Files.write(filler, new byte[120_000]);
            while (said == null && confirmed < 5000) {
                try {
                    now = library.apply("m1", Edit.add(now, Samples.sweep(1000 + confirmed)));
                    confirmed++;
                } catch (LibraryException e) {
                    said = e.getMessage();
                }
            }
            assertThat(said)
                    .contains("the disk is full")
                    .contains("this change is not")
                    .contains("Make room");
            assertThat(library.match("m1")).contains(now);
            Files.delete(filler);
            now = library.apply("m1", Edit.add(now, Samples.sweep(1000 + confirmed)));
            confirmed++;
        }
        try (Library library = Library.open(file, Samples.NOON)) {
            assertThat(library.match("m1")).contains(now);
            assertThat(library.history("m1")).hasSize(confirmed);
        }
        assertThat(Verification.of(file, Samples.NOON).faults()).isEmpty();
        for (Backups.Backup b : Backups.of(file, Samples.NOON).all()) {
            assertThat(Verification.of(b.path(), Samples.NOON).good())
                    .as("%s", b.path())
                    .isTrue();
        }
        assertThat(warned).allMatch(w -> w.contains("No backup could be made"));
    }

    @Test
    void aLibraryOnAMediumThatCannotBeWrittenIsRead() throws Exception {
        Path file = small.resolve("my.farglass");
        try (Library library = Library.open(file, Samples.NOON)) {
            library.add(Samples.record("m1"));
        }
        assumeTrue(run("/bin/mount", "-o", "remount,ro", small.toString()));
        try (Library library = Library.read(file, Samples.NOON)) {
            assertThat(library.matches()).hasSize(1);
        }
        assertThat(RecordSource.load(file, Samples.NOON).records()).hasSize(1);
        org.assertj.core.api.Assertions.assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> Library.open(file, Samples.NOON))
                .satisfies(e -> assertThat(e.kind()).isEqualTo(LibraryException.Kind.READ_ONLY));
    }
}
