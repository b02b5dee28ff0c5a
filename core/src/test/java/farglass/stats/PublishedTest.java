package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Numbers that were printed elsewhere. */
class PublishedTest {
    /** The fifteen p-values of Benjamini and Hochberg 1995, section 3.2: four are rejected at 0.05. */
    @Test
    void falseDiscoveryRejectsWhatThePaperRejects() {
        double[] p = {
            0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.3240, 0.4262, 0.5719, 0.6528,
            0.7590, 1.0000
        };
        double[] q = FalseDiscovery.adjusted(p);
        assertThat(Arrays.stream(q).filter(v -> v <= 0.05).count()).isEqualTo(4);
        assertThat(q[3]).isCloseTo(0.0095 * 15 / 4, within(1e-12));
        assertThat(q).isSorted();
        double[] shuffled = {p[7], p[0], p[14], p[3]};
        assertThat(FalseDiscovery.adjusted(shuffled)[1]).isCloseTo(0.0004, within(1e-12));
        assertThat(FalseDiscovery.adjusted(new double[0])).isEmpty();
    }

    /** Lower bounds from the chi-squared table: 10.851 / 2 for ten, 0.103 / 2 for one (Garwood 1936). */
    @Test
    void boundsOfACountAreExact() {
        assertThat(PoissonCount.lower(10)).isCloseTo(5.4254, within(5e-5));
        assertThat(PoissonCount.lower(1)).isCloseTo(0.0513, within(5e-5));
        assertThat(PoissonCount.lower(0)).isZero();
        assertThat(PoissonCount.upper(0)).isCloseTo(2.9957, within(5e-5));
        assertThat(PoissonCount.upper(1)).isCloseTo(4.7439, within(5e-5));
        assertThat(PoissonCount.upper(10)).isCloseTo(16.9622, within(5e-5));
        assertThat(PoissonCount.upperTail(3, 1)).isCloseTo(0.0803, within(5e-5));
        assertThat(PoissonCount.upperTail(0, 1)).isEqualTo(1);
        assertThat(PoissonCount.upperTail(3, 1, 3))
                .as("it was looked at because it reached three")
                .isEqualTo(1);
        assertThat(PoissonCount.upperTail(4, 1, 3)).isCloseTo(0.01899 / 0.0803, within(5e-4));
    }

    /** Newcombe 1998, table II, example (a): 56/70 against 48/80, method 10: 0.0524 to 0.3339 at 95 %. */
    @Test
    void aDifferenceOfProportionsAgreesWithNewcombe() {
        Difference d = Difference.of(wilson(56, 70), wilson(48, 80));
        assertThat(d.value()).isCloseTo(0.2, within(1e-12));
        assertThat(d.lo()).isCloseTo(0.0524, within(5e-5));
        assertThat(d.hi()).isCloseTo(0.3339, within(5e-5));
        assertThat(d.clear()).isTrue();
        assertThat(Difference.of(wilson(5, 10), wilson(5, 10)).clear()).isFalse();
    }

    private static Estimate wilson(double x, double n) {
        double z = 1.959964;
        double p = x / n;
        double middle = (p + z * z / (2 * n)) / (1 + z * z / n);
        double half = z * Math.sqrt(p * (1 - p) / n + z * z / (4 * n * n)) / (1 + z * z / n);
        return new Estimate(
                new Estimate.Observed(x, n, p, 5, n),
                p,
                new Estimate.Interval(middle - half, middle + half, 0.95),
                Grade.FAIR,
                new Estimate.Reference(0.5, ""),
                null,
                List.of());
    }

    /**
     * Aspirin against placebo, 104 of 11037 and 189 of 11034: log odds ratio 0.605, error 0.123 (Agresti 2002, 3.1.1).
     */
    @Test
    void logOddsRatioAgreesWithAgresti() {
        OddsRatio r = OddsRatio.of(189, 10845, 104, 10933);
        assertThat(r.log()).isCloseTo(0.605, within(0.003));
        assertThat((r.hi() - r.lo()) / (2 * 1.6449)).isCloseTo(0.123, within(0.001));
        assertThat(r.p()).isLessThan(1e-5);
        OddsRatio empty = OddsRatio.of(0, 5, 5, 0);
        assertThat(empty.log()).isCloseTo(Math.log(0.5 * 0.5 / (5.5 * 5.5)), within(1e-12));
        assertThat(empty.p()).isBetween(0.0, 1.0);
    }

