package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnerOnlyTest {
    @TempDir
    private Path dir;

    @BeforeEach
    void ownersAreKnown() {
        assumeTrue(FileSystems.getDefault().supportedFileAttributeViews().contains("posix"));
    }

    private static List<String> permissions(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile)
                    .map(OwnerOnlyTest::permission)
                    .distinct()
                    .toList();
        }
    }

    private static String permission(Path p) {
        try {
            return PosixFilePermissions.toString(Files.getPosixFilePermissions(p));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void aLibraryItsJournalAndItsBackupsAreTheOwners() throws Exception {
        Path folder = dir.resolve("libraries");
        try (Library library = Library.open(folder.resolve("a.farglass"), Samples.NOON)) {
            library.add(Samples.record("one"));
            library.backUp(null);
            assertThat(permissions(folder)).containsExactly("rw-------");
        }
        assertThat(permission(folder)).isEqualTo("rwx------");
        assertThat(permission(folder.resolve("backups"))).isEqualTo("rwx------");
    }

    @Test
    void oneOfAnEarlierVersionIsClosedToOthersWhenItIsOpened() throws Exception {
        Path file = dir.resolve("a.farglass");
        Library.open(file, Samples.NOON).close();
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r--r--"));
        Library.open(file, Samples.NOON).close();
        assertThat(permission(file)).isEqualTo("rw-------");
    }

    @Test
    void aFolderThatIsThereStaysAsItIs() throws Exception {
        Path folder = Files.createDirectory(
                dir.resolve("ours"),
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
        Library.open(folder.resolve("a.farglass"), Samples.NOON).close();
        assertThat(permission(folder)).isEqualTo("rwxr-xr-x");
    }
}
