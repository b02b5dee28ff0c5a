package farglass.draft;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DraftListTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final String FILM = "m.mp4";
    private static final MatchRecord EMPTY =
            DemoLibrary.waiting(LEXICON).withFilms(List.of(FilmRef.of(FILM, 200_000L, ClockMap.EMPTY)));

    private static Tag.Action act(double s, Corner by, String technique) {
        return Tag.Action.of(MatchTime.ofMs(Math.round(1000 * s)), by, technique);
    }

    private static Draft said(Tag tag, String from, double confidence) {
        long ms = tag.t().ms();
        return Draft.of(tag, FILM, ms, new Basis(Source.CAPTIONS, from, confidence, "words", ms + 1500));
    }

    private static Draft of(Source source, Tag tag) {
        return Draft.of(tag, null, -1, new Basis(source, source.code(), 0.8, "", -1));
    }

    private static DraftList list(Draft... drafts) {
        return DraftList.empty(EMPTY.id()).with(List.of(drafts), EMPTY, LEXICON);
    }

    private static MatchRecord with(MatchRecord r, Tag... more) {
        List<Tag> tags = new ArrayList<>(r.tags());
        tags.addAll(List.of(more));
        return r.withTags(
                tags.stream().sorted(java.util.Comparator.comparing(Tag::t)).toList());
    }

    private static DraftFate fate(DraftList l, MatchRecord r) {
        return l.judged(r, LEXICON, 1500).get(0).fate();
    }

    @Test
    void theRecordSaysWhetherItWasTakenSoUndoingTheTagBringsItBack() {
        DraftList l = list(said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.8));
        Draft d = l.open(EMPTY, LEXICON, 1500).get(0);
        assertThat(d.id()).isNotNull();
        assertThat(fate(l, EMPTY)).isEqualTo(DraftFate.OPEN);
        Tag taken = d.taken(d.tag(), true);
        assertThat(taken.info().extra()).containsEntry("source", "captions");
        assertThat(taken.info().confidence()).isEqualTo(0.8);
        assertThat(fate(l, with(EMPTY, taken))).isEqualTo(DraftFate.TAKEN);
        Tag sided = ((Tag.Action) taken).sided(Side.LEFT);
        assertThat(fate(l, with(EMPTY, sided.at(MatchTime.ofMs(21_000)))))
                .as("more said of it, at its true moment")
                .isEqualTo(DraftFate.TAKEN);
        Tag other = ((Tag.Action) taken).builder().by(Corner.B).build();
        assertThat(fate(l, with(EMPTY, other))).isEqualTo(DraftFate.CHANGED);
        assertThat(fate(l.refused(d.id(), true), EMPTY)).isEqualTo(DraftFate.REFUSED);
        assertThat(fate(l, with(EMPTY, act(23, Corner.A, "leg-drag"))))
                .as("of the same kind, by the same, about then")
                .isEqualTo(DraftFate.HELD);
        assertThat(fate(l, with(EMPTY, act(23, Corner.B, "leg-drag")))).isEqualTo(DraftFate.OPEN);
        assertThat(fate(l, with(EMPTY, act(27, Corner.A, "knee-cut")))).isEqualTo(DraftFate.OPEN);
    }

    @Test
    void aPlaceThatTheyAreInIsNotAskedAgain() {
        Tag.Position lasso = Tag.Position.of(MatchTime.ofMs(10_000), "LAS", Corner.B, Corner.A);
        DraftList l = list(said(lasso.at(MatchTime.ofMs(60_000)), "c.vtt", 0.7));
        assertThat(fate(l, with(EMPTY, lasso))).isEqualTo(DraftFate.HELD);
        assertThat(fate(l, EMPTY)).isEqualTo(DraftFate.OPEN);
    }

    @Test
    void severalSourcesOfOneMomentAreOneDraft() {
        DraftList l =
                list(said(act(20, Corner.A, "pass").builder().family("pass").build(), "c.vtt", 0.7));
        Tag.Action noted = act(22, Corner.A, "knee-cut")
                .builder()
                .outcome(Outcome.COMPLETED)
                .build();
        DraftList both = l.with(List.of(of(Source.NOTES, noted)), EMPTY, LEXICON);
        assertThat(both.drafts()).singleElement().satisfies(d -> {
            assertThat(d.bases()).hasSize(2);
            assertThat(d.source()).isEqualTo(Source.NOTES);
            assertThat(d.tag().t().ms()).isEqualTo(22_000);
            assertThat(((Tag.Action) d.tag()).technique()).isEqualTo("knee-cut");
            assertThat(d.confidence()).isCloseTo(1 - 0.3 * 0.2, within(1e-12));
            assertThat(d.id()).isEqualTo(l.drafts().get(0).id());
        });
        DraftList one = list(
                said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.7), said(act(23, Corner.A, "knee-cut"), "c.vtt", 0.7));
        assertThat(one.drafts()).as("who says it twice means two").hasSize(2);
    }

    @Test
    void aSourceReadAgainTakesThePlaceOfItsEarlierReading() {
        DraftList l = list(
                said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.7),
                said(act(40, Corner.A, "armbar"), "c.vtt", 0.7),
                said(act(60, Corner.A, "triangle"), "c.vtt", 0.7));
        String refused = l.drafts().get(0).id();
        String kept = l.drafts().get(1).id();
        DraftList again = l.refused(refused, true)
                .with(
                        List.of(
                                said(act(20.5, Corner.A, "knee-cut"), "c.vtt", 0.9),
                                said(act(40.5, Corner.A, "armbar"), "c.vtt", 0.9),
                                said(act(80, Corner.B, "omoplata"), "c.vtt", 0.9)),
                        EMPTY,
                        LEXICON);
        assertThat(again.drafts()).hasSize(3);
        assertThat(again.draft(refused)).get().matches(Draft::refused);
        assertThat(again.draft(kept)).get().satisfies(d -> {
            assertThat(d.confidence()).isEqualTo(0.9);
            assertThat(d.tag().t().ms()).isEqualTo(40_500);
        });
        assertThat(again.drafts()).extracting(Draft::id).doesNotHaveDuplicates();
        assertThat(again.drafts())
                .noneMatch(d -> ((Tag.Action) d.tag()).technique().equals("triangle"));
    }

    @Test
    void aSourceThatIsMostlyRefusedGrowsQuieter() {
        DraftList l = DraftList.empty(EMPTY.id());
        for (int i = 0; i < 20; i++) {
            l = l.with(List.of(said(act(10 * i, Corner.A, "knee-cut"), i + ".vtt", 0.8)), EMPTY, LEXICON);
        }
        Map<Source, SourceRecord> none = SourceRecord.of(List.of(l), id -> Optional.of(EMPTY), LEXICON);
        assertThat(none.get(Source.CAPTIONS).judged()).isZero();
        assertThat(none.get(Source.CAPTIONS).weight()).isEqualTo(1);
        for (int i = 0; i < 15; i++) {
            l = l.refused(l.drafts().get(i).id(), true);
        }
        Draft left = l.drafts().get(19);
        MatchRecord one = with(EMPTY, left.taken(left.tag(), true));
        SourceRecord r =
                SourceRecord.of(List.of(l), id -> Optional.of(one), LEXICON).get(Source.CAPTIONS);
        assertThat(r.taken()).isEqualTo(1);
        assertThat(r.judged()).isEqualTo(16);
        assertThat(r.precision()).isEqualTo(1 / 16.0);
        assertThat(r.interval()[0]).isBetween(0.0, 0.06);
        assertThat(r.interval()[1]).isBetween(0.15, 0.3);
        assertThat(r.weight()).isCloseTo(9 / 26.0 / 0.8, within(1e-12));
        assertThat(SourceRecord.heard(left, Map.of(Source.CAPTIONS, r)).confidence())
                .isLessThan(0.4);
    }

    @Test
    void howLongAfterTheActPeopleSpeakIsLearnedFromThoseThatWereMoved() {
        DraftList l = DraftList.empty(EMPTY.id());
        MatchRecord r = EMPTY;
        for (int i = 0; i < 9; i++) {
            l = l.with(List.of(said(act(10 + 15 * i, Corner.A, "knee-cut"), "c" + i, 0.8)), EMPTY, LEXICON);
            Draft d = l.drafts().get(i);
            // said 1.5 s after the proposed moment; the true one is another second before it, of six of them
            Tag at = i < 6 ? d.tag().at(d.tag().t().plus(-1000)) : d.tag();
            r = with(r, d.taken(at, true));
        }
        MatchRecord done = r;
        assertThat(SpeechLag.learned(List.of(l), id -> Optional.of(done))).isEqualTo(2500);
        assertThat(SpeechLag.learned(List.of(l), id -> Optional.of(EMPTY))).isEqualTo(SpeechLag.USUAL_MS);
        assertThat(l.open(EMPTY, LEXICON, 2500).get(0).tag().t().ms())
                .as("what is open moves with it")
                .isEqualTo(9000);
    }

    @Test
    void theSureOnesInARowMayBeTakenTogether() {
        List<Draft> open = list(
                        said(act(10, Corner.A, "knee-cut"), "c", 0.9),
                        said(act(30, Corner.A, "armbar"), "c", 0.85),
                        said(act(50, Corner.A, "triangle"), "c", 0.5),
                        said(act(70, Corner.A, "omoplata"), "c", 0.9))
                .open(EMPTY, LEXICON, 1500);
        assertThat(DraftRun.of(open, 0)).hasSize(2);
        assertThat(DraftRun.of(open, 2)).isEmpty();
        assertThat(DraftRun.of(open, 3)).hasSize(1);
        assertThat(DraftRun.of(open, 4)).isEmpty();
    }

    @Test
    void whatIsOnlyToBeReadEndsNoRunAndIsInNone() {
        List<Draft> open = list(
                        said(act(10, Corner.A, "knee-cut"), "c", 0.9),
                        said(act(30, Corner.A, "armbar"), "c", 0.3),
                        said(act(50, Corner.A, "triangle"), "c", 0.9),
                        said(act(70, Corner.A, "omoplata"), "c", 0.35))
                .open(EMPTY, LEXICON, 1500);
        assertThat(open).extracting(Draft::quiet).containsExactly(false, true, false, false);
        assertThat(DraftRun.of(open, 0)).containsExactly(open.get(0), open.get(2));
        assertThat(DraftRun.of(open, 1)).isEmpty();
    }

    @Test
    void thePaceIsThatOfTheLastDecisions() {
        PassPace pace = new PassPace();
        assertThat(pace.left(10)).isEqualTo(80_000);
        pace.begin(0);
        for (int i = 1; i <= 30; i++) {
            pace.decided(i * 2000L);
        }
        assertThat(pace.left(10)).isBetween(20_000L, 30_000L);
        pace.decided(10_000_000);
        assertThat(pace.left(10)).as("whoever went away says nothing").isBetween(20_000L, 30_000L);
    }

    @Test
    void anotherRecordOfTheMatchProposesItsTagsInTheseCorners() {
        MatchRecord mine = EMPTY;
        MatchRecord.Details d = mine.details();
        MatchRecord theirs = new MatchRecord(
                "other",
                mine.kind(),
                new MatchRecord.Details(
                        d.date(),
                        null,
                        d.round(),
                        d.division(),
                        d.attire(),
                        d.ruleset(),
                        d.lengthMs(),
                        d.b(),
                        d.a(),
                        null),
                List.of(),
                List.of(
                        act(10, Corner.A, "knee-cut"),
                        new Tag.Body(MatchTime.ofMs(20_000), Corner.A, "both-knees-down", null, null, TagInfo.NONE),
                        new Tag.Call(
                                MatchTime.ofMs(30_000), CallKind.POINTS, Corner.B, 2, true, null, null, TagInfo.NONE)),
                Map.of());
        assertThat(RecordDrafts.others(mine, List.of(mine, theirs))).containsExactly(theirs);
        List<Draft> drafts = RecordDrafts.of(theirs, mine, Source.ANALYST, "other");
        assertThat(((Tag.Action) drafts.get(0).tag()).by()).isEqualTo(Corner.B);
        assertThat(((Tag.Body) drafts.get(1).tag()).of()).isEqualTo(Corner.B);
        assertThat(((Tag.Call) drafts.get(2).tag()).who()).isEqualTo(Corner.A);
        MatchRecord later = new MatchRecord(
                "later",
                mine.kind(),
                new MatchRecord.Details(
                        d.date().plusDays(1),
                        d.event(),
                        d.round(),
                        d.division(),
                        d.attire(),
                        d.ruleset(),
                        d.lengthMs(),
                        d.a(),
                        d.b(),
                        null),
                List.of(),
                theirs.tags(),
                Map.of());
        assertThat(RecordDrafts.others(mine, List.of(later))).isEmpty();
    }

    @Test
    void whatWorkedBringsItsPlaceAlongAsWhenItIsTyped() {
        Tag.Action pull = act(5, Corner.B, "guard-pull")
                .builder()
                .outcome(Outcome.COMPLETED)
                .build();
        List<Tag> tags = DraftTags.of(said(pull, "c", 0.9), EMPTY, LEXICON);
        assertThat(tags).hasSizeGreaterThan(1);
        assertThat(tags.get(0)).isInstanceOfSatisfying(Tag.Action.class, a -> {
            assertThat(a.technique()).isEqualTo("guard-pull");
            assertThat(a.to()).isNotNull();
        });
        assertThat(tags.get(1))
                .isInstanceOfSatisfying(
                        Tag.Position.class, p -> assertThat(p.guard()).isEqualTo(Corner.B));
        Tag.Action tried = act(5, Corner.B, "guard-pull");
        assertThat(DraftTags.of(said(tried, "c", 0.9), EMPTY, LEXICON)).containsExactly(tried);
    }

    @Test
    void aDraftTakenAtAnotherMomentRemembersWhereItWasProposed() {
        DraftList l = list(said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.8));
        Draft d = l.open(EMPTY, LEXICON, 1500).get(0).at(MatchTime.ofMs(18_000));
        assertThat(d.taken(d.tag(), true).info().extra()).containsEntry("proposed", 20_000L);
        assertThat(d.taken(d.tag(), true).t().ms()).isEqualTo(18_000);
    }

    @Test
    void aFilmThatLiesElsewhereIsKnownByItsNameAndOneTakenAwayShowsNothing() {
        DraftList l = list(said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.8));
        FilmRef moved = FilmRef.of("/elsewhere/" + FILM, 200_000L, ClockMap.EMPTY);
        assertThat(fate(l, EMPTY.withFilms(List.of(moved)))).isEqualTo(DraftFate.OPEN);
        FilmRef other = FilmRef.of("other.mp4", 200_000L, ClockMap.EMPTY);
        assertThat(fate(l, EMPTY.withFilms(List.of(other)))).isEqualTo(DraftFate.OUT_OF_SIGHT);
        assertThat(fate(l, EMPTY.withFilms(List.of()))).isEqualTo(DraftFate.OPEN);
    }

    @Test
    void whereTwoSourcesNameDifferentAthletesTheyAreInConflict() {
        Draft one = said(act(20, Corner.A, "knee-cut"), "c.vtt", 0.7);
        Draft other = of(Source.NOTES, act(22, Corner.B, "leg-drag"));
        Draft elsewhere = of(Source.NOTES, act(40, Corner.B, "leg-drag"));
        List<Draft> open =
                list(one).with(List.of(other, elsewhere), EMPTY, LEXICON).open(EMPTY, LEXICON, 1500);
        assertThat(open).as("they are not one act").hasSize(3);
        assertThat(DraftConflict.moments(EMPTY, open, LEXICON)).containsExactly(MatchTime.ofMs(20_000));
        MatchRecord told = with(EMPTY, act(41, Corner.A, "toreando"));
        assertThat(DraftConflict.moments(told, open, LEXICON))
                .as("the record contradicts the third")
                .containsExactly(MatchTime.ofMs(20_000), MatchTime.ofMs(40_000));
    }

    @Test
    void whatRestsOnNothingIsNoDraft() {
        assertThatThrownBy(() -> new Draft(null, act(1, Corner.A, "armbar"), null, -1, List.of(), false))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Basis(Source.NOTES, "n", 1.2, "", -1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> {
                    Draft d = of(Source.NOTES, act(1, Corner.A, "armbar"));
                    d.taken(d.tag(), true);
                })
                .isInstanceOf(IllegalStateException.class);
    }
}
