package farglass.camp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AllocationTest {
    private static Allocation.Want want(String skill, double worth) {
        return new Allocation.Want(skill, worth, SkillSetting.USUAL);
    }

    /** Every way to share rounds out, tried one by one. */
    private static double best(List<Allocation.Want> wants, int i, int left, int minutes) {
        if (i == wants.size()) {
            return 0;
        }
        SkillSetting s = wants.get(i).setting();
        int least = s.left() ? 0 : (s.leastMinutes() + minutes - 1) / minutes;
        double best = Double.NEGATIVE_INFINITY;
        for (int n = least; n <= left; n++) {
            best = Math.max(best, wants.get(i).after(n * minutes) + best(wants, i + 1, left - n, minutes));
        }
        return best;
    }

    @Test
    void equalsBruteForceOnSmallCases() {
        Random random = new Random(4);
        for (int run = 0; run < 60; run++) {
            List<Allocation.Want> wants = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                SkillSetting s = new SkillSetting(
                        0.05 + 0.3 * random.nextDouble(), 20 + 200 * random.nextDouble(), 5 * random.nextInt(3), false);
                wants.add(new Allocation.Want("+s" + i, 0.03 * random.nextDouble(), s));
            }
            Allocation a = Allocation.of(wants, 12, 5);
            assertThat(a.unmet()).isZero();
            assertThat(a.worth()).isCloseTo(best(wants, 0, 12, 5), within(1e-12));
            assertThat(a.bound()).isGreaterThanOrEqualTo(a.worth() - 1e-9);
        }
    }

    @Test
    void meetsTheOptimalityConditionsOnLargeOnes() {
        Random random = new Random(5);
        List<Allocation.Want> wants = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            wants.add(new Allocation.Want(
                    "+s" + i,
                    0.02 * random.nextDouble(),
                    new SkillSetting(0.1, 60 + 120 * random.nextDouble(), 0, false)));
        }
        Allocation a = Allocation.of(wants, 400, 5);
        assertThat(a.rounds()).isEqualTo(400);
        double dearest =
                a.shares().stream().mapToDouble(Allocation.Share::next).max().orElseThrow();
        for (Allocation.Share s : a.shares()) {
            double last = s.worth() - s.want().after((s.rounds() - 1) * 5);
            // nothing that was given is worth less than anything that was not
            assertThat(s.rounds() == 0 || last >= dearest - 1e-12)
                    .as(s.want().skill())
                    .isTrue();
        }
        assertThat(a.bound() - a.worth()).isBetween(0.0, 0.001);
    }

    @Test
    void leastMinutesComeFirstAndTheRestGoesWhereItGains() {
        SkillSetting least = SkillSetting.USUAL.least(12);
        List<Allocation.Want> wants =
                List.of(new Allocation.Want("+low", 0.0001, least), want("+high", 0.02), want("+none", 0));
        Allocation a = Allocation.of(wants, 10, 5);
        assertThat(a.shares()).extracting(Allocation.Share::rounds).containsExactly(3, 7, 0);
        Allocation few = Allocation.of(wants, 2, 5);
        assertThat(few.shares()).extracting(Allocation.Share::rounds).containsExactly(2, 0, 0);
        assertThat(few.unmet()).isEqualTo(1);
    }

    @Test
    void whatIsLeftOutGetsNothingAndNothingIsTrainedForNothing() {
        Allocation a = Allocation.of(
                List.of(
                        new Allocation.Want(
                                "+a", 0.02, SkillSetting.USUAL.left(true).least(30)),
                        want("-b", -0.01)),
                10,
                5);
        assertThat(a.rounds()).isZero();
        assertThat(a.worth()).isZero();
        assertThat(a.bound()).isZero();
        assertThat(Allocation.of(List.of(), 10, 5).rounds()).isZero();
    }

    @Test
    void theCurveIsTheOneThatWasSet() {
        Allocation.Want w = new Allocation.Want("+a", 0.02, new SkillSetting(0.2, 100, 0, false));
        assertThat(w.after(0)).isZero();
        assertThat(w.after(100)).isCloseTo(0.04 * (1 - 1 / Math.E), within(1e-12));
        assertThat(w.after(1e6)).isCloseTo(0.04, within(1e-9));
    }

    @Test
    void settingsThatCannotBeAreRefused() {
        assertThatThrownBy(() -> new SkillSetting(1.2, 120, 0, false)).hasMessageContaining("gain");
        assertThatThrownBy(() -> new SkillSetting(0.1, 0, 0, false)).hasMessageContaining("scale");
        assertThatThrownBy(() -> new SkillSetting(0.1, 120, -5, false)).hasMessageContaining("least");
    }
}
