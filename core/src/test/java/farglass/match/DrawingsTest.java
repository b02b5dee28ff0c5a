package farglass.match;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import farglass.time.ClockMap;
import farglass.time.FilmTime;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DrawingsTest {
    private static final FilmRef FILM = FilmRef.of("f.mp4", 60_000L, ClockMap.EMPTY);
    private static final Drawing.Mark ARROW = new Drawing.Mark(Drawing.Kind.ARROW, Corner.A, 0.1, 0.2, 0.3, 0.4, null);
    private static final Drawing.Mark WORDS = new Drawing.Mark(Drawing.Kind.TEXT, null, 0.5, 0.5, 0.5, 0.5, "hip line");

    private static FilmTime s(double seconds) {
        return FilmTime.ofMs(Math.round(seconds * 1000));
    }

    @Test
    void marksOfOneMomentMakeOneDrawingInTimeOrder() {
        FilmRef film = Drawings.add(Drawings.add(Drawings.add(FILM, s(9), WORDS), s(4), ARROW), s(9), ARROW);
        assertThat(Drawings.of(film))
                .containsExactly(
                        new Drawing(s(4), Drawing.HELD_MS, List.of(ARROW)),
                        new Drawing(s(9), Drawing.HELD_MS, List.of(WORDS, ARROW)));
        assertThat(film.file()).isEqualTo("f.mp4");
    }

    @Test
    void itIsShownFromItsFrameOnForAWhileAndClearedThere() {
        FilmRef film = Drawings.add(FILM, s(4), ARROW);
        Drawing d = Drawings.of(film).get(0);
        assertThat(d.shownAt(s(3.99))).isFalse();
        assertThat(d.shownAt(s(4))).isTrue();
        assertThat(d.shownAt(s(6.49))).isTrue();
        assertThat(d.shownAt(s(6.5))).isFalse();
        assertThat(Drawings.of(Drawings.clear(film, s(7)))).hasSize(1);
        assertThat(Drawings.clear(film, s(5))).isEqualTo(FILM);
        assertThat(d.swapped().marks().get(0).who()).isEqualTo(Corner.B);
    }

    @Test
    void whatCannotBeUnderstoodIsNotShownAndNotLost() {
        Map<String, Object> extra = Map.of(
                "drawings",
                List.of(
                        Map.of("ms", 1, "heldMs", 5, "marks", List.of(Map.of("kind", "cloud"))),
                        "nonsense",
                        Map.of(
                                "ms",
                                2,
                                "heldMs",
                                5,
                                "marks",
                                List.of(Map.of("kind", "line", "x1", 0, "y1", 0, "x2", 7, "y2", 1)))));
        FilmRef film = new FilmRef("f", null, null, false, ClockMap.EMPTY, extra);
        assertThat(Drawings.of(film)).isEmpty();
        assertThat(film.extra()).isEqualTo(extra);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Drawing.Mark(Drawing.Kind.LINE, null, 0, 0, 2, 0, null))
                .withMessageContaining("0..1");
    }
}
