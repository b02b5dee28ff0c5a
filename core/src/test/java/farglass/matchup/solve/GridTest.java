package farglass.matchup.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.advise.Meeting;
import farglass.matchup.model.Ending;
import farglass.matchup.model.Model;
import farglass.matchup.model.StateSpace;
import farglass.matchup.simulate.FinalScore;
import farglass.matchup.simulate.Outcomes;
import farglass.matchup.simulate.Small;
import farglass.rules.PenaltyEffect;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The cells of the programme, its sums, and what is carried from one programme to another. */
class GridTest {
    @ParameterizedTest
    @CsvSource({
        "points-gi, 2, 0, 0, 1",
        "points-gi, -1, 3, 0, 0",
        "points-gi, 0, 1, 0, 1",
        "points-gi, 0, -1, 0, 0",
        "points-gi, 0, 0, 0, 0.5",
        "points-gi, 0, 0, 1, 0",
        "late-points, 0, 0, 2, 0",
        "submission-only, 0, 0, 1, 0.5",
        "mixed-rounds, 0, 0, 0, 0.5"
    })
    void theTieBreaksDecideWhenTimeIsUp(String rules, int points, int advantages, int calls, double win) {
        assertThat(new Grid(Small.rules(rules), 8).atTheEnd(points, advantages, calls))
                .isEqualTo(win);
    }

    /** Every cell of a row belongs to the one who leads there. */
    @ParameterizedTest
    @ValueSource(strings = {"points-gi", "late-points", "submission-only"})
    void aRowFallsIntoBehindLevelAndAhead(String rules) {
        Grid g = new BackwardInduction(Small.demo("brisa-tolendt", rules).model(), SolverSettings.USUAL.coarse()).grid;
        for (int a = -g.advantages; a <= g.advantages; a++) {
            assertThat(g.leads(-1, a)).isZero();
            assertThat(g.leads(2, a)).isEqualTo(g.width);
            List<Region.Lead> leads = List.of(Region.Lead.BEHIND, Region.Lead.LEVEL, Region.Lead.AHEAD);
            for (Region.Lead lead : leads) {
                int at = leads.indexOf(lead) - 1;
                for (int i = g.leads(at, a); i < g.leads(at + 1, a); i++) {
                    assertThat(Region.Lead.of(i - g.points, a)).isEqualTo(lead);
                }
            }
        }
    }

    @Test
    void callsFollowTheLadderOfTheRules() {
        Grid g = new Grid(Small.rules("points-gi"), 8);
        assertThat(List.of(g.nextCall(0), g.nextCall(1), g.nextCall(2), g.nextCall(3)))
                .extracting(PenaltyEffect::code)
                .containsExactly("warning", "advantage", "points:2", "loss");
        assertThat(g.afterCall(0)).isEqualTo(1);
        assertThat(g.afterCall(3)).isEqualTo(3);
        assertThat(new Grid(Small.rules("submission-only"), 8).points).isZero();
    }

    @Test
    void cellsSaturateAndPaddingRepeatsTheEnds() {
        Grid g = new Grid(Small.rules("points-gi"), 8);
        assertThat(g.cell(1, 2, 0, 25)).isEqualTo(g.cell(1, 2, 0, 20));
        assertThat(g.cell(1, 2, -9, 0)).isEqualTo(g.cell(1, 2, -3, 0));
        double[] row = new double[g.row];
        for (int i = 0; i < g.width; i++) {
            row[g.pad + i] = i;
        }
        g.pad(row, 0);
        assertThat(row[0]).isZero();
        assertThat(row[g.row - 1]).isEqualTo(g.width - 1.0);
    }

    /** The sum in fours against the plain one. */
    @ParameterizedTest
    @ValueSource(strings = {"points-gi", "late-points", "submission-only"})
    void termsEqualThePlainSum(String rules) {
        Model m = Small.demo("brisa-tolendt", rules).model();
        BackwardInduction p = new BackwardInduction(m, SolverSettings.USUAL);
        Grid g = p.grid;
        Random random = new Random(6);
        double[] values =
                random.doubles((long) m.states().size() * g.perPlace()).toArray();
        for (int row = 0; row < values.length; row += g.row) {
            g.pad(values, row);
        }
        for (int round = 0; round < 30; round++) {
            int s = random.nextInt(m.states().size());
            int call = random.nextInt(g.calls);
            int adv = random.nextInt(2 * g.advantages + 1) - g.advantages;
            double[] stay = Arrays.copyOfRange(
                    values, g.cell(s, call, adv, -g.points), g.cell(s, call, adv, -g.points) + g.width);
            double[] sum = new double[g.width];
            double[] rates = m.own(s).stream().mapToDouble(Model.Way::rate).toArray();
            int from = random.nextInt(g.width);
            int until = from + 1 + random.nextInt(g.width - from);
            Terms.ofRates(g, m.own(s), rates, 1).into(sum, values, stay, call, adv, from, until);
            for (int i = 0; i < g.width; i++) {
                if (i < from || i >= until) {
                    assertThat(sum[i]).as("other parts of the row stay").isZero();
                    continue;
                }
                double plain = 0;
                for (Model.Way w : m.own(s)) {
                    for (Model.Branch b : w.branches()) {
                        double after = b.to() == Model.WON
                                ? 1
                                : values[g.cell(b.to(), call, adv + b.advantages()[1], i - g.points + b.points()[1])];
                        plain += w.rate() * b.chance() * (after - stay[i]);
                    }
                }
                assertThat(sum[i]).isCloseTo(plain, within(1e-9));
            }
        }
    }

