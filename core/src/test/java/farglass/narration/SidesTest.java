package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.match.Side;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A side is the action's where nothing else has it: a hand, a sleeve, a moment. */
class SidesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Ansa hits the knee cut to the left. | LEFT",
                "Ansa with the knee cut again, this time to the right. | RIGHT",
                "Ansa goes for the knee cut, the left sleeve is broken. | -",
                "Ansa hits the knee cut right now. | -",
                "Knee cut Ansa (R), done. | RIGHT",
            })
    void whereItIsSaid(String said, String side) {
        MatchAthlete a = new MatchAthlete("a", "Ansa Kellivar", "blue gi", "#2850be", Map.of());
        MatchAthlete b = new MatchAthlete("b", "Brisa Tolendt", "white gi", "#f5f5f5", Map.of());
        List<Find> finds =
                new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH).read(List.of(new Cue(0, 5000, said)), a, b);
        assertThat(finds)
                .filteredOn(Find.Act.class::isInstance)
                .singleElement()
                .extracting(f -> ((Find.Act) f).side())
                .isEqualTo(side == null ? null : Side.valueOf(side));
    }
}
