package farglass.scout;

import static farglass.scout.Told.NONE;
import static farglass.scout.Told.texts;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.profile.Claim;
import farglass.stats.Grade;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What each part says of claims, and what it keeps quiet about. */
class PartsTest {
    @Test
    void aMatchBeginsWithWhatIsMostFrequentAndWhereItLeads() {
        Known k = new Told()
                .share("opening.pull", "opening.pull", 9, 12, 0.55, 0.9, 0.2)
                .share("opening.takedown", "opening.takedown", 1, 12, 0.01, 0.25, 0.3)
                .share("pulled.LAS", "takedowns.pulled.to", 7, 9, 0.5, 0.9, NONE, "lasso guard")
                .share("pulled.SPD", "takedowns.pulled.to", 2, 9, 0.05, 0.4, NONE, "spider guard")
                .claim(
                        "takedowns.ground",
                        "takedowns.ground.time",
                        Claim.Unit.TIME,
                        12,
                        12,
                        12_400,
                        8_000,
                        19_000,
                        NONE,
                        Grade.FAIR)
                .known();
        List<Sentence> said = StartPart.of(k);
        assertThat(texts(said))
                .containsExactly("Pulls guard first in 9 of 12 matches (others 20%), to lasso guard (7)"
                        + " or spider guard (2); usually on the ground after 12 s.");
        assertThat(said.get(0).grade()).isEqualTo(Grade.FAIR);
        assertThat(said.get(0).tags()).hasSize(9);
    }

    @Test
    void asWithEverybodyIsLeftOut() {
        Known k = new Told()
                .share("opening.pull", "opening.pull", 4, 12, 0.15, 0.55, 0.3)
                .share("opening.other", "opening.other", 5, 12, 0.2, 0.65, 0.4)
                .share("grip.first", "grip.first", 6, 12, 0.3, 0.7, 0.5)
                .known();
        assertThat(StartPart.of(k)).isEmpty();
    }

    @Test
    void whoHasTheFirstGripIsToldEitherWay() {
        Known own = new Told()
                .share("grip.first", "grip.first", 18, 20, 0.7, 0.95, 0.5)
                .known();
        assertThat(texts(StartPart.of(own))).containsExactly("Gets the first grip in 18 of 20 exchanges on the feet.");
        Known other = new Told()
                .share("grip.first", "grip.first", 2, 20, 0.05, 0.3, 0.5)
                .known();
        assertThat(texts(StartPart.of(other)))
                .containsExactly("Leaves the first grip to the other in 18 of 20 exchanges on the feet.");
    }

    @Test
    void aChoiceNamesOneOrTwoAndHowTheyFare() {
        Told one = new Told()
                .share("chosen.single-leg", "takedowns.chosen", 14, 20, 0.55, 0.85, NONE, "single leg")
                .share("chosen.double-leg", "takedowns.chosen", 3, 20, 0.05, 0.3, NONE, "double leg")
                .share("technique.single-leg", "technique.takedown", 9, 14, 0.5, 0.8, 0.3, "single leg");
        assertThat(texts(StandingPart.of(one.known())))
                .containsExactly("Goes for the single leg: 14 of 20 takedown attempts;"
                        + " the single leg worked 9 of 14 (others 30%).");
        Told two = new Told()
                .share("chosen.single-leg", "takedowns.chosen", 10, 20, 0.35, 0.65, NONE, "single leg")
                .share("chosen.double-leg", "takedowns.chosen", 9, 20, 0.3, 0.6, NONE, "double leg")
                .share("chosen.ankle-pick", "takedowns.chosen", 1, 20, 0.01, 0.15, NONE, "ankle pick");
        assertThat(texts(StandingPart.of(two.known())))
                .containsExactly("Goes for the single leg (10) and the double leg (9) in 20 takedown attempts.");
        Told many = new Told()
                .share("chosen.single-leg", "takedowns.chosen", 5, 15, 0.2, 0.5, NONE, "single leg")
                .share("chosen.double-leg", "takedowns.chosen", 5, 15, 0.2, 0.5, NONE, "double leg")
                .share("chosen.ankle-pick", "takedowns.chosen", 5, 15, 0.2, 0.5, NONE, "ankle pick");
        assertThat(StandingPart.of(many.known())).isEmpty();
    }

