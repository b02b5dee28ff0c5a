package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.film.Box;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Graphics of several designs, as words that stay put. */
class LayoutTest {
    private static final int HIGH = 20;
    private static final Box CLOCK = new Box(600, 300, 60, HIGH);

    private record Placed(String text, int x, int y) {}

    private static Word word(Placed p) {
        Box box = new Box(p.x(), p.y(), Math.max(14, 10 * p.text().length()), HIGH);
        return new Word(WordTest.line(p.text()), box);
    }

    private static ScoreGraphic graphic(Placed... placed) {
        List<SampledWords.Picture> pictures = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            List<Word> words = new ArrayList<>();
            words.add(new Word(WordTest.line("5:0" + i), CLOCK));
            for (Placed p : placed) {
                words.add(word(p));
            }
            // what moves behind the graphic is read in one picture only
            words.add(word(new Placed("7", 40 * i, 200 + 9 * i)));
            pictures.add(new SampledWords.Picture(25 * i, 1000L * i, words));
        }
        return Layout.of(new SampledWords(pictures), CLOCK, 1280, 720);
    }

    private static List<String> names(ScoreGraphic g) {
        return g.names().stream().map(ScoreGraphic.Name::text).toList();
    }

    private static int middle(Box b) {
        return b.x() + b.width() / 2;
    }

    @Test
    void twoRowsWithThreeNumbers() {
        ScoreGraphic g = graphic(
                new Placed("KELLIVAR", 50, 40),
                new Placed("2", 200, 40),
                new Placed("0", 240, 40),
                new Placed("1", 280, 40),
                new Placed("TOLENDT", 50, 75),
                new Placed("0", 200, 75),
                new Placed("0", 240, 75),
                new Placed("0", 280, 75));
        assertThat(names(g)).containsExactly("KELLIVAR", "TOLENDT");
        assertThat(g.columns()).hasSize(3);
        assertThat(middle(g.columns().get(0).first())).isBetween(202, 212);
        assertThat(g.columns().get(2).second().y()).isEqualTo(75);
    }

    @Test
    void aBarIsMirrored() {
        ScoreGraphic g = graphic(
                new Placed("KELLIVAR", 400, 300),
                new Placed("2", 560, 300),
                new Placed("5", 690, 300),
                new Placed("TOLENDT", 780, 300));
        assertThat(names(g)).containsExactly("KELLIVAR", "TOLENDT");
        assertThat(g.columns()).hasSize(1);
        assertThat(middle(g.columns().get(0).second())).isBetween(692, 702);
    }

    /** Points large below the middle of a name, the smaller numbers in a row of their own far below. */
    @Test
    void aCardForEachAthlete() {
        List<SampledWords.Picture> pictures = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            List<Word> words = new ArrayList<>();
            words.add(new Word(WordTest.line("5:0" + i), CLOCK));
            words.add(word(new Placed("KELLIVAR", 100, 40)));
            words.add(word(new Placed("PELL", 320, 40)));
            words.add(new Word(WordTest.line("4"), new Box(125, 80, 30, 40)));
            words.add(word(new Placed(i < 4 ? "0" : "1", 106, 150)));
            words.add(word(new Placed("0", 306, 150)));
            // the left edge of both cards
            words.add(word(new Placed("1", 70, 150)));
            words.add(word(new Placed("1", 270, 150)));
            pictures.add(new SampledWords.Picture(25 * i, 1000L * i, words));
        }
        ScoreGraphic g = Layout.of(new SampledWords(pictures), CLOCK, 1280, 720);
        assertThat(names(g)).containsExactly("KELLIVAR", "PELL");
        ScoreGraphic.Column points = g.columns().stream()
                .filter(c -> c.first().height() == 40)
                .findFirst()
                .orElseThrow();
        assertThat(middle(points.second()) - middle(points.first())).isCloseTo(200, within(3));
        assertThat(g.columns()).anyMatch(c -> Math.abs(middle(c.first()) - 113) < 4);
    }

    /** The last number of the first stands nearer to the second name than to its own. */
    @Test
    void aNameWithItsNumbersAfterItTwice() {
        ScoreGraphic g = graphic(
                new Placed("KELLIVAR", 50, 40),
                new Placed("2", 200, 40),
                new Placed("0", 260, 40),
                new Placed("1", 320, 40),
                new Placed("TOLENDT", 360, 40),
                new Placed("3", 510, 40),
                new Placed("0", 570, 40),
                new Placed("0", 630, 40));
        assertThat(names(g)).containsExactly("KELLIVAR", "TOLENDT");
        assertThat(g.columns()).hasSize(3);
        assertThat(middle(g.columns().get(2).second())).isBetween(632, 642);
    }

    /** The network overlooks them more easily than it makes them up. */
    @Test
    void aPointAndASpaceOfANameNeedNotBeReadEachTime() {
        List<SampledWords.Picture> pictures = new ArrayList<>();
        for (String read : List.of("TOLENDT B", "TOLENDTB", "TOLENDT B.", "TOLENDTB", "TOLENDT B")) {
            pictures.add(new SampledWords.Picture(0, 0, List.of(word(new Placed(read, 50, 40)))));
        }
        List<Region> regions = Region.of(new SampledWords(pictures), Word::letters);
        assertThat(regions).hasSize(1);
        assertThat(regions.get(0).text()).isEqualTo("TOLENDT B.");
        assertThat(regions.get(0).agreement()).isEqualTo(1);
        pictures.clear();
        for (String read : List.of("TOLENDTBO", "TOLENDTBO", "TOLENDTBO", "TOLENDT BO", "TOLENDT BO")) {
            pictures.add(new SampledWords.Picture(0, 0, List.of(word(new Placed(read, 50, 40)))));
        }
        assertThat(Region.of(new SampledWords(pictures), Word::letters).get(0).text())
                .isEqualTo("TOLENDT BO");
    }

    @Test
    void anInitialThatIsReadByItselfBelongsToItsName() {
        ScoreGraphic g = graphic(
                new Placed("A.", 20, 40),
                new Placed("KELLIVAR", 50, 40),
                new Placed("2", 200, 40),
                new Placed("TOLENDT I", 50, 75),
                new Placed("B", 132, 75),
                new Placed("0", 200, 75));
        assertThat(names(g)).containsExactly("A. KELLIVAR", "TOLENDT B.");
        assertThat(g.columns()).hasSize(1);
        ScoreGraphic without = graphic(
                new Placed("KELLIVAR", 50, 40),
                new Placed("O", 140, 40),
                new Placed("TOLENDT", 50, 75),
                new Placed("O", 140, 75),
                new Placed("A", 400, 75));
        assertThat(names(without)).as("noughts and far letters are none").containsExactly("KELLIVAR", "TOLENDT");
    }

    @Test
    void aNameOfTwoWordsIsOneName() {
        ScoreGraphic g = graphic(
                new Placed("Ines", 40, 40),
                new Placed("Oradell", 92, 40),
                new Placed("2", 240, 40),
                new Placed("Brisa", 40, 75),
                new Placed("Tamwick", 104, 75),
                new Placed("0", 240, 75),
                new Placed("Hall", 400, 40));
        assertThat(names(g)).containsExactly("Ines Oradell", "Brisa Tamwick");
    }

    @Test
    void namesRightBesideEachOtherAreTwo() {
        ScoreGraphic g = graphic(
                new Placed("2", 20, 40),
                new Placed("Ansa", 60, 40),
                new Placed("Kellivar", 110, 40),
                new Placed("Brisa", 212, 40),
                new Placed("Tolendt", 270, 40),
                new Placed("0", 372, 40));
        assertThat(names(g)).containsExactly("Ansa Kellivar", "Brisa Tolendt");
        assertThat(names(graphic(
                        new Placed("2", 20, 40),
                        new Placed("KELLIVAR", 60, 40),
                        new Placed("TOLENDT", 158, 40),
                        new Placed("0", 256, 40))))
                .containsExactly("KELLIVAR", "TOLENDT");
    }

    @Test
    void aNumberHasOneCounterpartWhereTwoColumnsLieClose() {
        ScoreGraphic g = graphic(
                new Placed("FASTREL", 117, 300),
                new Placed("0", 432, 300),
                new Placed("0", 492, 300),
                new Placed("3", 553, 300),
                new Placed("2", 743, 300),
                new Placed("1", 806, 300),
                new Placed("3", 865, 300),
                new Placed("4", 770, 300),
                new Placed("MARROWEN", 1125, 300));
        assertThat(g.columns()).hasSize(3);
        assertThat(g.columns().stream().map(c -> middle(c.second())).sorted().toList())
                .as("what is misread between two cells is no column")
                .containsExactly(750, 813, 872);
    }

    @Test
    void aNameIsSpelledAsNamesAre() {
        assertThat(Region.spelled("Ines Oradel!")).isEqualTo("Ines Oradell");
        assertThat(Region.spelled("lnes Oradell")).isEqualTo("Ines Oradell");
        assertThat(Region.spelled("lea lara")).isEqualTo("lea lara");
        assertThat(Region.spelled("1!")).isEqualTo("1!");
        assertThat(Region.spelled("TOLENDTB.")).isEqualTo("TOLENDT B.");
        assertThat(Region.spelled("A.Kellivar")).isEqualTo("A. Kellivar");
        assertThat(Region.spelled("Marrowen JR.")).isEqualTo("Marrowen JR.");
    }

    @Test
    void aGraphicIsTheSameInAnotherPlaceByItsColumnsAndANameInOrder() {
        ScoreGraphic here = twoNames("KELLIVAR", "TOLENDT", 2);
        assertThat(here.like(twoNames("Kellivar", "T0LENDT", 2))).isTrue();
        assertThat(here.like(twoNames("KELLIVAR", "TOLENDT", 3))).isFalse();
        assertThat(here.like(twoNames("TOLENDT", "KELLIVAR", 2))).isFalse();
        assertThat(here.like(ScoreGraphic.NONE)).isFalse();
    }

    private static ScoreGraphic twoNames(String first, String second, int columns) {
        Box any = new Box(1, 1, 10, 10);
        return new ScoreGraphic(
                List.of(new ScoreGraphic.Name(first, any, 1), new ScoreGraphic.Name(second, any, 1)),
                Collections.nCopies(columns, new ScoreGraphic.Column(any, any, null)));
    }

    @Test
    void numbersBelowTheirNamesAtBothSides() {
        ScoreGraphic g = graphic(
                new Placed("KELLIVAR", 50, 40),
                new Placed("2", 50, 75),
                new Placed("1", 90, 75),
                new Placed("TOLENDT", 1000, 40),
                new Placed("0", 1000, 75),
                new Placed("3", 1040, 75));
        assertThat(g.columns()).hasSize(2);
        assertThat(middle(g.columns().get(1).second())).isBetween(1042, 1052);
    }

    /** A row of equal cells is mirrored and moved along at once; its places are nearer to the mirror's. */
    @Test
    void aMirroredRowUnderItsNameIsReadFromTheLeft() {
        ScoreGraphic g = graphic(
                new Placed("KELLIVAR", 40, 40),
                new Placed("7", 50, 64),
                new Placed("0", 80, 64),
                new Placed("1", 110, 64),
                new Placed("MARROWENS", 1150, 40),
                new Placed("2", 1156, 64),
                new Placed("0", 1186, 64),
                new Placed("5", 1216, 64));
        assertThat(names(g)).containsExactly("KELLIVAR", "MARROWENS");
        assertThat(g.columns()).hasSize(3);
        assertThat(middle(g.columns().get(0).first())).isBetween(52, 62);
        assertThat(middle(g.columns().get(0).second())).isBetween(1218, 1228);
        assertThat(middle(g.columns().get(2).second())).isBetween(1158, 1168);
    }

    @Test
    void numbersRightAfterNamesOfDifferentLength() {
        ScoreGraphic g = graphic(
                new Placed("PELL", 50, 40),
                new Placed("2", 100, 40),
                new Placed("MARROWEN", 50, 75),
                new Placed("4", 140, 75));
        assertThat(names(g)).containsExactly("PELL", "MARROWEN");
        assertThat(g.columns()).hasSize(1);
    }

    @Test
    void headingsBelongToTheirColumns() {
        ScoreGraphic g = graphic(
                new Placed("PEN", 195, 10),
                new Placed("PTS", 245, 10),
                new Placed("KELLIVAR", 50, 40),
                new Placed("0", 200, 40),
                new Placed("2", 250, 40),
                new Placed("TOLENDT", 50, 75),
                new Placed("0", 200, 75),
                new Placed("0", 250, 75));
        assertThat(g.columns())
                .extracting(ScoreGraphic.Column::heading)
                .containsExactly(ScoreKind.PENALTIES, ScoreKind.POINTS);
        assertThat(names(g)).containsExactly("KELLIVAR", "TOLENDT");
    }

    @Test
    void noughtsReadWithTheNameAreFoundWhenThereIsNothingElse() {
        ScoreGraphic g = graphic(new Placed("KELLIVARO", 50, 40), new Placed("TOLENDTO", 300, 40));
        assertThat(g.columns()).hasSize(1);
        assertThat(names(g)).containsExactly("KELLIVAR", "TOLENDT");
        assertThat(middle(g.columns().get(0).first())).isBetween(130, 145);
    }

    @Test
    void aNoughtReadWithOneNameIsFoundBesideAnotherColumn() {
        ScoreGraphic g = graphic(
                new Placed("TOLENDT B. O", 50, 40),
                new Placed("1", 240, 40),
                new Placed("MARROWEN", 800, 40),
                new Placed("2", 908, 40),
                new Placed("0", 990, 40));
        assertThat(g.columns()).hasSize(2);
        assertThat(middle(g.columns().get(0).first())).isBetween(155, 175);
        assertThat(middle(g.columns().get(0).second())).isBetween(908, 922);
        assertThat(names(g)).containsExactly("TOLENDT B.", "MARROWEN");
        // the last letter of a name is none
        ScoreGraphic letters = graphic(
                new Placed("BRUNEDO", 50, 40),
                new Placed("1", 240, 40),
                new Placed("MARCEDO", 800, 40),
                new Placed("0", 990, 40));
        assertThat(letters.columns()).hasSize(1);
        assertThat(names(letters)).containsExactly("BRUNEDO", "MARCEDO");
    }

    @Test
    void otherTextIsNoScore() {
        assertThat(graphic(new Placed("MAT", 50, 40), new Placed("4", 100, 40)).columns())
                .isEmpty();
        assertThat(graphic().names()).isEmpty();
    }
}
