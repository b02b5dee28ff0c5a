package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Tempo;
import farglass.matchup.simulate.Small;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongToDoubleFunction;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TempoFitTest {
    private static final Exit SWEEP = Small.exit(ModelState.of("CLG", -1), true, "scissor-sweep", 1, 0.3, Small.TOP);
    private static final Exit THEIR_SWEEP =
            Small.exit(ModelState.of("CLG", 1), false, "scissor-sweep", 1, 0.3, Small.UNDER);

    /** Six athletes who all meet; half of the films with a lead of the one or of the other from 1:40 on. */
    private static List<MatchRecord> films(int each, LongToDoubleFunction usual, double whenAhead) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(11);
        List<MatchRecord> films = new ArrayList<>();
        for (int a = 0; a < 6; a++) {
            for (int b = 0; b < 6; b++) {
                for (int n = 0; a != b && n < each; n++) {
                    Corner leads = n % 3 == 0 ? Corner.A : n % 3 == 1 ? Corner.B : null;
                    LongToDoubleFunction rate =
                            t -> usual.applyAsDouble(t) * (leads == Corner.A && t > Films.LEAD_MS ? whenAhead : 1);
                    films.add(Films.match(
                            "m" + a + b + n,
                            "athlete-" + a,
                            "athlete-" + b,
                            rng,
                            leads,
                            new Films.Habit("scissor-sweep", 3, rate, 0.3)));
                }
            }
        }
        return films;
    }

    @Test
    void whoTiresTriesLess() {
        List<MatchRecord> films = films(6, t -> t < 120_000 ? 1.5 : t < 240_000 ? 1 : 0.5, 1);
        Tempo tempo = Films.rates(films, "athlete-0", "athlete-1", "points-gi").tempo();
        double first = tempo.factor(SWEEP, Tempo.moment(0, 0));
        double last = tempo.factor(SWEEP, Tempo.moment(2, 0));
        assertThat(first / last).isBetween(2.3, 3.8);
        assertThat(tempo.factor(THEIR_SWEEP, Tempo.moment(0, 0)) / tempo.factor(THEIR_SWEEP, Tempo.moment(2, 0)))
                .isBetween(2.3, 3.8);
    }

    @ParameterizedTest
    @CsvSource({"0.4, 0.3, 0.6", "1, 0.85, 1.15"})
    void whoLeadsMayDoLess(double ahead, double least, double most) {
        Tempo tempo = Films.rates(films(9, t -> 1, ahead), "athlete-0", "athlete-1", "points-gi")
                .tempo();
        int leading = Tempo.moment(1, 1);
        int level = Tempo.moment(1, 0);
        int behind = Tempo.moment(1, -1);
        assertThat(tempo.factor(SWEEP, leading) / tempo.factor(SWEEP, level)).isBetween(least, most);
        assertThat(tempo.factor(SWEEP, behind) / tempo.factor(SWEEP, level)).isBetween(0.8, 1.2);
        assertThat(tempo.factor(THEIR_SWEEP, behind))
                .as("ours is behind when the other leads")
                .isCloseTo(tempo.factor(SWEEP, leading), within(0.25));
    }

    @Test
    void whereNothingIsScoredOnlyTheClockTells() {
        Tempo tempo = Films.rates(films(9, t -> 1, 0.4), "athlete-0", "athlete-1", "submission-only")
                .tempo();
        for (int third = 0; third < Tempo.THIRDS; third++) {
            assertThat(tempo.factor(SWEEP, Tempo.moment(third, 1)))
                    .isEqualTo(tempo.factor(SWEEP, Tempo.moment(third, 0)))
                    .isEqualTo(tempo.factor(SWEEP, Tempo.moment(third, -1)));
        }
    }

    @Test
    void tooLittleFilmLeavesAllMomentsAlike() {
        List<MatchRecord> few = films(1, t -> t < 120_000 ? 3 : 0.2, 1).subList(0, 3);
        Tempo tempo = Films.rates(few, "athlete-0", "athlete-1", "points-gi").tempo();
        assertThat(tempo.even()).isTrue();
        assertThat(tempo.factor(SWEEP, Tempo.moment(0, 1))).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "119999, 0", "120000, 1", "240000, 2", "360000, 2", "500000, 2"})
    void thirdsAreOfTheScheduledLength(long ms, int third) {
        assertThat(Tempo.third(ms, Films.LENGTH_MS)).isEqualTo(third);
    }
}
