package farglass.tendency;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class PairCounterTest {
    @Test
    void eachExchangeCountsAPairOnceAndLetsOneBeSkipped() {
        int[] counts = PairCounter.counts(new int[][] {{0, 1, 0, 1}, {0, 2, 1}, {0, 2, 2, 1}, {1}}, 3);
        assertThat(counts[1]).as("0 then 1").isEqualTo(2);
        assertThat(counts[3]).as("1 then 0").isEqualTo(1);
        assertThat(counts[0]).as("0 then 0, with 1 skipped").isEqualTo(1);
        assertThat(counts[2 * 3 + 2]).as("2 then 2").isEqualTo(1);
        assertThat(counts[2 * 3 + 1]).as("2 then 1").isEqualTo(2);
    }

    /** The same as the search for patterns finds. */
    @Test
    void itAgreesWithASearch() {
        Random random = new Random(8);
        int[][] exchanges = random.ints(60, 1, 14)
                .mapToObj(n -> random.ints(n, 0, 5).toArray())
                .toArray(int[][]::new);
        int[] counts = PairCounter.counts(exchanges, 5);
        for (int a = 0; a < 5; a++) {
            for (int b = 0; b < 5; b++) {
                int found = 0;
                for (int[] e : exchanges) {
                    found += ChainTrie.places(e, new int[] {a, b}) == null ? 0 : 1;
                }
                assertThat(counts[a * 5 + b]).as(a + " then " + b).isEqualTo(found);
            }
        }
    }
}
