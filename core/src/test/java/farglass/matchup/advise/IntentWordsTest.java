package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntentWordsTest {
    private static final IntentWords WORDS = new IntentWords(Locale.ENGLISH, "Brisa");

    private static String names(Set<? extends Enum<?>> set) {
        return set.stream().map(Enum::name).sorted().collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "sweep | - | -",
                "when behind | BEHIND | -",
                "when we are losing or level | BEHIND LEVEL | -",
                "unless behind | AHEAD LEVEL | -",
                "unless ahead, late | BEHIND LEVEL | LAST",
                "when ahead in the second half | AHEAD | LAST SECOND",
                "in the first half | - | FIRST",
                "until the last two minutes | - | FIRST SECOND",
                "between half time and the last two minutes | - | SECOND",
                "in the last minute | - | LAST",
                "in the first half and the last two minutes | - | FIRST LAST",
                "early | - | FIRST",
            })
    void scoreAndTimeAreRead(String clause, String leads, String parts) {
        Conditions c = WORDS.conditions(clause);
        assertThat(names(c.leads())).isEqualTo(leads == null ? "" : leads);
        assertThat(names(c.parts())).isEqualTo(parts == null ? "" : parts);
        assertThat(c.none()).isEqualTo(leads == null && parts == null);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "from half guard | -",
                "in brisa's half guard | THEIRS",
                "brisa half guard | THEIRS",
                "in their half guard | THEIRS",
                "under her mount | BELOW",
                "at the bottom of side control | BELOW",
                "on top in half guard | ABOVE",
                "from the theirry guard | -",
                "underhook sweep | -",
            })
    void whoIsOnTopIsRead(String clause, IntentWords.Sided side) {
        assertThat(WORDS.side(clause)).isEqualTo(side);
    }

    @Test
    void aTextIsTakenApartWhereSomethingElseIsSaid() {
        assertThat(WORDS.clauses("from half guard: sweep, never knee cut but back take then mount"))
                .extracting(String::strip)
                .containsExactly("from half guard:", "sweep,", "never knee cut", "but back take", "then mount");
        assertThat(WORDS.places("in half guard or from side control"))
                .extracting(String::strip)
                .containsExactly("in half guard or", "from side control");
    }

    @Test
    void whatIsSaidTwiceTheNearerCounts() {
        Conditions near = new Conditions(Set.of(Lead.AHEAD), Set.of());
        Conditions far = new Conditions(Set.of(Lead.BEHIND), Set.of(Part.LAST));
        assertThat(near.or(far)).isEqualTo(new Conditions(Set.of(Lead.AHEAD), Set.of(Part.LAST)));
        assertThat(Conditions.NONE.or(far)).isEqualTo(far);
    }

    @Test
    void wordsWithinOtherWordsAreNone() {
        for (String clause : List.of("knot", "nonstop", "notch", "hovering", "topple", "keeper", "athena")) {
            assertThat(WORDS.never(clause)).as(clause).isFalse();
            assertThat(WORDS.hold(clause)).as(clause).isFalse();
            assertThat(WORDS.then(clause)).as(clause).isFalse();
            assertThat(WORDS.side(clause)).as(clause).isNull();
        }
        assertThat(WORDS.never("do not cut the knee")).isTrue();
        assertThat(WORDS.hold("keep it")).isTrue();
        assertThat(WORDS.then("then sweep")).isTrue();
    }
}
