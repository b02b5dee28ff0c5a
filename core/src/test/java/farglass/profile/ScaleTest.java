package farglass.profile;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScaleTest {
    private static Estimate estimate(double mean, double lo, double hi) {
        return new Estimate(
                new Estimate.Observed(1, 2, 0.5, 3, 2),
                mean,
                new Estimate.Interval(lo, hi),
                Grade.FAIR,
                new Estimate.Reference(Double.NaN, ""),
                null,
                List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "SHARE, 0.9, 0, 1",
        "TIME_SHARE, 0.2, 0, 1",
        "DIFFERENCE, 0.4, -1, 1",
        "PER_TEN_MINUTES, 0.7, 0, 1",
        "PER_TEN_MINUTES, 4.1, 0, 5",
        "PER_TEN_MINUTES, 17, 0, 20",
        "TIME, 4500, 0, 5000",
        "TIME, 61000, 0, 120000",
        "TIME, 4000000, 0, 4000000"
    })
    void theFirstRoundEndThatHoldsTheIntervalIsTaken(Claim.Unit unit, double hi, double from, double to) {
        Scale s = Scale.of(unit, estimate(hi / 2, 0, hi));
        assertThat(s.from()).isEqualTo(from);
        assertThat(s.to()).isEqualTo(to);
    }

    @Test
    void aBoundWithoutUpperEndIsDrawnByItsValue() {
        assertThat(Scale.of(Claim.Unit.TIMES_EXPECTED, estimate(7, 2, 1e9)).to())
                .isEqualTo(10);
    }

    @Test
    void valuesOutsideLieAtAnEnd() {
        Scale s = new Scale(-1, 1);
        assertThat(s.at(-3)).isZero();
        assertThat(s.at(0)).isEqualTo(0.5);
        assertThat(s.at(9)).isEqualTo(1);
    }
}