    @Test
    void fromTheBottomTheGuardsAndWhatIsTriedFromThem() {
        Known k = new Told()
                .time("place.guard", 0.4, 0.33, 0.47, 0.2)
                .claim(
                        "guard.LAS",
                        "guard.used",
                        Claim.Unit.TIME_SHARE,
                        300,
                        600,
                        0.5,
                        0.4,
                        0.6,
                        0.05,
                        Grade.STRONG,
                        "lasso guard")
                .claim(
                        "guard.CLG",
                        "guard.used",
                        Claim.Unit.TIME_SHARE,
                        120,
                        600,
                        0.2,
                        0.1,
                        0.3,
                        0.2,
                        Grade.STRONG,
                        "closed guard")
                .share(
                        "tries.LAS.guard.lasso-sweep",
                        "place.tries",
                        9,
                        12,
                        0.5,
                        0.9,
                        NONE,
                        "lasso guard",
                        "lasso sweep")
                .share("tries.LAS.guard.triangle", "place.tries", 4, 12, 0.15, 0.5, NONE, "lasso guard", "triangle")
                .share("tries.LAS.guard.armbar", "place.tries", 2, 12, 0.05, 0.4, NONE, "lasso guard", "armbar")
                .share("technique.lasso-sweep", "technique.sweep", 5, 11, 0.3, 0.6, 0.35, "lasso sweep")
                .share("technique.triangle", "technique.submission", 5, 40, 0.05, 0.2, 0.1, "triangle")
                .share("against.all.pass", "against.all.pass", 3, 35, 0.03, 0.18, 0.3)
                .known();
        assertThat(texts(BottomPart.of(k)))
                .containsExactly(
                        "In guard 40% of the time (others 20%). Plays lasso guard, 50% of the guard time (others 5%).",
                        "From lasso guard the lasso sweep, 9 of 12 times (5 of 11 worked), the triangle 4 times.",
                        "Hard to pass: 3 of 35 attempts got through (others 30%).");
    }

    @Test
    void onTopTheTimeThePassAndWhatIsTriedFromAPin() {
        Known k = new Told()
                .time("place.topGuard", 0.4, 0.33, 0.47, 0.2)
                .share("chosen.toreando", "passing.chosen", 16, 20, 0.6, 0.9, NONE, "toreando")
                .share("chosen.knee-cut", "passing.chosen", 4, 20, 0.1, 0.35, NONE, "knee cut")
                .share(
                        "tries.SDC.holder.to-knee-on-belly",
                        "place.tries",
                        9,
                        12,
                        0.5,
                        0.9,
                        0.2,
                        "side control",
                        "advance to knee on belly")
                .share("tries.HFG.holder.knee-cut", "place.tries", 8, 12, 0.45, 0.85, 0.2, "half guard", "knee cut")
                .share("against.all.sweep", "against.all.sweep", 1, 30, 0.01, 0.12, 0.35)
                .known();
        assertThat(texts(TopPart.of(k)))
                .containsExactly(
                        "On top of a guard 40% of the time (others 20%).",
                        "Passes with the toreando: 16 of 20 attempts.",
                        "From side control the advance to knee on belly, 9 of 12 times (others 20%).",
                        "Against half guard the knee cut, 8 of 12 times (others 20%).",
                        "Hard to sweep: 1 of 30 attempts worked (others 35%).");
    }

    @Test
    void finishesAreCountedWhateverTheOthersDo() {
        Known k = new Told()
                .share("finish.wins", "finish.wins", 5, 12, 0.2, 0.65, 0.3)
                .share("finish.by.triangle", "finish.by", 4, 5, 0.5, 0.95, NONE, "triangle")
                .thin()
                .share("finish.by.armbar", "finish.by", 1, 5, 0.05, 0.5, NONE, "armbar")
                .thin()
                .known();
        assertThat(texts(FinishPart.of(k))).containsExactly("Won 5 of 12 matches by submission: triangle 4, armbar 1.");
        Known none = new Told()
                .share("finish.wins", "finish.wins", 0, 12, 0, 0.15, 0.3)
                .known();
        assertThat(texts(FinishPart.of(none))).containsExactly("Won none of 12 matches by submission (others 30%).");
    }

    @Test
    void paceIsComparedOnlyWhereItIsClear() {
        Known clear = new Told()
                .rate("when.score.behind.pace", 60, 20, 30, 24, 37, NONE)
                .rate("when.score.level.pace", 30, 30, 10, 7, 14, NONE)
                .rate("when.score.ahead.pace", 33, 30, 11, 8, 15, NONE)
                .known();
        List<Sentence> said = MomentsPart.of(clear);
        assertThat(texts(said))
                .containsExactly("Attacks more when behind: 60 attacks in 20 min, 30 in 30 min when level.");
        assertThat(said.get(0).assertions().get(0).than()).isNotNull();
        Known unclear = new Told()
                .rate("when.score.behind.pace", 6, 4, 15, 7, 26, NONE)
                .rate("when.score.level.pace", 30, 30, 10, 7, 14, NONE)
                .known();
        assertThat(MomentsPart.of(unclear)).isEmpty();
    }

