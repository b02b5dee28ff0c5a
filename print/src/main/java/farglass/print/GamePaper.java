package farglass.print;

import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.ReportWriter;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The game figure by itself: a page that is as large as the figure, or that page as a picture. */
public final class GamePaper {
    private static final float WIDTH = 560;
    private static final float MARGIN = 14;
    private static final float COLUMN = 66;
    /** A figure of three columns takes this much; more get more. */
    private static final float LEAST = 200;
    /** Three pixels to the point: wide enough for a screen and for a printed half page. */
    private static final float DPI = 216;

    private final String title;
    private final GameFigure figure;
    private final GameDrawing drawing;

    /**
     * @param title of the document
     * @param writer names boxes and ways, in the words of the lexicon
     * @param ours whether it is our own athlete's, who has the other colour
     */
    public GamePaper(String title, GameFigure figure, ReportWriter writer, Lexicon lexicon, boolean ours) {
        Color colour = ours ? Ink.OURS : Ink.THEIRS;
        this.title = title;
        this.figure = figure;
        this.drawing = new GameDrawing(figure, writer, lexicon, colour);
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, title, this::draw);
    }

    /** The page as a picture, on white. */
    public BufferedImage picture() throws IOException {
        ByteArrayOutputStream whole = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            draw(document);
            // typefaces are embedded when it is written
            document.save(whole);
        }
        try (PDDocument document = Loader.loadPDF(whole.toByteArray())) {
            return new PDFRenderer(document).renderImageWithDPI(0, DPI);
        }
    }

    private void draw(PDDocument document) throws IOException {
        float high = Math.max(LEAST, figure.columns() * COLUMN);
        PDRectangle size = new PDRectangle(WIDTH + 2 * MARGIN, high + 2 * MARGIN);
        try (PaperPage page = new PaperPage(document, size)) {
            drawing.draw(page, MARGIN, MARGIN, WIDTH, high);
        }
    }
}
