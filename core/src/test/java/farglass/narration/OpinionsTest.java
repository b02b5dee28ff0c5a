package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.RemarkKind;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OpinionsTest {
    private final Opinions opinions = new Opinions(new SpeechWords(Locale.ENGLISH));

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "what a lovely bit of movement | PRAISE",
                "very quick | PRAISE",
                "unbelievably calm | PRAISE",
                "that was needlessly slow | ERROR",
                "he should put his knee in the middle | ERROR",
                "she doesnt even frame | ERROR",
                "i wouldnt roll there | ERROR",
                "its always lasso with her | PREFERENCE",
                "she doesnt like to stand | PREFERENCE",
                "when a man leans in it is there | TRIGGER",
                "why does he stop there | QUESTION",
                "i think the clock is wrong somewhere | ERROR",
                "i thought that was over | NOTE",
                "the shoulder is like a door | NOTE",
                "half a minute and she needs a takedown | NOTE",
                "that grip means he cannot stand | NOTE",
                "there is no hurry about him | NOTE",
                "she has no points | -",
                "okay so closed guard now for juno | -",
                "she steps over to mount | -",
                "good morning everybody | -",
                "three points on the board | -"
            })
    void whatIsThought(String said, RemarkKind kind) {
        assertThat(opinions.of(" " + said + " ")).isEqualTo(kind);
    }
}
