package farglass.draft;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.narration.Cue;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import org.junit.jupiter.api.Test;

class CaptionDraftsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final MatchRecord MATCH = DemoLibrary.matches(LEXICON, DemoLibrary.SEED).stream()
            .filter(r -> r.cornerOf("ansa-kellivar").isPresent()
                    && r.cornerOf("brisa-tolendt").isPresent())
            .findFirst()
            .orElseThrow();

    private static final Corner BRISA = MATCH.cornerOf("brisa-tolendt").orElseThrow();

    @Test
    void aDraftIsATagWithItsSourceAndStandsBeforeTheWord() {
        List<Cue> cues = List.of(new Cue(30_000, 33_000, "Brisa pulls guard, and she plays her lasso guard."));
        List<Draft> drafts = CaptionDrafts.of(cues, "said.vtt", MATCH, null, LEXICON, 1000);
        assertThat(drafts).hasSizeGreaterThanOrEqualTo(2);
        assertThat(drafts.get(0).tag()).isInstanceOfSatisfying(Tag.Action.class, a -> {
            assertThat(a.by()).isEqualTo(BRISA);
            assertThat(a.technique()).isEqualTo("guard-pull");
            assertThat(a.t().ms()).isBetween(28_500L, 31_000L);
        });
        assertThat(drafts)
                .anySatisfy(d -> assertThat(d.tag()).isInstanceOfSatisfying(Tag.Position.class, p -> {
                    assertThat(p.position()).isEqualTo("LAS");
                    assertThat(p.guard()).isEqualTo(BRISA);
                }));
        assertThat(drafts)
                .allMatch(d -> d.source() == Source.CAPTIONS && d.text().contains("pulls guard"));
    }

    @Test
    void theFilmsClockSaysWhenInTheMatchAndWhatItDoesNotShowIsNone() {
        Segment live = new Segment(new FilmTime(10_000), new FilmTime(70_000), Segment.Kind.LIVE, new MatchTime(0), 1);
        FilmRef film = FilmRef.of("m.mp4", 100_000L, ClockMap.of(List.of(live)));
        long ms = 14_000;
        List<Cue> cues = List.of(
                new Cue(ms, ms + 2000, "Brisa goes for the triangle."),
                new Cue(90_000, 92_000, "Brisa goes for the armbar."));
        MatchRecord filmed = MATCH.withFilms(List.of(film)).withTags(List.of());
        List<Draft> drafts = CaptionDrafts.of(cues, "said.vtt", filmed, film, LEXICON, 0);
        assertThat(drafts).hasSize(2);
        DraftList list = DraftList.empty(filmed.id()).with(drafts, filmed, LEXICON);
        assertThat(list.judged(filmed, LEXICON, 0))
                .extracting(DraftList.Judged::fate)
                .contains(DraftFate.OUT_OF_SIGHT);
        assertThat(list.open(filmed, LEXICON, 0)).singleElement().satisfies(d -> {
            assertThat(d.filmMs()).isBetween(ms, ms + 2000);
            assertThat(d.tag().t().ms()).isEqualTo(d.filmMs() - 10_000);
        });
    }

    @Test
    void whatNobodyIsNamedForIsNoTag() {
        assertThat(CaptionDrafts.of(List.of(new Cue(0, 2000, "Triangle!")), "said.vtt", MATCH, null, LEXICON, 0))
                .isEmpty();
    }
}
