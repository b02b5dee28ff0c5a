package farglass.work.publish;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TagTextTest {
    private static final MatchTime T = MatchTime.ofMs(5000);
    private static final MatchRecord RECORD = MatchRecord.of(
            "m",
            new MatchRecord.Details(
                    null,
                    null,
                    null,
                    null,
                    "gi",
                    "points-gi",
                    300_000,
                    MatchAthlete.of("a", "Ansa Kellivar", null, null),
                    MatchAthlete.of("b", "Brisa Tolendt", null, null),
                    null),
            List.of(),
            List.of());

    private static String line(Tag tag) {
        return TagText.of(RECORD, tag, Lexicon.builtIn()).line();
    }

    private static Corner who(Tag tag) {
        return TagText.of(RECORD, tag, Lexicon.builtIn()).who();
    }

    @Test
    void anAttemptSaysSidesAndHowFarItGotInTheWordsOfItsLadder() {
        Tag.Action pass = Tag.Action.of(T, Corner.B, "knee-cut").sided(Side.RIGHT);
        assertThat(line(pass)).isEqualTo("knee cut R");
        assertThat(line(pass.result(Outcome.NEAR, 2, null, null))).isEqualTo("knee cut R, past the knees");
        assertThat(line(pass.result(Outcome.STUFFED, null, null, null))).isEqualTo("knee cut R, stuffed");
        assertThat(line(pass.with(TagInfo.NONE.confidence(0.3)))).isEqualTo("knee cut R ?");
        assertThat(line(pass.sided(Side.NOT_VISIBLE))).isEqualTo("knee cut ?");
        assertThat(line(Tag.Action.of(T, Corner.A, "house-sweep"))).isEqualTo("house-sweep");
        assertThat(who(pass)).isEqualTo(Corner.B);
    }

    @Test
    void aPlaceSaysWhoPlaysItOrIsAhead() {
        assertThat(line(Tag.Position.of(T, "LAS", Corner.A, Corner.B))).isEqualTo("lasso guard, Tolendt plays it");
        assertThat(line(Tag.Position.of(T, "MNT", Corner.A, null))).isEqualTo("mount, Kellivar ahead");
        assertThat(line(Tag.Position.of(T, "HQ", Corner.A, Corner.B))).endsWith("Kellivar ahead");
        assertThat(line(Tag.Position.of(T, "STD", null, null))).isEqualTo("standing free");
        assertThat(who(Tag.Position.of(T, "LAS", Corner.A, Corner.B))).isEqualTo(Corner.B);
    }

    @Test
    void everyOtherKindOfTagIsAFewWords() {
        assertThat(line(new Tag.Grip(T, Corner.A, "sleeve-same", Side.LEFT, "deep", null, null, TagInfo.NONE)))
                .isEqualTo("same-side sleeve, left hand, deep");
        assertThat(line(new Tag.Call(T, CallKind.POINTS, Corner.B, 2, true, null, null, TagInfo.NONE)))
                .isEqualTo("2 points, Tolendt");
        assertThat(line(new Tag.Call(T, CallKind.ADVANTAGE, Corner.A, null, true, null, null, TagInfo.NONE)))
                .isEqualTo("advantage, Kellivar");
        assertThat(line(new Tag.Remark(
                        T, RemarkKind.ERROR, Corner.A, "seen", "head low", null, null, Map.of(), TagInfo.NONE)))
                .isEqualTo("error, head low");
        assertThat(line(new Tag.Body(T, Corner.B, "posture-broken", null, null, TagInfo.NONE)))
                .isEqualTo("posture broken");
        assertThat(line(new Tag.Stop(T, "out-of-bounds", TagInfo.NONE))).isEqualTo("stop, out of bounds");
        assertThat(line(new Tag.Resume(T, "CLG", Corner.A, Corner.B, TagInfo.NONE)))
                .isEqualTo("resume, closed guard");
        assertThat(line(new Tag.End(T, TagInfo.NONE))).isEqualTo("end");
    }
}
