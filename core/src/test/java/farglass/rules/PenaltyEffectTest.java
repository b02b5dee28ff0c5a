package farglass.rules;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PenaltyEffectTest {
    @ParameterizedTest
    @CsvSource({"warning, 0, 0, false", "advantage, 0, 1, false", "points:2, 2, 0, false", "loss, 0, 0, true"})
    void everyEffectIsReadAsItIsWritten(String code, int points, int advantages, boolean loses) {
        PenaltyEffect e = PenaltyEffect.parse(code).orElseThrow();
        assertThat(e.code()).isEqualTo(code);
        assertThat(e.points()).isEqualTo(points);
        assertThat(e.advantages()).isEqualTo(advantages);
        assertThat(e.loses()).isEqualTo(loses);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "points", "points:0", "points:10", "points:-1", "Loss", "warning "})
    void nothingElseIsAnEffect(String code) {
        assertThat(PenaltyEffect.parse(code)).isEmpty();
    }
}
