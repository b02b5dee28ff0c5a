package farglass.table;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.table.ReadCall.State;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReadCallsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Ruleset GI = Rulesets.builtIn().of("points-gi", null).orElseThrow();

    private static ReadChange change(double seconds, Corner who, CallKind call, int before, int after) {
        FilmTime at = FilmTime.ofMs(Math.round(seconds * 1000));
        return new ReadChange(at, at, s(seconds), who, call, before, after, 0.9);
    }

    private static ReadChange points(double seconds, Corner who, int before, int after) {
        return change(seconds, who, CallKind.POINTS, before, after);
    }

    /** B pulls guard; A passes at 40 s, holds side control from there, and goes to mount at 60 s. */
    private static MatchRecord passed(Tag... more) {
        List<Tag> tags = new ArrayList<>(List.of(
                start(),
                at(0, "STD"),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                does(40, Corner.A, "knee-cut", "SDC"),
                held(42, "SDC", Corner.A),
                end(120)));
        tags.addAll(List.of(more));
        return Records.of(tags.toArray(Tag[]::new));
    }

    private static ReadCall one(MatchRecord r, ReadChange c) {
        return ReadCalls.of(r, GI, LEXICON, List.of(c)).get(0);
    }

    @Test
    void whatATagIsWorthExplainsTheChange() {
        ReadCall call = one(passed(), points(47, Corner.A, 0, 3));
        assertThat(call.state()).isEqualTo(State.NEW);
        assertThat(call.call()).isEqualTo(-1);
        assertThat(call.cause()).isNotNegative();
        assertThat(call.likely()).isEmpty();
    }

    @Test
    void otherPointsAreAskedForByThePlaceBefore() {
        assertThat(one(passed(), points(47, Corner.B, 0, 2)).likely())
                .as("B was held in side control: nothing fits better than anything else")
                .containsExactly("takedown", "sweep", "knee-on-belly");
        assertThat(one(passed(), points(30, Corner.B, 0, 2)).likely())
                .as("B played guard")
                .startsWith("sweep");
        assertThat(one(passed(), points(8, Corner.A, 0, 2)).likely())
                .as("both stood")
                .startsWith("takedown");
        assertThat(one(passed(), points(30, Corner.A, 0, 3)).likely()).containsExactly("pass");
        assertThat(one(passed(), points(90, Corner.A, 3, 7)).likely()).containsExactly("mount", "back");
        assertThat(one(passed(), points(90, Corner.A, 3, 12)).likely()).isEmpty();
    }

    @Test
    void aCallOfTheRecordIsNotTakenTwice() {
        Tag.Call called = new Tag.Call(s(48), CallKind.POINTS, Corner.A, 3, true, null, null, TagInfo.NONE);
        ReadCall call = one(passed(called), points(46, Corner.A, 0, 3));
        assertThat(call.state()).isEqualTo(State.TAKEN);
        assertThat(call.call()).isNotNegative();
        assertThat(ReadCalls.tags(List.of(call))).isEmpty();
        assertThat(one(passed(called), points(46, Corner.A, 0, 2)).state())
                .as("another number of points")
                .isEqualTo(State.NEW);
        assertThat(one(passed(called), points(70, Corner.A, 0, 3)).state())
                .as("much later")
                .isEqualTo(State.NEW);
        assertThat(one(passed(called), points(46, Corner.B, 0, 3)).state())
                .as("the other athlete")
                .isEqualTo(State.NEW);
    }

    @Test
    void oneCallExplainsOneChange() {
        Tag.Call called = new Tag.Call(s(48), CallKind.POINTS, Corner.A, 2, true, null, null, TagInfo.NONE);
        List<ReadCall> calls = ReadCalls.of(
                passed(called), GI, LEXICON, List.of(points(46, Corner.A, 0, 2), points(50, Corner.A, 2, 4)));
        assertThat(calls).extracting(ReadCall::state).containsExactly(State.TAKEN, State.NEW);
    }

    @Test
    void whatAPenaltyBringsByItselfIsNoCall() {
        List<ReadCall> calls = ReadCalls.of(
                passed(),
                GI,
                LEXICON,
                List.of(
                        change(50, Corner.A, CallKind.PENALTY, 0, 1),
                        change(60, Corner.A, CallKind.PENALTY, 1, 2),
                        change(60.5, Corner.B, CallKind.ADVANTAGE, 0, 1),
                        change(70, Corner.A, CallKind.PENALTY, 2, 3),
                        points(70, Corner.B, 0, 2),
                        change(80, Corner.B, CallKind.ADVANTAGE, 1, 2)));
        assertThat(calls)
                .extracting(ReadCall::state)
                .containsExactly(State.NEW, State.NEW, State.BROUGHT, State.NEW, State.BROUGHT, State.NEW);
        assertThat(ReadCalls.tags(calls)).hasSize(4);
    }

    @Test
    void aScoreTakenBackAddsNothing() {
        ReadCall call = one(passed(), points(60, Corner.A, 3, 0));
        assertThat(call.state()).isEqualTo(State.TAKEN_BACK);
        assertThat(ReadCalls.tags(List.of(call))).isEmpty();
    }

    @Test
    void aTakenCallNamesItsSourceAndHowSureItIs() {
        Tag.Call tag = ReadCalls.tag(points(47, Corner.A, 0, 3));
        assertThat(tag.t()).isEqualTo(s(47));
        assertThat(tag.value()).isEqualTo(3);
        assertThat(tag.called()).isTrue();
        assertThat(tag.info().confidence()).isEqualTo(0.9);
        assertThat(tag.info().extra()).containsEntry("source", "read off the film");
        assertThat(ReadCalls.tag(change(47, Corner.A, CallKind.ADVANTAGE, 0, 1)).value())
                .isNull();
    }

    @Test
    void twoAdvantagesAtOnceAreTwoCalls() {
        ReadCall call = one(passed(), change(60, Corner.A, CallKind.ADVANTAGE, 0, 2));
        assertThat(ReadCalls.tags(List.of(call))).hasSize(2);
    }

    @Test
    void takenCallsAreFoundAgain() {
        ReadChange c = points(47, Corner.A, 0, 3);
        MatchRecord r = passed(ReadCalls.tag(c));
        assertThat(one(r, c).state()).isEqualTo(State.TAKEN);
    }

    @Test
    void aChangeChanges() {
        assertThatIllegalArgumentException().isThrownBy(() -> points(1, Corner.A, 2, 2));
        assertThatIllegalArgumentException().isThrownBy(() -> points(1, Corner.A, -1, 2));
        assertThatIllegalArgumentException()
                .isThrownBy(() ->
                        new ReadChange(FilmTime.ofMs(0), FilmTime.ofMs(0), s(0), Corner.A, CallKind.POINTS, 0, 2, 1.5));
    }
}
