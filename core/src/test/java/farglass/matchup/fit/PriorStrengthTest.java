package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.PoissonSampler;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PriorStrengthTest {
    private static final double[] GRID = {0.5, 1, 2, 4, 8, 16, 32, 64, 1e6};

    @ParameterizedTest
    @ValueSource(doubles = {1, 4, 16})
    void theSpreadOfRatesIsFoundAgain(double truth) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(3);
        List<PriorStrength.Counts> counts = new ArrayList<>();
        for (int i = 0; i < 600; i++) {
            double expected = 1 + rng.nextInt(20);
            double factor = AhrensDieterMarsagliaTsangGammaSampler.of(rng, truth, 1 / truth)
                    .sample();
            counts.add(new PriorStrength.Counts(
                    PoissonSampler.of(rng, Math.max(1e-6, expected * factor)).sample(), expected, 0));
        }
        assertThat(PriorStrength.ofRates(counts, GRID, 4).likeliest()).isBetween(truth / 2, truth * 2);
    }

    @ParameterizedTest
    @ValueSource(doubles = {2, 8, 32})
    void theSpreadOfChancesIsFoundAgain(double truth) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(4);
        List<PriorStrength.Counts> counts = new ArrayList<>();
        for (int i = 0; i < 800; i++) {
            double p = 0.2 + 0.6 * rng.nextDouble();
            double a =
                    AhrensDieterMarsagliaTsangGammaSampler.of(rng, truth * p, 1).sample();
            double b = AhrensDieterMarsagliaTsangGammaSampler.of(rng, truth * (1 - p), 1)
                    .sample();
            int worked = 0;
            for (int n = 0; n < 12; n++) {
                worked += rng.nextDouble() < a / (a + b) ? 1 : 0;
            }
            counts.add(new PriorStrength.Counts(worked, p, 12));
        }
        assertThat(PriorStrength.ofChances(counts, GRID, 4).likeliest()).isBetween(truth / 2, truth * 2);
    }

    @Test
    void whatIsAsExpectedNeedsNoSpread() {
        List<PriorStrength.Counts> counts = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            counts.add(new PriorStrength.Counts(10, 10, 0));
        }
        assertThat(PriorStrength.ofRates(counts, GRID, 4).likeliest()).isGreaterThanOrEqualTo(64);
    }

    @Test
    void aLibraryThatSaysNothingLeavesTheUsualStrength() {
        assertThat(PriorStrength.ofRates(List.of(), GRID, 4).likeliest()).isEqualTo(4);
        assertThat(PriorStrength.ofChances(List.of(), GRID, 8).likeliest()).isEqualTo(8);
        assertThat(PriorStrength.ofRates(List.of(new PriorStrength.Counts(1, 1.2, 0)), GRID, 4)
                        .likeliest())
                .isEqualTo(4);
    }
}
