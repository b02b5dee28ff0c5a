package farglass.matchup.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.SolverSettings;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The records that the model writes: attempts come as often as their rates say, and every record is whole. */
class FullSimulatorTest {
    private static final MatchAthlete A = new MatchAthlete("a", "A", null, null, Map.of());
    private static final MatchAthlete B = new MatchAthlete("b", "B", null, null, Map.of());
    private static final int MATCHES = 3000;
    private static BackwardInduction programme;
    private static List<MatchRecord> records;

    @BeforeAll
    static void play() {
        programme = new BackwardInduction(
                Small.demo("brisa-tolendt", "submission-only").model(), SolverSettings.USUAL);
        FullSimulator s = new FullSimulator(programme, null, A, B);
        records = new ArrayList<>();
        for (int i = 0; i < MATCHES; i++) {
            records.add(s.record(i));
        }
    }

    @Test
    void attemptsComeAsOftenAsTheirRates() {
        ModelState standing = ModelState.START;
        StateSpace groups = programme.model().groups();
        double minutes = 0;
        int ours = 0;
        int theirs = 0;
        for (MatchRecord r : records) {
            for (Span s : PositionLine.of(r, Small.LEXICON).spans()) {
                if (!standing.equals(groups.place(s, Corner.A))) {
                    continue;
                }
                minutes += s.lengthMs() / 60_000.0;
                for (Tag t : r.tags()) {
                    boolean here =
                            t instanceof Tag.Action && t.t().compareTo(s.from()) > 0 && t.t().compareTo(s.to()) <= 0;
                    ours += here && ((Tag.Action) t).by() == Corner.A ? 1 : 0;
                    theirs += here && ((Tag.Action) t).by() == Corner.B ? 1 : 0;
                }
            }
        }
        int at = programme.model().indexOf(standing);
        double own =
                programme.model().own(at).stream().mapToDouble(Model.Way::rate).sum();
        double other = programme.model().theirs(at).stream()
                .mapToDouble(Model.Way::rate)
                .sum();
        assertThat(ours / minutes).isCloseTo(own, within(4 * Math.sqrt(own / minutes)));
        assertThat(theirs / minutes).isCloseTo(other, within(4 * Math.sqrt(other / minutes)));
    }

    @Test
    void everyTagHasANameOfItsOwnAndItsTime() {
        for (MatchRecord r : records.subList(0, 200)) {
            Set<String> names = new HashSet<>();
            for (int i = 0; i < r.tags().size(); i++) {
                assertThat(names.add(r.tagName(i))).as(r.id()).isTrue();
                assertThat(r.tags().get(i).t().ms()).isBetween(0L, r.details().lengthMs());
            }
            assertThat(r.tags().get(r.tags().size() - 1)).isInstanceOf(Tag.End.class);
        }
    }

    @Test
    void whatIsCompletedLeadsWhereItSays() {
        for (MatchRecord r : records.subList(0, 300)) {
            for (int i = 0; i + 1 < r.tags().size(); i++) {
                if (r.tags().get(i) instanceof Tag.Action a && a.outcome() == Outcome.COMPLETED && a.to() != null) {
                    assertThat(r.tags().get(i + 1)).isInstanceOf(Tag.Position.class);
                    assertThat(((Tag.Position) r.tags().get(i + 1)).position()).isEqualTo(a.to());
                }
            }
        }
    }

    @Test
    void aSubmissionEndsTheMatch() {
        int ended = 0;
        for (MatchRecord r : records) {
            for (int i = 0; i < r.tags().size(); i++) {
                boolean finish = r.tags().get(i) instanceof Tag.Action a
                        && a.completed()
                        && Small.LEXICON.familyOf(a.technique()).equals("submission");
                if (finish) {
                    assertThat(i).as(r.id()).isEqualTo(r.tags().size() - 2);
                    ended++;
                }
            }
        }
        assertThat(ended).isGreaterThan(MATCHES / 4);
    }

    @Test
    void theSameSeedGivesTheSameMatchUnderAPolicyToo() {
        Policy policy = programme.best(BackwardInduction.Answer.NEVER).policy();
        FullSimulator s = new FullSimulator(programme, policy, A, B);
        for (int i = 0; i < 20; i++) {
            assertThat(s.record(i)).isEqualTo(new FullSimulator(programme, policy, A, B).record(i));
        }
        assertThat(s.run(700, 3, () -> false)).isEqualTo(s.run(700, 3, () -> false));
        assertThat(s.run(700, 3, () -> true).n()).isZero();
    }
}
