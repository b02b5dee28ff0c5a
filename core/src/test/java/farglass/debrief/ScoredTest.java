package farglass.debrief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.plan.Approach;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScoredTest {
    private static Scored scored(double p, double outcome) {
        return new Scored(new Approach.Forecast("win", "wins", p), outcome);
    }

    /**
     * Brier (1950), table 1: ten forecasts of rain, his P over both classes is 0.19; certain forecasts clipped as ours
     * are.
     */
    @Test
    void agreesWithTheExampleThatWasPublishedFirst() {
        double[] p = {0.7, 0.9, 0.8, 0.4, 0.2, 0, 0, 0, 0, 0.1};
        double[] rain = {0, 1, 1, 1, 0, 0, 0, 0, 0, 0};
        double sum = 0;
        List<Scored> all = new ArrayList<>();
        for (int i = 0; i < p.length; i++) {
            Scored s = scored(Math.max(1e-9, p[i]), rain[i]);
            sum += 2 * s.brier();
            all.add(s);
        }
        assertThat(sum / p.length).isCloseTo(0.19, within(1e-6));
        assertThat(Calibration.of(all).brier()).isCloseTo(0.095, within(1e-6));
    }

    @Test
    void theLogScoreIsTheSurprise() {
        assertThat(scored(0.25, 1).log()).isCloseTo(Math.log(4), within(1e-12));
        assertThat(scored(0.25, 0).log()).isCloseTo(-Math.log(0.75), within(1e-12));
        assertThat(scored(0.5, 0.5).log()).isCloseTo(Math.log(2), within(1e-12));
        assertThatThrownBy(() -> scored(1, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Murphy (1973): score = reliability - resolution + uncertainty when forecasts of a bin are the same. */
    @Test
    void theScoreSplitsExactlyWhenForecastsOfABinAreTheSame() {
        List<Scored> all = new ArrayList<>();
        double[][] bins = {{0.15, 20, 2}, {0.45, 30, 15}, {0.85, 10, 9}};
        for (double[] b : bins) {
            for (int i = 0; i < b[1]; i++) {
                all.add(scored(b[0], i < b[2] ? 1 : 0));
            }
        }
        Calibration c = Calibration.of(all);
        assertThat(c.n()).isEqualTo(60);
        assertThat(c.bins()).extracting(Calibration.Bin::n).containsExactly(20, 30, 10);
        assertThat(c.bins().get(1).happened()).isEqualTo(0.5);
        double base = 26 / 60.0;
        assertThat(c.uncertainty()).isCloseTo(base * (1 - base), within(1e-12));
        double reliability = (20 * 0.05 * 0.05 + 30 * 0.05 * 0.05 + 10 * 0.05 * 0.05) / 60;
        assertThat(c.reliability()).isCloseTo(reliability, within(1e-12));
        assertThat(c.within()).isCloseTo(0, within(1e-12));
        assertThat(c.brier()).isCloseTo(c.reliability() - c.resolution() + c.uncertainty(), within(1e-12));
    }

    @Test
    void withoutForecastsThereIsNoScore() {
        assertThat(Calibration.of(List.of()).brier()).isNaN();
        assertThat(Calibration.of(List.of(scored(0.99, 1))).bins()).hasSize(1);
    }
}
