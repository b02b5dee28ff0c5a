package farglass.matchup.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.simulate.Small;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ForwardPassTest {
    private static final double SMALL = 0.001;
    private static final double TENTH = 0.1;

    /** Every figure that matters, by the forward pass and by solving anew a little to either side. */
    @ParameterizedTest
    @CsvSource({"submission-only, false", "late-points, false", "points-gi, true"})
    void leverageEqualsFiniteDifferences(String rules, boolean paced) {
        Model plain = Small.demo("odile-marrowen", rules).model();
        Model m = paced ? Small.paced(plain) : plain;
        SolverSettings settings = SolverSettings.USUAL.emphasis(1);
        ForwardPass flow = ForwardPass.of(new BackwardInduction(m, settings).best(BackwardInduction.Answer.NEVER));
        List<ForwardPass.Leverage> most = flow.leverage().subList(0, 6);
        assertThat(most.get(0).most()).isGreaterThan(0.001);
        for (ForwardPass.Leverage l : most) {
            Exit e = l.exit();
            double rate = win(m.with(e.key(), e.rate() * (1 + SMALL), e.chance()), settings)
                    - win(m.with(e.key(), e.rate() * (1 - SMALL), e.chance()), settings);
            double chance = win(m.with(e.key(), e.rate(), e.chance() * (1 + SMALL)), settings)
                    - win(m.with(e.key(), e.rate(), e.chance() * (1 - SMALL)), settings);
            assertThat(l.rate10()).as(e.key() + " rate").isCloseTo(TENTH * rate / (2 * SMALL), within(1e-5));
            assertThat(l.chance10()).as(e.key() + " chance").isCloseTo(TENTH * chance / (2 * SMALL), within(1e-5));
        }
    }

    /** Long steps are for what is worked out many times; they must not tell another story. */
    @ParameterizedTest
    @ValueSource(strings = {"points-gi", "submission-only"})
    void coarseStepsHardlyMoveTheWinChance(String rules) {
        for (String them : List.of("brisa-tolendt", "juno-fastrel", "odile-marrowen")) {
            Model m = Small.demo(them, rules).model();
            SolverSettings fine = SolverSettings.USUAL.emphasis(1);
            assertThat(fine.coarse().stepMs()).isGreaterThan(fine.stepMs());
            assertThat(win(m, fine.coarse())).as(them).isCloseTo(win(m, fine), within(1e-3));
        }
    }

    private static double win(Model m, SolverSettings settings) {
        return new BackwardInduction(m, settings)
                .best(BackwardInduction.Answer.NEVER)
                .win();
    }

    @ParameterizedTest
    @ValueSource(strings = {"points-gi", "late-points", "mixed-rounds"})
    void endingsAddUpToTheWinChanceAndMinutesToTheMatch(String rules) {
        Solution s = new BackwardInduction(Small.demo("brisa-tolendt", rules).model(), SolverSettings.USUAL.coarse())
                .natural();
        ForwardPass f = ForwardPass.of(s);
        double win = 0;
        double all = 0;
        for (var e : f.endings().entrySet()) {
            all += e.getValue();
            win += e.getKey().value() * e.getValue();
        }
        assertThat(all).isCloseTo(1, within(0.005));
        assertThat(win).isCloseTo(s.win(), within(0.005));
        double minutes = s.programme().model().states().stream()
                .filter(p -> !p.paid())
                .mapToDouble(f::minutes)
                .sum();
        assertThat(minutes).isBetween(3.0, 8.0);
    }
}
