package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.Box;
import java.util.List;
import org.junit.jupiter.api.Test;

class MovedGraphicTest {
    private static ScoreGraphic.Name name(String text, int x, int y, int h) {
        return new ScoreGraphic.Name(text, new Box(x, y, 4 * h, h), 1);
    }

    private static ScoreGraphic.Column column(int x, int y, int dy, int h) {
        return new ScoreGraphic.Column(new Box(x, y, h, h), new Box(x, y + dy, h, h), null);
    }

    private final ScoreGraphic above = new ScoreGraphic(
            List.of(name("KELLIVAR", 40, 50, 20), name("TOLENDT", 40, 90, 20)),
            List.of(column(180, 50, 40, 20), column(220, 50, 40, 20)));

    @Test
    void aColumnMissedInOnePlaceStandsWhereItWasMovedTo() {
        ScoreGraphic below = new ScoreGraphic(
                List.of(name("KELLIVAR", 60, 500, 20), name("TOLENDT", 60, 540, 20)),
                List.of(column(201, 500, 40, 20)));
        List<ScoreGraphic> whole = MovedGraphic.completed(List.of(above, below), 1280, 720);
        assertThat(whole.get(0)).isEqualTo(above);
        assertThat(whole.get(1).columns()).containsExactly(column(201, 500, 40, 20), column(240, 500, 40, 20));
        List<ScoreGraphic> other = MovedGraphic.completed(List.of(below, above), 1280, 720);
        assertThat(other.get(0).columns()).hasSize(2);
    }

    @Test
    void anEnlargedOneIsFoundByItsNames() {
        ScoreGraphic large =
                new ScoreGraphic(List.of(name("KELLIVAR", 100, 300, 40), name("TOLENDT", 100, 380, 40)), List.of());
        ScoreGraphic whole =
                MovedGraphic.completed(List.of(above, large), 1280, 720).get(1);
        assertThat(whole.columns().get(0).first()).isEqualTo(new Box(380, 300, 40, 40));
        assertThat(whole.columns().get(1).second()).isEqualTo(new Box(460, 380, 40, 40));
    }

    @Test
    void othersStayAsTheyAre() {
        ScoreGraphic others = new ScoreGraphic(
                List.of(name("FASTREL", 60, 500, 20), name("OSK", 60, 540, 20)), List.of(column(201, 500, 40, 20)));
        ScoreGraphic beside = new ScoreGraphic(
                List.of(name("KELLIVAR", 60, 500, 20), name("TOLENDT", 600, 500, 20)),
                List.of(column(201, 500, 0, 20)));
        assertThat(MovedGraphic.completed(List.of(above, others, beside, ScoreGraphic.NONE), 1280, 720))
                .containsExactly(above, others, beside, ScoreGraphic.NONE);
    }
}
