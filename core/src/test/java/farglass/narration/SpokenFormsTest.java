package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SpokenFormsTest {
    private static final SpokenForms FORMS = new SpokenForms();

    private static List<SpokenForms.Found> in(String said) {
        List<Word> words = Speech.words(List.of(new Cue(0, 5000, said)));
        return FORMS.in(words, 0, words.size());
    }

    @ParameterizedTest
    @CsvSource({
        "she pulls half guard, guard-pull",
        "Brisa jumps to closed guard, jump-guard",
        "he sits down to the guard, sit-guard",
        "she takes his back, back-take",
        "Ansa steps over to mount, to-mount",
        "she goes to knee on belly, to-knee-on-belly",
        "Ansa sweeps her, sweep:",
        "she finishes the takedown, takedown:",
        "he passes the guard, pass:",
        "she recovers her guard, guard-recovery",
        "she gets back to half guard, half-recovery",
        "she slices the knee through, knee-cut",
        "he shoots a double, double-leg",
        "she pulled me into closed guard, guard-pull",
        "I finally broke the guard open, guard-opening",
        "I cut my knee through, knee-cut",
        "we were climbing up to mount, to-mount",
        "go knee on belly, to-knee-on-belly",
        "she tries to bridge, bridge-escape",
        "he slips out the back door, back-escape",
        "spinning around behind, go-behind",
        "he recovered his half guard, half-recovery"
    })
    void verbsSayActions(String said, String code) {
        assertThat(in(said)).extracting(SpokenForms.Found::code).contains(code);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "she is back on her feet",
                "he takes a step back",
                "they go back to the middle",
                "the guard is open",
                "time has passed out there",
                "she mounts a comeback of sorts soon",
                "her back is flat on the mat",
                "she landed on her back",
                "she never breaks her posture"
            })
    void otherTalkSaysFewOrNone(String said) {
        assertThat(in(said)).extracting(SpokenForms.Found::code).doesNotContain("back-take", "guard-pull", "sweep:");
    }

    @Test
    void ofTwoThatOverlapTheLongerCounts() {
        assertThat(in("she gets her half guard back")).singleElement().satisfies(f -> {
            assertThat(f.code()).isEqualTo("half-recovery");
            assertThat(f.family()).isFalse();
            assertThat(f.from()).isEqualTo(1);
            assertThat(f.to()).isEqualTo(5);
        });
    }

    @Test
    void aFamilyIsMarkedAsSuch() {
        assertThat(in("Brisa sweeps"))
                .singleElement()
                .satisfies(f -> assertThat(f.family()).isTrue());
    }
}
