package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OpeningChoiceTest {
    private static MeetingSolution solved(Constraints wishes) {
        return Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), wishes)
                .solve();
    }

    @Test
    void whatIsLeftOutIsWorthWhatBarringItBrings() {
        OpeningChoice c = OpeningChoice.of(solved(Constraints.NONE)).orElseThrow();
        Meeting m = solved(Constraints.NONE).meeting();
        assertThat(c.family()).isEqualTo("guard-pull");
        assertThat(c.tags()).isNotEmpty().doesNotHaveDuplicates();
        // the only pull of ours that is known stands at the start
        Set<String> pulls = Set.copyOf(m.model().exits(ModelState.START, true).stream()
                .filter(e -> e.family().equals("guard-pull"))
                .map(Exit::technique)
                .toList());
        double barred = solved(new Constraints(pulls, Map.of(), List.of()))
                        .planned()
                        .programme()
                        .win(null, Answer.NEVER)
                - solved(Constraints.NONE).natural().win();
        assertThat(c.worth()).isCloseTo(barred, within(0.002));
    }

    @Test
    void drawsSayHowSureItIs() {
        Optional<OpeningChoice> c = OpeningChoice.drawn(solved(Constraints.NONE), 1, x -> {}, () -> false);
        assertThat(c).hasValueSatisfying(o -> {
            assertThat(o.holds()).isBetween(Decisions.LIKELY, 1.0);
            assertThat(o.range().lo()).isLessThan(o.worth());
            assertThat(o.range().hi()).isGreaterThan(o.worth());
            assertThat(o.draws()).isEqualTo(Decisions.DRAWS);
        });
    }

    @Test
    void whatTheUserBarredAlreadyIsNotTold() {
        Constraints without = new Constraints(Set.of("guard-pull"), Map.of(), List.of());
        assertThat(OpeningChoice.of(solved(without)).map(OpeningChoice::family))
                .isNotEqualTo(Optional.of("guard-pull"));
    }
}
