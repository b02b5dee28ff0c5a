package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.simulate.Small;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Choice;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class UncertaintyTest {
    @ParameterizedTest
    @ValueSource(strings = {"points-gi", "submission-only"})
    void anIntervalHoldsItsMeanAndWeakAdviceIsTakenBack(String rules) {
        Meeting m = Small.demo("brisa-tolendt", rules, SolverSettings.USUAL.emphasis(1), Constraints.NONE);
        AtomicReference<Double> progress = new AtomicReference<>(0.0);
        Uncertainty u = Uncertainty.of(m, 60, 30, 3, x -> progress.accumulateAndGet(x, Math::max), () -> false);
        assertThat(progress.get()).isEqualTo(1.0);
        for (Uncertainty.Range r : List.of(u.natural(), u.planned(), u.gain())) {
            assertThat(r.mean()).isBetween(r.lo(), r.hi());
        }
        boolean points = m.model().rules().counts();
        assertThat(u.gain().mean()).isPositive();
        assertThat(u.gain().lo())
                .as("a plan of surely helpful advice helps; without points by little")
                .isGreaterThan(points ? 0 : -5e-4);
        assertThat(u.natural().hi() - u.natural().lo()).isBetween(0.02, 0.6);
        assertThat(u.advice()).allSatisfy(a -> {
            assertThat(a.stays()).isBetween(0.0, 1.0);
            if (!points) {
                assertThat(a.helps())
                        .as("who is never behind does not answer, and the best option beats none")
                        .isGreaterThanOrEqualTo(a.stays() - 1e-9);
            }
        });
        assertThat(u.advice()).anyMatch(Uncertainty.Advice::kept).anyMatch(a -> !a.kept());
        BackwardInduction p =
                new BackwardInduction(m.model(), m.question().settings().coarse());
        for (Uncertainty.Advice a : u.advice()) {
            Choice c = a.choice();
            int cell = p.grid().cell(p.model().indexOf(c.place()), 0, c.advantages(), c.points());
            int x = u.policy().get(p.stepAt(c.ms()), cell);
            assertThat(p.options(p.model().indexOf(c.place())).options().get(x))
                    .isEqualTo(a.kept() ? c.option() : Option.NATURAL);
        }
        assertThat(Uncertainty.of(m, 60, 30, 3, x -> {}, () -> false).natural()).isEqualTo(u.natural());
    }

    @Test
    void itStopsWhenAsked() {
        Meeting m = Small.demo("brisa-tolendt", "submission-only");
        assertThat(Uncertainty.of(m, 1, x -> {}, () -> true)).isNull();
    }

    @Test
    void withTooLittleFilmThereIsNoPlan() {
        Meeting m = Small.demo("nobody", "points-gi");
        assertThat(m.enough()).isFalse();
        assertThat(m.matches(false)).isZero();
        assertThatThrownBy(m::solve).isInstanceOf(IllegalStateException.class).hasMessageContaining("too few");
    }

    /** The delta method against draws that are solved, each a few hundredths wide of the other at most. */
    @ParameterizedTest
    @ValueSource(strings = {"brisa-tolendt", "juno-fastrel", "odile-marrowen"})
    void theFirstIntervalIsNearlyTheLastOne(String them) {
        Meeting m = Small.demo(them, "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE);
        FirstRange first = FirstRange.of(m.solve(), 3);
        Uncertainty u = Uncertainty.of(m, 60, 10, 3, x -> {}, () -> false);
        assertThat(first.natural().lo()).isCloseTo(u.natural().lo(), within(0.08));
        assertThat(first.natural().hi()).isCloseTo(u.natural().hi(), within(0.08));
        assertThat(first.natural().hi() - first.natural().lo()).isGreaterThan(0.05);
        assertThat(first.gain().lo()).isLessThanOrEqualTo(first.gain().mean());
    }
}
