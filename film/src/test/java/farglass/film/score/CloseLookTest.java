package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CloseLookTest {
    @Test
    void anInitialThatStandsInMostReadingsBelongsToTheName() {
        List<String> read = List.of("MARROWEN C.", "MARROWEN C", "MARROWENC.", "MARROWEN", "", "出");
        assertThat(CloseLook.withInitial("MARROWEN", read)).isEqualTo("MARROWEN C.");
        assertThat(CloseLook.withInitial("MARROWEN", List.of("C.MARROWEN", "C. MARROWEN")))
                .isEqualTo("C. MARROWEN");
    }

    @Test
    void whatIsReadOnceOrIsNoLetterDoesNot() {
        assertThat(CloseLook.withInitial("MARROWEN", List.of("MARROWEN C.", "MARROWEN", "MARROWEN")))
                .isEqualTo("MARROWEN");
        assertThat(CloseLook.withInitial("MARROWEN", List.of("MARROWEN 0", "MARROWEN 0")))
                .isEqualTo("MARROWEN");
        assertThat(CloseLook.withInitial("MARROWEN", List.of())).isEqualTo("MARROWEN");
    }

    @Test
    void aNameWithAnInitialKeepsIt() {
        assertThat(CloseLook.withInitial("TOLENDT B.", List.of("TOLENDT B.S", "TOLENDT BS")))
                .isEqualTo("TOLENDT B.");
        assertThat(CloseLook.withInitial("B. TOLENDT", List.of("B. TOLENDTS", "B. TOLENDTS")))
                .isEqualTo("B. TOLENDT");
    }
}
