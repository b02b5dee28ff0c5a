package farglass.debrief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Outcome;
import farglass.match.Result;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.matchup.advise.Meeting;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.Approach;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.stats.Grade;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Corner A is our athlete. */
class DebriefTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Ruleset RULES = Rulesets.builtIn().orUsual("points-gi", null);
    private static final MatchAthlete A = new MatchAthlete("ansa-kellivar", "Ansa", null, null, Map.of());
    private static final MatchAthlete B = new MatchAthlete("brisa-tolendt", "Brisa", null, null, Map.of());

    private static MatchTime at(double seconds) {
        return MatchTime.ofMs(Math.round(1000 * seconds));
    }

    private static Tag act(double t, Corner by, String technique, Outcome o) {
        int level = o == Outcome.COMPLETED ? 4 : o == Outcome.NEAR ? 3 : 1;
        return Tag.Action.of(at(t), by, technique).result(o, level, null, at(t));
    }

    private static MatchRecord match(String id, LocalDate day, Result result, Tag... tags) {
        List<Tag> all = new ArrayList<>(List.of(new Tag.Start(at(0), TagInfo.NONE)));
        all.addAll(Arrays.asList(tags));
        all.add(new Tag.End(at(480), TagInfo.NONE));
        var details = new MatchRecord.Details(day, null, null, null, "gi", "points-gi", 480_000, A, B, result);
        return MatchRecord.of(id, details, List.of(), all);
    }

    private static final MatchRecord MATCH = match(
            "final",
            LocalDate.of(2031, 5, 3),
            new Result(Corner.A, Method.POINTS, null, null),
            Tag.Position.of(at(0), "STD", null, null),
            new Tag.Grip(at(5), Corner.A, "collar-cross", null, null, at(20), null, TagInfo.NONE),
            act(12, Corner.B, "guard-pull", Outcome.COMPLETED),
            Tag.Position.of(at(12), "LAS", Corner.A, Corner.B),
            act(30, Corner.A, "knee-cut", Outcome.STUFFED),
            act(50, Corner.A, "knee-cut", Outcome.COMPLETED),
            Tag.Position.of(at(50), "SDC", Corner.A, null),
            act(300, Corner.A, "armbar", Outcome.NEAR));

    private static Plan plan() {
        return Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt")
                .open("Collar grip first")
                .follow("f1", "Pulls to lasso: guard pull")
                .follow("f2", "Knee cut to the right")
                .follow("f3", "Her triangle")
                .follow("f2", "Leg drag")
                .follow("f1", "Double leg")
                .follow("f6", "Sprawl and go behind")
                .follow("f1", "Sulks");
    }

    private static Debrief debrief(Plan p) {
        return Debrief.of(p, MATCH, LibraryIndex.of(List.of(MATCH), LEXICON), RULES, null);
    }

    private static Adherence branch(Debrief d, String id) {
        return d.branches().stream()
                .filter(a -> a.branch().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyForkIsMetOrNotFollowedOrNotWithWhatCameOfIt() {
        Debrief d = debrief(plan());
        assertThat(d.branches()).hasSize(8);
        assertThat(branch(d, "f1").followed()).as("the collar was taken").isTrue();
        assertThat(branch(d, "f2").met()).as("she pulled").isTrue();
        assertThat(branch(d, "f2").outcome()).isEqualTo(Outcome.COMPLETED);
        Adherence cut = branch(d, "f3");
        assertThat(cut.met()).isTrue();
        assertThat(cut.followed()).isTrue();
        assertThat(cut.outcome()).isEqualTo(Outcome.COMPLETED);
        assertThat(cut.tags()).hasSize(2);
        assertThat(cut.depth()).isEqualTo(2);
        assertThat(branch(d, "f4").met()).as("no triangle came").isFalse();
        assertThat(branch(d, "f5").followed()).as("no leg drag was tried").isFalse();
        assertThat(branch(d, "f6").met()).as("she did not shoot").isFalse();
        assertThat(branch(d, "f7").met()).as("so there was nothing to answer").isFalse();
        assertThat(branch(d, "f7").followed()).isNull();
        assertThat(branch(d, "f8").met()).as("no film shows sulking").isNull();
    }

    @Test
    void whatComesTooLateDoesNotBelongToTheBranch() {
        Debrief d = debrief(Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt")
                .open("Collar grip first")
                .follow("f1", "Guard pull")
                .follow("f2", "Armbar"));
        assertThat(branch(d, "f3").met()).isTrue();
        assertThat(branch(d, "f3").followed()).as("288 s after the pull").isFalse();
    }

    @Test
    void whereNobodyTaggedGripsAGripCannotBeJudged() {
        MatchRecord bare = MATCH.withTags(
                MATCH.tags().stream().filter(t -> !(t instanceof Tag.Grip)).toList());
        Debrief d = Debrief.of(plan(), bare, LibraryIndex.of(List.of(bare), LEXICON), RULES, null);
        assertThat(branch(d, "f1").followed()).isNull();
        assertThat(branch(d, "f2").met()).as("what follows still is").isTrue();
    }

    @Test
    void forecastsAreScoredByWhatTheRecordSays() {
        Plan p = plan().approach(Approach.USUAL.freeze(List.of(
                new Approach.Forecast("win", "Ansa wins", 0.4),
                new Approach.Forecast("submission.ours", "Ansa submits", 0.2),
                new Approach.Forecast("submission.theirs", "Brisa submits", 0.3),
                new Approach.Forecast("visit SDC+", "side control", 0.5),
                new Approach.Forecast("visit BCK+", "back", 0.5),
                new Approach.Forecast("visit nowhere", "?", 0.5),
                new Approach.Forecast("rain", "it rains", 0.5))));
        Debrief d = debrief(p);
        assertThat(d.forecasts()).extracting(Scored::outcome).containsExactly(1.0, 0.0, 0.0, 1.0, 0.0);
        assertThat(d.forecasts().get(0).brier()).isCloseTo(0.36, within(1e-12));
        assertThat(d.calibration().n()).isEqualTo(5);
    }

    @Test
    void withoutAnAnnouncedResultTheRulesDecideAndADrawIsHalf() {
        MatchRecord silent = MATCH.withDetails(MATCH.details().result(null));
        List<Approach.Forecast> win = List.of(new Approach.Forecast("win", "Ansa wins", 0.4));
        assertThat(Scored.of(win, silent, Corner.A, RULES, LEXICON).get(0).outcome())
                .isEqualTo(1);
        MatchRecord draw = MATCH.withDetails(MATCH.details().result(new Result(null, Method.DRAW, null, null)));
        assertThat(Scored.of(win, draw, Corner.A, RULES, LEXICON).get(0).outcome())
                .isEqualTo(0.5);
        assertThat(Scored.of(win, draw, Corner.B, RULES, LEXICON).get(0).brier())
                .isCloseTo(0.01, within(1e-12));
    }

    @Test
    void clausesAreHeldAgainstTheMeetingBefore() {
        MatchRecord before = match(
                "before",
                LocalDate.of(2030, 5, 3),
                null,
                new Tag.Grip(at(40), Corner.A, "collar-cross", null, null, at(50), null, TagInfo.NONE));
        Plan p = plan().promise("", "collar grip within 10 s of every restart").promise("", "be brave");
        Debrief d = Debrief.of(p, MATCH, LibraryIndex.of(List.of(before, MATCH), LEXICON), RULES, null);
        assertThat(d.conduct()).hasSize(1);
        assertThat(d.conduct().get(0).kept().wholly()).isTrue();
        assertThat(d.conduct().get(0).before().wholly()).isFalse();
        assertThat(debrief(p).conduct().get(0).before()).isNull();
    }

    @Test
    void aClaimFailsWhenItWouldHardlyHaveComeLikeThis() {
        assertThat(ClaimCheck.judge(9, 10, 0.8)).isEqualTo(ClaimCheck.Verdict.HELD);
        assertThat(ClaimCheck.judge(0, 1, 0.8)).as("one try says little").isEqualTo(ClaimCheck.Verdict.HELD);
        assertThat(ClaimCheck.judge(2, 10, 0.8)).isEqualTo(ClaimCheck.Verdict.FAILED);
        assertThat(ClaimCheck.judge(10, 10, 0.3)).isEqualTo(ClaimCheck.Verdict.FAILED);
        assertThat(ClaimCheck.judge(0, 4, 0.01)).isEqualTo(ClaimCheck.Verdict.HELD);
    }

    @Test
    void claimsAreCountedInThisMatchAlone() {
        PinnedClaim never =
                new PinnedClaim("brisa-tolendt", "no.such.claim", "Hums.", "1 of 2", 0.5, 0.1, 0.9, Grade.THIN);
        Debrief d = debrief(plan().pin(never));
        assertThat(d.claims()).hasSize(1);
        assertThat(d.claims().get(0).verdict()).isNull();
        assertThat(d.claims().get(0).n()).isZero();
    }

    private static Meeting meeting(LibraryIndex index) {
        return Meeting.of(
                index,
                new Meeting.Question(
                        "ansa-kellivar",
                        "brisa-tolendt",
                        RULES,
                        Filter.ALL,
                        null,
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
    }

    @Test
    void theLeastExpectedActionsAreNamed() {
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        Meeting m = meeting(index);
        MatchRecord odd = match(
                "odd",
                null,
                null,
                Tag.Position.of(at(0), "STD", null, null),
                act(20, Corner.B, "fireman-carry", Outcome.STUFFED),
                act(40, Corner.B, "guard-pull", Outcome.STUFFED));
        List<Surprise> s = Debrief.of(plan(), odd, index, RULES, m).surprises();
        assertThat(s).extracting(Surprise::technique).containsExactly("fireman-carry", "guard-pull");
        assertThat(s.get(0).share()).isLessThan(s.get(1).share());
        assertThat(s).allMatch(x -> !x.ours() && x.share() >= 0 && x.share() <= 1);
    }

    @Test
    void decisionsAreHeldAgainstWhatWasDone() {
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        Meeting m = meeting(index);
        MatchRecord fought = match(
                "fought",
                null,
                null,
                Tag.Position.of(at(0), "STD", null, null),
                Tag.Position.of(at(30), "HFG", Corner.B, Corner.A),
                act(40, Corner.A, "half-guard-sweep", Outcome.STUFFED),
                act(60, Corner.A, "half-guard-sweep", Outcome.COMPLETED),
                Tag.Position.of(at(90), "SDC", Corner.A, null),
                Tag.Position.of(at(120), "STD", null, null));
        Plan own = plan().open("from half guard half guard sweep").open("in the last two minutes: advance to mount");
        List<DecisionCheck> all = Debrief.of(own, fought, index, RULES, m).decisions();
        DecisionCheck sweep = all.stream()
                .filter(c -> c.text().equals("From half guard: half guard sweep."))
                .findFirst()
                .orElseThrow();
        assertThat(sweep.own()).isTrue();
        assertThat(sweep.occasions()).hasSize(1);
        assertThat(sweep.minutes()).isEqualTo(1);
        assertThat(sweep.done()).hasSize(2);
        assertThat(sweep.worked()).isEqualTo(1);
        assertThat(sweep.expectedTries()).isBetween(0.1, 5.0);
        assertThat(sweep.expectedWorked()).isLessThan(sweep.expectedTries());
        DecisionCheck late = all.stream()
                .filter(c -> c.text().startsWith("Advance to mount, wherever it comes up"))
                .findFirst()
                .orElseThrow();
        assertThat(late.came()).as("side control was reached early").isFalse();
        // what film cannot value is held against the match all the same
        Plan unseen = plan().open("from half guard electric chair").open("knee cut to the right");
        List<DecisionCheck> hardly = Debrief.of(unseen, fought, index, RULES, m).decisions();
        assertThat(hardly).isNotEmpty().allMatch(DecisionCheck::own);
        assertThat(hardly).extracting(DecisionCheck::text).contains("Knee cut, wherever it comes up.");
        // without a plan of our own the computed decisions stand there
        assertThat(Debrief.of(Plan.empty("p", "P", "ansa-kellivar", "brisa-tolendt"), fought, index, RULES, m)
                        .decisions())
                .isNotEmpty()
                .noneMatch(DecisionCheck::own);
    }

    @Test
    void aMatchOfOthersIsRefused() {
        Plan others = Plan.empty("p", "Plan", "juno-fastrel", "brisa-tolendt");
        assertThatThrownBy(() -> debrief(others)).hasMessageContaining("juno-fastrel");
    }
}
