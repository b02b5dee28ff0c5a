package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class InflectionTest {
    @ParameterizedTest
    @CsvSource({
        "pass, passes, passed, passing",
        "move, moves, moved, moving",
        "grip, grips, gripped, gripping",
        "try, tries, tried, trying",
        "play, plays, played, playing",
        "clear, clears, cleared, clearing",
        "go, goes, goed, going"
    })
    void verbsChangeByRule(String verb, String s, String ed, String ing) {
        assertThat(Inflection.regular(verb)).containsExactly(verb, s, ed, ing);
    }

    @Test
    void whatNoRuleGivesIsTold() {
        assertThat(Inflection.forms("take/took/taken")).contains("takes", "taking", "took", "taken");
        assertThat("went").matches(Inflection.pattern(List.of("go/went/gone", "move")));
        assertThat("moving").matches(Inflection.pattern(List.of("go/went/gone", "move")));
        assertThat("mover").doesNotMatch(Inflection.pattern(List.of("go/went/gone", "move")));
    }
}
