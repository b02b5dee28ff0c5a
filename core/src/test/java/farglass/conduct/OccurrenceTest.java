package farglass.conduct;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a sentence speaks of first that film can show. */
class OccurrenceTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @ParameterizedTest
    @CsvSource({
        "Knee cut to the right, ACTION, knee-cut",
        "Drive her into half guard with a double leg, ACTION, double-leg",
        "Collar first, GRIP, collar-cross",
        "Take the cross collar grip, GRIP, collar-cross",
        "Stay in side control, PLACE, SDC",
        "Brisa: guard pull \u2192 Brisa's lasso guard, ACTION, guard-pull",
        "standing free: press the arm drag back take, ACTION, arm-drag-back-take",
        "Wait for triangles, ACTION, triangle"
    })
    void theFirstActionElseGripElsePlaceIsMeant(String sentence, EventPattern.Kind kind, String code) {
        EventPattern s = Occurrence.named(sentence, true, LEXICON).orElseThrow();
        assertThat(s.kind()).isEqualTo(kind);
        assertThat(s.codes()).contains(code);
        assertThat(s.ours()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Breathe and smile", "If she is late, walk on", "Be first to the mat"})
    void whatNamesNothingIsEmpty(String sentence) {
        assertThat(Occurrence.named(sentence, true, LEXICON)).isEmpty();
    }

    @Test
    void theLongestNameCounts() {
        EventPattern s = Occurrence.named("finish with a body triangle lock", false, LEXICON)
                .orElseThrow();
        assertThat(s.codes()).doesNotContain("triangle");
        assertThat(s.ours()).isFalse();
    }

    @Test
    void everyTechniqueIsFoundByItsOwnName() {
        assertThat(LEXICON.techniques())
                .allMatch(t -> Occurrence.named("then the " + t.name() + " again", true, LEXICON)
                        .filter(s -> s.kind() == EventPattern.Kind.ACTION
                                && s.codes().contains(t.code()))
                        .isPresent());
    }
}
