package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PeopleTest {
    private static final People PEOPLE = new People(
            new MatchAthlete("a", "Ansa Kellivar", "blue gi, black belt", "#2850be", Map.of()),
            new MatchAthlete("b", "Brisa Tolendt", "white gi, black belt", "#f5f5f5", Map.of()));

    private static People.Named first(String said) {
        List<Word> words = Speech.words(List.of(new Cue(0, 5000, said)));
        for (int i = 0; i < words.size(); i++) {
            People.Named n = PEOPLE.at(words, i);
            if (n != null) {
                return n;
            }
        }
        return null;
    }

    @ParameterizedTest
    @CsvSource({
        "Ansa waits, A, 1, false",
        "Brisa Tolendt waits, B, 2, false",
        "Kellivar's guard, A, 1, true",
        "the one in white, B, 1, false",
        "breeza's lasso, B, 1, true",
        "keliver waits, A, 1, false",
        "Tolent pulls, B, 1, false",
        "AK stands, A, 1, false"
    })
    void whoeverIsNamedIsKnown(String said, Corner who, int words, boolean owned) {
        assertThat(first(said)).isEqualTo(new People.Named(who, words, owned));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "and a good start it is",
                "she has a black belt",
                "blue belts do that",
                "the ask is simple",
                "nobody waits",
                "keep that in mind"
            })
    void everydayWordsNameNobody(String said) {
        assertThat(first(said)).isNull();
    }

    @Test
    void whatBothWearOrAreCalledTellsNobodyApart() {
        People same = new People(
                new MatchAthlete("a", "Ansa Fastrel", "blue gi", "#2850be", Map.of()),
                new MatchAthlete("b", "Juno Fastrel", "blue gi", "#2850be", Map.of()));
        List<Word> words = Speech.words(List.of(new Cue(0, 5000, "Fastrel in blue")));
        assertThat(same.at(words, 0)).isNull();
        assertThat(same.at(words, 2)).isNull();
    }

    @Test
    void aNameOfTwoWordsIsTakenAtOnceAndKnowsWhatIsOwned() {
        assertThat(first("Brisa Tolendt's lasso guard")).isEqualTo(new People.Named(Corner.B, 2, true));
        assertThat(first("then, Ansa Kellivar's turn")).isEqualTo(new People.Named(Corner.A, 2, true));
    }
}
