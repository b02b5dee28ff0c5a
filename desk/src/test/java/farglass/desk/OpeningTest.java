package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OpeningTest {
    @TempDir
    private Path folder;

    @Test
    void aPathIsTheLibraryThatIsOpened() throws Exception {
        Path file = folder.resolve("mine.farglass");
        Opening.Opened opened = Opening.open(List.of(file.toString()));
        try (var library = opened.content().library()) {
            assertThat(library.file()).isEqualTo(file.toRealPath());
            assertThat(library.matches()).isEmpty();
            assertThat(opened.told()).isNull();
        }
    }

    /** Pictures are made of the demo's matches, of the one that waits too, before anybody has planned. */
    @Test
    void whatPicturesAreMadeOfHasTheMatchThatWaits() throws Exception {
        try (var library = farglass.store.Library.open(folder.resolve("shots.farglass"), Opening.CLOCK)) {
            assertThat(Demo.fill(library)).isTrue();
            Demo.waiting(library);
            assertThat(library.matches()).filteredOn(MatchRecord::waiting).hasSize(1);
            assertThat(library.plans())
                    .as("but the one that was fought")
                    .extracting(Plan::id)
                    .containsExactly(DemoLibrary.fought().id());
            assertThat(Demo.fill(library)).as("once").isFalse();
            try (var beside = Files.list(folder.resolve("films"))) {
                assertThat(beside.map(p -> p.getFileName().toString())).anyMatch(n -> n.endsWith(".vtt"));
            }
        }
    }
}
