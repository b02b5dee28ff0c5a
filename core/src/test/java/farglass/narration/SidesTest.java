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
                "Knee cut A. (L), done. | LEFT",
                "Ansa passes to her left with the knee cut. | LEFT",
                "Ansa with a second knee cut, this time left, and she is through. | LEFT",
                "Knee cut! On the right side! | RIGHT",
                "Ansa tries to run around to the left. Knee cut. | LEFT",
                "Ansa lifts her to the right, the butterfly sweep! | RIGHT",
                "Knee cut by Ansa, chest on chest, head low, and she is going to the left. | LEFT",
                "Ansa hits the knee cut with ten seconds left. | -",
                "Ansa hits the knee cut, right? | -",
            })
    void whereItIsSaid(String said, String side) {
        assertThat(act(said).side()).isEqualTo(side == null ? null : Side.valueOf(side));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Ansa attacks the armbar on the left arm. | left-arm",
                "Kimura by Ansa, right shoulder. | right-arm",
                "Ansa has a kneebar on the right leg. | right-leg",
                "Ansa attacks the armbar to the left. | -",
                "Ansa attacks the armbar, the left leg comes over. | -",
                "Ansa hits the knee cut past the left leg. | -",
            })
    void aSubmissionIsOnAnArmOrALeg(String said, String limb) {
        assertThat(act(said).limb()).isEqualTo(limb);
    }

    private static Find.Act act(String said) {
        MatchAthlete a = new MatchAthlete("a", "Ansa Kellivar", "blue gi", "#2850be", Map.of());
        MatchAthlete b = new MatchAthlete("b", "Brisa Tolendt", "white gi", "#f5f5f5", Map.of());
        List<Find> finds =
                new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH).read(List.of(new Cue(0, 5000, said)), a, b);
        List<Find.Act> acts = finds.stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .toList();
        assertThat(acts).hasSize(1);
        return acts.get(0);
    }
}
