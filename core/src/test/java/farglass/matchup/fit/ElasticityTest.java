package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.match.MatchRecord;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ElasticityTest {
    /**
     * In some matches all is tried three times as often as in others; success falls with it by a power, or does not.
     */
    @ParameterizedTest
    @CsvSource({"0, 0.93, 1.0", "-0.35, 0.55, 0.75"})
    void theElasticityOfSuccessIsFoundAgain(double power, double least, double most) {
        assertThat(elasticity(40, 3, power)).isBetween(least, most);
    }

    /** Where matches differ by chance alone, nothing can be told: the usual figure stays. */
    @ParameterizedTest
    @CsvSource({"1, 1", "40, 1"})
    void whatFilmCannotTellStaysAsItWas(int each, double busier) {
        assertThat(elasticity(each, busier, -0.35)).isCloseTo(0.8, within(0.07));
    }

    private static double elasticity(int each, double busier, double power) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(21);
        List<MatchRecord> films = new ArrayList<>();
        for (int a = 0; a < 4; a++) {
            for (int n = 0; n < each; n++) {
                double busy = n % 2 == 0 ? 1 : busier;
                Films.Habit sweep = new Films.Habit("scissor-sweep", 5, t -> 1.2 * busy, 0.4 * Math.pow(busy, power));
                films.add(Films.match("m" + a + "-" + n, "athlete-" + a, "athlete-" + (a + 1) % 4, rng, null, sweep));
            }
        }
        return Films.rates(films, "athlete-0", "athlete-1", "points-gi").elasticity();
    }
}
