package farglass.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PreferenceWordsTest {
    @Test
    void everythingThatIsStatedIsAField() {
        assertThat(PreferenceWords.fields("lasso sweep over scissor sweep because of long legs except in no-gi"))
                .containsExactly(
                        java.util.Map.entry("choice", "lasso sweep"),
                        java.util.Map.entry("over", "scissor sweep"),
                        java.util.Map.entry("reason", "of long legs"),
                        java.util.Map.entry("except", "in no-gi"));
    }

    @Test
    void whatIsNotStatedIsNoField() {
        assertThat(PreferenceWords.fields("over under pass")).containsOnlyKeys("choice");
        assertThat(PreferenceWords.fields("knee cut over toreando")).containsOnlyKeys("choice", "over");
        assertThat(PreferenceWords.fields("knee cut because it is low")).containsOnlyKeys("choice", "reason");
        assertThat(PreferenceWords.fields("armbar except late")).containsOnlyKeys("choice", "except");
        assertThat(PreferenceWords.fields("  ")).isEmpty();
        assertThat(PreferenceWords.fields(null)).isEmpty();
    }
}
