package farglass.draft;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClockDraftsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord MATCH = DemoLibrary.waiting(LEXICON);

    private static FilmRef film(Segment... segments) {
        return FilmRef.of("m.mp4", 200_000L, ClockMap.of(List.of(segments)));
    }

    @Test
    void whereTheClockStoodStillThereWasAStopAndWhereItEndsTheMatchIsOver() {
        FilmRef film = film(
                Segment.live(1000, 31_000, 0),
                Segment.blank(31_000, 40_000, Segment.Kind.STOPPAGE),
                Segment.live(40_000, 60_000, 30_000),
                Segment.blank(60_000, 70_000, Segment.Kind.OTHER),
                Segment.live(70_000, 90_000, 60_000));
        List<Draft> drafts = ClockDrafts.of(MATCH, film);
        assertThat(drafts).hasSize(2);
        assertThat(drafts.get(0).tag()).isInstanceOf(Tag.Stop.class);
        assertThat(drafts.get(0).tag().t()).isEqualTo(MatchTime.ofMs(30_000));
        assertThat(drafts.get(1).tag()).isInstanceOf(Tag.End.class);
        assertThat(drafts.get(1).tag().t()).isEqualTo(MatchTime.ofMs(80_000));
        assertThat(DraftTags.of(drafts.get(0), MATCH, LEXICON))
                .as("the match goes on at the same match time")
                .extracting(Tag::type)
                .containsExactly("stop", "resume");
    }

    @Test
    void whatTheRecordHoldsOrNoClockShowsIsNotProposed() {
        assertThat(ClockDrafts.of(MATCH, FilmRef.of("m.mp4", 200_000L, ClockMap.EMPTY)))
                .isEmpty();
        List<Tag> tags = new ArrayList<>(MATCH.tags());
        tags.add(new Tag.End(MatchTime.ofMs(50_000), TagInfo.NONE));
        assertThat(ClockDrafts.of(MATCH.withTags(tags), film(Segment.live(1000, 31_000, 0))))
                .isEmpty();
    }

    @Test
    void itsDraftsAndThoseOfTheScoreOfOneFilmDoNotDriveEachOtherOut() {
        FilmRef film = film(Segment.live(1000, 31_000, 0));
        Draft score = Draft.of(
                Tag.Action.of(MatchTime.ofMs(9000), Corner.A, "armbar"),
                "m.mp4",
                10_000,
                new Basis(Source.SCORE, "m.mp4", 0.9, "", -1));
        DraftList list = DraftList.empty(MATCH.id())
                .with(List.of(score), MATCH, LEXICON)
                .with(ClockDrafts.of(MATCH, film), MATCH, LEXICON)
                .with(List.of(score), MATCH, LEXICON);
        assertThat(list.drafts()).hasSize(2);
    }
}
