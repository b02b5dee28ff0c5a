package farglass.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RulesetReaderTest {
    private static String document() {
        return RulesetReader.write(Rulesets.builtIn().of("points-gi", null).orElseThrow());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"farglass.ruleset/1\" | \"farglass.match/1\" | /format",
                "\"code\" : \"points-gi\" | \"code\" : \"\" | /code",
                "\"holdMs\" : 3000 | \"holdMs\" : -1 | /holdMs",
                "\"holdMs\" : 3000 | \"holdMs\" : 2.5 | /holdMs",
                "\"recoverMs\" : 3000 | \"recoverMs\" : 99999999 | /recoverMs",
                "\"mount\" : 4 | \"mount\" : 0 | /points/mount",
                "\"mount\" : 4 | \"mountain\" : 4 | /points/mountain",
                "\"submission\" : 3 | \"submission\" : 5 | /advantages/submission",
                "\"warning\" | \"yellow\" | /penalties/0",
                "\"decision\" | \"coin\" | /tieBreaks/3",
                "\"from\" : null | \"from\" : \"spring\" | /from",
                "\"pointsFrom\" : 0.0 | \"pointsFrom\" : 3 | /",
                "\"BCK\" | \"bck!\" | /backPlaces/0"
            })
    void whatIsWrongIsToldWithItsPlace(String right, String wrong, String place) {
        String text = document();
        assertThat(text).contains(right);
        assertThatThrownBy(() -> RulesetReader.read(text.replace(right, wrong)))
                .isInstanceOf(RulesetException.class)
                .hasMessageStartingWith(place);
    }

    @ParameterizedTest
    @CsvSource({"'[]'", "'3'", "'{'", "''", "'null'"})
    void whatIsNoObjectIsRefused(String text) {
        assertThatThrownBy(() -> RulesetReader.read(text)).isInstanceOf(RulesetException.class);
    }

    @Test
    void whatIsMissingHasItsUsualValue() throws RulesetException {
        Ruleset bare = RulesetReader.read("{\"format\":\"farglass.ruleset/1\",\"code\":\"house\",\"name\":\"House\"}");
        assertThat(bare.counts()).isFalse();
        assertThat(bare.holdMs()).isEqualTo(3000);
        assertThat(bare.penalties()).isEmpty();
        assertThat(bare.validOn(LocalDate.of(1999, 1, 1))).isTrue();
        assertThat(bare.value("mount")).isZero();
    }

    @Test
    void theFiveThatShipSayWhatTheyAreFor() {
        assertThat(Rulesets.builtIn().all())
                .extracting(Ruleset::code)
                .containsExactly("points-gi", "points-nogi", "late-points", "submission-only", "mixed-rounds");
        Ruleset gi = Rulesets.builtIn().all().get(0);
        assertThat(gi.points())
                .containsEntry("takedown", 2)
                .containsEntry("sweep", 2)
                .containsEntry("knee-on-belly", 2)
                .containsEntry("pass", 3)
                .containsEntry("mount", 4)
                .containsEntry("back", 4);
        assertThat(gi.penalties())
                .extracting(PenaltyEffect::code)
                .containsExactly("warning", "advantage", "points:2", "loss");
        Ruleset late = Rulesets.builtIn().of("late-points", null).orElseThrow();
        assertThat(late.pointsFrom()).isEqualTo(0.5);
        assertThat(late.guardPull()).isEqualTo(-1);
        assertThat(Rulesets.builtIn().of("submission-only", null).orElseThrow().counts())
                .isFalse();
    }
}
