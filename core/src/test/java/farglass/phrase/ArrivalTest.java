package farglass.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Tag;
import farglass.time.MatchTime;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ArrivalTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @ParameterizedTest
    @CsvSource({
        "knee-cut, SDC, A, ",
        "lasso-sweep, OPN, A, B",
        "guard-pull, LAS, B, A",
        "half-recovery, HFG, B, A",
        "hip-escape, HFG, B, A",
        "posture-out, OPN, A, B",
        "technical-stand-up, STD, , "
    })
    void whoIsWhereAfterAnAttemptOfA(String technique, String to, Corner ahead, Corner guard) {
        Tag.Position p = Arrival.of(
                MatchTime.ZERO,
                LEXICON.technique(technique).orElseThrow(),
                Corner.A,
                LEXICON.position(to).orElseThrow());
        assertThat(p.holder()).isEqualTo(ahead);
        assertThat(p.guard()).isEqualTo(guard);
    }
}
