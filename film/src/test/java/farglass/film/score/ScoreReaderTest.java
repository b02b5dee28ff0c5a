package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.Box;
import farglass.film.GrayPicture;
import farglass.film.score.NumberTrack.Reading;
import farglass.film.text.TextLine;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ScoreReaderTest {
    private static TextLine line(String text) {
        String said = text == null ? "" : text;
        return new TextLine(said, said.isEmpty() ? 0 : 0.9, Collections.nCopies(said.length(), 0.5));
    }

    @ParameterizedTest
    @CsvSource({
        // one digit, well read by both
        "4, 4, 4, 4",
        // the edge of the graphic at the left is read as a one
        "2, 12, 2, 12",
        // two digits of which the middle shows the first
        "1, 13, 13, 1",
        "2, 21, 21, 2",
        // one digit read twice in the narrow picture
        "11, 1, 1, 11",
        // only one of them can be read
        ", 7, 7, 7",
        "7, , 7, 7",
        // both say something else
        "3, 8, 3, 8",
        "3, 88, 3, 88"
    })
    void theMiddleAndTheWholeAreHeldAgainstEachOther(String narrow, String wide, int value, int other) {
        Reading r = ScoreReader.reading(500, line(narrow), line(wide), line(""));
        assertThat(r.value()).isEqualTo(value);
        assertThat(r.other()).isEqualTo(other);
    }

    @Test
    void nothingAndThreeDigitsAreNoReading() {
        assertThat(ScoreReader.reading(0, line(null), line(null), line("")).value())
                .isEqualTo(-1);
        assertThat(ScoreReader.reading(0, line("123"), line(""), line("")).value())
                .isEqualTo(-1);
        assertThat(ScoreReader.reading(0, line(""), line("11"), line("")).value())
                .isEqualTo(-1);
        assertThat(ScoreReader.reading(0, line(""), line("12"), line("")).value())
                .isEqualTo(12);
        assertThat(ScoreReader.reading(0, line("11"), line("11"), line("")).value())
                .isEqualTo(11);
    }

    @Test
    void largePicturesAreMadeAsHighAsTheNetworkReads() {
        byte[] pixels = new byte[200 * 96];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = (byte) (i % 200 < 100 ? 0 : 200);
        }
        GrayPicture small = ScoreCrops.small(new GrayPicture(200, 96, pixels));
        assertThat(small.height()).isEqualTo(48);
        assertThat(small.width()).isEqualTo(100);
        assertThat(small.at(10, 20)).isZero();
        assertThat(small.at(90, 20)).isEqualTo(200);
        GrayPicture same = new GrayPicture(3, 2, new byte[6]);
        assertThat(ScoreCrops.small(same)).isSameAs(same);
    }

    @Test
    void theLastStepIsAlwaysRead() {
        assertThat(ScoreReader.coarse(0)).isEmpty();
        assertThat(ScoreReader.coarse(1)).containsExactly(0);
        assertThat(ScoreReader.coarse(5)).containsExactly(0, 4);
        assertThat(ScoreReader.coarse(11)).containsExactly(0, 4, 8, 10);
    }

    @Test
    void theMiddleIsWhereOneDigitStands() {
        Box wide = new Box(60, 20, 70, 50);
        ScoreCrops crops = crops(new ScoreGraphic.Column(wide, new Box(60, 90, 30, 50), null));
        GrayPicture middle = crops.middle(0, 0, 0);
        assertThat(middle.width()).isBetween(46, 50);
        assertThat(middle.at(0, 3)).isBetween(12, 16);
        assertThat(crops.wide(0, 0, 0).at(0, 3)).isZero();
        assertThat(crops.wide(0, 0, 0).width()).isBetween(74, 78);
        GrayPicture longer = crops.longer(0, 0, 0);
        assertThat(longer.at(0, 3)).isEqualTo(middle.at(0, 3));
        assertThat(longer.at(longer.width() - 1, 3)).isEqualTo(99);
        assertThat(crops.middle(0, 1, 0).width())
                .as("a box that was set round its digit shows no more")
                .isBetween(32, 36);
    }

    @Test
    void aSecondDigitEndsBeforeTheNextNumberOfItsRow() {
        Box first = new Box(60, 20, 70, 50);
        Box next = new Box(115, 20, 70, 50);
        ScoreCrops crops = crops(
                new ScoreGraphic.Column(first, new Box(60, 90, 70, 50), null),
                new ScoreGraphic.Column(next, new Box(115, 90, 70, 50), null));
        assertThat(crops.longer(0, 0, 0).width())
                .isLessThan(crops.longer(1, 0, 0).width());
    }

    /** Pictures 100 pixels wide whose brightness is the place across. */
    private static ScoreCrops crops(ScoreGraphic.Column... columns) {
        byte[] pixels = new byte[100 * 10];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = (byte) (i % 100);
        }
        List<List<GrayPicture>> pictures =
                Collections.nCopies(2 * columns.length, List.of(new GrayPicture(100, 10, pixels)));
        return new ScoreCrops(
                new ScoreGraphic(List.of(), List.of(columns)), new ScoreCrops.Taken(List.of(0L), pictures));
    }

    @Test
    void whatStandsBesideTheFirstDigitIsKeptAsPossible() {
        assertThat(ScoreReader.reading(0, line("1"), line("1"), line("13")).longer())
                .isEqualTo(13);
        assertThat(ScoreReader.reading(0, line("0"), line("0"), line("01")).longer())
                .isEqualTo(-1);
        assertThat(ScoreReader.reading(0, line("2"), line("2"), line("2")).longer())
                .isEqualTo(-1);
    }
}
