package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.io.BufferedReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A library of one's own needs no server, and none of what speaks to one. */
class OneFileTest {
    @TempDir
    private Path folder;

    /** Makes a library, tags in it, and opens it once more. */
    static final class Alone {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[0]);
            try (Library l = Library.open(file, Samples.NOON)) {
                MatchRecord r = Samples.record("m1");
                l.add(r);
                l.apply("m1", Edit.add(r, Samples.sweep(1000)));
                l.undo("m1");
            }
            try (Library l = Library.open(file, Samples.NOON)) {
                System.out.println("matches " + l.matches().size());
            }
        }
    }

    @Test
    void neitherTheDriverOfAServerNorOurOwnFarEndIsLoaded() throws Exception {
        Process p = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-verbose:class",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Alone.class.getName(),
                        folder.resolve("own.farglass").toString())
                .redirectErrorStream(true)
                .start();
        List<String> said;
        try (BufferedReader out = p.inputReader(StandardCharsets.UTF_8)) {
            said = out.lines().toList();
        }
        assertThat(p.waitFor()).isZero();
        assertThat(said).contains("matches 1");
        assertThat(said)
                .filteredOn(l -> l.contains(" org.sqlite."))
                .as("the check sees classes")
                .isNotEmpty();
        assertThat(said)
                .filteredOn(l -> l.contains(" org.postgresql.") || l.contains(" farglass.store.server."))
                .isEmpty();
    }
}