    @Test
    void regionsAreReadBackFromTheirIndex() {
        for (Region.Lead lead : Region.Lead.values()) {
            for (Region.Part part : Region.Part.values()) {
                int points = lead == Region.Lead.AHEAD ? 2 : lead == Region.Lead.BEHIND ? -3 : 0;
                assertThat(Region.of(Region.index(points, 0, part))).isEqualTo(new Region(lead, part));
            }
        }
        assertThat(Region.Lead.of(0, 1)).isEqualTo(Region.Lead.AHEAD);
        assertThat(Region.Lead.of(-2, 3)).as("points come before advantages").isEqualTo(Region.Lead.BEHIND);
        BackwardInduction p = new BackwardInduction(
                Small.demo("brisa-tolendt", "submission-only").model(), SolverSettings.USUAL);
        assertThat(p.partOf(0)).isEqualTo(Region.Part.FIRST);
        assertThat(p.partOf(p.steps() - 1)).isEqualTo(Region.Part.LAST);
    }

    @Test
    void aChoiceIsTakenBackInItsRegionOnly() {
        BackwardInduction p = new BackwardInduction(
                Small.demo("odile-marrowen", "late-points").model(),
                SolverSettings.USUAL.emphasis(1).coarse());
        Solution best = p.best(BackwardInduction.Answer.NEVER);
        Choice c = ForwardPass.of(best).choices().get(0);
        Policy cleared = best.policy().copy();
        cleared.clear(p, c);
        int s = p.model().indexOf(c.place());
        int x = p.own[s].indexOf(c.option());
        int here = p.grid.cell(s, 0, c.advantages(), c.points());
        assertThat(best.policy().get(p.stepAt(c.ms()), here)).isEqualTo(x);
        assertThat(cleared.get(p.stepAt(c.ms()), here)).isZero();
        int changed = 0;
        for (int step = 0; step < p.steps(); step++) {
            for (int cell = 0; cell < p.model().states().size() * p.grid.perPlace(); cell++) {
                if (cleared.get(step, cell) != best.policy().get(step, cell)) {
                    changed++;
                    assertThat(p.partOf(step)).isEqualTo(c.region().part());
                    assertThat(cell / p.grid.perPlace()).isEqualTo(s);
                }
            }
        }
        assertThat(changed).isPositive();
        assertThat(p.win(cleared, BackwardInduction.Answer.NEVER)).isLessThan(best.win());
    }

    @Test
    void aPolicyIsCarriedOverByName() {
        Meeting m = Small.demo("odile-marrowen", "submission-only");
        SolverSettings s = SolverSettings.USUAL.emphasis(1).coarse();
        BackwardInduction known = new BackwardInduction(m.model(), s);
        Solution best = known.best(BackwardInduction.Answer.NEVER);
        assertThat(known.win(best.policy().over(known, known), BackwardInduction.Answer.NEVER))
                .isCloseTo(best.win(), within(1e-9));
        BackwardInduction other = new BackwardInduction(m.model().without(java.util.Set.of("rear-choke")), s);
        double carried = other.win(best.policy().over(known, other), BackwardInduction.Answer.NEVER);
        assertThat(carried)
                .isLessThanOrEqualTo(other.best(BackwardInduction.Answer.NEVER).win() + 1e-9);
    }

    @Test
    void outcomesAddUp() {
        Outcomes one = new Outcomes(
                4,
                Map.of(Ending.WON_BY_POINTS, 3L, Ending.DRAW, 1L),
                Map.of(new FinalScore(2, 0), 4L),
                Map.of("STD=", 1.0),
                Map.of("STD=", 2.0));
        Outcomes two = new Outcomes(
                6,
                Map.of(Ending.LOST_BY_SUBMISSION, 6L),
                Map.of(new FinalScore(0, 0), 6L),
                Map.of("STD=", 0.5),
                Map.of("STD=", 1.0));
        Outcomes sum = Outcomes.sum(List.of(one, two));
        assertThat(sum.n()).isEqualTo(10);
        assertThat(sum.win()).isCloseTo(0.35, within(1e-12));
        assertThat(new TreeMap<>(sum.scores()))
                .containsExactly(Map.entry(new FinalScore(0, 0), 6L), Map.entry(new FinalScore(2, 0), 4L));
        assertThat(sum.visited().get("STD=")).isCloseTo(0.7, within(1e-12));
        assertThat(sum.minutes().get("STD=")).isCloseTo(1.4, within(1e-12));
        // by hand: values 1, 1, 1, 1/2 and six 0 around 0.35
        double square = 3 * 0.65 * 0.65 + 0.15 * 0.15 + 6 * 0.35 * 0.35;
        assertThat(sum.standardError()).isCloseTo(Math.sqrt(square / 9 / 10), within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({"HFG, QTR, HFG", "SPD, LAS, LAS", "MNT, HMT, MNT", "KCT, LDR, LDR", "STD, STD, STD"})
    void likePositionsAreOneGroup(String one, String other, String group) {
        StateSpace g = new StateSpace(Small.LEXICON);
        assertThat(g.of(one)).isEqualTo(group);
        assertThat(g.of(other)).isEqualTo(group);
    }
}
