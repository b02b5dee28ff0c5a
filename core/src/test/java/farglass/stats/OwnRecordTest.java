package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A clear own record frees itself from a strong prior, and few others are none (rulings S01, S04). */
class OwnRecordTest {
    private static final List<BetaPrior.Counts> ALIKE = counts(12, 60, 18);

    private static List<BetaPrior.Counts> counts(int athletes, int tries, int worked) {
        List<BetaPrior.Counts> all = new ArrayList<>();
        for (int i = 0; i < athletes; i++) {
            all.add(new BetaPrior.Counts(worked + i % 3 - 1, tries));
        }
        return all;
    }

    @Test
    void whoStandsApartIsNotDrawnToTheOthers() {
        BetaPrior prior = BetaPrior.fit(ALIKE, "others");
        assertThat(prior.mean()).isCloseTo(0.3, within(0.01));
        assertThat(prior.strength()).as("the others are alike").isGreaterThan(15);
        double apart = prior.posterior(20, 5).mean();
        double held = (20 + prior.strength() * 0.3) / (25 + prior.strength());
        assertThat(apart).as("20 of 25").isGreaterThan(0.68).isGreaterThan(held + 0.1);
        assertThat(prior.posterior(8, 17).mean())
                .as("8 of 25 is as the others are")
                .isCloseTo(0.31, within(0.01));
        assertThat(prior.given(20, 5).strength()).isLessThan(prior.given(8, 17).strength());
    }

    @Test
    void aFixedPriorStaysAsItIs() {
        BetaPrior fixed = BetaPrior.fixed(0.4, 5, "fixed");
        assertThat(fixed.given(20, 0).strength()).isEqualTo(5);
        assertThat(fixed.posterior(3, 2).mean()).isCloseTo((2 + 3) / 10.0, within(1e-12));
    }

    @Test
    void fewOthersCountForOneOccurrence() {
        BetaPrior one = BetaPrior.few(List.of(new BetaPrior.Counts(4, 9)));
        assertThat(one.mean()).isCloseTo(0.5 / 1.05, within(1e-9));
        assertThat(one.average()).as("shown as it was seen").isCloseTo(4.5 / 10, within(1e-12));
        assertThat(one.source()).contains("1 others").contains("too few");
        assertThat(BetaPrior.few(List.of())).isSameAs(BetaPrior.jeffreys());
        BetaPrior rare = BetaPrior.few(List.of(new BetaPrior.Counts(0, 40)));
        assertThat(rare.posterior(0, 20).quantile(0.95))
                .as("nothing of 20 is not known to be nothing")
                .isGreaterThan(0.08);
    }

    @Test
    void sharesOfFewOthersLendNothing() {
        List<BetaPrior> few = BetaPrior.row(List.of(new double[] {6, 2, 2}, new double[] {3, 1, 1}), 2);
        assertThat(few.get(0).mean()).isCloseTo(9 / 15.0, within(1e-9));
        assertThat(few.get(0).strength()).isEqualTo(1);
        List<BetaPrior> more =
                BetaPrior.row(List.of(new double[] {6, 2, 2}, new double[] {3, 1, 1}, new double[] {3, 1, 1}), 2);
        assertThat(more.get(0).strength()).isEqualTo(BetaPrior.DEFAULT_STRENGTH);
    }

    @Test
    void aRateFreesItselfToo() {
        List<GammaPrior.Counts> alike = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            alike.add(new GammaPrior.Counts(20 + i % 3 - 1, 40));
        }
        GammaPrior prior = GammaPrior.fit(alike, "others");
        double held = (40 + prior.strength()) / (20 + prior.strength() / prior.mean());
        assertThat(prior.posterior(40, 20).mean()).as("2 a minute, not 0.5").isGreaterThan(held);
        assertThat(prior.posterior(10, 20).mean()).isCloseTo(0.5, within(0.02));
    }

    @Test
    void countsOfCategoriesAreTheMatchesSharedOut() {
        List<String> seen = List.of("m1 a", "m1 a", "m1 b", "m2 a", "m3 b", "m3 b");
        List<List<BetaPrior.Counts>> groups = Clustering.categories(seen, s -> s.substring(0, 2), s -> s.substring(3));
        assertThat(groups).hasSize(2);
        assertThat(groups.get(0))
                .containsExactly(new BetaPrior.Counts(2, 3), new BetaPrior.Counts(1, 1), new BetaPrior.Counts(0, 2));
        assertThat(groups.get(1))
                .containsExactly(new BetaPrior.Counts(1, 3), new BetaPrior.Counts(0, 1), new BetaPrior.Counts(2, 2));
    }
}
