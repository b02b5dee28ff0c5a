package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.stats.BetaPrior.Counts;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PriorTest {
    @Test
    void theMeanIsPooledAndNeverZeroOrOne() {
        assertThat(BetaPrior.fit(List.of(new Counts(3, 10), new Counts(5, 10)), "x")
                        .mean())
                .isCloseTo(8.5 / 21, within(1e-12));
        assertThat(BetaPrior.fit(List.of(new Counts(0, 10)), "x").mean()).isCloseTo(0.5 / 11, within(1e-12));
    }

    @Test
    void fewAthletesGiveTheDefaultStrength() {
        BetaPrior prior = BetaPrior.fit(List.of(new Counts(3, 10), new Counts(5, 10), new Counts(1, 9)), "x");
        assertThat(prior.strength()).isEqualTo(4);
    }

    @Test
    void likeAthletesGiveAStrongerPriorThanUnlikeOnes() {
        List<Counts> alike = new ArrayList<>();
        List<Counts> unlike = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            alike.add(new Counts(20, 40));
            unlike.add(new Counts(i % 2 == 0 ? 4 : 36, 40));
        }
        assertThat(BetaPrior.fit(alike, "x").strength()).isGreaterThan(15);
        assertThat(BetaPrior.fit(unlike, "x").strength()).isLessThan(2.5);
    }

    @Test
    void theLikenessWithinMatchesIsRecovered() {
        assertThat(Clustering.rho(simulated(0.3, 12, 40, 6, 5))).isBetween(0.22, 0.38);
        assertThat(Clustering.rho(simulated(0.0, 12, 40, 6, 6))).isLessThan(0.04);
    }

    @Test
    void differencesBetweenAthletesAreNotLikenessWithinMatches() {
        List<List<Counts>> athletes = new ArrayList<>();
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(8);
        for (int a = 0; a < 8; a++) {
            double p = a % 2 == 0 ? 0.1 : 0.9;
            athletes.add(matches(rng, p, 0, 30, 6));
        }
        assertThat(Clustering.rho(athletes)).isLessThan(0.05);
    }

    private static List<List<Counts>> simulated(double rho, int athletes, int matches, int size, long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<List<Counts>> all = new ArrayList<>();
        for (int a = 0; a < athletes; a++) {
            all.add(matches(rng, 0.3 + 0.4 * a / athletes, rho, matches, size));
        }
        return all;
    }

    private static List<Counts> matches(UniformRandomProvider rng, double p, double rho, int matches, int size) {
        List<Counts> list = new ArrayList<>();
        for (int m = 0; m < matches; m++) {
            double pm = rho == 0
                    ? p
                    : BetaDistribution.of(p * (1 / rho - 1), (1 - p) * (1 / rho - 1))
                            .createSampler(rng)
                            .sample();
            int x = 0;
            for (int i = 0; i < size; i++) {
                x += rng.nextDouble() < pm ? 1 : 0;
            }
            list.add(new Counts(x, size));
        }
        return list;
    }

    @Test
    void tooFewMatchesGiveTheDefaultLikeness() {
        assertThat(Clustering.rho(List.of(List.of(new Counts(1, 3), new Counts(2, 3)))))
                .isEqualTo(0.15);
        assertThat(Clustering.designEffect(5, 0.15)).isCloseTo(1.6, within(1e-12));
        assertThat(Clustering.designEffect(0.5, 0.15)).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({
        // three of three: P = 1 - 7/64; thin evidence says nothing
        "3, 0, THIN, 0.890625, BOTH_SIDES",
        "0, 3, THIN, 0.109375, BOTH_SIDES",
        "20, 2, THIN, , BOTH_SIDES",
        "20, 2, STRONG, , RIGHT_SIDED",
        "2, 20, FAIR, , LEFT_SIDED",
        "5, 5, FAIR, 0.5, BOTH_SIDES",
        "540, 460, STRONG, , BOTH_SIDES",
        "8, 4, FAIR, , LEANS_RIGHT",
        "4, 8, FAIR, , LEANS_LEFT"
    })
    void wordsOfSidesFollowProbabilitySizeAndGrade(
            int right, int left, Grade grade, Double pRight, SideBias.Word word) {
        SideBias bias = SideBias.of(right, left, right, left, grade);
        assertThat(bias.word()).isEqualTo(word);
        if (pRight != null) {
            assertThat(bias.pRight()).isCloseTo(pRight, within(1e-9));
        }
    }

    @Test
    void neverSeenBoundsAreExact() {
        assertThat(NeverSeen.perMatch(1)).isCloseTo(0.95, within(1e-12));
        assertThat(Math.pow(1 - NeverSeen.perMatch(6), 6)).isCloseTo(0.05, within(1e-12));
        assertThat(NeverSeen.rate(1)).isCloseTo(2.995732, within(1e-6));
        assertThatThrownBy(() -> NeverSeen.perMatch(0)).hasMessageContaining("must be at least 1");
        assertThatThrownBy(() -> NeverSeen.rate(Double.NaN)).hasMessageContaining("must be positive");
    }

    @Test
    void weightHalvesWithEveryHalfLife() {
        LocalDate asOf = LocalDate.of(2031, 5, 3);
        assertThat(Recency.weight(asOf, asOf, 3.0)).isEqualTo(1);
        assertThat(Recency.weight(asOf.minusDays(1096), asOf, 3.0)).isCloseTo(0.5, within(1e-3));
        assertThat(Recency.weight(asOf.minusDays(2192), asOf, 3.0)).isCloseTo(0.25, within(1e-3));
        assertThat(Recency.weight(asOf.plusDays(10), asOf, 3.0)).isEqualTo(1);
        assertThat(Recency.weight(asOf.minusDays(5000), asOf, null)).isEqualTo(1);
        assertThat(Recency.weight(null, asOf, 3.0)).isEqualTo(1);
    }

    @Test
    void timeSharesTakeMatchesAsTheirUnits() {
        TimeShare.Exposure a = new TimeShare.Exposure(60, 100, 1, 3);
        TimeShare.Exposure b = new TimeShare.Exposure(20, 100, 1, 2);
        Estimate e = TimeShare.of(List.of(a, b), List.of());
        assertThat(e.mean()).isCloseTo(0.4, within(1e-12));
        assertThat(e.matches()).isEqualTo(2);
        assertThat(e.hi() - e.lo()).as("two unlike matches say little").isGreaterThan(0.9);
        Estimate alike = TimeShare.of(List.of(a, a, a, a), List.of());
        assertThat(alike.lo()).isCloseTo(0.6, within(1e-9));
        assertThat(alike.hi()).isCloseTo(0.6, within(1e-9));
    }

    @Test
    void aShareFromOneMatchHasNoInterval() {
        Estimate e = TimeShare.of(List.of(new TimeShare.Exposure(60, 100, 1, 3)), List.of());
        assertThat(e.lo()).isZero();
        assertThat(e.hi()).isEqualTo(1);
        assertThat(TimeShare.of(List.of(), List.of()).mean()).isNaN();
    }

    @Test
    void intervalsOfSharesHoldTheTruth() {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(3);
        var shares = BetaDistribution.of(4, 8).createSampler(rng);
        int held = 0;
        int runs = 2000;
        for (int i = 0; i < runs; i++) {
            List<TimeShare.Exposure> matches = new ArrayList<>();
            for (int m = 0; m < 10; m++) {
                double all = 200 + rng.nextInt(300);
                matches.add(new TimeShare.Exposure(all * shares.sample(), all, 1, 4));
            }
            Estimate e = TimeShare.of(matches, List.of());
            held += 1.0 / 3 >= e.lo() && 1.0 / 3 <= e.hi() ? 1 : 0;
        }
        assertThat((double) held / runs).isBetween(0.85, 0.95);
    }
}
