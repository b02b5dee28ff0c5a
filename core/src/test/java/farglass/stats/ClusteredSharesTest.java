package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.stats.ClusteredShares.Counts;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ClusteredSharesTest {
    private static List<Counts> same(int clusters, int x, int n) {
        return Collections.nCopies(clusters, new Counts(x, n));
    }

    @Test
    void sharesThatAreTheSameDifferByChance() {
        assertThat(ClusteredShares.p(same(6, 2, 5), same(6, 2, 5))).isCloseTo(1, within(1e-9));
    }

    @Test
    void aClearDifferenceOfManyMatchesIsNone() {
        assertThat(ClusteredShares.p(same(8, 0, 4), same(8, 3, 4))).isLessThan(0.001);
    }

    @Test
    void whatHappenedInOneMatchOnlyIsWorthLess() {
        List<Counts> spread = same(6, 2, 6);
        List<Counts> once = List.of(
                new Counts(12, 12),
                new Counts(0, 4),
                new Counts(0, 5),
                new Counts(0, 5),
                new Counts(0, 5),
                new Counts(0, 5));
        List<Counts> none = same(6, 0, 6);
        assertThat(ClusteredShares.p(once, none)).isGreaterThan(4 * ClusteredShares.p(spread, none));
    }

    @Test
    void asksForTwoMatchesOnEitherSide() {
        assertThat(ClusteredShares.p(same(1, 9, 9), same(9, 0, 9))).isEqualTo(1);
    }

    @Test
    void keepsItsLevelWhenNothingDiffersButMatchesDo() {
        Random rng = new Random(4);
        long called = IntStream.range(0, 2000)
                .filter(i -> ClusteredShares.p(drawn(8, rng), drawn(8, rng)) < 0.05)
                .count();
        assertThat(called / 2000.0).isBetween(0.01, 0.075);
    }

    private static List<Counts> drawn(int matches, Random rng) {
        return IntStream.range(0, matches)
                .mapToObj(m -> {
                    double p = rng.nextBoolean() ? 0.15 : 0.55;
                    int n = 2 + rng.nextInt(5);
                    return new Counts(
                            (int) IntStream.range(0, n)
                                    .filter(i -> rng.nextDouble() < p)
                                    .count(),
                            n);
                })
                .toList();
    }
}
