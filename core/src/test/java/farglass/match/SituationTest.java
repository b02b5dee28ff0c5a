package farglass.match;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.simulate.DemoLibrary;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SituationTest {
    @Test
    void theTwoOfASpanAreNeverBothAheadAndNeutralIsOfBoth() {
        Lexicon lexicon = Lexicon.builtIn();
        for (MatchRecord r : DemoLibrary.matches(lexicon, 7).subList(0, 10)) {
            for (Span s : PositionLine.of(r, lexicon).spans()) {
                Role a = Role.of(s, Corner.A);
                Role b = Role.of(s, Corner.B);
                assertThat(a == Role.NEUTRAL).isEqualTo(b == Role.NEUTRAL);
                assertThat(a == Role.HOLDER).as(s.toString()).isNotEqualTo(b == Role.HOLDER || b == Role.NEUTRAL);
            }
        }
    }

    @Test
    void theOrderIsThatOfItsText() {
        List<Situation> all = new ArrayList<>();
        for (String position : List.of("MNT", "CLG", "STD")) {
            for (Role role : Role.values()) {
                all.add(new Situation(position, role));
            }
        }
        List<Situation> byText = new ArrayList<>(all);
        byText.sort(Comparator.comparing(Situation::toString));
        assertThat(all.stream().sorted().toList()).isEqualTo(byText);
        assertThat(new Situation("CLG", Role.GUARD))
                .hasToString("CLG guard")
                .hasSameHashCodeAs(new Situation("CLG", Role.GUARD));
    }

    @ParameterizedTest
    @CsvSource({"Ansa Kellivar, Ansa, Kellivar", "Ansa, Ansa, Ansa", "Ana de la Mar, Ana, Mar"})
    void namesAreCutAtTheirFirstAndLastBlank(String name, String first, String last) {
        assertThat(PersonName.first(name)).isEqualTo(first);
        assertThat(PersonName.last(name)).isEqualTo(last);
    }
}
