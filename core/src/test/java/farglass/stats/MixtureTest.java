package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Posteriors averaged over strengths, the grid they come from, and the check that is drawn when it is looked at. */
class MixtureTest {
    private static Mixture of(double[] weights, ContinuousDistribution... parts) {
        return new Mixture(weights, parts);
    }

    @Test
    void oneSidedPartIsTheDistributionItself() {
        BetaDistribution beta = BetaDistribution.of(7, 3);
        Mixture m = of(new double[] {1}, beta);
        assertThat(m.mean()).isCloseTo(0.7, within(1e-12));
        for (double q : new double[] {0.01, 0.05, 0.5, 0.95, 0.99}) {
            assertThat(m.quantile(q)).isCloseTo(beta.inverseCumulativeProbability(q), within(1e-5));
        }
    }

    @ParameterizedTest
    @CsvSource({"0.5, 0.5", "0.5, 40", "30, 0.5", "2, 5", "400, 300"})
    void quantilesUndoTheDistributionFunction(double a, double b) {
        Mixture m = of(new double[] {0.3, 0.7}, BetaDistribution.of(a, b), BetaDistribution.of(a + 3, b + 1));
        for (double q = 0.05; q < 1; q += 0.15) {
            double v = m.quantile(q);
            assertThat(v).isBetween(0.0, 1.0);
            assertThat(m.cdf(v)).as("at " + q).isCloseTo(q, within(2e-3));
        }
    }

    @Test
    void theSpreadIsThatOfThePartsAndOfTheirMeans() {
        BetaDistribution low = BetaDistribution.of(2, 8);
        BetaDistribution high = BetaDistribution.of(8, 2);
        Mixture m = of(new double[] {0.25, 0.75}, low, high);
        double mean = 0.25 * 0.2 + 0.75 * 0.8;
        double squares = 0.25 * (low.getVariance() + 0.04) + 0.75 * (high.getVariance() + 0.64);
        assertThat(m.variance()).isCloseTo(squares - mean * mean, within(1e-12));
        assertThat(of(new double[] {1}, low).variance()).isCloseTo(low.getVariance(), within(1e-12));
    }

    /** Two far peaks: where a normal distribution would begin lies between them, or outside. */
    @ParameterizedTest
    @ValueSource(doubles = {0.001, 0.05, 0.3, 0.5, 0.7, 0.95, 0.999})
    void aQuantileIsFoundAlsoWhereNoNormalDistributionPointsToIt(double q) {
        Mixture m = of(new double[] {0.4, 0.6}, BetaDistribution.of(1.2, 60), BetaDistribution.of(90, 1.1));
        assertThat(m.cdf(m.quantile(q))).isCloseTo(q, within(2e-3));
        Mixture steep = of(new double[] {0.9, 0.1}, GammaDistribution.of(0.51, 2), GammaDistribution.of(300, 1));
        assertThat(steep.cdf(steep.quantile(q))).isCloseTo(q, within(2e-3));
    }

    @Test
    void ratesHaveNoUpperEnd() {
        GammaDistribution low = GammaDistribution.of(2, 0.5);
        GammaDistribution high = GammaDistribution.of(20, 3);
        Mixture m = of(new double[] {0.5, 0.5}, low, high);
        assertThat(m.mean()).isCloseTo((1 + 60) / 2.0, within(1e-9));
        double v = m.quantile(0.95);
        assertThat(m.cdf(v)).isCloseTo(0.95, within(1e-4));
        assertThat(v).isGreaterThan(high.getMean());
    }

    @Test
    void aLikelihoodThatSaysNothingGivesTheUsualStrength() {
        StrengthGrid flat = StrengthGrid.fit(1, 100, 4, k -> 0.1 * Math.log(k) / Math.log(100));
        assertThat(flat.strengths()).containsExactly(4);
        assertThat(flat.weights()).containsExactly(1);
        assertThat(flat.mean()).isEqualTo(4);
    }

