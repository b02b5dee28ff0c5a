package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.Box;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class WordTest {
    private static final int HEIGHT = 20;

    /** A line of text whose characters are half as wide as the line is high; a tab is a gap of 1.6 heights. */
    static TextLine line(String text) {
        StringBuilder shown = new StringBuilder();
        List<Double> places = new ArrayList<>();
        double pen = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\t') {
                pen += 1.6 * HEIGHT;
            } else {
                places.add(pen + 0.25 * HEIGHT);
                shown.append(c);
                pen += 0.5 * HEIGHT;
            }
        }
        double width = pen;
        return new TextLine(
                shown.toString(), 0.9, places.stream().map(x -> x / width).toList());
    }

    private static Box box(String text) {
        int chars = text.replace("\t", "").length();
        int gaps = text.length() - chars;
        return new Box(100, 40, (int) (0.5 * HEIGHT * chars + 1.6 * HEIGHT * gaps), HEIGHT);
    }

    private static List<String> words(String text) {
        return Word.of(line(text), box(text)).stream().map(Word::text).toList();
    }

    @Test
    void numbersThatStandApartAreWordsOfTheirOwn() {
        assertThat(words("2\t0\t1")).containsExactly("2", "0", "1");
        assertThat(words("12\t0")).containsExactly("12", "0");
        assertThat(words("KELLIVAR\t2\t7:34\t13\tTOLENDT")).containsExactly("KELLIVAR", "2", "7:34", "13", "TOLENDT");
    }

    @Test
    void aNameKeepsItsParts() {
        assertThat(words("Ansa Kellivar")).containsExactly("Ansa Kellivar");
        assertThat(words("J. Fastrel")).containsExactly("J. Fastrel");
    }

    @Test
    void aNumberRightAfterANameIsNoPartOfIt() {
        assertThat(words("KELLIVAR2")).containsExactly("KELLIVAR", "2");
        assertThat(words("KELLIVAR 13")).containsExactly("KELLIVAR", "13");
        assertThat(words("KELLIVAR O"))
                .as("a nought that was taken for a letter")
                .containsExactly("KELLIVAR", "O");
    }

    @Test
    void wordsKnowWhereTheyStand() {
        List<Word> words = Word.of(line("2\t0"), box("2\t0"));
        assertThat(words.get(0).box().x()).isEqualTo(100);
        int middle = words.get(1).box().x() + words.get(1).box().width() / 2;
        assertThat(middle).isBetween(100 + 42 - 5, 100 + 42 + 9);
    }

    @Test
    void aLoneNoughtIsReadInManyWays() {
        for (String nought : List.of("0", "o", "O", "D", "Q", "口")) {
            assertThat(Word.of(line(nought), box(nought)).get(0).number()).hasValue(0);
        }
        for (String one : List.of("1", "l", "I", "|")) {
            assertThat(Word.of(line(one), box(one)).get(0).number()).hasValue(1);
        }
        assertThat(Word.of(line("13"), box("13")).get(0).number()).hasValue(13);
        assertThat(Word.of(line("AB"), box("AB")).get(0).number()).isEmpty();
        assertThat(Word.of(line("134"), box("134")).get(0).number()).isEmpty();
    }

    @Test
    void theLastSignOfANameMayBeANought() {
        assertThat(Word.of(line("KELLIVARO"), box("KELLIVARO")).get(0).noughts())
                .extracting(Word::text)
                .containsExactly("O");
        assertThat(Word.of(line("TOLENDT B.OO"), box("TOLENDT B.OO")).get(0).noughts())
                .extracting(Word::text)
                .containsExactly("O", "O");
        assertThat(Word.of(line("KELLIVAR"), box("KELLIVAR")).get(0).noughts()).isEmpty();
        assertThat(Word.of(line("TO"), box("TO")).get(0).noughts()).isEmpty();
    }

    @Test
    void headingsOfTwoColumnsAreTwoWordsAndANameOfTwoIsOne() {
        Box box = new Box(0, 0, 110, HEIGHT);
        assertThat(Word.of(line("PTS PEN ADV"), box)).extracting(Word::text).containsExactly("PTS", "PEN", "ADV");
        assertThat(Word.of(line("A. Kellivar"), box)).extracting(Word::text).containsExactly("A. Kellivar");
    }

    @Test
    void aCornerOfTheGroundBesideANumberIsNoPartOfIt() {
        for (String read : List.of("3]", "3\"", "'3")) {
            Word w = new Word(line(read), new Box(0, 0, 20, HEIGHT));
            assertThat(w.number()).as(read).hasValue(3);
        }
        assertThat(new Word(line("3x"), new Box(0, 0, 20, HEIGHT)).number()).isEmpty();
    }
}
