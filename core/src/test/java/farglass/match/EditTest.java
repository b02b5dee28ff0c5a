package farglass.match;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.note;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.time.ClockMap;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EditTest {
    private final MatchRecord record =
            Records.of(start(), at(0, "STD"), tries(5, Corner.A, "double-leg"), held(5, "SDC", Corner.A), end(60));

    @Test
    void anAddedTagStandsAfterTagsOfTheSameTime() {
        MatchRecord next = Edit.add(record, note(5, "here")).apply(record);
        assertThat(next.tags().get(4)).isEqualTo(note(5, "here"));
    }

    @Test
    void aMovedTagKeepsTheOrderOfTime() {
        Edit e = Edit.replace(record, 2, record.tags().get(2).at(s(30)));
        MatchRecord next = e.apply(record);
        assertThat(next.tags()).extracting(t -> t.t().ms()).containsExactly(0L, 0L, 5000L, 30_000L, 60_000L);
        assertThat(e.inverse().apply(next)).isEqualTo(record);
    }

    @Test
    void anEditForAnotherRecordIsRefused() {
        Edit e = Edit.remove(record, 2);
        MatchRecord other = e.apply(record);
        assertThatThrownBy(() -> e.apply(other)).hasMessageContaining("tag 2 is not the one this edit was made for");
        assertThatThrownBy(() -> new Edit.Add(0, note(9, "late")).apply(record))
                .as("an index that contradicts the time")
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void detailsAndFilmsAreChangedAndTakenBack() {
        Edit details = new Edit.SetDetails(
                record.details(), record.details().result(new Result(Corner.A, Method.POINTS, null, s(60))));
        Edit films = new Edit.SetFilms(List.of(), List.of(FilmRef.of("x.mp4", 5L, ClockMap.EMPTY)));
        Edit both = new Edit.Batch(List.of(details, films));
        MatchRecord next = both.apply(record);
        assertThat(next.details().result().winner()).isEqualTo(Corner.A);
        assertThat(next.films()).hasSize(1);
        assertThat(both.inverse().apply(next)).isEqualTo(record);
        assertThatThrownBy(() -> details.apply(next)).hasMessageContaining("details are not those");
        assertThatThrownBy(() -> films.apply(next)).hasMessageContaining("films are not those");
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15})
    void anyRunOfEditsCanBeTakenBackStepByStep(long seed) {
        UniformRandomProvider rng = RandomSource.SPLIT_MIX_64.create(seed);
        MatchRecord now = record;
        Deque<MatchRecord> before = new ArrayDeque<>();
        Deque<Edit> done = new ArrayDeque<>();
        for (int i = 0; i < 120; i++) {
            Edit e = random(rng, now, i);
            before.push(now);
            done.push(e);
            now = e.apply(now);
        }
        while (!done.isEmpty()) {
            now = done.pop().inverse().apply(now);
            assertThat(now).as("seed %d, %d edits left", seed, done.size()).isEqualTo(before.pop());
        }
    }

    private static Edit random(UniformRandomProvider rng, MatchRecord r, int i) {
        int kind = r.tags().isEmpty() ? 0 : rng.nextInt(4);
        double when = rng.nextInt(60);
        return switch (kind) {
            case 0 -> Edit.add(r, note(when, "n" + i));
            case 1 -> Edit.remove(r, rng.nextInt(r.tags().size()));
            case 2 -> {
                int index = rng.nextInt(r.tags().size());
                yield Edit.replace(r, index, r.tags().get(index).at(s(when)));
            }
            default -> Edit.addAll(r, List.of(at(when, "STD"), note(when, "m" + i)));
        };
    }

    @Test
    void newTagsGetIdsThatNobodyHas() {
        MatchRecord r = Records.of(note(1, "x").with(TagInfo.withId("t41")), note(2, "y"));
        List<Tag> named = TagIds.name(r, List.of(note(3, "z"), note(4, "w").with(TagInfo.withId("mine"))));
        assertThat(named).extracting(t -> t.info().id()).containsExactly("t42", "mine");
        assertThat(r.tagName(0)).isEqualTo("t41");
        assertThat(r.tagName(1)).isEqualTo("1");
    }

    @Test
    void whatAReplayShowsAgainIsMergedNotCountedTwice() {
        Tag.Action seen =
                Tag.Action.of(s(5.9), Corner.A, "double-leg").sided(Side.LEFT).result(Outcome.NEAR, 2, null, null);
        MatchRecord next = ReplayMerge.edit(record, List.of(seen)).apply(record);
        assertThat(next.tags()).hasSameSizeAs(record.tags());
        Tag.Action merged = (Tag.Action) next.tags().get(2);
        assertThat(merged.side()).as("missing fields are filled").isEqualTo(Side.LEFT);
        assertThat(merged.outcome()).as("fields that are there win").isEqualTo(Outcome.STUFFED);
    }

    @Test
    void somethingNewInAReplayIsAdded() {
        Tag.Action late = Tag.Action.of(s(6.6), Corner.A, "double-leg");
        Tag.Action other = Tag.Action.of(s(5), Corner.B, "guillotine");
        MatchRecord next = ReplayMerge.edit(record, List.of(late, other)).apply(record);
        assertThat(next.tags()).hasSize(record.tags().size() + 2);
        Edit nothing = ReplayMerge.edit(record, List.of(held(5.5, "SDC", Corner.A)));
        assertThat(((Edit.Batch) nothing).edits()).isEmpty();
    }

    @Test
    void impossibleTagsCannotBeMade() {
        assertThatThrownBy(() -> Tag.Action.of(s(1), Corner.A, "x").result(null, 5, null, null))
                .hasMessage("reached (5) must lie in 1..4");
        assertThatThrownBy(() -> Tag.Action.of(s(2), Corner.A, "x").result(null, 1, null, s(1)))
                .hasMessageContaining("must not come before t");
        assertThatThrownBy(() -> TagInfo.NONE.confidence(1.2)).hasMessageContaining("must lie in 0..1");
    }

    @Test
    void oneKeyChangesAreTheirOwnInverse() {
        Tag.Action a = tries(5, Corner.A, "knee-cut").sided(Side.LEFT);
        assertThat(((Tag.Action) TagChanges.mirrored(a)).side()).isEqualTo(Side.RIGHT);
        assertThat(((Tag.Action) TagChanges.swapped(a)).by()).isEqualTo(Corner.B);
        Tag.Position p = guard(3, "LAS", Corner.A).sided(Side.RIGHT);
        assertThat(((Tag.Position) TagChanges.swapped(p)).guard()).isEqualTo(Corner.B);
        assertThat(((Tag.Position) TagChanges.swapped(p)).holder()).isEqualTo(Corner.A);
        assertThat(((Tag.Position) TagChanges.sideHidden(p)).side()).isEqualTo(Side.NOT_VISIBLE);
        for (Tag t : new Tag[] {a, p, start(), note(2, "x")}) {
            assertThat(TagChanges.mirrored(TagChanges.mirrored(t))).isEqualTo(t);
            assertThat(TagChanges.swapped(TagChanges.swapped(t))).isEqualTo(t);
        }
    }
}
