package farglass.debrief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.plan.Approach;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What must hold of every set of forecasts. */
class CalibrationPropertyTest {
    private static List<Scored> forecasts(Random random, int n, boolean honest) {
        List<Scored> list = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double p = 0.01 + 0.98 * random.nextDouble();
            double happens = honest ? p : 0.5;
            list.add(new Scored(new Approach.Forecast("win", "wins", p), random.nextDouble() < happens ? 1 : 0));
        }
        return list;
    }

    @Test
    void binsHoldEveryForecastOnce() {
        Random random = new Random(1);
        for (int run = 0; run < 40; run++) {
            List<Scored> all = forecasts(random, 1 + random.nextInt(80), true);
            Calibration c = Calibration.of(all);
            assertThat(c.bins().stream().mapToInt(Calibration.Bin::n).sum()).isEqualTo(all.size());
            for (int i = 1; i < c.bins().size(); i++) {
                assertThat(c.bins().get(i).mean())
                        .isGreaterThan(c.bins().get(i - 1).mean());
            }
            assertThat(c.base())
                    .isCloseTo(
                            all.stream().mapToDouble(Scored::outcome).average().orElseThrow(), within(1e-12));
        }
    }

    @Test
    void whatTheSplitLeavesOverIsSmall() {
        Random random = new Random(2);
        for (int run = 0; run < 40; run++) {
            Calibration c = Calibration.of(forecasts(random, 200, true));
            // within a tenth forecasts differ by less than a tenth
            assertThat(Math.abs(c.within())).isLessThan(0.02);
            assertThat(c.brier()).isBetween(0.0, 1.0);
            assertThat(c.resolution()).isLessThanOrEqualTo(c.uncertainty() + 1e-12);
        }
    }

    @Test
    void honestForecastsScoreBetterThanBlindOnes() {
        Random random = new Random(3);
        Calibration honest = Calibration.of(forecasts(random, 4000, true));
        Calibration blind = Calibration.of(forecasts(random, 4000, false));
        assertThat(honest.brier()).isLessThan(blind.brier());
        assertThat(honest.log()).isLessThan(blind.log());
        assertThat(honest.reliability()).isLessThan(0.003);
        assertThat(blind.reliability()).isGreaterThan(0.05);
        assertThat(blind.resolution()).isLessThan(0.003);
    }
}
