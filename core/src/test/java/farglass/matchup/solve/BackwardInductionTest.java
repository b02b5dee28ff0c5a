package farglass.matchup.solve;

import static farglass.matchup.simulate.Small.TOP;
import static farglass.matchup.simulate.Small.UNDER;
import static farglass.matchup.simulate.Small.exit;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BackwardInductionTest {
    private static final SolverSettings FINE = new SolverSettings(1.25, 0.35, 0.7, 1, 1.0, 250);
    private static final List<ModelState> PLACES = List.of(ModelState.START, TOP, UNDER);

    /** Two exponential clocks: the first to ring wins, nobody in time is a draw. */
    @ParameterizedTest
    @CsvSource({"0.5, 0.2, 8", "1.5, 1.5, 5", "0, 0.4, 3", "2, 0, 1"})
    void aRaceToTheFinishHasItsClosedForm(double ours, double theirs, int minutes) {
        Model m = Small.model(
                "mixed-rounds",
                minutes * 60_000L,
                List.of(ModelState.START),
                exit(ModelState.START, true, "guillotine", 2 * ours, 0.5, null),
                exit(ModelState.START, false, "triangle", 4 * theirs, 0.25, null));
        double rate = ours + theirs;
        double nobody = Math.exp(-rate * minutes);
        double expected = ours / rate * (1 - nobody) + nobody / 2;
        assertThat(new BackwardInduction(m, FINE).natural().win()).isCloseTo(expected, within(0.0015));
    }

    /** Takedowns to pins that nobody leaves: whoever comes first wins by two points. */
    @Test
    void theFirstToScoreWinsWhereNobodyScoresAgain() {
        Model m = Small.model(
                "points-gi",
                300_000,
                PLACES,
                exit(ModelState.START, true, "double-leg", 0.3, 0.5, TOP),
                exit(ModelState.START, false, "single-leg", 0.5, 0.2, UNDER));
        double nobody = Math.exp(-0.25 * 5);
        double expected = 0.15 / 0.25 * (1 - nobody) + nobody / 2;
        Solution s = new BackwardInduction(m, FINE).natural();
        assertThat(s.win()).isCloseTo(expected, within(0.0015));
        assertThat(s.win(TOP, 0, 0, 0))
                .as("two points are given on the way, not for being there")
                .isEqualTo(0.5);
    }

    /** A gambler's walk: sweeps from guard to guard, two points each, a Skellam difference at the end. */
    @Test
    void sweepsBackAndForthAreACountAgainstACount() {
        ModelState up = ModelState.of("OPN", 1);
        ModelState down = ModelState.of("OPN", -1);
        Model m = Small.model(
                "points-gi",
                60_000,
                List.of(ModelState.START, up, down),
                exit(down, true, "tripod-sweep", 1, 1, up),
                exit(up, false, "sickle-sweep", 1, 1, down));
        // from below with one minute: sweeps alternate, so an odd number leaves us two ahead and an even one level
        double odd = (1 - Math.exp(-2)) / 2;
        assertThat(new BackwardInduction(m, FINE).natural().win(down, 0, 0, 0))
                .isCloseTo(odd + (1 - odd) / 2, within(0.002));
    }

    @Test
    void theBestPolicyBeatsEveryOtherAndEveryChoiceIsTheBestStep() {
        Meeting meeting =
                Small.demo("odile-marrowen", "late-points", SolverSettings.USUAL.emphasis(1), Constraints.NONE);
        BackwardInduction p =
                new BackwardInduction(meeting.model(), meeting.question().settings());
        Solution best = p.best(BackwardInduction.Answer.NEVER);
        assertThat(p.win(best.policy(), BackwardInduction.Answer.NEVER)).isCloseTo(best.win(), within(1e-6));
        Random random = new Random(4);
        for (int round = 0; round < 5; round++) {
            Policy other = best.policy().copy();
            for (int step = 0; step < p.steps(); step++) {
                for (int s = 0; s < meeting.model().states().size(); s++) {
                    for (int points = -8; points <= 8; points++) {
                        int x = random.nextInt(p.own[s].size());
                        other.set(step, p.grid.cell(s, 0, 0, points), (byte) x);
                    }
                }
            }
            assertThat(p.win(other, BackwardInduction.Answer.NEVER)).isLessThan(best.win());
        }
        for (int i = 0; i < 400; i++) {
            int s = random.nextInt(meeting.model().states().size());
            ModelState place = meeting.model().states().get(s);
            long ms = random.nextInt(480) * 1000L;
            int points = random.nextInt(13) - 6;
            Option chosen = best.option(place, ms, points, 0);
            double gain = best.gain(place, ms, points, 0, chosen);
            for (Option o : p.own[s].options) {
                assertThat(best.gain(place, ms, points, 0, o))
                        .as("%s at %d ms and %+d: %s against %s", place.key(), ms, points, o.key(), chosen.key())
                        .isLessThanOrEqualTo(gain + 2e-6);
            }
        }
    }

    @Test
    void anOpponentWhoAnswersIsWorthNoMoreAndOneWhoAlwaysDoesStillLess() {
        BackwardInduction p = new BackwardInduction(
                Small.demo("juno-fastrel", "points-gi").model(),
                SolverSettings.USUAL.emphasis(1).coarse());
        double natural = p.natural().win();
        double never = p.best(BackwardInduction.Answer.NEVER).win();
        double behind = p.best(BackwardInduction.Answer.BEHIND).win();
        double always =
                p.win(p.policy(BackwardInduction.Answer.ALWAYS, Constraints.NONE), BackwardInduction.Answer.ALWAYS);
        assertThat(never).isGreaterThan(behind);
        assertThat(behind).isGreaterThan(always);
        assertThat(never).isGreaterThan(natural);
    }

    @Test
    void theDialGoesFromOwnHabitsToWhateverBeatsThem() {
        Model m = Small.demo("brisa-tolendt", "submission-only").model();
        double last = new BackwardInduction(m, SolverSettings.USUAL).natural().win();
        for (double e : new double[] {0.0, 0.3, 0.6, 1.0}) {
            Solution s =
                    new BackwardInduction(m, SolverSettings.USUAL.emphasis(e)).best(BackwardInduction.Answer.NEVER);
            assertThat(s.win()).as("emphasis " + e).isGreaterThanOrEqualTo(last - 1e-6);
            last = s.win();
        }
        Solution habits =
                new BackwardInduction(m, SolverSettings.USUAL.emphasis(0)).best(BackwardInduction.Answer.NEVER);
        assertThat(habits.option(ModelState.START, 0, 0, 0)).isEqualTo(Option.NATURAL);
    }

    /** Five behind, the four points of the back do not reach: only a finish wins. */
    @Test
    void whatPointsCannotTurnIsSoughtByAFinish() {
        ModelState mount = ModelState.of("MNT", 1);
        ModelState back = ModelState.of("BCK", 1);
        Model m = Small.model(
                "points-gi",
                480_000,
                List.of(ModelState.START, mount, back),
                exit(mount, true, "armbar", 0.6, 0.2, null).allow(),
                exit(mount, true, "back-take", 0.6, 0.6, back).allow());
        Solution s = new BackwardInduction(m, FINE.emphasis(1)).best(BackwardInduction.Answer.NEVER);
        assertThat(s.option(mount, 450_000, -5, 0)).isEqualTo(Option.press("armbar"));
        assertThat(s.option(mount, 450_000, -3, 0))
                .as("three behind, the back is enough and likelier")
                .isEqualTo(Option.press("back-take"));
    }

    @Test
    void aheadLateItHolds() {
        Solution s = new BackwardInduction(
                        Small.demo("odile-marrowen", "points-gi").model(),
                        SolverSettings.USUAL.emphasis(1).coarse())
                .best(BackwardInduction.Answer.NEVER);
        ModelState mount = ModelState.of("MNT", 1);
        assertThat(s.option(TOP, 460_000, 2, 0)).isEqualTo(Option.HOLD);
        assertThat(s.option(mount, 460_000, 4, 0)).isEqualTo(Option.HOLD);
        assertThat(s.win(mount, 240_000, 0, 0))
                .as("a better place is worth more")
                .isGreaterThan(s.win(ModelState.START, 240_000, 0, 0));
        assertThat(s.win(TOP, 240_000, 0, 0)).isGreaterThan(s.win(ModelState.START, 240_000, 0, 0));
        assertThat(s.win(ModelState.START, 240_000, 2, 0)).isGreaterThan(s.win(ModelState.START, 240_000, 0, 1));
    }

    @Test
    void whatTheUserDecidesIsDone() {
        Meeting plain = Small.demo("brisa-tolendt", "late-points");
        Exit pull = plain.model().exits(ModelState.START, true).get(0);
        Constraints wishes = new Constraints(
                Set.of("guard-pull"),
                Map.of("STD=", Option.HOLD),
                List.of(new Correction(pull.key(), 3.0, 0.25, "seen in training")));
        Meeting m = plain.under(SolverSettings.USUAL, wishes);
        assertThat(m.model().exits(ModelState.START, true).get(0))
                .extracting(Exit::rate, Exit::chance, Exit::source)
                .containsExactly(3.0, 0.25, Exit.Source.CORRECTED);
        MeetingSolution solved = m.solve();
        assertThat(solved.planned().option(ModelState.START, 100_000, 0, 0)).isEqualTo(Option.HOLD);
        Model planned = solved.planned().programme().model();
        assertThat(planned.exits(ModelState.START, true))
                .noneMatch(e -> e.technique().equals("guard-pull"));
        double before = m.model().exits(ModelState.START, true).stream()
                .mapToDouble(Exit::rate)
                .sum();
        double after = planned.exits(ModelState.START, true).stream()
                .mapToDouble(Exit::rate)
                .sum();
        assertThat(after).as("the time goes to the others").isCloseTo(before, within(1e-9));
    }
}
