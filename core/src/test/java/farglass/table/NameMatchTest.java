package farglass.table;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NameMatchTest {
    private static MatchRecord match(String a, String b) {
        MatchAthlete first = MatchAthlete.of("a", a, null, null);
        MatchAthlete second = MatchAthlete.of("b", b, null, null);
        MatchRecord.Details d =
                new MatchRecord.Details(null, null, null, null, "gi", "points-gi", 360_000, first, second, null);
        return MatchRecord.of("m", d, List.of(), List.of());
    }

    @ParameterizedTest
    @CsvSource({
        "KELLIVAR, TOLENDT, A",
        "TOLENDT, KELLIVAR, B",
        "A. KELLIVAR, B. TOLENDT, A",
        "Kellivar Ansa, Tolendt Brisa, A",
        "BRISATOLENDT, ANSAKELLIVAR, B",
        "KELLIVARO, TOLENDTO, A",
        "KELL1VAR, TOLENOT, A",
        "K LLIVAR, T0LENDT, A"
    })
    void aNameIsKnownInAllTheWaysInWhichItIsWritten(String first, String second, Corner corner) {
        assertThat(NameMatch.first(match("Ansa Kellivar", "Brisa Tolendt"), List.of(first, second)))
                .contains(corner);
    }

    @Test
    void accentsDoNotMatter() {
        assertThat(NameMatch.first(match("Inés Varrão", "Zoë Quíl"), List.of("QUIL", "VARRAO")))
                .contains(Corner.B);
    }

    @Test
    void othersAreNobody() {
        MatchRecord r = match("Ansa Kellivar", "Brisa Tolendt");
        assertThat(NameMatch.first(r, List.of("MAROWEN", "PELL"))).isEmpty();
        assertThat(NameMatch.first(r, List.of())).isEmpty();
        assertThat(NameMatch.first(r, List.of("KELLIVAR"))).isEmpty();
    }

    @Test
    void oneKnownNameIsEnough() {
        assertThat(NameMatch.first(match("Ansa Kellivar", "Brisa Tolendt"), List.of("BLUE", "KELLIVAR")))
                .contains(Corner.B);
    }

    @Test
    void twoOfOneNameCannotBeToldApart() {
        assertThat(NameMatch.first(match("Ansa Kellivar", "Ione Kellivar"), List.of("KELLIVAR", "KELLIVAR")))
                .isEmpty();
        assertThat(NameMatch.first(match("Ansa Kellivar", "Ione Kellivar"), List.of("IONE KELLIVAR", "ANSA KELLIVAR")))
                .contains(Corner.B);
    }
}
