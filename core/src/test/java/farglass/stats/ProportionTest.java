package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProportionTest {
    private static final BetaPrior UNIFORM = BetaPrior.fixed(0.5, 2, "uniform");

    @Test
    void oneSuccessUnderAUniformPriorHasTheClosedForm() {
        // Beta(2, 1): distribution function p^2, mean 2/3
        Estimate e = Proportion.of(Trials.apart(1, 1), UNIFORM, 0, 1);
        assertThat(e.mean()).isCloseTo(2.0 / 3, within(1e-9));
        assertThat(e.lo()).isCloseTo(Math.sqrt(0.05), within(1e-5));
        assertThat(e.hi()).isCloseTo(Math.sqrt(0.95), within(1e-5));
        assertThat(e.raw()).isEqualTo(1);
        assertThat(e.tags()).containsExactly(new TagRef("m0", "t0"));
    }

    @Test
    void nothingSeenGivesThePriorBack() {
        // Jeffreys Beta(1/2, 1/2) is the arcsine law: quantile sin^2(pi q / 2)
        Estimate e = Proportion.of(List.of(), BetaPrior.jeffreys(), 0.15, 1);
        assertThat(e.lo()).isCloseTo(Math.pow(Math.sin(Math.PI * 0.05 / 2), 2), within(1e-5));
        assertThat(e.hi()).isCloseTo(Math.pow(Math.sin(Math.PI * 0.95 / 2), 2), within(1e-5));
        assertThat(e.raw()).isNaN();
        assertThat(e.grade()).isEqualTo(Grade.THIN);
        assertThat(e.matches()).isZero();
    }

    @Test
    void oldOccurrencesWeighLess() {
        List<Trial> trials = new ArrayList<>(Trials.weighted("new", 2, 2, 1));
        trials.addAll(Trials.weighted("old", 0, 2, 0.5));
        Estimate e = Proportion.of(trials, UNIFORM, 0, 1);
        // Beta(1 + 2, 1 + 1)
        assertThat(e.mean()).isCloseTo(0.6, within(1e-9));
        assertThat(e.x()).isEqualTo(2);
        assertThat(e.n()).isEqualTo(4);
        // Kish: 3^2 / 2.5 = 3.6; sum of weights 3
        assertThat(e.effective()).isCloseTo(3, within(1e-9));
    }

    @Test
    void equallyOldFilmStillLosesWeight() {
        Estimate e = Proportion.of(Trials.weighted("m", 4, 8, 0.25), UNIFORM, 0, 1);
        assertThat(e.effective()).as("Kish says 8, the weights say 2").isCloseTo(2, within(1e-9));
    }

    @Test
    void occurrencesOfOneMatchCountForLess() {
        Estimate together = Proportion.of(Trials.inOneMatch("m", 5, 10), UNIFORM, 0.15, 1);
        Estimate apart = Proportion.of(Trials.apart(5, 10), UNIFORM, 0.15, 1);
        assertThat(together.hi() - together.lo()).isGreaterThan(apart.hi() - apart.lo());
        // effective n = 10 / (1 + 9 * 0.15) = 4.2553: Beta(1 + 2.1277, 1 + 2.1277)
        BetaDistribution expected = BetaDistribution.of(1 + 5 / 2.35, 1 + 5 / 2.35);
        assertThat(together.lo()).isCloseTo(expected.inverseCumulativeProbability(0.05), within(1e-5));
    }

    @Test
    void theBootstrapCheckIsSeededAndNeedsSixMatches() {
        assertThat(Proportion.of(Trials.apart(3, 5), UNIFORM, 0, 1).check()).isNull();
        Estimate e = Proportion.of(Trials.apart(6, 12), UNIFORM, 0, 99);
        assertThat(e.check())
                .isEqualTo(Proportion.of(Trials.apart(6, 12), UNIFORM, 0, 99).check());
        assertThat(e.check().lo()).isLessThan(e.mean());
        assertThat(e.check().hi()).isGreaterThan(e.mean());
    }

    @ParameterizedTest
    @CsvSource({
        // twelve at one half are not strong (width 0.44), twenty-two are; nor are twelve of one match
        "6, 12, 12, FAIR",
        "11, 22, 22, STRONG",
        "12, 12, 12, STRONG",
        "12, 12, 3, FAIR",
        "5, 5, 5, FAIR",
        "5, 5, 2, THIN",
        "3, 3, 3, THIN"
    })
    void gradesFollowOccurrencesMatchesAndWidth(int x, int n, int matches, Grade grade) {
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            trials.addAll(Trials.inOneMatch("m" + i % matches, i < x ? 1 : 0, 1));
        }
        assertThat(Proportion.of(trials, UNIFORM, 0, 1).grade()).isEqualTo(grade);
    }

    @Test
    void aStrongPriorCannotBuyTheGrade() {
        BetaPrior sharp = BetaPrior.fixed(0.5, 30, "sharp");
        Estimate e = Proportion.of(Trials.apart(6, 12), sharp, 0, 1);
        assertThat(e.hi() - e.lo()).isLessThan(0.35);
        assertThat(e.grade()).isEqualTo(Grade.FAIR);
    }

    /**
     * Attempts clustered in matches: athlete's p from the prior, the match's p around it with correlation rho. The
     * nominal 90 % interval must hold the truth in 85 to 95 of 100.
     */
    @ParameterizedTest
    @CsvSource({"0.0, 5, 4", "0.15, 5, 4", "0.15, 4, 3", "0.3, 5, 5"})
    void intervalsHoldTheTruthAsOftenAsTheySay(double rho, int matches, int perMatch) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(42);
        BetaPrior prior = BetaPrior.fixed(0.4, 6, "truth");
        var athletes = BetaDistribution.of(2.4, 3.6).createSampler(rng);
        int held = 0;
        int runs = 3000;
        for (int i = 0; i < runs; i++) {
            double p = Math.max(0.001, Math.min(0.999, athletes.sample()));
            List<Trial> trials = new ArrayList<>();
            for (int m = 0; m < matches; m++) {
                double pm = rho == 0
                        ? p
                        : BetaDistribution.of(p * (1 / rho - 1), (1 - p) * (1 / rho - 1))
                                .createSampler(rng)
                                .sample();
                int x = 0;
                for (int a = 0; a < perMatch; a++) {
                    x += rng.nextDouble() < pm ? 1 : 0;
                }
                trials.addAll(Trials.inOneMatch("m" + m, x, perMatch));
            }
            Estimate e = Proportion.of(trials, prior, rho, 1);
            held += p >= e.lo() && p <= e.hi() ? 1 : 0;
        }
        assertThat((double) held / runs).as("rho %s", rho).isBetween(0.85, 0.95);
    }
}
