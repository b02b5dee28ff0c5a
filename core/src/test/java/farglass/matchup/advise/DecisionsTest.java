package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.Region;
import farglass.matchup.solve.SolverSettings;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class DecisionsTest {
    private static final DecisionWriter WRITER = new DecisionWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");
    private static Meeting meeting;
    private static MeetingSolution solved;
    private static Decisions decisions;

    @BeforeAll
    static void solve() {
        meeting = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE);
        solved = meeting.solve();
        decisions = Decisions.of(solved);
    }

    private static BackwardInduction programme() {
        return new BackwardInduction(
                meeting.model(), meeting.question().settings().coarse());
    }

    private static List<Decision> all() {
        return decisions.valued().stream().map(Decisions.Valued::decision).toList();
    }

    @Test
    void aFewDecisionsCarryMostOfThePlan() {
        assertThat(decisions.valued()).hasSizeBetween(2, Decisions.MOST);
        assertThat(decisions.carried()).isGreaterThan(0.7 * decisions.whole());
        assertThat(decisions.valued())
                .isSortedAccordingTo((a, b) -> Double.compare(b.worth(), a.worth()))
                .allMatch(v -> v.worth() >= Decisions.least(decisions.whole()) && v.answered() > 0)
                .allMatch(v -> v.range() == null && !v.sure());
        assertThat(decisions.natural()).isCloseTo(solved.natural().win(), within(1e-3));
    }

    @Test
    void theyAreWorthWhatTheMatchSolvedWithAndWithoutThemSays() {
        BackwardInduction p = programme();
        double with = p.win(Decisions.policy(p, all()), Answer.NEVER);
        assertThat(with - p.win(null, Answer.NEVER)).isCloseTo(decisions.carried(), within(1e-9));
        for (Decisions.Valued v : decisions.valued()) {
            List<Decision> others =
                    all().stream().filter(d -> !d.equals(v.decision())).toList();
            double without = p.win(Decisions.policy(p, others), Answer.NEVER);
            assertThat(with - without).isCloseTo(v.worth(), within(1e-9));
        }
    }

    @Test
    void drawsTellWhatIsSureAndTakeBackWhatIsNot() {
        Decisions drawn = Decisions.drawn(solved, 12, 1, x -> {}, () -> false);
        assertThat(drawn).isNotNull();
        assertThat(drawn.draws()).isEqualTo(12);
        assertThat(drawn.valued()).isNotEmpty().allSatisfy(v -> {
            assertThat(v.holds()).isBetween(Decisions.LIKELY, 1.0);
            assertThat(v.range()).isNotNull();
            assertThat(v.range().lo()).isLessThanOrEqualTo(v.range().hi());
            assertThat(v.sure()).isEqualTo(v.holds() >= Decisions.HOLDS);
            assertThat(WRITER.worth(v, 12))
                    .contains(v.sure() ? "; helps in" : "likely, not sure")
                    .endsWith(Math.round(12 * v.holds()) + " of 12 draws");
        });
        assertThat(Decisions.drawn(solved, 12, 1, x -> {}, () -> true)).isNull();
    }

    @Test
    void whatTheUserFixedIsADecision() {
        Option fixed = Option.press("underhook-sweep");
        ModelState place = ModelState.of("HFG", -1);
        Meeting wished = meeting.under(
                meeting.question().settings(), new Constraints(Set.of(), Map.of(place.key(), fixed), List.of()));
        assertThat(Decisions.of(wished.solve()).valued())
                .extracting(Decisions.Valued::decision)
                .contains(Decision.always(place, fixed));
    }

    @Test
    void ofTwoAboutOneMomentTheNarrowerCounts() {
        BackwardInduction p = programme();
        ModelState place = ModelState.of("SDC", 1);
        Option press = Option.press("to-mount");
        Decision late = new Decision(List.of(place), Option.HOLD, Set.of(Region.Lead.AHEAD), Set.of(Region.Part.LAST));
        for (List<Decision> order :
                List.of(List.of(Decision.always(place, press), late), List.of(late, Decision.always(place, press)))) {
            Policy policy = Decisions.policy(p, order);
            Model m = p.model();
            int s = m.indexOf(place);
            int last = p.steps() - 1;
            assertThat(p.options(s).options().get(policy.get(last, p.grid().cell(s, 0, 0, 4))))
                    .isEqualTo(Option.HOLD);
            assertThat(p.options(s).options().get(policy.get(last, p.grid().cell(s, 1, 0, 4))))
                    .as("kept only until the first call")
                    .isEqualTo(press);
            assertThat(p.options(s).options().get(policy.get(last, p.grid().cell(s, 0, 0, -4))))
                    .isEqualTo(press);
        }
    }

    @Test
    void whatNeverWorkedIsNoDecision() {
        for (Decision d : all()) {
            if (d.option().kind() == Option.Kind.PRESS) {
                for (ModelState place : d.places()) {
                    double[] sum = meeting.faced(place, true, d.option().technique());
                    meeting.model().exits(place, true).stream()
                            .filter(e -> d.option().technique().equals(e.technique()))
                            .forEach(e -> {
                                sum[0] += e.basis().worked();
                                sum[1] += e.basis().decided();
                            });
                    assertThat(sum[0] > 0 || sum[1] < 4).as(WRITER.sentence(d)).isTrue();
                }
            }
        }
        // against this opponent the best policy cuts the knee in closed guard, where 6 of 6 tries failed
        assertThat(meeting.faced(ModelState.of("CLG", 1), true, "knee-cut")[0]).isZero();
    }

    @Test
    void decisionsAreSaidAsACornerWould() {
        assertThat(WRITER.sentence(Decision.always(ModelState.of("HFG", -1), Option.press("half-guard-sweep"))))
                .isEqualTo("From half guard: half guard sweep.");
        assertThat(WRITER.sentence(Decision.always(ModelState.of("CLG", 1), Option.press("knee-cut"))))
                .isEqualTo("In Brisa's closed guard: knee cut.");
        Decision hold = new Decision(
                List.of(ModelState.of("SDC", 1), ModelState.of("HFG", 1), ModelState.START),
                Option.HOLD,
                Set.of(Region.Lead.AHEAD),
                Set.of(Region.Part.LAST));
        assertThat(WRITER.sentence(hold))
                .isEqualTo(
                        "When ahead, in the last two minutes, in side control or in Brisa's half guard or standing: keep it and slow it down until the"
                                + " first call.");
        assertThat(WRITER.calls(List.of(hold, hold))).containsExactly("hold side control");
        assertThat(WRITER.evidence(hold, meeting)).contains("Brisa");
        assertThat(WRITER.idea(decisions)).endsWith(".").doesNotContain(": ");
        assertThat(WRITER.carried(new Decisions(List.of(), 0.4, 0, 0.01, 0))).contains("our own game is the plan");
    }

    /** Every set of scores and of parts of a match has words, in no sentence a number is missing. */
    @Test
    void everyShapeHasWords() {
        List<Set<Region.Lead>> leads = Stream.of(
                        Set.of(Region.Lead.BEHIND),
                        Set.of(Region.Lead.LEVEL),
                        Set.of(Region.Lead.AHEAD),
                        Set.of(Region.Lead.BEHIND, Region.Lead.LEVEL),
                        Set.of(Region.Lead.LEVEL, Region.Lead.AHEAD),
                        Set.of(Region.Lead.BEHIND, Region.Lead.AHEAD))
                .toList();
        List<Set<Region.Part>> parts = List.of(
                Set.of(Region.Part.FIRST),
                Set.of(Region.Part.SECOND),
                Set.of(Region.Part.LAST),
                Set.of(Region.Part.FIRST, Region.Part.SECOND),
                Set.of(Region.Part.SECOND, Region.Part.LAST),
                Set.of(Region.Part.FIRST, Region.Part.LAST));
        for (Set<Region.Lead> l : leads) {
            for (Set<Region.Part> p : parts) {
                Decision d = new Decision(List.of(ModelState.of("MNT", -1)), Option.press("hip-escape"), l, p);
                assertThat(WRITER.sentence(d))
                        .startsWith("Under Brisa's mount: ")
                        .doesNotContain("{");
                assertThat(d.regions()).hasSize(l.size() * p.size());
            }
        }
    }

    @Test
    void whatIsNotAcceptedIsReachedMoreThanByOthers() {
        List<Refusal> refuse = Refusal.of(solved);
        assertThat(refuse)
                .isNotEmpty()
                .allMatch(r -> r.share() > 1.3 * r.usual() && r.worth() < 0)
                .allMatch(r -> meeting.minutes(r.place(), false) >= 1);
        assertThat(WRITER.refusal(refuse.get(0))).contains("Brisa is there", "others");
        double all = meeting.model().states().stream()
                .filter(p -> !p.paid())
                .mapToDouble(meeting::usualShare)
                .sum();
        assertThat(all).isBetween(0.5, 1.0001);
    }

    @Test
    void weaponsAreWhatTheyHaveShownAndCostMost() {
        List<Weapon> weapons = Weapon.of(solved);
        assertThat(weapons)
                .hasSizeBetween(1, 5)
                .allMatch(w -> w.tags().size() >= 2 && w.worked() <= w.decided())
                .allMatch(w -> w.costs() > 0 && w.tenth() > 0);
        assertThat(weapons).extracting(Weapon::technique).contains("triangle");
        assertThat(WRITER.weapon(weapons.get(0))).contains("worked").doesNotContain("{");
        assertThat(WRITER.threat(weapons.get(0))).contains(" from ");
    }
}
