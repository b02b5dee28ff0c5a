package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RecentLibrariesTest {
    @TempDir
    private Path folder;

    private Path library(String name) throws Exception {
        return Files.createFile(folder.resolve(name + ".farglass"));
    }

    @Test
    void theNewestComesFirstAndEachOnce() throws Exception {
        RecentLibraries recent = new RecentLibraries(folder.resolve("home"));
        assertThat(recent.all()).isEmpty();
        Path one = library("one");
        Path two = library("two");
        recent.opened(one);
        recent.opened(two);
        recent.opened(one);
        assertThat(recent.all()).containsExactly(one, two);
        Files.delete(two);
        assertThat(recent.all()).as("what is gone is not offered").containsExactly(one);
    }

    @Test
    void onlySoManyAreKept() throws Exception {
        RecentLibraries recent = new RecentLibraries(folder);
        for (int i = 0; i < 20; i++) {
            recent.opened(library("l" + i));
        }
        assertThat(recent.all()).hasSize(8).first().isEqualTo(folder.resolve("l19.farglass"));
    }

    @Test
    void aBrokenListIsNoReasonToStop() throws Exception {
        Files.write(folder.resolve("recent-libraries.txt"), new byte[] {(byte) 0xff, 0, 10, 'x'});
        RecentLibraries recent = new RecentLibraries(folder);
        assertThat(recent.all()).isEmpty();
        recent.opened(library("mine"));
        assertThat(recent.all()).hasSize(1);
    }
}
