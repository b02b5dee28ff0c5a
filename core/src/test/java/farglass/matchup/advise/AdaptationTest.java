package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class AdaptationTest {
    private static MeetingSolution solved;
    private static Decisions decisions;
    private static List<Adaptation> all;

    @BeforeAll
    static void solve() {
        solved = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
        decisions = Decisions.of(solved);
        all = Adaptation.of(solved, decisions, Small.index());
    }

    @Test
    void whatHeMayDoMoreOfIsWhatHeDoes() {
        assertThat(all).hasSizeBetween(1, 3).allSatisfy(a -> {
            assertThat(a.costs()).isPositive();
            assertThat(a.effort()).isPositive();
            assertThat(a.all())
                    .hasSizeGreaterThanOrEqualTo(3)
                    .containsAll(a.behind())
                    .containsAll(a.rematch());
        });
    }

    @Test
    void asOftenAsUsualChangesNothing() {
        Adaptation.Effect same = all.get(0).effect(solved, decisions, 1);
        assertThat(same.natural()).isCloseTo(decisions.natural(), within(1e-9));
        assertThat(same.win() - same.natural()).isCloseTo(decisions.carried(), within(1e-9));
        for (int i = 0; i < decisions.valued().size(); i++) {
            assertThat(same.worths().get(i)).isCloseTo(decisions.valued().get(i).worth(), within(1e-9));
        }
    }

    @Test
    void theMoreOfItTheWorseForUs() {
        for (Adaptation a : all) {
            double twice = a.effect(solved, decisions, 2).win();
            assertThat(decisions.natural() + decisions.carried() - twice).isCloseTo(a.costs(), within(1e-9));
            assertThat(a.effect(solved, decisions, Adaptation.MOST).win()).isLessThanOrEqualTo(twice + 1e-9);
        }
    }

    @Test
    void whatBreaksCostsMoreThanItBringsThere() {
        for (Adaptation a : all) {
            Adaptation.Break b = a.breaks(solved, decisions);
            if (b != null) {
                List<Decision> told = decisions.valued().stream()
                        .map(Decisions.Valued::decision)
                        .toList();
                assertThat(a.effect(solved, decisions, b.factor()).worths().get(told.indexOf(b.decision())))
                        .isNegative();
            }
        }
    }

    @Test
    void planBIsAsGoodAsTheOldPlanAgainstIt() {
        Adaptation a = all.get(0);
        Adaptation.Effect old = a.effect(solved, decisions, Adaptation.MOST);
        Decisions b = a.planB(solved, Adaptation.MOST);
        assertThat(b.natural()).isCloseTo(old.natural(), within(1e-6));
        assertThat(b.natural() + b.carried()).isGreaterThan(old.win() - 0.003);
        // what still helps need not be looked for again
        Decisions same = a.planB(solved, 1);
        assertThat(same.valued()).hasSameSizeAs(decisions.valued());
        assertThat(same.carried()).isCloseTo(decisions.carried(), within(1e-9));
    }
}
