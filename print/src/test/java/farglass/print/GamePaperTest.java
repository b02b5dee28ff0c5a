package farglass.print;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.GameFigures;
import farglass.scout.ReportWriter;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The game figure by itself, read back. */
class GamePaperTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final int WHITE = 0xffffffff;

    @TempDir
    Path folder;

    private static GamePaper paper(GameFigure figure) {
        return new GamePaper("Juno Fastrel", figure, new ReportWriter(Locale.ENGLISH), LEXICON, false);
    }

    private static GameFigure juno() {
        LibraryIndex index = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);
        return GameFigures.of(Evidence.of(index, "juno-fastrel", Filter.ALL));
    }

    private static int coloured(BufferedImage image) {
        int n = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                n += image.getRGB(x, y) == WHITE ? 0 : 1;
            }
        }
        return n;
    }

    @Test
    void thePageHoldsItsWordsAndThePictureItsInk() throws Exception {
        GameFigure figure = juno();
        Path file = folder.resolve("game.pdf");
        paper(figure).write(file);
        try (PDDocument d = Loader.loadPDF(file.toFile())) {
            assertThat(d.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(d)).contains("on the feet", "double leg", "tap");
        }
        BufferedImage picture = paper(figure).picture();
        assertThat(picture.getWidth()).isGreaterThan(1600);
        BufferedImage bare = paper(new GameFigure(List.of(), List.of(), 0, 0)).picture();
        assertThat(coloured(bare)).isZero();
        assertThat(coloured(picture)).isGreaterThan(picture.getWidth() * picture.getHeight() / 60);
    }
}
