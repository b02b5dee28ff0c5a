package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Technique;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class BracketTest {
    private static final Set<String> ALL =
            Small.LEXICON.techniques().stream().map(Technique::code).collect(Collectors.toSet());

    private static MeetingSolution brisa;
    private static MeetingSolution juno;

    @BeforeAll
    static void solve() {
        brisa = Small.demo("brisa-tolendt", "submission-only", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
        juno = Small.demo("juno-fastrel", "submission-only", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
    }

    private static Bracket bracket(double one, double two) {
        return Bracket.of(List.of(
                new Bracket.Opponent("brisa", one, brisa, new Uncertainty.Range(0.4, 0.3, 0.5)),
                new Bracket.Opponent("juno", two, juno, new Uncertainty.Range(0.5, 0.4, 0.6)),
                new Bracket.Opponent("nobody", 0.5, null, null)));
    }

    @Test
    void theWorthOfASkillIsItsLeverageWeightedByTheChances() {
        Bracket b = bracket(0.6, 0.2);
        assertThat(b.skills()).hasSizeGreaterThan(10);
        for (Bracket.Skill s : b.skills()) {
            double sum = 0.6 * s.against().getOrDefault("brisa", 0.0)
                    + 0.2 * s.against().getOrDefault("juno", 0.0);
            assertThat(s.worth()).isCloseTo(sum, within(1e-12)).isPositive();
            double direct = brisa.flow().leverage().stream()
                    .filter(l -> l.exit().technique().equals(s.technique())
                            && l.exit().ours() == s.ours())
                    .mapToDouble(Bracket::gain)
                    .sum();
            assertThat(s.against().getOrDefault("brisa", 0.0)).isCloseTo(direct, within(1e-12));
        }
        assertThat(b.skills()).isSortedAccordingTo((x, y) -> Double.compare(y.worth(), x.worth()));
        assertThat(b.skills()).anyMatch(s -> !s.ours()).anyMatch(Bracket.Skill::ours);
    }

    @Test
    void aSkillForOneOpponentAloneIsCalledSo() {
        Bracket both = bracket(0.5, 0.5);
        for (Bracket.Skill s : both.skills()) {
            double one = 0.5 * s.against().getOrDefault("brisa", 0.0) / s.worth();
            String alone = one >= 0.8 ? "brisa" : one <= 0.2 ? "juno" : null;
            assertThat(s.alone()).as(s.technique()).isEqualTo(alone);
        }
        assertThat(both.skills()).anyMatch(s -> s.alone() == null).anyMatch(s -> s.alone() != null);
        Bracket only = Bracket.of(List.of(new Bracket.Opponent("brisa", 1, brisa, null)));
        assertThat(only.skills()).as("with one opponent everything is for him").allMatch(s -> s.alone() == null);
    }

    @Test
    void theChanceWhoeverComesIsAMean() {
        double natural = (0.6 * brisa.natural().win() + 0.2 * juno.natural().win()) / 0.8;
        assertThat(bracket(0.6, 0.2).win(false)).isCloseTo(natural, within(1e-12));
        assertThat(bracket(0.6, 0.2).range().lo()).isCloseTo((0.6 * 0.3 + 0.2 * 0.4) / 0.8, within(1e-12));
        assertThat(bracket(0.6, 0.2).range().hi()).isCloseTo((0.6 * 0.5 + 0.2 * 0.6) / 0.8, within(1e-12));
        assertThat(bracket(1, 0).win(true)).isEqualTo(brisa.planned().win());
        assertThat(Bracket.of(List.of(new Bracket.Opponent("nobody", 1, null, null)))
                        .win(true))
                .isNaN();
    }

    @Test
    void withoutTheOpeningSomethingElseIsDoneAndLessIsWon() {
        Alternatives a = Alternatives.of(juno);
        assertThat(a.opening()).isNotNull();
        assertThat(a.opening().win()).isEqualTo(juno.planned().win());
        assertThat(a.opening().instead().technique()).isNotEqualTo(a.opening().technique());
        assertThat(a.behind().lines()).as("nothing is scored").isEmpty();
    }

    @Test
    void withoutAnOpeningThatThePlanPressesLessIsWon() {
        for (String them : List.of("brisa-tolendt", "juno-fastrel", "odile-marrowen")) {
            MeetingSolution solved = Small.demo(
                            them,
                            "points-gi",
                            SolverSettings.USUAL.emphasis(1).pressing(2).coarse(),
                            Constraints.NONE.allowing(ALL))
                    .solve();
            Option first = solved.planned().option(ModelState.START, 0, 0, 0);
            Alternatives.Opening opening = Alternatives.of(solved).opening();
            assertThat(first.kind()).as(them).isEqualTo(Option.Kind.PRESS);
            assertThat(opening.technique()).isEqualTo(first.technique());
            assertThat(opening.without()).as(them).isLessThan(opening.win());
        }
    }

    @Test
    void lateAndBehindOneDoesOtherThanLateAndAhead() {
        Alternatives a = Alternatives.of(Small.demo(
                        "brisa-tolendt",
                        "points-gi",
                        SolverSettings.USUAL.emphasis(1).coarse(),
                        Constraints.NONE)
                .solve());
        assertThat(a.behind().points()).isEqualTo(-2);
        assertThat(a.behind().lines()).hasSizeGreaterThan(4);
        for (int i = 0; i < a.behind().lines().size(); i++) {
            Alternatives.Line behind = a.behind().lines().get(i);
            Alternatives.Line ahead = a.ahead().lines().get(i);
            assertThat(behind.place()).isEqualTo(ahead.place());
            assertThat(behind.win()).isLessThan(ahead.win());
        }
        long held = a.ahead().lines().stream()
                .filter(l -> l.option().kind() == Option.Kind.HOLD)
                .count();
        long hunted = a.behind().lines().stream()
                .filter(l -> l.option().kind() == Option.Kind.HOLD)
                .count();
        assertThat(held).isGreaterThan(hunted);
    }

    @Test
    void plansAreComparedInTheSameDraws() {
        Meeting m = Small.demo("juno-fastrel", "submission-only", SolverSettings.USUAL.coarse(), Constraints.NONE);
        SolverSettings dial = SolverSettings.USUAL;
        String first = brisa.flow().leverage().stream()
                .map(ForwardPass.Leverage::exit)
                .filter(e -> e.ours() && e.finish())
                .findFirst()
                .orElseThrow()
                .technique();
        PlanComparison v = PlanComparison.of(
                m,
                List.of(
                        new PlanComparison.Way(dial, Constraints.NONE),
                        new PlanComparison.Way(dial, Constraints.NONE),
                        new PlanComparison.Way(
                                dial, new Constraints(java.util.Set.of(first), java.util.Map.of(), List.of()))),
                1,
                x -> {},
                () -> false);
        assertThat(v.plans().get(1).more().lo()).isZero();
        assertThat(v.plans().get(1).more().hi()).isZero();
        assertThat(v.plans().get(1).better()).isZero();
        PlanComparison.Valued barred = v.plans().get(2);
        assertThat(barred.more().mean())
                .isCloseTo(barred.win().mean() - v.plans().get(0).win().mean(), within(1e-9));
        assertThat(barred.more().hi() - barred.more().lo())
                .as("a difference is surer than either")
                .isLessThan(barred.win().hi() - barred.win().lo());
        assertThat(PlanComparison.of(
                        m, List.of(new PlanComparison.Way(dial, Constraints.NONE)), 1, x -> {}, () -> true))
                .isNull();
    }
}
