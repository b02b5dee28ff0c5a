package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What became of what was tried, and what was not tried at all though it was named. */
class OutcomesTest {
    private static final MatchAthlete ANSA = new MatchAthlete("a", "Ansa Kellivar", "blue gi", "#2850be", Map.of());
    private static final MatchAthlete BRISA = new MatchAthlete("b", "Brisa Tolendt", "white gi", "#f5f5f5", Map.of());
    private static final NarrationReader READER = new NarrationReader(Lexicon.builtIn(), Locale.ENGLISH);

    private static List<Find.Act> acts(String... lines) {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            cues.add(new Cue(8000L * i, 8000L * i + 4000, lines[i]));
        }
        return READER.read(cues, ANSA, BRISA).stream()
                .filter(Find.Act.class::isInstance)
                .map(Find.Act.class::cast)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Ansa hits the knee cut. | COMPLETED",
                "Ansa goes for the knee cut. | -",
                "Ansa goes for the knee cut, Brisa blocks it. | STUFFED",
                "Ansa nearly gets the knee cut. | NEAR",
                "Ansa almost caught her with the armbar, Brisa posted just in time. | NEAR",
                "Kimura from Ansa, and this one Brisa can't defend. | COMPLETED",
                "Armbar from Ansa! Brisa's tapping! | COMPLETED",
                "Armbar from Ansa, Brisa refuses to tap. | -",
                "Ansa attacks the armbar and gives up on it. | ABANDONED",
                "Ansa attacks the triangle, Brisa postures up. | STUFFED",
                "Ansa toreando, no. | STUFFED",
                "Ansa knee cut, 3 pts. | COMPLETED",
                "Scissor sweep from Ansa, Brisa just sits on it, no good. | STUFFED"
            })
    void whatBecameOfIt(String said, Outcome outcome) {
        assertThat(acts(said)).first().extracting(Find.Act::outcome).isEqualTo(outcome);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Guillotine on the way? No.",
                "Without that grip Ansa passes the guard.",
                "Why does she not follow up with the armbar?",
                "If you ever face her, watch for the armbar.",
                "As we saw in her semi-final she hit the triangle.",
                "Our plan is the knee cut.",
                "She loves that triangle.",
                "Ansa should pass the guard now.",
                "Her head is trapped on that side.",
                "Ansa is turning away like that.",
                "But look how high she is."
            })
    void whatWasNotTriedIsNoAct(String said) {
        assertThat(acts(said)).isEmpty();
    }

    @Test
    void whatComesFromAnotherActIsThatOtherNotAgain() {
        assertThat(acts("Ansa throws up a triangle.", "From the triangle Ansa goes to the armbar."))
                .extracting(Find.Act::technique)
                .containsExactly("triangle", "armbar");
        assertThat(acts("Ansa throws up a triangle.", "From her guard Ansa shoots the triangle again."))
                .extracting(Find.Act::technique)
                .containsExactly("triangle", "triangle");
    }

    @Test
    void whoeverPullsOrSitsPlaysGuardAlsoWithoutTheWord() {
        assertThat(acts("Brisa sits, double sleeve grips.")).singleElement().satisfies(a -> {
            assertThat(a.technique()).isEqualTo("sit-guard");
            assertThat(a.by()).isEqualTo(Corner.B);
        });
        assertThat(acts("And Ansa pulls, as expected."))
                .extracting(Find.Act::technique)
                .containsExactly("guard-pull");
    }

    @Test
    void anInitialInNotesIsAnAthleteAndEndsNoSentence() {
        assertThat(acts("spider sweep T. left, almost")).singleElement().satisfies(a -> {
            assertThat(a.by()).isEqualTo(Corner.B);
            assertThat(a.outcome()).isEqualTo(Outcome.NEAR);
        });
    }
}
