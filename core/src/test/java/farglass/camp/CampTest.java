package farglass.camp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class CampTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate EVENT = LocalDate.of(2031, 5, 3);
    private static final LocalDate FROM = LocalDate.of(2031, 4, 1);
    private static LibraryIndex index;
    private static Meeting meeting;
    private static List<Skill> skills;
    private static MeetingSolution solved;

    @BeforeAll
    static void solve() {
        index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        meeting = Meeting.of(
                index,
                new Meeting.Question(
                        "ansa-kellivar",
                        "brisa-tolendt",
                        Rulesets.builtIn().orUsual("submission-only", null),
                        Filter.ALL,
                        EVENT,
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        solved = meeting.solve();
        skills = Skill.of(Bracket.of(List.of(new Bracket.Opponent("brisa-tolendt", 1, solved, null))), 12);
    }

    private static CampCalendar calendar(Camp camp) {
        int rounds = CampCalendar.dates(camp, FROM, EVENT).size() * camp.roundsADay();
        List<Allocation.Want> wants = skills.stream()
                .map(s -> new Allocation.Want(s.key(), s.worth(), camp.setting(s)))
                .toList();
        return CampCalendar.of(camp, Allocation.of(wants, rounds, camp.roundMinutes()), FROM, EVENT);
    }

    @Test
    void everyRoundFindsADayAndTheDaysAreTrainingDays() {
        CampCalendar c = calendar(Camp.USUAL);
        assertThat(c.unplaced()).isZero();
        assertThat(c.days()).allMatch(d -> Camp.USUAL.days().contains(d.date().getDayOfWeek()));
        assertThat(c.days()).allMatch(d -> d.rounds().size() <= Camp.USUAL.roundsADay());
        assertThat(c.days().get(0).date()).isEqualTo(LocalDate.of(2031, 4, 2));
        assertThat(c.days().get(c.days().size() - 1).date()).isBefore(EVENT.minusDays(1));
        int all = c.days().stream().mapToInt(d -> d.rounds().size()).sum();
        assertThat(all).isEqualTo(c.days().size() * Camp.USUAL.roundsADay());
    }

    @Test
    void aCampThatNamesNoFirstDayBeginsFourWeeksBefore() {
        Preparation far = Preparation.of(skills, Camp.USUAL, EVENT.minusYears(3), EVENT);
        assertThat(far.calendar().days().get(0).date()).isBetween(EVENT.minusDays(28), EVENT.minusDays(26));
        Preparation near = Preparation.of(skills, Camp.USUAL, EVENT.minusDays(6), EVENT);
        assertThat(near.calendar().days()).allMatch(d -> !d.date().isBefore(EVENT.minusDays(6)));
        Preparation past = Preparation.of(skills, Camp.USUAL, EVENT.plusDays(1), EVENT);
        assertThat(past.calendar().days()).isEmpty();
        assertThat(past.minutes()).isZero();
        Preparation named = Preparation.of(skills, Camp.USUAL.from(FROM), EVENT.plusDays(1), EVENT);
        assertThat(named.calendar().days().get(0).date()).isEqualTo(LocalDate.of(2031, 4, 2));
    }

    @Test
    void theLastWeekIsLight() {
        CampCalendar c = calendar(Camp.USUAL);
        for (CampCalendar.Day d : c.days()) {
            long hard = d.rounds().stream()
                    .filter(r -> r.intensity() == CampCalendar.Intensity.HARD)
                    .count();
            if (!d.date().isBefore(EVENT.minusDays(3))) {
                assertThat(hard).as(d.date().toString()).isZero();
            } else if (!d.date().isBefore(EVENT.minusDays(7))) {
                assertThat(hard).as(d.date().toString()).isLessThanOrEqualTo(1);
            }
            assertThat(d.hard()).isEqualTo(hard > 0);
        }
        assertThat(c.rounds(CampCalendar.Intensity.HARD)).isGreaterThan(10);
        assertThat(c.rounds(CampCalendar.Intensity.LIGHT)).isGreaterThan(10);
    }

    @Test
    void oneSkillDoesNotFillADayWhileThereAreOthers() {
        List<CampCalendar.Round> rounds = new ArrayList<>();
        List<Integer> thirds = new ArrayList<>();
        for (CampCalendar.Day d : calendar(Camp.USUAL).days()) {
            Map<String, Integer> today = new HashMap<>();
            for (CampCalendar.Round r : d.rounds()) {
                if (today.merge(r.skill(), 1, Integer::sum) > 2) {
                    thirds.add(rounds.size());
                }
                rounds.add(r);
            }
        }
        assertThat(rounds).hasSizeGreaterThan(40);
        for (int third : thirds) {
            assertThat(rounds.subList(third, rounds.size()))
                    .as("only what is left is trained a third time on a day")
                    .extracting(CampCalendar.Round::skill)
                    .containsOnly(rounds.get(third).skill());
        }
    }

    @Test
    void whoCanImitateItIsAskedFirst() {
        String first = skills.get(0).technique();
        Camp camp = Camp.USUAL.partners(List.of(new Partner("Ilse", Set.of(first)), new Partner("Bo", Set.of())));
        List<CampCalendar.Round> rounds = new ArrayList<>();
        calendar(camp).days().forEach(d -> rounds.addAll(d.rounds()));
        assertThat(rounds)
                .filteredOn(r -> r.skill().substring(1).equals(first))
                .isNotEmpty()
                .allMatch(r -> r.partner().equals("Ilse"));
        assertThat(rounds).anyMatch(r -> r.partner().equals("Bo"));
    }

    @Test
    void aCampThatCannotBeIsRefused() {
        assertThatThrownBy(() -> Camp.USUAL.minutes(4, 5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Camp.USUAL.discount(1.1)).hasMessageContaining("discount");
        assertThatThrownBy(() -> new Logged(FROM, "+x", 2, 3, "")).hasMessageContaining("3 of 2");
        assertThatThrownBy(() -> new Partner(" ", Set.of())).isInstanceOf(IllegalArgumentException.class);
        Camp none = Camp.USUAL.days(Set.of());
        assertThat(calendar(none).days()).isEmpty();
        assertThat(CampCalendar.dates(Camp.USUAL, EVENT, EVENT)).isEmpty();
        Camp daily = Camp.USUAL.days(Set.of(DayOfWeek.values()));
        assertThat(CampCalendar.dates(daily, EVENT.minusDays(4), EVENT)).hasSize(3);
    }

    private static CardWriter writer() {
        return new CardWriter(
                Locale.ENGLISH,
                new MeetingWriter(Locale.ENGLISH, LEXICON, "Ansa", "Brisa"),
                Evidence.of(index, "brisa-tolendt", Filter.ALL));
    }

    @Test
    void everyKindOfActionHasAWholeCard() {
        CardWriter w = writer();
        for (String family : List.of(
                "takedown",
                "guard-pull",
                "guard-entry",
                "sweep",
                "reversal",
                "pass",
                "pin-advance",
                "back-take",
                "submission",
                "escape",
                "recovery",
                "stand-up")) {
            String technique = LEXICON.techniques().stream()
                    .filter(t -> t.family().equals(family))
                    .findFirst()
                    .orElseThrow()
                    .code();
            for (boolean ours : new boolean[] {true, false}) {
                Card c = w.card(new Skill(technique, ours, 0.01, List.of(ModelState.of("CLG", 1))));
                assertThat(c.steps())
                        .as(c.title())
                        .hasSizeGreaterThanOrEqualTo(2)
                        .allMatch(s -> !s.why().isBlank());
                for (String text : List.of(
                        c.goal(), c.partnerGoal(), c.brief(), c.check(), c.wrong(), c.danger(), c.stop(), c.log())) {
                    assertThat(text).as(c.title()).isNotBlank().doesNotContain("{");
                }
            }
        }
    }

    @Test
    void thePartnersBriefComesFromFilm() {
        CardWriter w = writer();
        Card stop = w.card(new Skill("triangle", false, 0.01, List.of(ModelState.of("CLG", 1))));
        assertThat(stop.brief()).matches("Try the triangle as Brisa does: \\d+ on film, \\d+ of them worked.*");
        assertThat(stop.danger()).contains("neck");
        assertThat(stop.start()).startsWith("Brisa's closed guard.");
        Card pass = w.card(new Skill("knee-cut", true, 0.01, List.of(ModelState.of("LAS", 1))));
        assertThat(pass.brief()).matches("Brisa answers the knee cut with .* in \\d+ of \\d+.*");
        assertThat(pass.grips()).contains("Brisa").matches(".*\\(\\d+\\).*");
        assertThat(w.card(new Skill("inside-heel-hook", false, 0, List.of())).danger())
                .contains("only under a coach");
        assertThat(w.card(new Skill("calf-slicer", true, 0, List.of())).brief()).contains("0 tries");
    }

    @Test
    void everySubmissionNamesWhatIsInDanger() {
        CardWriter w = writer();
        assertThat(LEXICON.techniques())
                .filteredOn(t -> t.family().equals("submission"))
                .extracting(
                        t -> w.card(new Skill(t.code(), false, 0, List.of())).danger())
                .allMatch(d -> d.matches("(neck|elbow|shoulder|wrist|ankle|knee|calf).*"));
        assertThat(CardWriter.care(Locale.ENGLISH)).contains("Tap early", "licensed people", "rulebook");
    }

    @Test
    void trainingMovesReadinessByItsDiscount() {
        Skill s = skills.stream().filter(Skill::ours).findFirst().orElseThrow();
        Readiness before = Readiness.of(s, meeting, Camp.USUAL);
        Camp trained = Camp.USUAL.log(new Logged(FROM, s.key(), 40, 38, "good"));
        Readiness after = Readiness.of(s, meeting, trained);
        assertThat(after.mean()).isGreaterThan(before.mean());
        assertThat(after.hi() - after.lo()).isLessThan(before.hi() - before.lo());
        assertThat(after.trainedTries()).isEqualTo(40);
        double a = 0.5 + before.worked() + 0.3 * 38;
        double n = 1 + before.tries() + 0.3 * 40;
        assertThat(after.mean()).isCloseTo(a / n, within(1e-12));
        assertThat(Readiness.of(s, meeting, trained.discount(0)).mean()).isEqualTo(before.mean());
        assertThat(trained.unlog(trained.log().get(0)).log()).isEmpty();
    }

    @Test
    void whatTrainingShowsMovesTheWinChanceAndTheUsersFiguresStay() {
        Skill ours = skills.stream().filter(Skill::ours).findFirst().orElseThrow();
        Skill theirs = skills.stream().filter(s -> !s.ours()).findFirst().orElseThrow();
        Camp camp = Camp.USUAL
                .discount(1)
                .log(new Logged(FROM, ours.key(), 30, 30, ""))
                .log(new Logged(FROM, theirs.key(), 30, 30, ""));
        Constraints w = Readiness.trained(skills, meeting, camp, "training");
        for (var c : w.corrections()) {
            Exit e = meeting.model().exits().stream()
                    .filter(x -> x.key().equals(c.exit()))
                    .findFirst()
                    .orElseThrow();
            assertThat(c.chance()).isCloseTo((e.chance() * 8 + (e.ours() ? 30 : 0)) / 38, within(1e-12));
        }
        double before = meeting.glance().planned().win();
        double after = meeting.under(SolverSettings.USUAL.coarse(), w)
                .glance()
                .planned()
                .win();
        assertThat(after).isGreaterThan(before + 0.01);
        Meeting set = meeting.under(SolverSettings.USUAL.coarse(), w);
        assertThat(Readiness.trained(skills, set, camp, "training").corrections())
                .isEqualTo(w.corrections());
        assertThat(Readiness.trained(skills, meeting, Camp.USUAL, "training")).isEqualTo(Constraints.NONE);
    }

    @Test
    void aCardIsWrittenForEverySkillOfADemoCamp() {
        CardWriter w = writer();
        for (Skill s : skills) {
            Card c = w.card(s);
            assertThat(c.title()).isEqualTo(w.title(s));
            assertThat(c.skill()).isSameAs(s);
            assertThat(c.start()).contains("Ansa and Brisa begin there at once");
            assertThat(s.ours() ? c.brief() : c.title())
                    .as(s.key())
                    .matches(s.ours() ? "(Brisa answers|Only \\d+ tr).*" : "stopping the .*");
            assertThat(c.log()).contains(s.ours() ? "worked" : "was stopped");
        }
    }

    @Test
    void everySettingLeavesTheOthersAsTheyWere() {
        Logged l = new Logged(FROM, "+x", 3, 1, "");
        Camp all = Camp.USUAL
                .from(FROM)
                .days(Set.of(DayOfWeek.SUNDAY))
                .minutes(50, 10)
                .partners(List.of(new Partner("Ilse", Set.of())))
                .setting("+x", SkillSetting.USUAL.gain(0.5))
                .care("slowly")
                .discount(0.7)
                .log(l);
        assertThat(all.from()).isEqualTo(FROM);
        assertThat(all.days()).containsExactly(DayOfWeek.SUNDAY);
        assertThat(all.roundsADay()).as("five of ten minutes, a minute between").isEqualTo(4);
        assertThat(all.partners()).hasSize(1);
        assertThat(all.skills()).containsOnlyKeys("+x");
        assertThat(all.care()).isEqualTo("slowly");
        assertThat(all.discount()).isEqualTo(0.7);
        assertThat(all.log()).containsExactly(l);
        assertThat(all.setting("+x", SkillSetting.USUAL).skills())
                .as("the usual is not kept")
                .isEmpty();
        Logged earlier = new Logged(FROM.minusDays(1), "+x", 1, 1, "");
        assertThat(all.log(earlier).log()).as("oldest first").containsExactly(earlier, l);
    }

    @Test
    void whatThePlanDecidesAndTheirWeaponsAreTrained() {
        Proposal p = Proposal.of(solved);
        DecisionWriter words = new DecisionWriter(Locale.ENGLISH, LEXICON, "Ansa", "Brisa");
        List<Skill> all = Skill.of(p, words, Preparation.SKILLS);
        assertThat(all).hasSizeLessThanOrEqualTo(Preparation.SKILLS).doesNotHaveDuplicates();
        assertThat(all).extracting(Skill::worth).isSortedAccordingTo(Comparator.reverseOrder());
        List<Decisions.Valued> pressed = p.decisions().valued().stream()
                .filter(v -> v.decision().option().technique() != null)
                .toList();
        assertThat(pressed)
                .isNotEmpty()
                .allSatisfy(v -> assertThat(all)
                        .anyMatch(
                                s -> s.key().equals("+" + v.decision().option().technique())
                                        && s.worth() >= v.worth()
                                        && !s.serves().isEmpty()));
        assertThat(p.weapons())
                .isNotEmpty()
                .allSatisfy(w -> assertThat(all)
                        .anyMatch(s -> s.key().equals("-" + w.technique())
                                && s.serves().equals(words.threat(w))));
        // even where there is room for little else
        List<Skill> few = Skill.of(p, words, 3);
        assertThat(few).hasSize(3).noneMatch(s -> s.serves().isEmpty());
    }
}
