package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Payoffs;
import farglass.matchup.model.StateSpace;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Options;
import farglass.matchup.solve.SolverSettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TransitionRatesTest {
    @ParameterizedTest
    @EnumSource(TwoWayFit.Kind.class)
    void effectsAreFoundAgain(TwoWayFit.Kind kind) {
        Random random = new Random(5);
        int athletes = 12;
        double[] acting = random.doubles(athletes, -0.8, 0.8).toArray();
        double[] facing = random.doubles(athletes, -0.8, 0.8).toArray();
        List<TwoWayFit.Seen> seen = new ArrayList<>();
        for (int i = 0; i < athletes; i++) {
            for (int j = 0; j < athletes; j++) {
                double eta = acting[i] + facing[j];
                double y = kind == TwoWayFit.Kind.RATE ? 60 * Math.exp(eta) : 60 / (1 + Math.exp(-eta));
                if (i != j) {
                    seen.add(new TwoWayFit.Seen(i, j, Math.round(y), 60, 0));
                }
            }
        }
        TwoWayFit fit = TwoWayFit.of(kind, athletes, seen);
        assertThat(fit.spread()).isBetween(0.3, 0.9);
        for (int i = 0; i < athletes; i++) {
            int j = (i + 5) % athletes;
            double sd = Math.sqrt(fit.covariance(i, j, j, i)[0]);
            assertThat(fit.effect(i, j)).isCloseTo(acting[i] + facing[j], within(4 * sd + 0.05));
            assertThat(sd).isBetween(0.01, 0.5);
        }
        assertThat(fit.effect(-1, -1)).isZero();
        assertThat(fit.covariance(-1, -1, 0, 1)[0]).isCloseTo(2 * fit.spread() * fit.spread(), within(1e-9));
    }

    /** One cell: the mode solves y - n exp(2 x) = x / spread^2, because both effects share it alike. */
    @Test
    void oneCellHasItsClosedForm() {
        TwoWayFit fit = TwoWayFit.of(TwoWayFit.Kind.RATE, 2, List.of(new TwoWayFit.Seen(0, 1, 9, 4, 0)));
        double x = fit.effect(0, 1) / 2;
        assertThat(9 - 4 * Math.exp(2 * x)).isCloseTo(x / (fit.spread() * fit.spread()), within(1e-6));
    }

    @Test
    void withoutAnySightingEffectsAreNothingButTheirSpread() {
        TwoWayFit fit = TwoWayFit.of(TwoWayFit.Kind.CHANCE, 3, List.of());
        assertThat(fit.effect(0, 2)).isZero();
        assertThat(fit.covariance(0, 2, 2, 0)).containsExactly(new double[] {0.18, 0, 0.18}, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "OPN+, knee-cut, SDC+, points-gi, 3, 0",
        "HFG+, to-mount, MNT+, points-gi, 7, 0",
        "SDC+, to-mount, MNT+, points-gi, 4, 0",
        "STD=, double-leg, SDC+, points-gi, 2, 0",
        "DLR-, dlr-sweep, OPN+, points-gi, 2, 0",
        "SDC-, bridge-reversal, SDC+, points-gi, 0, 0",
        "TRT+, hook-insert, BCK+, points-gi, 4, 0",
        "TRT+, hook-insert, BTR+, points-gi, 0, 0",
        "OPN+, knee-cut, SDC+, late-points, 3, 0",
        "STD=, guard-pull, CLG-, late-points, -1, 0",
        "OPN+, knee-cut, SDC+, submission-only, 0, 0"
    })
    void theEngineSaysWhatAChangeOfPlaceEarns(
            String from, String technique, String to, String rules, int points, int advantages) {
        Payoffs payoffs = new Payoffs(Small.rules(rules), new StateSpace(Small.LEXICON));
        assertThat(payoffs.of(ModelState.ofKey(from), technique, ModelState.ofKey(to), true, true))
                .isEqualTo(new Payoffs.Pay(points, advantages));
        boolean late = Small.rules(rules).pointsFrom() > 0;
        assertThat(payoffs.of(ModelState.ofKey(from), technique, ModelState.ofKey(to), true, false)
                        .points())
                .isEqualTo(late ? 0 : points);
    }

    @Test
    void whatIsNotHeldEarnsAnAdvantageAtMost() {
        Payoffs payoffs = new Payoffs(Small.rules("points-gi"), new StateSpace(Small.LEXICON));
        assertThat(payoffs.of(ModelState.of("OPN", 1), "knee-cut", Small.TOP, false, true))
                .isEqualTo(new Payoffs.Pay(0, 1));
    }

    @Test
    void goingDownFromAPayingPinIsNoChoiceAndGoingUpAgainPaysNothing() {
        ModelState mount = ModelState.of("MNT", 1);
        Model m = Small.model(
                "points-gi",
                300_000,
                List.of(ModelState.START, Small.TOP, mount),
                Small.exit(Small.TOP, true, "to-mount", 1, 1, mount),
                Small.exit(mount, true, "to-side-control", 1, 1, Small.TOP));
        int top = m.indexOf(Small.TOP);
        assertThat(m.own(top).get(0).branches()[0].points()[1]).isEqualTo(4);
        assertThat(m.own(m.indexOf(mount)).get(0).down()).isTrue();
        int again = m.indexOf(Small.TOP.paid(true));
        assertThat(again).isPositive();
        assertThat(m.own(again).get(0).branches()[0].points()[1]).isZero();
    }

    @Test
    void pressingLeavesTheTotalAndRatesAloneThatCannotGrow() {
        Model m = Small.demo("brisa-tolendt", "points-gi").model();
        int s = m.indexOf(ModelState.of("HFG", -1));
        Options o = Options.of(m.own(s), false, SolverSettings.USUAL.elasticity(1));
        Options less = Options.of(m.own(s), false, SolverSettings.USUAL);
        double total = m.own(s).stream().mapToDouble(Model.Way::rate).sum();
        assertThat(o.size()).isGreaterThan(2);
        for (int x = 1; x < o.size(); x++) {
            assertThat(o.others[x] * total + o.gain[x]).isCloseTo(total, within(1e-9));
            assertThat(o.cost[x]).isPositive();
            assertThat(less.gain[x]).as("additional tries bear less").isLessThan(o.gain[x]);
            assertThat(less.others[x]).isEqualTo(o.others[x]);
        }
        Options single = Options.of(m.own(s).subList(0, 1), false, SolverSettings.USUAL);
        assertThat(single.options).containsExactly(Option.NATURAL);
    }

    @Test
    void drawsLieAroundTheMeanAndKnowTheAthletes() {
        Meeting m = Small.demo("brisa-tolendt", "points-gi");
        Exit known = m.model().exits(ModelState.START, false).get(0);
        assertThat(known.technique()).isEqualTo("guard-pull");
        assertThat(known.source()).isEqualTo(Exit.Source.OWN);
        assertThat(known.rate()).as("she pulls four times as often as others").isGreaterThan(1.5);
        assertThat(known.basis().tags()).isNotEmpty();
        double[] rates = new double[60];
        for (int i = 0; i < rates.length; i++) {
            rates[i] = m.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(i)).exits(ModelState.START, false).stream()
                    .filter(e -> e.technique().equals("guard-pull"))
                    .mapToDouble(Exit::rate)
                    .sum();
        }
        Uncertainty.Range range = Uncertainty.Range.of(rates);
        assertThat(known.rate()).isBetween(range.lo(), range.hi());
        assertThat(range.hi()).isGreaterThan(1.2 * range.lo());
        assertThat(m.forbidden()).isInstanceOf(Set.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"STD=", "DLR-", "MNT+*"})
    void aPlaceIsReadBackFromItsKey(String key) {
        assertThat(ModelState.ofKey(key).key()).isEqualTo(key);
        assertThat(ModelState.ofKey(key).mirrored().mirrored()).isEqualTo(ModelState.ofKey(key));
    }

    /** Ruling M27: what our athlete has not shown is not leant on, unless somebody says that he may. */
    @Test
    void onlyWhatIsOursIsPressed() {
        Meeting m = Small.demo("brisa-tolendt", "points-gi");
        java.util.Set<String> strange = new java.util.TreeSet<>();
        for (int s = 0; s < m.model().states().size(); s++) {
            Options o = Options.of(m.model().own(s), false, SolverSettings.USUAL);
            for (Option option : o.options()) {
                if (option.kind() == Option.Kind.PRESS) {
                    assertThat(m.model().own(s))
                            .anyMatch(w -> option.technique().equals(w.exit().technique())
                                    && w.exit().ownAction());
                }
            }
            m.model().own(s).stream()
                    .filter(w -> w.exit().technique() != null && !w.exit().ownAction())
                    .forEach(w -> strange.add(w.exit().technique()));
        }
        assertThat(strange).isNotEmpty();
        Meeting allowed = m.under(SolverSettings.USUAL, Constraints.NONE.allowing(strange));
        assertThat(allowed.model().exits())
                .filteredOn(e -> e.ours() && strange.contains(e.technique()))
                .allMatch(farglass.matchup.model.Exit::ownAction);
    }
}
