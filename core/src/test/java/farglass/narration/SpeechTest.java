package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.narration.Word.Pause;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpeechTest {
    private static List<Word> words(String... lines) {
        List<Cue> cues = new java.util.ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            cues.add(new Cue(1000L * i, 1000L * i + 1000, lines[i]));
        }
        return Speech.words(cues);
    }

    @Test
    void wordsAreBareAndKnowWhoseTheyAre() {
        List<Word> all = words("Brisa\u2019s d\u00e9j\u00e0-vu: 50/50, again!");
        assertThat(all).extracting(Word::bare).containsExactly("brisa", "deja", "vu", "50/50", "again");
        assertThat(all).extracting(Word::owned).containsExactly(true, false, false, false, false);
        assertThat(all)
                .extracting(Word::pause)
                .containsExactly(Pause.NONE, Pause.NONE, Pause.SHORT, Pause.SHORT, Pause.LONG);
    }

    @Test
    void marksOfTheFormatAreNotSaid() {
        assertThat(words("<c.yellow>Ansa</c> <00:00:01.500>pulls [applause] \u266a guard", ">> and so on"))
                .extracting(Word::bare)
                .containsExactly("ansa", "pulls", "guard", "and", "so", "on");
    }

    @Test
    void eachWordHasItsMomentWithinItsLine() {
        List<Word> all = Speech.words(List.of(new Cue(10_000, 14_000, "one two three four")));
        assertThat(all).extracting(Word::ms).containsExactly(10_000L, 11_000L, 12_000L, 13_000L);
    }

    @Test
    void aSilenceEndsASentence() {
        List<Word> all = Speech.words(List.of(new Cue(0, 1000, "she waits"), new Cue(9000, 10_000, "she goes")));
        assertThat(all).extracting(Word::pause).containsExactly(Pause.NONE, Pause.LONG, Pause.NONE, Pause.NONE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "so ansa goes | so ansa goes for the triangle | so ansa goes for the triangle",
                "for the triangle | the triangle she has it | for the triangle she has it",
                "tap | tap | tap",
                "armbar armbar | another line | armbar armbar another line"
            })
    void whatALineRepeatsOfTheOneBeforeIsSaidOnce(String first, String second, String all) {
        assertThat(String.join(
                        " ", words(first, second).stream().map(Word::said).toList()))
                .isEqualTo(all);
    }

    @Test
    void linesWithoutWordsSayNothing() {
        assertThat(words("", "   ", "...", "[music]", "\u266a")).isEmpty();
    }
}
