package farglass.match;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.held;
import static farglass.match.Records.note;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ReplayMergeTest {
    private static MatchRecord live(Tag... tags) {
        return Records.of(tags);
    }

    private static MatchRecord merged(MatchRecord record, Tag... seen) {
        return ReplayMerge.edit(record, List.of(seen)).apply(record);
    }

    @Test
    void theSameThingSeenAgainIsNotCountedTwice() {
        MatchRecord r = live(start(), at(0, "STD"), tries(5, Corner.A, "double-leg"), end(60));
        assertThat(merged(r, tries(6.4, Corner.A, "double-leg"))).isEqualTo(r);
        assertThat(merged(r, tries(6.5, Corner.A, "double-leg"))).isEqualTo(r);
        assertThat(merged(r, tries(6.6, Corner.A, "double-leg")).tags()).hasSize(5);
        assertThat(merged(r, tries(5, Corner.B, "double-leg")).tags()).hasSize(5);
        assertThat(merged(r, tries(5, Corner.A, "single-leg")).tags()).hasSize(5);
    }

    @Test
    void whatTheReplayShowsBetterFillsWhatWasMissingAndChangesNothingElse() {
        Tag.Action blind = Tag.Action.of(s(5), Corner.A, "double-leg");
        Tag.Action clear = tries(5.8, Corner.A, "double-leg").sided(Side.LEFT);
        MatchRecord after = merged(live(start(), at(0, "STD"), blind, end(60)), clear);
        Tag.Action kept = (Tag.Action) after.tags().get(2);
        assertThat(kept.t()).isEqualTo(s(5));
        assertThat(kept.side()).isEqualTo(Side.LEFT);
        assertThat(kept.outcome()).isEqualTo(clear.outcome());
        assertThat(kept.reached()).isEqualTo(clear.reached());
        Tag.Action other = clear.sided(Side.RIGHT);
        assertThat(((Tag.Action) merged(after, other).tags().get(2)).side())
                .as("what was tagged live wins")
                .isEqualTo(Side.LEFT);
    }

    @Test
    void placesGripsAndCallsAreKnownAgainByWhatTheySay() {
        Tag.Grip grip = new Tag.Grip(s(3), Corner.A, "lapel", null, null, null, null, TagInfo.NONE);
        Tag.Call call = new Tag.Call(s(9), CallKind.POINTS, Corner.A, 2, true, null, null, TagInfo.NONE);
        MatchRecord r = live(start(), at(0, "STD"), grip, held(7, "SDC", Corner.A), call, end(60));
        assertThat(merged(r, grip.at(s(4)), held(8, "SDC", Corner.A), call.at(s(8))))
                .isEqualTo(r);
        assertThat(merged(r, held(8, "SDC", Corner.B)).tags()).hasSize(7);
        Tag.Call three = new Tag.Call(s(9), CallKind.POINTS, Corner.A, 3, true, null, null, TagInfo.NONE);
        assertThat(merged(r, three).tags()).hasSize(7);
        MatchRecord sided = merged(r, held(7.5, "SDC", Corner.A).sided(Side.RIGHT));
        assertThat(((Tag.Position) sided.tags().get(3)).side()).isEqualTo(Side.RIGHT);
    }

    @Test
    void remarksAreWordsAndAlwaysKept() {
        MatchRecord r = live(start(), at(0, "STD"), note(5, "early"), end(60));
        assertThat(merged(r, note(5, "early")).tags()).hasSize(5);
    }

    @Test
    void theEditIsOneUndoableStep() {
        MatchRecord r = live(start(), at(0, "STD"), Tag.Action.of(s(5), Corner.A, "double-leg"), end(60));
        Edit e = ReplayMerge.edit(
                r, List.of(tries(5, Corner.A, "double-leg"), tries(20, Corner.B, "single-leg"), note(21, "late")));
        MatchRecord after = e.apply(r);
        assertThat(after.tags()).hasSize(6);
        assertThat(e.inverse().apply(after)).isEqualTo(r);
    }

    @Test
    void idsGoOnAboveAllThatAreThere() {
        MatchRecord r = live(
                start().with(TagInfo.withId("t7")),
                at(0, "STD").with(TagInfo.withId("house-12")),
                end(60).with(TagInfo.withId("t9x")));
        List<Tag> named =
                TagIds.name(r, List.of(note(1, "a"), note(2, "b").with(TagInfo.withId("mine")), note(3, "c")));
        assertThat(named).extracting(t -> t.info().id()).containsExactly("t8", "mine", "t9");
        Tag full = note(4, "d").with(new TagInfo(null, "me", 0.3, "n", Map.of("k", 1)));
        TagInfo kept = TagIds.name(r, List.of(full)).get(0).info();
        assertThat(kept).isEqualTo(new TagInfo("t8", "me", 0.3, "n", Map.of("k", 1)));
    }
}
