package farglass.narration;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.MatchAthlete;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ClausesTest {
    private static final People PEOPLE = new People(
            new MatchAthlete("a", "Ansa Kellivar", null, "#2850be", Map.of()),
            new MatchAthlete("b", "Brisa Tolendt", null, "#f5f5f5", Map.of()));

    private static List<String> parts(String said, int strength) {
        List<Word> words = Speech.words(List.of(new Cue(0, 20_000, said)));
        Clauses c = new Clauses(words, PEOPLE);
        List<String> all = new ArrayList<>();
        int i = 0;
        while (i < words.size()) {
            assertThat(c.begin(i, strength)).isEqualTo(i);
            int end = c.end(i, strength);
            all.add(c.said(i, end));
            i = end;
        }
        return all;
    }

    @Test
    void sentencesEndWhereSomebodyWroteIt() {
        assertThat(parts("Brisa pulls. Ansa stands and waits, then she goes!", 2))
                .containsExactly("Brisa pulls.", "Ansa stands and waits, then she goes!");
    }

    @Test
    void clausesEndAtCommasAndBeforeWordsThatJoin() {
        assertThat(parts("Ansa stands and waits, then she goes but slips.", 1))
                .containsExactly("Ansa stands", "and waits,", "then she goes", "but slips.");
    }

    @Test
    void whereNobodyWroteItASentenceEndsBeforeSomethingNew() {
        assertThat(parts(
                        "so now odile is on the bottom here and brisa has the grips and she stands up then ansa comes"
                                + " in and takes the back",
                        2))
                .hasSizeGreaterThan(2)
                .allMatch(s -> s.split(" ").length < 20);
    }

    @Test
    void nobodyTalksForeverInOneSentence() {
        assertThat(parts("word ".repeat(200), 2)).hasSizeGreaterThan(6).allMatch(s -> s.split(" ").length <= 26);
    }

    @Test
    void bareWordsStandBetweenBlanks() {
        List<Word> words = Speech.words(List.of(new Cue(0, 1000, "Brisa's guard, passed!")));
        Clauses c = new Clauses(words, PEOPLE);
        assertThat(c.bare(0, 3)).isEqualTo(" brisa guard passed ");
        assertThat(c.bare(2, 2)).isEqualTo(" ");
        assertThat(c.written()).isTrue();
    }
}
