package farglass.matchup.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.BackwardInduction.Answer;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What an option brings to first order, held against the match solved with it. */
class FirstOrderWorthTest {
    private static BackwardInduction programme;
    private static ForwardPass natural;
    private static double win;

    @BeforeAll
    static void solve() {
        programme = new BackwardInduction(
                Small.demo("odile-marrowen", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE)
                        .model(),
                SolverSettings.USUAL.elasticity(0.8).coarse());
        natural = ForwardPass.of(programme.natural());
        win = programme.win(null, Answer.NEVER);
    }

    private static List<Region> everywhere() {
        return java.util.stream.IntStream.range(0, Region.COUNT)
                .mapToObj(Region::of)
                .toList();
    }

    private static double first(ModelState place, Option option) {
        return everywhere().stream()
                .mapToDouble(r -> natural.worth(place, r, option))
                .sum();
    }

    private static double exact(ModelState place, Option option) {
        Policy policy = Policy.natural(programme);
        policy.take(programme, place, option, everywhere());
        return programme.win(policy, Answer.NEVER) - win;
    }

    @Test
    void whatIsLeantOnBringsWhatTheSolutionSays() {
        int told = 0;
        for (ModelState place : natural.states()) {
            int s = programme.model().indexOf(place);
            for (Option o : programme.options(s).options()) {
                double first = first(place, o);
                if (o.kind() == Option.Kind.PRESS && Math.abs(first) > 0.0005) {
                    assertThat(first)
                            .as(place.key() + " " + o.key())
                            .isCloseTo(exact(place, o), within(0.25 * Math.abs(first) + 0.0003));
                    told++;
                }
            }
        }
        assertThat(told).isGreaterThan(3);
    }

    @Test
    void whatIsNoOptionBringsNothing() {
        assertThat(first(ModelState.START, Option.press("no-such-technique"))).isZero();
        assertThat(first(ModelState.of("HFG", 1), Option.NATURAL)).isZero();
        Policy nothing = Policy.natural(programme);
        nothing.take(programme, ModelState.START, Option.press("no-such-technique"), everywhere());
        assertThat(programme.win(nothing, Answer.NEVER)).isCloseTo(win, within(1e-9));
    }

    @Test
    void onlyTheNaturalMixIsLookedAtSo() {
        Solution best = programme.best(Answer.NEVER);
        ForwardPass flow = ForwardPass.of(best);
        ModelState place = ModelState.of("HFG", -1);
        Option option = flow.taken(place).keySet().stream()
                .filter(o -> o.kind() == Option.Kind.PRESS)
                .findFirst()
                .orElseThrow();
        assertThat(everywhere().stream()
                        .mapToDouble(r -> flow.worth(place, r, option))
                        .sum())
                .isZero();
        double most = everywhere().stream()
                .mapToDouble(r -> flow.taken(place, r, option))
                .max()
                .orElse(0);
        assertThat(most).isBetween(0.01, 1.0000001);
    }
}
