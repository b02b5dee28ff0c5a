package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.text.TextLine;
import java.util.List;
import org.junit.jupiter.api.Test;

class ShapeReadingTest {
    @Test
    void theNetworkSaysTheMinutesWhereItSaysTheSameAllTheTimeElseTheShapes() {
        assertThat(ShapeReading.minutes(List.of(8, 8, 8, -1), List.of(0, 0, 0, 0)))
                .isEqualTo(8);
        assertThat(ShapeReading.minutes(List.of(0, 1, 0, 3, -1), List.of(7, 7, 7, -1, 7)))
                .isEqualTo(7);
        assertThat(ShapeReading.minutes(List.of(0, 1, 0), List.of(7, 1, 7))).isEqualTo(-1);
        assertThat(ShapeReading.minutes(List.of(7, 7), List.of(-1, -1))).isEqualTo(-1);
    }

    @Test
    void theLastSecondsWithTenthsAreLeftAsTheyAre() {
        assertThat(ShapeReading.tenths(line("12.3"))).isTrue();
        assertThat(ShapeReading.tenths(line("9.8"))).isTrue();
        assertThat(ShapeReading.tenths(line("9:58"))).isFalse();
        assertThat(ShapeReading.tenths(line("958"))).isFalse();
        assertThat(ShapeReading.tenths(line("9.58"))).isFalse();
    }

    private static TextLine line(String text) {
        return new TextLine(text, 0.9, List.of());
    }
}
