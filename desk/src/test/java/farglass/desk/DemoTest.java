package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DemoTest {
    @TempDir
    Path folder;

    @Test
    void thePlanOfTheMatchAheadIsHalfWorkedAndAFilledLibraryIsLeftAlone() throws Exception {
        try (Library library = Library.open(folder.resolve("demo.farglass"), Clock.systemUTC())) {
            assertThat(Demo.fill(library)).isTrue();
            Demo.prepare(library);
            Plan p = library.plans().stream()
                    .filter(x -> x.id().startsWith("lantern-bay-2031."))
                    .findFirst()
                    .orElseThrow();
            assertThat(p.pinned())
                    .extracting(PinnedClaim::claim)
                    .containsExactlyInAnyOrder("opening.pull", "guard.LAS", "side.sweep", "technique.triangle");
            assertThat(p.openings()).hasSize(1);
            assertThat(p.clauses()).hasSize(2);
            assertThat(p.camp().log()).hasSize(3);
            assertThat(library.assignments()).hasSize(3);
            MatchRecord waiting = library.matches().stream()
                    .filter(MatchRecord::waiting)
                    .findFirst()
                    .orElseThrow();
            assertThat(waiting.films()).hasSize(1);
            assertThat(waiting.clock().isEmpty()).isTrue();
            MatchRecord shown = DemoLibrary.shown(waiting, Lexicon.builtIn());
            assertThat(shown.films().get(0).file())
                    .isEqualTo(waiting.films().get(0).file());
            assertThat(shown.tags()).hasSizeGreaterThan(20);
            assertThat(DemoLibrary.shown(shown, Lexicon.builtIn())).isSameAs(shown);
            assertThat(Demo.fill(library)).isFalse();
            assertThat(library.plans()).extracting(Plan::id).containsAll(List.of(p.id()));
        }
    }
}
