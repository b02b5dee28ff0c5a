package farglass.match;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Match time that no film of a match shows. */
class FilmGapsTest {
    private static final MatchRecord BARE =
            Records.of(Records.start(), Records.at(0, "STD"), Records.guard(20, "LAS", Corner.A), Records.end(100));

    private static FilmRef film(String name, Segment... segments) {
        return FilmRef.of(name, 100_000L, ClockMap.of(List.of(segments)));
    }

    private static ClockMap.Gap gap(long from, long to) {
        return new ClockMap.Gap(MatchTime.ofMs(from), MatchTime.ofMs(to));
    }

    @Test
    void withoutAClockedFilmThereIsNone() {
        assertThat(BARE.filmGaps()).isEmpty();
        assertThat(BARE.withFilms(List.of(FilmRef.of("f", 5L, ClockMap.EMPTY))).filmGaps())
                .isEmpty();
    }

    @Test
    void oneFilmLeavesWhatItDoesNotShowLive() {
        MatchRecord r = BARE.withFilms(
                List.of(film("a", Segment.live(0, 30_000, 10_000), Segment.replay(30_000, 40_000, 90_000, 0.5))));
        assertThat(r.filmGaps()).containsExactly(gap(0, 10_000), gap(40_000, 100_000));
    }

    @Test
    void anotherCameraFillsThemAndAFilmWithoutAClockChangesNothing() {
        FilmRef a = film("a", Segment.live(0, 30_000, 10_000));
        FilmRef b = film("b", Segment.live(0, 50_000, 35_000));
        MatchRecord two = BARE.withFilms(List.of(a, b));
        assertThat(two.filmGaps()).containsExactly(gap(0, 10_000), gap(85_000, 100_000));
        MatchRecord three = BARE.withFilms(List.of(a, b, FilmRef.of("c", 5L, ClockMap.EMPTY)));
        assertThat(three.filmGaps()).isEqualTo(two.filmGaps());
    }

    @Test
    void spansAreCutAtThem() {
        MatchRecord r =
                BARE.withFilms(List.of(film("a", Segment.live(0, 40_000, 0), Segment.live(50_000, 90_000, 60_000))));
        List<Span> spans = PositionLine.of(r, Lexicon.builtIn()).spans();
        assertThat(spans).hasSize(3);
        assertThat(spans.get(1).exit()).isEqualTo(Span.Exit.GAP);
        assertThat(spans.get(2).leftTruncated()).isTrue();
        assertThat(spans.get(2).from()).isEqualTo(MatchTime.ofMs(60_000));
    }

    @Test
    void aDrawingIsHeldLongerOrShorterButNeverForNoTime() {
        FilmRef film = FilmRef.of("f", 9000L, ClockMap.EMPTY);
        Drawing.Mark mark = new Drawing.Mark(Drawing.Kind.ANGLE, null, 0.5, 0.5, 0.9, 0.5, null);
        FilmRef drawn = Drawings.add(film, farglass.time.FilmTime.ofMs(1000), mark);
        var at = farglass.time.FilmTime.ofMs(1200);
        FilmRef longer = Drawings.held(drawn, at, 2000);
        assertThat(Drawings.of(longer).get(0).heldMs()).isEqualTo(Drawing.HELD_MS + 2000);
        FilmRef least = Drawings.held(drawn, at, -60_000);
        assertThat(Drawings.of(least).get(0).heldMs()).isEqualTo(500);
        assertThat(Drawings.held(drawn, farglass.time.FilmTime.ofMs(9000), 1000))
                .isEqualTo(drawn);
        assertThat(Drawings.mark(Drawings.plain(mark))).contains(mark);
    }
}