    @Test
    void aSharpLikelihoodIsFollowedAndItsWeightsSumToOne() {
        double peak = Math.log(20);
        StrengthGrid grid = StrengthGrid.fit(1, 400, 4, k -> -8 * Math.pow(Math.log(k) - peak, 2));
        double sum = 0;
        double before = 0;
        for (int i = 0; i < grid.strengths().length; i++) {
            sum += grid.weights()[i];
            assertThat(grid.strengths()[i]).isGreaterThan(before);
            before = grid.strengths()[i];
        }
        assertThat(sum).isCloseTo(1, within(1e-3));
        assertThat(grid.strengths()[0]).as("somebody may be unlike the others").isEqualTo(1);
        assertThat(grid.weights()[0]).isBetween(0.1, 0.11);
        assertThat((grid.mean() - 0.1) / 0.9).isBetween(15.0, 27.0);
        assertThat(grid.strengths().length).as("neighbours are taken together").isLessThanOrEqualTo(12);
    }

    @Test
    void theCheckIsTheSameForTheSameSeedAndWorkedOutOnce() {
        List<double[]> matches = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            matches.add(new double[] {i % 3, 3});
        }
        BetaPrior prior = BetaPrior.fixed(0.4, 4, "test");
        Redraw a = new Redraw(matches, prior, 7);
        Redraw b = new Redraw(matches, prior, 7);
        assertThat(a).isEqualTo(b).hasSameHashCodeAs(b);
        assertThat(a.interval()).isEqualTo(b.interval()).isSameAs(a.interval());
        assertThat(a).isNotEqualTo(new Redraw(matches, prior, 8));
        assertThat(a.interval().lo()).isLessThan(a.interval().hi());
        List<double[]> alike = List.of(new double[] {1, 2}, new double[] {1, 2}, new double[] {1, 2});
        Estimate.Interval none = new Redraw(alike, prior, 1).interval();
        assertThat(none.lo()).as("nothing to draw differently").isEqualTo(none.hi());
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.01, 0.5, 3, 30})
    void aWeightNeverVanishes(double halfLife) {
        LocalDate day = LocalDate.of(2030, 1, 1);
        double old = Recency.weight(day, LocalDate.of(2090, 1, 1), halfLife);
        assertThat(old).isBetween(1e-6, 1.0);
        assertThat(Recency.weight(day, day, halfLife)).isEqualTo(1);
        assertThat(Recency.weight(LocalDate.of(2031, 1, 1), day, halfLife))
                .as("after the day")
                .isEqualTo(1);
    }

    @Test
    void anEstimateKeepsEverythingButTheAverageItIsHeldAgainst() {
        Estimate e = Proportion.of(Trials.apart(4, 9), BetaPrior.jeffreys(), 0, 3);
        Estimate held = e.against(0.3, "library");
        assertThat(held.baseline()).isEqualTo(0.3);
        assertThat(held.prior()).isEqualTo("library");
        assertThat(held.check()).isEqualTo(e.check());
        assertThat(held.mean()).isEqualTo(e.mean());
        assertThat(held.tags()).isEqualTo(e.tags());
    }

    @Test
    void differencesAreClearOnlyWhenTheirIntervalLeavesNoDoubt() {
        Estimate high = Proportion.of(Trials.apart(38, 40), BetaPrior.jeffreys(), 0, 1);
        Estimate low = Proportion.of(Trials.apart(4, 40), BetaPrior.jeffreys(), 0, 2);
        Difference d = Difference.of(high, low);
        assertThat(d.clear()).isTrue();
        assertThat(d.value()).isCloseTo(high.mean() - low.mean(), within(1e-12));
        Difference back = Difference.of(low, high);
        assertThat(back.lo()).isCloseTo(-d.hi(), within(1e-12));
        assertThat(back.hi()).isCloseTo(-d.lo(), within(1e-12));
        assertThat(Difference.of(high, high).clear()).isFalse();
    }
}
