package farglass.team;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.held;
import static farglass.match.Records.note;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.RecordKind;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.time.ClockMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RebaseTest {
    private static final Tag.Action SHOT = tries(5, Corner.A, "double-leg").with(TagInfo.withId("t1"));
    private final MatchRecord record =
            Records.of(start(), at(0, "STD"), SHOT, held(5, "SDC", Corner.A).with(TagInfo.withId("t2")), end(60));

    private Edit changed(MatchRecord r, Tag.Action to) {
        return Edit.replace(r, 2, to);
    }

    @Test
    void tagsOfTwoPeopleBothStand() {
        MatchRecord theirs = Edit.add(record, note(3, "theirs")).apply(record);
        Rebase rebase = new Rebase(theirs);
        Edit mine = rebase.next(Edit.add(record, note(9, "mine"))).orElseThrow();
        assertThat(mine.apply(theirs)).isEqualTo(rebase.record());
        assertThat(rebase.record().tags()).contains(note(3, "theirs"), note(9, "mine"));
        assertThat(rebase.clashes()).isEmpty();
    }

    @Test
    void differentFieldsOfOneTagBothStand() {
        MatchRecord theirs = changed(record, SHOT.sided(Side.LEFT)).apply(record);
        Rebase rebase = new Rebase(theirs);
        assertThat(rebase.next(changed(record, SHOT.builder().by(Corner.B).build())))
                .isPresent();
        Tag.Action both = (Tag.Action) rebase.record().tags().get(2);
        assertThat(both.side()).isEqualTo(Side.LEFT);
        assertThat(both.by()).isEqualTo(Corner.B);
        assertThat(rebase.clashes()).isEmpty();
    }

    @Test
    void theSameFieldStaysAsTheirsAndMineCanBeChosen() {
        MatchRecord theirs = changed(record, SHOT.sided(Side.LEFT)).apply(record);
        Rebase rebase = new Rebase(theirs);
        Tag.Action mine = SHOT.sided(Side.RIGHT)
                .builder()
                .outcome(Outcome.COMPLETED)
                .reached(4)
                .build();
        assertThat(rebase.next(changed(record, mine))).isPresent();
        Tag.Action kept = (Tag.Action) rebase.record().tags().get(2);
        assertThat(kept.side()).isEqualTo(Side.LEFT);
        assertThat(kept.outcome()).as("what only one of them said").isEqualTo(Outcome.COMPLETED);
        assertThat(rebase.clashes()).hasSize(1);
        Clash clash = rebase.clashes().get(0);
        assertThat(clash.fields()).containsExactly("sides");
        assertThat(clash.mine().apply(rebase.record()).tags().get(2)).isEqualTo(mine);
    }

    @Test
    void theSameChangeTwiceIsDoneOnce() {
        Edit change = changed(record, SHOT.sided(Side.LEFT));
        Rebase rebase = new Rebase(change.apply(record));
        assertThat(rebase.next(change)).isEmpty();
        Edit removal = Edit.remove(record, 2);
        Rebase again = new Rebase(removal.apply(record));
        assertThat(again.next(removal)).isEmpty();
        assertThat(again.clashes()).isEmpty();
    }

    @Test
    void aTagThatOneChangedAndTheOtherRemovedIsPutToThem() {
        Edit removal = Edit.remove(record, 2);
        Edit change = changed(record, SHOT.sided(Side.LEFT));
        Rebase late = new Rebase(removal.apply(record));
        assertThat(late.next(change)).isEmpty();
        assertThat(late.clashes()).extracting(Clash::fields).containsExactly(List.of(Clash.REMOVED));
        assertThat(late.clashes().get(0).mine().apply(late.record()).tags()).contains(SHOT.sided(Side.LEFT));

        Rebase other = new Rebase(change.apply(record));
        assertThat(other.next(removal)).isEmpty();
        assertThat(other.record().tags()).contains(SHOT.sided(Side.LEFT));
        assertThat(other.clashes().get(0).mine().apply(other.record()).tags()).hasSize(4);
    }

    @Test
    void anIdThatTheOtherGaveToATagOfHisOwnIsNotShared() {
        Tag theirTag = note(20, "theirs").with(TagInfo.withId("t3"));
        MatchRecord theirs = Edit.add(record, theirTag).apply(record);
        Tag first = note(10, "mine").with(TagInfo.withId("t3"));
        MatchRecord mine = Edit.add(record, first).apply(record);
        Edit later = Edit.replace(
                mine, mine.tags().indexOf(first), note(10, "mine, better").with(first.info()));
        Rebase rebase = new Rebase(theirs);
        assertThat(rebase.next(Edit.add(record, first))).isPresent();
        assertThat(rebase.next(later)).isPresent();
        assertThat(rebase.record().tags())
                .contains(theirTag, note(10, "mine, better").with(TagInfo.withId("t4")));
        assertThat(rebase.renamed()).isEqualTo(Map.of("t3", "t4"));
        // one more, made before the window had heard of the other name
        Rebase stale = new Rebase(rebase.record(), rebase.renamed());
        Tag shown = note(10, "mine, better").with(TagInfo.withId("t3"));
        assertThat(stale.next(new Edit.Remove(4, shown))).isPresent();
        assertThat(stale.record()).isEqualTo(theirs);
        // and one of the other's tag, which is called the same
        Rebase of = new Rebase(rebase.record(), rebase.renamed());
        assertThat(of.next(new Edit.Remove(0, theirTag))).isPresent();
        assertThat(of.record().tags()).doesNotContain(theirTag).hasSize(6);
    }

    @Test
    void whatTogetherCannotBeIsAClash() {
        Tag.Action until = SHOT.builder().until(s(8)).build();
        MatchRecord theirs = changed(record, until).apply(record);
        Rebase rebase = new Rebase(theirs);
        Tag.Action later = SHOT.builder().t(s(12)).build();
        assertThat(rebase.next(changed(record, later))).isEmpty();
        assertThat(rebase.record()).isEqualTo(theirs);
        assertThat(rebase.clashes().get(0).fields()).containsExactly("t");
        assertThat(rebase.clashes().get(0).mine().apply(theirs).tags()).contains(later);
    }

    @Test
    void detailsFilmsAndKindAreMergedToo() {
        MatchRecord.Details d = record.details();
        FilmRef film = FilmRef.of("a.mp4", 5L, ClockMap.EMPTY);
        FilmRef second = FilmRef.of("b.mp4", 6L, ClockMap.EMPTY);
        MatchRecord filmed = new Edit.SetFilms(List.of(), List.of(film)).apply(record);
        MatchRecord theirs = filmed.withDetails(d.attire("no-gi")).withFilms(List.of(film.at("moved.mp4")));
        Rebase rebase = new Rebase(theirs);
        rebase.next(new Edit.Batch(List.of(
                new Edit.SetDetails(d, d.ruleset("sub-only")),
                new Edit.SetFilms(List.of(film), List.of(film, second)),
                new Edit.SetKind(RecordKind.MATCH, RecordKind.ROUND))));
        assertThat(rebase.record().details()).isEqualTo(d.attire("no-gi").ruleset("sub-only"));
        assertThat(rebase.record().films()).containsExactly(film.at("moved.mp4"), second);
        assertThat(rebase.record().kind()).isEqualTo(RecordKind.ROUND);
        assertThat(rebase.clashes()).isEmpty();

        rebase.next(new Edit.Batch(List.of(
                new Edit.SetDetails(d, d.attire("gi").ruleset("points-no-gi")),
                new Edit.SetFilms(List.of(film), List.of(film.at("elsewhere.mp4"))))));
        assertThat(rebase.clashes()).extracting(Clash::fields).containsExactly(List.of("ruleset"), List.of("file"));
        MatchRecord chosen = rebase.clashes().get(0).mine().apply(rebase.record());
        assertThat(chosen.details().ruleset()).isEqualTo("points-no-gi");
    }

    /**
     * Two people change one record in a random order; whoever comes second is made to fit. What they touched alone is
     * as they left it whoever came first, and both edits can be taken back.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16})
    void whoComesFirstDecidesOnlyWhereTheyClash(long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<Tag> tags = new ArrayList<>(List.of(start()));
        for (int i = 0; i < 12; i++) {
            tags.add(tries(rng.nextInt(60), i % 2 == 0 ? Corner.A : Corner.B, "armbar")
                    .with(TagInfo.withId("t" + (i + 1))));
        }
        MatchRecord base = Records.of(tags.toArray(Tag[]::new));
        // one of them has the even tags, the other the odd ones
        List<Edit> first = edits(base, 0, rng);
        List<Edit> second = edits(base, 1, rng);
        MatchRecord one = both(base, first, second);
        MatchRecord other = both(base, second, first);
        assertThat(names(one)).containsExactlyInAnyOrderElementsOf(names(other));
    }

    private static MatchRecord both(MatchRecord base, List<Edit> first, List<Edit> second) {
        MatchRecord now = base;
        for (Edit e : first) {
            now = e.apply(now);
        }
        Rebase rebase = new Rebase(now);
        for (Edit e : second) {
            MatchRecord before = rebase.record();
            rebase.next(e).ifPresent(made -> {
                assertThat(made.apply(before)).isEqualTo(rebase.record());
                assertThat(made.inverse().apply(rebase.record())).isEqualTo(before);
            });
        }
        assertThat(rebase.clashes()).isEmpty();
        return rebase.record();
    }

    /** What every tag says but for its id, which depends on who came first. */
    private static List<String> names(MatchRecord r) {
        return r.tags().stream().map(t -> t.with(TagInfo.NONE).toString()).toList();
    }

    private static List<Edit> edits(MatchRecord base, int whose, UniformRandomProvider rng) {
        List<Edit> edits = new ArrayList<>();
        MatchRecord now = base;
        for (int k = 0; k < 25; k++) {
            List<Integer> own = new ArrayList<>();
            for (int i = 1; i < now.tags().size(); i++) {
                Tag t = now.tags().get(i);
                boolean known = base.tags().stream()
                        .anyMatch(b ->
                                String.valueOf(b.info().id()).equals(t.info().id()));
                int number = Integer.parseInt(String.valueOf(t.info().id()).substring(1));
                if (!known || number % 2 == whose) {
                    own.add(i);
                }
            }
            Edit e;
            int what = rng.nextInt(4);
            if (what == 0 || own.isEmpty()) {
                e = Edit.addAll(now, TagIds.name(now, List.of(note(rng.nextInt(60), whose + " " + k))));
            } else {
                int i = own.get(rng.nextInt(own.size()));
                Tag t = now.tags().get(i);
                e = what == 1
                        ? Edit.remove(now, i)
                        : Edit.replace(
                                now,
                                i,
                                what == 2
                                        ? t.at(s(rng.nextInt(60)))
                                        : t.with(t.info().confidence(rng.nextDouble())));
            }
            edits.add(e);
            now = e.apply(now);
        }
        return edits;
    }
}
