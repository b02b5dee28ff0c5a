package farglass.rules;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.PositionLine;
import farglass.match.RecordKind;
import farglass.match.Records;
import farglass.match.Result;
import farglass.match.Role;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Score.Difference;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScoringDetailTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Ruleset GI = Rulesets.builtIn().of("points-gi", null).orElseThrow();

    private static Score score(MatchRecord r) {
        return Scoring.of(r, GI, LEXICON);
    }

    private static Tag.Call call(double t, CallKind kind, Corner who, Integer value) {
        return new Tag.Call(Records.s(t), kind, who, value, true, null, null, TagInfo.NONE);
    }

    /** A passes to side control at 30 s and mounts at 40 s. */
    private static MatchRecord passed(Tag... more) {
        List<Tag> tags = new ArrayList<>(List.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "guard-pull", "HFG"),
                guard(5, "HFG", Corner.B),
                does(30, Corner.A, "knee-cut", "SDC"),
                held(30, "SDC", Corner.A),
                does(40, Corner.A, "to-mount", "MNT"),
                held(40, "MNT", Corner.A)));
        tags.addAll(List.of(more));
        tags.add(end(100));
        return Records.of(tags.toArray(Tag[]::new));
    }

    @Test
    void theBoardIsAStepFunctionOfMatchTime() {
        Score s = score(passed());
        assertThat(s.at(Records.s(32.9)).a()).isZero();
        assertThat(s.at(Records.s(33)).a()).isEqualTo(3);
        assertThat(s.at(Records.s(42.999)).a()).isEqualTo(3);
        assertThat(s.at(Records.s(43)).a()).isEqualTo(7);
        assertThat(s.at(MatchTime.ZERO).b()).isZero();
        assertThat(s.scoreboard()).extracting(Score.Step::t).isSorted().doesNotHaveDuplicates();
    }

    @Test
    void everyAwardNamesItsReasonAndTheTagItBeginsWith() {
        Score s = score(passed());
        assertThat(s.awards()).extracting(Score.Award::why).containsExactly("knee cut", "advance to mount");
        assertThat(s.awards()).extracting(Score.Award::tag).containsExactly(5, 7);
        assertThat(s.control().get(Corner.A)).isEqualTo(95_000);
        assertThat(s.control().get(Corner.B)).isZero();
    }

    @Test
    void theTablesCallsAreComparedAndNeverCounted() {
        Score right = score(passed(call(33, CallKind.POINTS, Corner.A, 3), call(44, CallKind.POINTS, Corner.A, 4)));
        assertThat(right.differences()).isEmpty();
        Score wrong = score(passed(
                call(33, CallKind.POINTS, Corner.A, 2),
                call(70, CallKind.POINTS, Corner.B, 2),
                call(80, CallKind.ADVANTAGE, Corner.B, null)));
        assertThat(wrong.points(Corner.A)).isEqualTo(7);
        assertThat(wrong.points(Corner.B)).isZero();
        assertThat(wrong.differences()).hasSize(4).extracting(Difference::t).isSorted();
        assertThat(wrong.differences().get(0).message()).contains("2 points").contains("3 for pass");
        assertThat(wrong.differences())
                .anySatisfy(d -> assertThat(d.message()).isEqualTo("Worked out: 4 for mount. The table gave nothing."))
                .anySatisfy(d -> assertThat(d.message()).contains("Nothing in the tags is worth that"));
    }

    @Test
    void awardsConfirmedTogetherMayBeCalledTogether() {
        MatchRecord r = Records.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "guard-pull", "HFG"),
                guard(5, "HFG", Corner.B),
                does(30, Corner.A, "smash-pass", "MNT"),
                held(30, "MNT", Corner.A),
                call(33, CallKind.POINTS, Corner.A, 7),
                end(100));
        assertThat(score(r).differences()).isEmpty();
    }

    @Test
    void aTrainingRoundGoesOnAfterAFinish() {
        Tag.Action tap = does(50, Corner.A, "armbar", "LCK");
        MatchRecord match = passed(tap, does(60, Corner.B, "bridge-reversal", "CLG"), guard(60, "CLG", Corner.A));
        MatchRecord round = new MatchRecord(
                match.id(), RecordKind.ROUND, match.details(), match.films(), match.tags(), match.extra());
        assertThat(score(match).result()).isEqualTo(new Score.Verdict(Corner.A, Method.SUBMISSION));
        assertThat(score(match).end()).isEqualTo(Records.s(50));
        assertThat(score(round).end()).isEqualTo(Records.s(100));
        assertThat(score(round).findings()).isEmpty();
    }

    @Test
    void whatTheRefereesDecidedIsTakenFromTheRecord() {
        MatchRecord even = Records.of(start(), at(0, "STD"), end(100));
        assertThat(score(even).result()).isEqualTo(new Score.Verdict(null, Method.DECISION));
        MatchRecord told =
                even.withDetails(even.details().result(new Result(Corner.B, Method.DECISION, null, Records.s(100))));
        assertThat(score(told).result()).isEqualTo(new Score.Verdict(Corner.B, Method.DECISION));
    }

    @Test
    void aDisqualificationAfterTheFinishComesTooLate() {
        MatchRecord r = passed(does(50, Corner.A, "armbar", "LCK"), call(60, CallKind.DISQUALIFIED, Corner.A, null));
        assertThat(score(r).result().method()).isEqualTo(Method.SUBMISSION);
        MatchRecord before =
                passed(does(50, Corner.A, "armbar", "LCK"), call(45, CallKind.DISQUALIFIED, Corner.A, null));
        assertThat(score(before).result()).isEqualTo(new Score.Verdict(Corner.B, Method.DISQUALIFICATION));
    }

    @Test
    void gapsOfFilmDoNotEndAHold() {
        MatchRecord r = passed();
        var film = farglass.match.FilmRef.of(
                "f.mp4",
                60_000L,
                farglass.time.ClockMap.of(List.of(
                        farglass.time.Segment.live(0, 31_000, 0), farglass.time.Segment.live(32_000, 60_000, 60_000))));
        assertThat(score(r.withFilms(List.of(film))).awards()).isEqualTo(score(r).awards());
    }

    @Test
    void nobodyOnTopOfAnEntanglementIsNeutral() {
        Score s = score(Records.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "double-pull", "DGP"),
                at(5, "DGP"),
                at(8, "F50"),
                does(20, Corner.A, "fifty-sweep", "OPN"),
                guard(20, "OPN", Corner.B),
                end(60)));
        assertThat(s.awards()).isEmpty();
        assertThat(s.near())
                .extracting(Score.Near::award, Score.Near::missing)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("sweep", "nobody-on-top"));
    }

    @Test
    void aLockFromAGuardIsTimeInGuardAndItsOpeningIsNoPull() {
        Tag.Position lock = Tag.Position.of(Records.s(20), "LCK", Corner.B, null)
                .builder()
                .technique("triangle")
                .threat(3)
                .build();
        MatchRecord r = Records.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "guard-pull", "CLG"),
                guard(5, "CLG", Corner.B),
                Tag.Action.of(Records.s(20), Corner.B, "triangle"),
                lock,
                guard(30, "CLG", Corner.B),
                end(60));
        Score s = score(r);
        assertThat(s.findings()).isEmpty();
        assertThat(s.control().get(Corner.B)).isZero();
        assertThat(s.control().get(Corner.A)).isEqualTo(55_000);
        PositionLine line = PositionLine.of(r, LEXICON);
        assertThat(line.spans()).extracting(x -> Role.of(x, Corner.B)).endsWith(Role.GUARD, Role.GUARD, Role.GUARD);
    }

    @Test
    void aHoldThatWasPartlyUnseenSaysSo() {
        Score s = score(Records.of(
                start(),
                at(0, "STD"),
                does(5, Corner.B, "guard-pull", "HFG"),
                guard(5, "HFG", Corner.B),
                does(30, Corner.A, "knee-cut", "SDC"),
                held(30, "SDC", Corner.A),
                at(32, "UNK"),
                held(40, "SDC", Corner.A),
                end(60)));
        assertThat(s.awards()).singleElement().satisfies(a -> {
            assertThat(a.uncertain()).isTrue();
            assertThat(a.confirmedAt()).isEqualTo(Records.s(41));
        });
    }
}
