package farglass.matchup.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.matchup.model.Ending;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Tempo;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The programme, the race of clocks and the rules engine are three ways to the same figure. */
class SimulatorTest {
    private static final int MATCHES = 300_000;
    private static final MatchAthlete A = new MatchAthlete("a", "A", null, null, Map.of());
    private static final MatchAthlete B = new MatchAthlete("b", "B", null, null, Map.of());

    @ParameterizedTest
    @CsvSource({
        "brisa-tolendt, points-gi",
        "odile-marrowen, points-nogi",
        "juno-fastrel, late-points",
        "brisa-tolendt, submission-only",
        "odile-marrowen, mixed-rounds"
    })
    void programmeAndSimulatorAgree(String them, String rules) {
        BackwardInduction p = new BackwardInduction(Small.demo(them, rules).model(), SolverSettings.USUAL.emphasis(1));
        Solution natural = p.natural();
        Outcomes o = new Simulator(p, null).run(MATCHES, 7, () -> false);
        assertThat(o.n()).isEqualTo(MATCHES);
        assertThat(o.win()).isCloseTo(natural.win(), within(3 * o.standardError() + 0.002));
        Solution best = p.best(BackwardInduction.Answer.NEVER);
        Outcomes played = new Simulator(p, best.policy()).run(MATCHES, 8, () -> false);
        assertThat(played.win()).isCloseTo(best.win(), within(3 * played.standardError() + 0.002));
        ForwardPass flow = ForwardPass.of(best);
        double finishes = played.endings().get(Ending.WON_BY_SUBMISSION) / (double) MATCHES;
        assertThat(flow.endings().get(Ending.WON_BY_SUBMISSION)).isCloseTo(finishes, within(0.003));
        double standing = played.minutes().get("STD=");
        assertThat(flow.minutes(ModelState.START)).isCloseTo(standing, within(0.02));
        assertThat(played.visited()).containsEntry("STD=", 1.0);
    }

    /**
     * Rates that change with time and score (ruling M29): the programme, both simulators and the forward pass agree.
     */
    @ParameterizedTest
    @CsvSource({"brisa-tolendt, points-gi", "juno-fastrel, late-points", "odile-marrowen, submission-only"})
    void whatChangesWithTimeAndScoreIsTheSameInAllThree(String them, String rules) {
        Model plain = Small.demo(them, rules).model();
        BackwardInduction p = new BackwardInduction(Small.paced(plain), SolverSettings.USUAL.emphasis(1));
        assertThat(p.moments()).isEqualTo(plain.rules().counts() ? Tempo.MOMENTS : Tempo.THIRDS);
        double even = new BackwardInduction(plain, p.settings()).natural().win();
        assertThat(p.natural().win()).isNotCloseTo(even, within(1e-5));
        Solution best = p.best(BackwardInduction.Answer.NEVER);
        Outcomes played = new Simulator(p, best.policy()).run(MATCHES, 9, () -> false);
        assertThat(played.win()).isCloseTo(best.win(), within(3 * played.standardError() + 0.002));
        assertThat(p.worth(best.policy(), BackwardInduction.Answer.NEVER).win()).isCloseTo(best.win(), within(1e-9));
        ForwardPass flow = ForwardPass.of(best);
        double finishes = played.endings().get(Ending.WON_BY_SUBMISSION) / (double) MATCHES;
        assertThat(flow.endings().get(Ending.WON_BY_SUBMISSION)).isCloseTo(finishes, within(0.003));
        Outcomes full = new FullSimulator(p, null, A, B).run(4_000, 6, () -> false);
        assertThat(full.win()).isCloseTo(p.natural().win(), within(3 * full.standardError() + 0.012));
    }

    @ParameterizedTest
    @CsvSource({"brisa-tolendt, points-gi", "juno-fastrel, late-points", "odile-marrowen, submission-only"})
    void theRealRulesComeToNearlyTheSame(String them, String rules) {
        BackwardInduction p = new BackwardInduction(Small.demo(them, rules).model(), SolverSettings.USUAL);
        Outcomes full = new FullSimulator(p, null, A, B).run(4_000, 5, () -> false);
        // what differs: points wait for the hold, and a second pin of one control may have been paid for
        assertThat(full.win()).isCloseTo(p.natural().win(), within(3 * full.standardError() + 0.01));
    }

    @Test
    void aSimulatedMatchIsARecordLikeAnyOther() {
        BackwardInduction p =
                new BackwardInduction(Small.demo("brisa-tolendt", "points-gi").model(), SolverSettings.USUAL);
        FullSimulator simulator =
                new FullSimulator(p, p.best(BackwardInduction.Answer.NEVER).policy(), A, B);
        MatchRecord r = simulator.record(11);
        assertThat(simulator.record(11)).isEqualTo(r);
        assertThat(r.tags().get(0)).isInstanceOf(Tag.Start.class);
        assertThat(r.tags().get(r.tags().size() - 1)).isInstanceOf(Tag.End.class);
        assertThat(r.tags()).filteredOn(Tag.Action.class::isInstance).hasSizeGreaterThan(3);
    }

    @Test
    void coresChangeNothingAndItStopsWhenAsked() {
        Simulator s = new Simulator(
                new BackwardInduction(
                        Small.demo("brisa-tolendt", "submission-only").model(), SolverSettings.USUAL),
                null);
        assertThat(s.run(25_000, 3, () -> false)).isEqualTo(s.run(25_000, 3, () -> false));
        assertThat(s.run(25_000, 3, () -> true).n()).isZero();
    }
}