    /** Ten events in five minutes under Jeffreys: chi-squared with 21 degrees of freedom, 11.591 and 32.671. */
    @Test
    void aRateWithoutBaselineIsChiSquared() {
        List<Rate.Exposed> even = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            even.add(new Rate.Exposed(2, 60_000, 1));
        }
        Estimate e = Rate.of(even, GammaPrior.jeffreys(), List.of());
        assertThat(e.raw()).isCloseTo(20, within(1e-9));
        assertThat(e.lo()).isCloseTo(11.591, within(2e-3));
        assertThat(e.hi()).isCloseTo(32.671, within(2e-3));
        assertThat(e.baseline()).isNaN();
        assertThat(e.grade()).isEqualTo(Grade.FAIR);
    }

    @Test
    void lumpyEventsWidenARateAndExposureIsNeeded() {
        List<Rate.Exposed> even = new ArrayList<>();
        List<Rate.Exposed> lumpy = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            even.add(new Rate.Exposed(2, 60_000, 1));
            lumpy.add(new Rate.Exposed(i % 4 == 0 ? 8 : 0, 60_000, 1));
        }
        Estimate a = Rate.of(even, GammaPrior.jeffreys(), List.of());
        Estimate b = Rate.of(lumpy, GammaPrior.jeffreys(), List.of());
        assertThat(b.raw()).isEqualTo(a.raw());
        assertThat(b.hi() - b.lo()).isGreaterThan(1.5 * (a.hi() - a.lo()));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Rate.of(List.of(), GammaPrior.jeffreys(), List.of()))
                .withMessageContaining("exposure");
    }

    @Test
    void aRatePriorIsTheOthersAndItsStrengthIsFitted() {
        List<GammaPrior.Counts> alike = new ArrayList<>();
        List<GammaPrior.Counts> apart = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            alike.add(new GammaPrior.Counts(100, 50));
            apart.add(new GammaPrior.Counts(i % 2 == 0 ? 10 : 190, 50));
        }
        GammaPrior strong = GammaPrior.fit(alike, "here");
        GammaPrior weak = GammaPrior.fit(apart, "here");
        assertThat(strong.mean()).isCloseTo(2, within(0.01));
        assertThat(strong.strength()).isGreaterThan(2 * weak.strength()).isLessThanOrEqualTo(10);
        assertThat(GammaPrior.fit(alike.subList(0, 3), "few").strength()).isEqualTo(GammaPrior.DEFAULT_STRENGTH);
        assertThat(GammaPrior.fit(List.of(), "none").mean()).isNaN();
    }

    /** Ten values: the second and the ninth (Conover 1999, section 3.2). */
    @Test
    void aMedianLiesBetweenOrderStatistics() {
        List<Long> ms = List.of(9L, 1L, 8L, 2L, 7L, 3L, 6L, 4L, 10L, 5L);
        Estimate e = Median.of(ms, Trials.apart(10, 10));
        assertThat(e.mean()).isEqualTo(5.5);
        assertThat(e.lo()).isEqualTo(2);
        assertThat(e.hi()).isEqualTo(9);
        assertThat(Median.of(new long[0])).isNaN();
    }

    /** Epstein and Sobel 1953: twice the sum over the mean is chi squared; of one value 14 / 5.991 and 14 / 0.1026. */
    @Test
    void aMedianOfFewLeavesOpenWhatAConstantHazardDoes() {
        Estimate one = Median.of(List.of(7L), Trials.apart(1, 1));
        assertThat(one.mean()).isEqualTo(7);
        assertThat(one.lo()).isCloseTo(Math.log(2) * 14 / 5.991, within(0.01));
        assertThat(one.hi()).isCloseTo(Math.log(2) * 14 / 0.1026, within(0.1));
        assertThat(one.grade()).isEqualTo(Grade.THIN);
        Random random = new Random(3);
        for (int n = 2; n < 5; n++) {
            int held = 0;
            for (int i = 0; i < 2000; i++) {
                // times that are not exponential: the middle of their logarithms is 9
                List<Long> ms = random.doubles(n, -1.2, 1.2)
                        .mapToObj(x -> Math.round(Math.exp(9 + x)))
                        .toList();
                Estimate e = Median.of(ms, Trials.apart(n, n));
                held += e.lo() <= Math.exp(9) && e.hi() >= Math.exp(9) ? 1 : 0;
            }
            assertThat(held / 2000.0).as("of " + n).isBetween(0.88, 1.0);
        }
    }

    /** Two uniform shares differ by more than 0.10 with chance 0.81. */
    @Test
    void aChangeIsJudgedByItsSize() {
        BetaPrior uniform = BetaPrior.fixed(0.5, 2, "uniform");
        assertThat(Change.moved(List.of(), List.of(), uniform, 0, 0)).isCloseTo(0.81, within(0.01));
        assertThat(Change.moved(Trials.apart(100, 200), Trials.apart(100, 200), uniform, 0, 0))
                .isLessThan(0.06);
        assertThat(Change.moved(Trials.apart(20, 200), Trials.apart(120, 200), uniform, 0, 0))
                .isGreaterThan(0.999)
                .isEqualTo(Change.moved(Trials.apart(120, 200), Trials.apart(20, 200), uniform, 0, 0), within(1e-9));
        assertThat(Change.moved(Trials.apart(1000, 2000), Trials.apart(1000, 2000), uniform, 0, 0.5))
                .as("told without looking closer")
                .isZero();
        assertThat(Change.moved(Trials.apart(20, 200), Trials.apart(120, 200), uniform, 0, 0.5))
                .isGreaterThan(0.999);
        // far apart and sure: nothing of either tail reaches the other
        assertThat(Change.moved(Trials.apart(0, 5000), Trials.apart(5000, 5000), uniform, 0, 0))
                .isCloseTo(1, within(1e-6));
    }

    @Test
    void aRowOfCategoriesSharesOneStrength() {
        List<BetaPrior> even = BetaPrior.row(List.of(), 3);
        assertThat(even).allSatisfy(p -> assertThat(p.mean()).isCloseTo(0.25, within(1e-12)));
        List<double[]> others = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            others.add(new double[] {60, 30, 0, 10});
        }
        List<BetaPrior> fitted = BetaPrior.row(others, 3);
        assertThat(fitted.get(0).mean()).isCloseTo(0.6, within(0.001));
        assertThat(fitted.get(2).mean()).as("never shown by the others").isBetween(1e-4, 1e-3);
        assertThat(fitted.get(0).strength())
                .isGreaterThan(15)
                .isEqualTo(fitted.get(1).strength());
    }
}
