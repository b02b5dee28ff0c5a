package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.MatchRecord;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;

class LocalRecordsTest {
    private static final ModelState GUARD = ModelState.of("CLG", -1);
    private static final ModelState OPEN = ModelState.of("OPN", -1);

    /** Six athletes; one never sweeps with what the others use most, and one is swept twice as often by it. */
    private static List<MatchRecord> films(int each) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(31);
        List<MatchRecord> films = new ArrayList<>();
        for (int a = 0; a < 6; a++) {
            for (int b = 0; b < 6; b++) {
                double never = a == 0 ? 0 : 1;
                double hole = b == 1 ? 0.9 : 0.3;
                for (int n = 0; a != b && n < each; n++) {
                    films.add(Films.match(
                            "m" + a + b + n,
                            "athlete-" + a,
                            "athlete-" + b,
                            rng,
                            null,
                            new Films.Habit("scissor-sweep", 1, t -> never * inGuard(t), hole),
                            new Films.Habit("ankle-sweep-guard", 1, t -> 1 - inGuard(t), 0.3)));
                }
            }
        }
        return films;
    }

    /** 1 while the guard is closed. */
    private static double inGuard(long ms) {
        return ms / 40_000 % 2 == 0 ? 1 : 0;
    }

    private static Exit exit(TransitionRates rates, ModelState from, String technique) {
        return rates.exits(rates.places(20)).stream()
                .filter(e -> e.ours() && e.from().equals(from) && technique.equals(e.technique()))
                .findFirst()
                .orElse(null);
    }

    @Test
    void whatOneNeverDoesInAPlaceIsNotLentToHim() {
        TransitionRates rates = Films.rates(films(4), "athlete-0", "athlete-2", "points-gi");
        Exit never = exit(rates, GUARD, "scissor-sweep");
        assertThat(never == null ? 0 : never.rate())
                .as("others do it once a minute")
                .isLessThan(0.1);
        assertThat(exit(rates, OPEN, "ankle-sweep-guard").rate()).isBetween(0.7, 1.3);
        TransitionRates other = Films.rates(films(4), "athlete-3", "athlete-2", "points-gi");
        assertThat(exit(other, GUARD, "scissor-sweep").rate()).isBetween(0.65, 1.3);
    }

    /** The hole is there in one place only, and others than ours have found it. */
    @Test
    void aHoleInOnePlaceIsSeenWhoeverFoundIt() {
        List<MatchRecord> films = films(4);
        films.removeIf(r -> r.id().startsWith("m31"));
        TransitionRates rates = Films.rates(films, "athlete-3", "athlete-1", "points-gi");
        assertThat(exit(rates, GUARD, "scissor-sweep").chance()).isGreaterThan(0.6);
        assertThat(exit(rates, OPEN, "ankle-sweep-guard").chance()).isLessThan(0.55);
    }

    /** With hundreds of own tries against the very opponent, draws lie as close as those tries say and no wider. */
    @Test
    void aLongOwnRecordPinsItsRate() {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(32);
        List<MatchRecord> films = new ArrayList<>();
        for (int n = 0; n < 100; n++) {
            films.add(Films.match("m" + n, "a", "b", rng, null, new Films.Habit("scissor-sweep", 1, t -> 1, 0.3)));
        }
        TransitionRates rates = Films.rates(films, "a", "b", "points-gi");
        double[] drawn = new double[200];
        for (int d = 0; d < drawn.length; d++) {
            drawn[d] = rates.draw(rates.places(20), RandomSource.XO_RO_SHI_RO_128_PP.create(d)).stream()
                    .filter(e -> e.ours() && e.from().equals(GUARD) && "scissor-sweep".equals(e.technique()))
                    .mapToDouble(Exit::rate)
                    .sum();
        }
        double mean = Arrays.stream(drawn).average().orElseThrow();
        double variance = Arrays.stream(drawn).map(x -> (x - mean) * (x - mean)).sum() / drawn.length;
        Exit known = exit(rates, GUARD, "scissor-sweep");
        double poisson = known.rate() / Math.sqrt(known.basis().tries());
        assertThat(known.rate()).isBetween(0.85, 1.15);
        assertThat(Math.sqrt(variance)).isBetween(0.8 * poisson, 2.5 * poisson);
    }
}
