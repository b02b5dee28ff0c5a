package farglass.matchup.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.simulate.Small;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.SolverSettings;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TempoTest {
    private static final Exit OURS = Small.exit(ModelState.START, true, "double-leg", 1, 0.5, Small.TOP);
    private static final Exit THEIRS = Small.exit(ModelState.START, false, "double-leg", 1, 0.5, Small.UNDER);

    private static double[] all(double factor) {
        double[] f = new double[Tempo.MOMENTS];
        Arrays.fill(f, factor);
        return f;
    }

    @ParameterizedTest
    @CsvSource({"0, -3, 0", "0, 0, 1", "0, 2, 2", "1, -1, 3", "2, 0, 7", "2, 1, 8"})
    void momentsAreThirdsOfBehindLevelAndAhead(int third, int lead, int moment) {
        assertThat(Tempo.moment(third, lead)).isEqualTo(moment);
    }

    @Test
    void eachAthleteHasHisOwnFactorsAndWhatNobodyDoesHasNone() {
        Tempo t = new Tempo(Map.of("takedown", all(1.5)), Map.of("pass", all(0.5)));
        assertThat(t.factor(OURS, 4)).isEqualTo(1.5);
        assertThat(t.factor(THEIRS, 4)).as("no factor for takedowns of theirs").isEqualTo(1);
        Exit drift =
                new Exit(ModelState.START, false, null, "", 1, 1, 1, 0, Map.of(), Exit.Source.LIBRARY, Exit.Basis.NONE);
        assertThat(t.factor(drift, 0)).isEqualTo(1);
        assertThat(t.even()).isFalse();
        assertThat(t.byScore()).isFalse();
        assertThat(new Tempo(Map.of("takedown", all(1)), Map.of()).even()).isTrue();
    }

    @Test
    void aRatioIsTheMeanOverFamilies() {
        double[] tired = all(1);
        tired[Tempo.moment(2, 0)] = 0.6;
        Tempo t = new Tempo(Map.of("takedown", tired, "pass", all(1)), Map.of());
        assertThat(t.ratio(true, Tempo.moment(2, 0), Tempo.moment(0, 0))).isCloseTo(0.8, within(1e-12));
        assertThat(t.ratio(false, Tempo.moment(2, 0), Tempo.moment(0, 0))).isEqualTo(1);
        assertThat(t.byScore())
                .as("level in the last third against ahead there")
                .isTrue();
    }

    /** One way out at rate r until the end: the chance that it is taken follows from the sum of its factors. */
    @Test
    void theProgrammeTakesEveryThirdAtItsOwnRate() {
        Exit finish = Small.exit(ModelState.START, true, "guillotine", 0.4, 0.5, null);
        double[] factors = all(1);
        for (int lead = -1; lead <= 1; lead++) {
            factors[Tempo.moment(0, lead)] = 2;
            factors[Tempo.moment(2, lead)] = 0.25;
        }
        Model plain = Small.model("submission-only", 300_000, List.of(ModelState.START), finish);
        Model paced = new Model(
                plain.rules(),
                300_000,
                List.of(ModelState.START),
                List.of(finish),
                plain.groups(),
                new Payoffs(plain.rules(), plain.groups()),
                new Tempo(Map.of("submission", factors), Map.of()));
        BackwardInduction p = new BackwardInduction(paced, SolverSettings.USUAL);
        double minutes = plain.horizonMs() / 60_000.0;
        double third = 5.0 / 3;
        double events = 0.2 * (2 * third + third + 0.25 * (minutes - 2 * third));
        double expected = 1 - 0.5 * Math.exp(-events);
        assertThat(p.natural().win()).isCloseTo(expected, within(0.01));
        assertThat(p.moments()).isEqualTo(Tempo.THIRDS);
    }

    @Test
    void whatMayBeLeantOnFollowsFromTheRecordBehindIt() {
        Model m = Small.model("points-gi", 300_000, List.of(ModelState.START, Small.TOP), OURS);
        assertThat(m.exits()).noneMatch(Exit::ownAction);
        Exit.Basis allowed = new Exit.Basis(1, 0, 0, 0, List.of(), true);
        assertThat(m.based(e -> allowed).exits()).allMatch(Exit::ownAction);
        assertThat(m.exits().get(0).allow().basis().allowed()).isTrue();
    }
}
