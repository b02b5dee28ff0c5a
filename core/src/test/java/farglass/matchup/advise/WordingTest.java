package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class WordingTest {
    private static final Wording WORDS = Wording.of("farglass.matchup.advise.Decision", Locale.ENGLISH);

    @Test
    void whatRoundsToNoughtHasNoSignBelowIt() {
        assertThat(WORDS.points(-0.0004)).isEqualTo("0.0");
        assertThat(WORDS.points(-0.0006)).isEqualTo("-0.1");
        assertThat(WORDS.signed(-0.0004)).isEqualTo("+0.0");
        assertThat(WORDS.signed(0.012)).isEqualTo("+1.2");
        assertThat(WORDS.percent(0.426)).isEqualTo("43%");
    }

    @Test
    void namesAreListedAsASentenceHasThem() {
        assertThat(WORDS.list(List.of("a"))).isEqualTo("a");
        assertThat(WORDS.list(List.of("a", "b", "c"))).isEqualTo("a, b or c");
        assertThat(WORDS.upper("half guard")).isEqualTo("Half guard");
        assertThat(WORDS.upper("")).isEmpty();
    }
}
