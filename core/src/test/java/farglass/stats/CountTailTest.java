package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CountTailTest {
    /** Five fair coins: by hand 31, 26, 16, 6, 1 of 32. */
    @ParameterizedTest
    @CsvSource({"0, 32", "1, 31", "2, 26", "3, 16", "4, 6", "5, 1"})
    void aNarrowCountIsBinomial(int count, int of32) {
        assertThat(new CountTail(2.5, 1.25).atLeast(count)).isCloseTo(of32 / 32.0, within(1e-9));
    }

    @Test
    void beyondWhatABinomialCanReachIsAsRareAsItsTop() {
        double top = new CountTail(2.5, 1.25).atLeast(5);
        assertThat(new CountTail(2.5, 1.25).atLeast(6)).isPositive().isLessThan(top);
    }

    @Test
    void aPoissonCountIsPoisson() {
        for (int count = 0; count < 12; count++) {
            assertThat(new CountTail(3, 3).atLeast(count))
                    .isCloseTo(count == 0 ? 1 : PoissonCount.upperTail(count, 3), within(1e-9));
        }
    }

    @Test
    void aWiderCountHasALongerTail() {
        assertThat(new CountTail(3, 9).atLeast(9)).isGreaterThan(new CountTail(3, 3).atLeast(9));
        assertThat(new CountTail(3, 1).atLeast(9)).isLessThan(new CountTail(3, 3).atLeast(9));
    }

    @Test
    void whatIsLookedAtOnlyFromALeastCountOnIsJudgedGivenThat() {
        CountTail t = new CountTail(2.5, 1.25);
        assertThat(t.atLeast(3, 3)).isEqualTo(1);
        assertThat(t.atLeast(4, 3)).isCloseTo(6 / 16.0, within(1e-9));
        assertThat(t.atLeast(5, 3)).isCloseTo(1 / 16.0, within(1e-9));
    }
}
