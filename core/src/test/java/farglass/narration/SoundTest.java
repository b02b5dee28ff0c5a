package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SoundTest {
    @ParameterizedTest
    @CsvSource({
        "breeza, brisa, true",
        "odeal, odile, true",
        "keliver, kellivar, true",
        "tolent, tolendt, true",
        "anda, ansa, false",
        "juno, luca, false",
        "tolentina, tolendt, false"
    })
    void namesThatSoundAlikeAreTheSame(String said, String name, boolean same) {
        assertThat(Sound.alike(said, name, 2, false)).isEqualTo(same);
    }

    @ParameterizedTest
    @CsvSource({"delareeva, delariva, true", "halfspeed, halfsweep, false", "omoplatta, omoplata, true"})
    void termsMustSoundAlikeToTheirEnd(String said, String name, boolean same) {
        assertThat(Sound.alike(said, name, 4, true)).isEqualTo(same);
    }

    @ParameterizedTest
    @CsvSource({
        "triangle, triangle, 0",
        "trianlge, triangle, 1",
        "triangel, triangle, 1",
        "angle, triangle, 3",
        "x, abcdef, 3"
    })
    void editsAreCountedUpToWhatMatters(String a, String b, int edits) {
        assertThat(Math.min(3, TermFinder.edits(a, b, 3))).isEqualTo(edits);
    }
}
