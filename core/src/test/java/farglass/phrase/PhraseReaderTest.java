package farglass.phrase;

import static farglass.match.Records.at;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.s;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Records;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PhraseReaderTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private final PhraseReader reader = new PhraseReader(LEXICON);

    private static Context in(Tag... tags) {
        MatchRecord r = Records.of(tags);
        MatchTime stamp = s(10);
        return new Context(
                r,
                stamp,
                PositionLine.of(r.withTags(append(tags)), LEXICON)
                        .current(stamp)
                        .orElse(null));
    }

    private static List<Tag> append(Tag... tags) {
        List<Tag> list = new java.util.ArrayList<>(List.of(tags));
        list.add(Records.end(100));
        return list;
    }

    private final Context openGuardOfA = in(guard(0, "OPN", Corner.A));

    private Tag.Action action(String phrase, Context c) {
        Reading reading = reader.read(phrase, c);
        assertThat(reading.problem()).as(phrase).isEmpty();
        return (Tag.Action) reading.tags().get(0);
    }

    @Test
    void readsWhoWhatSideAndHowFar() {
        Tag.Action a = action("b knee cut right near", openGuardOfA);
        assertThat(a.by()).isEqualTo(Corner.B);
        assertThat(a.technique()).isEqualTo("knee-cut");
        assertThat(a.side()).isEqualTo(Side.RIGHT);
        assertThat(a.outcome()).isEqualTo(Outcome.NEAR);
        assertThat(a.t()).isEqualTo(s(10));
    }

    @ParameterizedTest
    @CsvSource({
        "kc r n 2, knee-cut, RIGHT, NEAR, 2",
        "knee slice l stuffed, knee-cut, LEFT, STUFFED,",
        "toreada 3, toreando, , NEAR, 3",
        "toreando l1, toreando, LEFT, STUFFED, 1",
        "toreando r3 x, toreando, RIGHT, ABANDONED, 3",
        "bullfighter left ok, toreando, LEFT, COMPLETED, 4",
        "toureada right 4, toreando, RIGHT, COMPLETED, 4",
        "knee cut right past knees, knee-cut, RIGHT, STUFFED, 2",
        "toreando past the hips left, toreando, LEFT, NEAR, 3",
        "leg drag countered, leg-drag, , COUNTERED,"
    })
    void aliasesShortFormsAndLaddersAreUnderstood(
            String phrase, String technique, Side side, Outcome outcome, Integer reached) {
        Tag.Action a = action(phrase, openGuardOfA);
        assertThat(a.by()).as("a pass is by the athlete above the guard").isEqualTo(Corner.B);
        assertThat(a.technique()).isEqualTo(technique);
        assertThat(a.side()).isEqualTo(side);
        assertThat(a.outcome()).isEqualTo(outcome);
        assertThat(a.reached()).isEqualTo(reached);
    }

    @Test
    void aCompletedPassBringsItsPin() {
        Reading r = reader.read("knee cut right done", openGuardOfA);
        assertThat(r.tags()).hasSize(2);
        Tag.Position pin = (Tag.Position) r.tags().get(1);
        assertThat(pin.position()).isEqualTo("SDC");
        assertThat(pin.holder()).isEqualTo(Corner.B);
        assertThat(pin.guard()).isNull();
        assertThat(r.inferred()).contains("to side control");
    }

    @Test
    void whereItEndedMaySaidAndTurnsOutToBeCompletion() {
        Reading r = reader.read("a scissor sweep left to mount forced", in(guard(0, "CLG", Corner.A)));
        assertThat(((Tag.Action) r.tags().get(0)).to()).isEqualTo("MNT");
        assertThat(((Tag.Action) r.tags().get(0)).outcome()).isEqualTo(Outcome.COMPLETED);
        assertThat(((Tag.Position) r.tags().get(1)).holder()).isEqualTo(Corner.A);
        assertThat(((Tag.Position) r.tags().get(1)).cause()).isEqualTo(Cause.FORCED);
    }

    @Test
    void aPulledGuardIsPlayedByThePuller() {
        Reading r = reader.read("a guard pull to lasso", in(at(0, "STD")));
        Tag.Position guard = (Tag.Position) r.tags().get(1);
        assertThat(guard.guard()).isEqualTo(Corner.A);
        assertThat(guard.holder()).isEqualTo(Corner.B);
    }

    @Test
    void aFinishEndsTheMatch() {
        Reading r = reader.read("a cross choke done", in(held(0, "MNT", Corner.A)));
        assertThat(r.tags()).hasSize(2);
        assertThat(r.tags().get(1)).isInstanceOf(Tag.End.class);
    }

    @Test
    void severalSidesAreASequence() {
        assertThat(action("a lasso sweep right left near", in(guard(0, "LAS", Corner.A)))
                        .sides())
                .containsExactly(Side.RIGHT, Side.LEFT);
    }

    @Test
    void positionsTakeTheirRolesFromTheContext() {
        Tag.Position half =
                (Tag.Position) reader.read("half guard", openGuardOfA).tags().get(0);
        assertThat(half.guard()).isEqualTo(Corner.A);
        Tag.Position other = (Tag.Position)
                reader.read("b half guard left", openGuardOfA).tags().get(0);
        assertThat(other.guard()).isEqualTo(Corner.B);
        assertThat(other.side()).isEqualTo(Side.LEFT);
        Tag.Position pin = (Tag.Position)
                reader.read("mount", in(held(0, "SDC", Corner.B))).tags().get(0);
        assertThat(pin.holder()).isEqualTo(Corner.B);
        assertThat(reader.read("mount", in(at(0, "STD"))).problem()).isEqualTo("who is ahead? a or b");
    }

    @Test
    void athletesMayBeNamed() {
        assertThat(action("b1 toreando", openGuardOfA).by()).isEqualTo(Corner.B);
    }

    @Test
    void gripsCallsRemarksAndCommandsAreTags() {
        Tag.Grip grip = (Tag.Grip)
                reader.read("a sleeve right deep", openGuardOfA).tags().get(0);
        assertThat(grip.grip()).isEqualTo("sleeve-same");
        assertThat(grip.hand()).isEqualTo(Side.RIGHT);
        assertThat(grip.depth()).isEqualTo("deep");
        Tag.Call call =
                (Tag.Call) reader.read("points 2 b", openGuardOfA).tags().get(0);
        assertThat(call.call()).isEqualTo(CallKind.POINTS);
        assertThat(call.who()).isEqualTo(Corner.B);
        assertThat(call.value()).isEqualTo(2);
        Tag.Remark remark = (Tag.Remark) reader.read("error b elbow left open, went free", openGuardOfA)
                .tags()
                .get(0);
        assertThat(remark.kind()).isEqualTo(RemarkKind.ERROR);
        assertThat(remark.by()).isEqualTo(Corner.B);
        assertThat(remark.text()).isEqualTo("elbow left open, went free");
        Tag.Stop stop = (Tag.Stop) reader.read("stop out", openGuardOfA).tags().get(0);
        assertThat(stop.reason()).isEqualTo("out-of-bounds");
        assertThat(((Tag.Resume) reader.read("resume", openGuardOfA).tags().get(0)).position())
                .isNull();
        assertThat(((Tag.Resume) reader.read("resume standing", openGuardOfA)
                                .tags()
                                .get(0))
                        .position())
                .isEqualTo("STD");
        assertThat(reader.read("end", openGuardOfA).tags().get(0)).isInstanceOf(Tag.End.class);
    }

    @Test
    void aQuestionMarkMarksDoubt() {
        assertThat(action("knee cut right ?", openGuardOfA).info().unsure()).isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "points 2 | for whom? a or b",
                "points a | how many points?",
                "double leg | who? a or b",
                "a | what did a1 do?",
                "b knee cut 7 | how far: 1 to 4",
                "note | write the remark",
                "b xyzzy | \"xyzzy\" is not a word of the lexicon"
            })
    void whatIsMissingIsAsked(String phrase, String question) {
        Reading r = reader.read(phrase, in(at(0, "STD")));
        assertThat(r.complete()).isFalse();
        assertThat(r.problem()).isEqualTo(question);
    }

    @Test
    void anUnfinishedWordIsCompleted() {
        assertThat(reader.read("b knee c", openGuardOfA).completions()).contains("b knee cut");
        assertThat(reader.read("b torean", openGuardOfA).completions()).startsWith("b toreando");
        assertThat(reader.read("b knee cut ri", openGuardOfA).completions()).contains("b knee cut right");
        assertThat(reader.read("", openGuardOfA).completions()).isEmpty();
    }

    @Test
    void everyMadeUpTagCanBeSaidAndReadBack() {
        int said = 0;
        for (MatchRecord r : DemoLibrary.matches(LEXICON, 3).subList(0, 12)) {
            PositionLine line = PositionLine.of(r, LEXICON);
            for (Tag tag : r.tags()) {
                if (!(tag instanceof Tag.Action a)) {
                    continue;
                }
                String phrase = PhraseWriter.phrase(tag, LEXICON);
                Reading back = reader.read(
                        phrase, new Context(r, tag.t(), line.current(tag.t()).orElse(null)));
                assertThat(back.complete()).as("%s: %s", phrase, back.problem()).isTrue();
                Tag.Action read = (Tag.Action) back.tags().get(0);
                assertThat(read.by()).as(phrase).isEqualTo(a.by());
                assertThat(read.technique()).as(phrase).isEqualTo(a.technique());
                assertThat(read.sides()).as(phrase).isEqualTo(a.sides());
                assertThat(read.outcome()).as(phrase).isEqualTo(a.outcome());
                assertThat(read.reached()).as(phrase).isEqualTo(a.reached());
                said++;
            }
        }
        assertThat(said).isGreaterThan(150);
    }

    @Test
    void otherTagsAreSaidToo() {
        for (String phrase : List.of(
                "a lasso guard left forced",
                "b side control",
                "a same side sleeve right deep",
                "points b 3",
                "error b elbow open",
                "stop",
                "end")) {
            Tag tag = reader.read(phrase, openGuardOfA).tags().get(0);
            assertThat(PhraseWriter.phrase(tag, LEXICON)).isEqualTo(phrase);
        }
    }

    @Test
    void likelyNextComesFromTheLibraryAndAddsUpToOne() {
        MatchRecord seen = Records.of(
                guard(0, "LAS", Corner.A),
                tries(3, Corner.A, "lasso-sweep"),
                tries(8, Corner.A, "lasso-sweep"),
                tries(12, Corner.A, "triangle"),
                Records.end(20));
        LikelyNext model = LikelyNext.of(List.of(seen), LEXICON);
        var here = PositionLine.of(seen, LEXICON).spans().get(0);
        List<LikelyNext.Suggestion> all = model.after(here, null, seen, 1000);
        assertThat(all.get(0).technique()).isEqualTo("lasso-sweep");
        assertThat(all.get(0).by()).isEqualTo(Corner.A);
        assertThat(all.get(0).seen()).isEqualTo(2);
        assertThat(all.get(1).technique()).isEqualTo("triangle");
        assertThat(all.stream().mapToDouble(LikelyNext.Suggestion::chance).sum())
                .isBetween(0.999, 1.001);
        assertThat(model.after(here, null, seen, 5)).hasSize(5);
        assertThat(model.after(null, null, seen, 5)).isEmpty();
    }

    @Test
    void whereNothingWasSeenTheLexiconSuggests() {
        MatchRecord r = Records.of(held(0, "KOB", Corner.B), Records.end(9));
        var here = PositionLine.of(r, LEXICON).spans().get(0);
        assertThat(LikelyNext.of(List.of(), LEXICON).after(here, null, r, 50))
                .extracting(LikelyNext.Suggestion::technique)
                .contains("to-mount", "guard-recovery");
    }

    @ParameterizedTest
    @CsvSource({
        "b knee cutt right, knee-cut",
        "b toerando l2, toreando",
        "a laso sweep n, lasso-sweep",
        "b boddy lock pas r, body-lock-pass",
        "a triangel 2, triangle"
    })
    void slipsOfTheFingersAreForgivenAndSaid(String phrase, String technique) {
        Reading r = reader.read(phrase, openGuardOfA);
        assertThat(r.problem()).isEmpty();
        assertThat(((Tag.Action) r.tags().get(0)).technique()).isEqualTo(technique);
        assertThat(r.inferred()).anyMatch(x -> x.startsWith("read ") && x.contains(" as "));
    }

    @ParameterizedTest
    @ValueSource(strings = {"b zzzzzz", "b knee", "b arm", "b xyz right", "b guard pss"})
    void whatIsNearNothingOrNearTwoThingsIsNotGuessed(String phrase) {
        Reading r = reader.read(phrase, openGuardOfA);
        assertThat(r.inferred()).noneMatch(x -> x.startsWith("read "));
    }

    @Test
    void answersHiddenSidesAndWhatShouldHaveBeenDone() {
        Tag.Action a = action("b knee cut hidden near answer grip strip", openGuardOfA);
        assertThat(a.sides()).containsExactly(Side.NOT_VISIBLE);
        assertThat(a.answer()).isEqualTo("grip-strip");
        Tag.Remark r = (Tag.Remark) reader.read("error b elbow open instead knee shield first unpunished", openGuardOfA)
                .tags()
                .get(0);
        assertThat(r.text()).isEqualTo("elbow open");
        assertThat(r.instead()).isEqualTo("knee shield first");
        assertThat(r.punished()).isFalse();
        assertThat(PhraseWriter.phrase(r, Lexicon.builtIn()))
                .isEqualTo("error b elbow open instead knee shield first unpunished");
    }

    @Test
    void distancesBetweenWords() {
        assertThat(Slip.distance("triangle", "triangel")).isEqualTo(1);
        assertThat(Slip.distance("", "abc")).isEqualTo(3);
        assertThat(Slip.distance("kitten", "sitting")).isEqualTo(3);
        assertThat(Slip.distance("lasso", "lasso")).isZero();
    }

    @Test
    void aWordOfSeveralMeaningsIsToldByWhatIsSaidOfIt() {
        assertThat(reader.read("a lapel left", openGuardOfA).tags().get(0)).isInstanceOf(Tag.Position.class);
        assertThat(reader.read("a lapel left deep", openGuardOfA).tags().get(0)).isInstanceOf(Tag.Grip.class);
        assertThat(reader.read("a grip lapel left", openGuardOfA).tags().get(0)).isInstanceOf(Tag.Grip.class);
        assertThat(reader.read("b over under left 2", openGuardOfA).tags().get(0))
                .isInstanceOf(Tag.Action.class);
        assertThat(reader.read("b over under left forced", openGuardOfA).tags().get(0))
                .isInstanceOf(Tag.Position.class);
        assertThat(((Tag.Action)
                                reader.read("b grip fight", openGuardOfA).tags().get(0))
                        .technique())
                .isEqualTo("grip-fight");
    }
}
