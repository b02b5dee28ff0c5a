package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.text.TextLine;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ClockTextTest {
    private static TextLine line(String text) {
        List<Double> at = IntStream.range(0, text.length())
                .mapToObj(i -> (i + 0.5) / text.length())
                .toList();
        return new TextLine(text, 0.9, at);
    }

    @ParameterizedTest
    @CsvSource({
        "4:32, 272",
        "04:32, 272",
        "0:07, 7",
        "12.05, 725",
        "KELLIVAR 2 0 5:00, 300",
        "R1 3;59, 239",
        "'5: 21', 321",
        "9.4, 9",
        "59.9, 59"
    })
    void aClockIsReadOutOfItsLine(String text, int seconds) {
        assertThat(ClockText.of(line(text)))
                .hasValueSatisfying(c -> assertThat(c.seconds()).isEqualTo(seconds));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "KELLIVAR", "4:72", "123:45", "4:321", "12", "2 0", "Mat 3.14159", "4:3"})
    void whatIsNoClockIsNotTakenForOne(String text) {
        assertThat(ClockText.of(line(text))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"054, 54", "1005, 605", "0 18, 18", "4:32, 272"})
    void whereAClockIsExpectedItsColonMayBeMissing(String text, int seconds) {
        assertThat(ClockText.loose(line(text)))
                .hasValueSatisfying(c -> assertThat(c.seconds()).isEqualTo(seconds));
        assertThat(ClockText.loose(line("12345"))).isEmpty();
        assertThat(ClockText.loose(line("189"))).isEmpty();
    }

    @Test
    void itsPlaceInTheLineHoldsItsDigitsAndNoMore() {
        ClockText clock = ClockText.of(line("TOLENDT 4:32 X")).orElseThrow();
        assertThat(clock.from()).isBetween(0.5, 0.6);
        assertThat(clock.to()).isBetween(0.83, 0.92);
        assertThat(clock.confidence()).isEqualTo(0.9);
    }
}