    @Test
    void whatWorksAgainstIsTheOthersDoingAndThePunishedError() {
        Known k = new Told()
                .share("against.all.pass", "against.all.pass", 18, 30, 0.45, 0.72, 0.3)
                .share("against.knee-cut", "against.technique", 12, 15, 0.6, 0.9, 0.3, "knee cut")
                .time("place.backGiven", 0.3, 0.25, 0.35, 0.1)
                .share("finish.lost", "finish.lost", 3, 12, 0.1, 0.5, 0.25)
                .rate("error.head", 4, 60, 0.7, 0.2, 1.2, NONE, "head down on the way in", "2", "4")
                .known();
        assertThat(texts(BeatenPart.of(k)))
                .containsExactly(
                        "The guard can be passed: 18 of 30 attempts got through (others 30%).",
                        "The knee cut works: 12 of 15 (against others 30%).",
                        "Turtled, or has given the back, 30% of the time (others 10%).",
                        "Submitted in 3 of 12 matches.");
        Known error = new Told()
                .rate("error.head", 4, 60, 0.7, 0.2, 1.2, NONE, "head down on the way in", "2", "4")
                .rate("error.feet", 3, 60, 0.5, 0.1, 1.0, NONE, "crossed the feet", "0", "3")
                .known();
        assertThat(texts(BeatenPart.of(error)))
                .containsExactly("Error seen 4 times, punished 2: head down on the way in.");
    }

    @Test
    void aChangeWithoutItsBadgeIsNotTold() {
        Known k = new Told()
                .claim(
                        "changed.use.knee-cut",
                        "change.use",
                        Claim.Unit.DIFFERENCE,
                        12,
                        24,
                        0.5,
                        0.2,
                        0.8,
                        NONE,
                        Grade.FAIR,
                        "knee cut",
                        "99%",
                        "80%",
                        "8",
                        "10",
                        "30%",
                        "4",
                        "14")
                .known();
        assertThat(ChangedPart.of(k)).isEmpty();
    }

    @Test
    void whatIsNotKnownIsSaidInWords() {
        Known k = new Told()
                .claim("never.leg", "never.leg", Claim.Unit.SHARE, 0, 12, 0, 0, 0.2, NONE, Grade.FAIR)
                .time("place.standing", 0.01, 0, 0.02, 0.1)
                .time("place.guard", 0.3, 0.2, 0.4, 0.2)
                .known();
        List<String> said = texts(UnknownPart.of(k));
        assertThat(said).contains("Only 0 matches so far: all of this is early.");
        assertThat(said).anyMatch(s -> s.startsWith("Not seen in 6 whole matches: a leg attack"));
        assertThat(said).anyMatch(s -> s.startsWith("Hardly any film of the feet (60 s), passing (0 s)"));
        assertThat(said).contains("No match in the gi.", "No match without the gi.");
    }

    @Test
    void theSummaryTakesUpWhatTheOtherPartsSay() {
        Told t = new Told()
                .share("opening.pull", "opening.pull", 9, 12, 0.55, 0.9, 0.2)
                .claim(
                        "guard.LAS",
                        "guard.used",
                        Claim.Unit.TIME_SHARE,
                        300,
                        600,
                        0.5,
                        0.4,
                        0.6,
                        0.05,
                        Grade.STRONG,
                        "lasso guard")
                .share("chosen.triangle", "finishes.chosen", 16, 20, 0.6, 0.9, NONE, "triangle")
                .share("against.all.pass", "against.all.pass", 3, 35, 0.03, 0.18, 0.3);
        Map<Heading, List<Sentence>> parts = new EnumMap<>(Heading.class);
        parts.put(Heading.START, StartPart.of(t.known()));
        parts.put(Heading.BOTTOM, BottomPart.of(t.known()));
        parts.put(Heading.FINISHES, FinishPart.of(t.known()));
        assertThat(texts(SummaryPart.of(t.known(), parts)))
                .containsExactly("Pulls guard, plays lasso guard, hunts the triangle, hard to pass.");
        assertThat(texts(SummaryPart.of(new Told().known(), Map.of())))
                .containsExactly("Nothing in 0 matches stands out from the others yet.");
    }

    @Test
    void sidesAreToldWhereOneIsClear() {
        assertThat(SidesPart.of(new Told()
                        .share("side.sweep", "side.sweep.left", 9, 10, 0.6, 0.97, 0.5)
                        .known()))
                .as("without what may be said of the side")
                .isEmpty();
    }

    @Test
    void whatOurChanceHangsOnIsToldOnceWhereItIsDone() {
        Known k = new Told()
                .share("technique.knee-cut", "technique.pass", 6, 20, 0.2, 0.4, 0.3, "knee cut")
                .known();
        Map<Heading, List<Sentence>> parts = new EnumMap<>(Heading.class);
        LeveragePart.addTo(k, new FixedStakes("knee-cut", "double-leg"), parts);
        assertThat(texts(parts.get(Heading.TOP)))
                .containsExactly("Against us the knee cut matters most here: 6 of 20 worked,"
                        + " a tenth more of it costs 3.0 points of our chance to win.");
        Map<Heading, List<Sentence>> known = new EnumMap<>(Map.of(Heading.TOP, parts.get(Heading.TOP)));
        LeveragePart.addTo(k, new FixedStakes("knee-cut", "double-leg"), known);
        assertThat(known.get(Heading.TOP)).hasSize(1);
        Map<Heading, List<Sentence>> nobody = new EnumMap<>(Heading.class);
        LeveragePart.addTo(k, Stakes.NONE, nobody);
        assertThat(nobody).isEmpty();
    }
}
