package farglass.print;

import farglass.brief.Slide;
import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.ReportWriter;
import farglass.stats.TagRef;
import farglass.text.Language;
import farglass.type.Typeface;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Function;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A briefing on paper: every slide with its points, its notes and pictures of its moments. */
public final class BriefPaper {
    private static final double STILL_WIDTH = 158;
    private static final double STILL_HEIGHT = 89;
    private static final double GAP = 10;
    private static final double GAME = 330;
    private static final double GAME_ROW = 66;

    private final List<Slide> slides;
    private final String title;
    private final String care;
    private final Lexicon lexicon;
    private final Function<TagRef, BufferedImage> stills;

    /**
     * @param slides those that are shown
     * @param care words of caution at the foot of every page
     * @param lexicon names what a drawn game holds
     * @param stills the picture of a moment, or null
     */
    public BriefPaper(
            List<Slide> slides, String title, String care, Lexicon lexicon, Function<TagRef, BufferedImage> stills) {
        this.slides = List.copyOf(slides);
        this.title = title;
        this.care = care;
        this.lexicon = lexicon;
        this.stills = stills;
    }

    /** Nothing half-written is left when it fails. */
    public void write(Path target) throws IOException {
        PaperFile.write(target, title, this::draw);
    }

    private void draw(PDDocument document) throws IOException {
        try (Sheets s = new Sheets(document, care)) {
            for (Slide x : slides) {
                slide(s, x);
            }
        }
    }

    private void slide(Sheets s, Slide x) throws IOException {
        if (x.kind() == Slide.Kind.TITLE) {
            s.title(x.text(), String.join(", ", x.points()));
            return;
        }
        GameFigure figure = x.figure();
        double drawn = figure == null ? 0 : Math.min(GAME, figure.columns() * GAME_ROW);
        s.need((x.moments().isEmpty() ? 70 : 70 + STILL_HEIGHT) + drawn);
        s.skip(6);
        s.heading(x.heading());
        s.text(x.text(), Typeface.SERIF_SEMIBOLD, 14, Ink.INK);
        for (String point : x.points()) {
            s.text(point, Typeface.SANS, 10, Ink.INK, 12);
        }
        if (!x.notes().isEmpty()) {
            s.text(x.notes(), Typeface.SANS, 9.5, Ink.SOFT, 12);
        }
        if (figure != null) {
            new GameDrawing(figure, new ReportWriter(Language.locale()), lexicon, Ink.THEIRS)
                    .draw(s.page(), Sheets.MARGIN, s.y() + 4, s.page().width() - 2 * Sheets.MARGIN, drawn);
            s.skip(drawn + 10);
        }
        pictures(s, x);
    }

    private void pictures(Sheets s, Slide x) throws IOException {
        double left = Sheets.MARGIN;
        boolean any = false;
        for (TagRef moment : x.moments()) {
            BufferedImage image = stills.apply(moment);
            if (image != null) {
                s.page().picture(image, left, s.y() + 6, STILL_WIDTH, STILL_HEIGHT);
                left += STILL_WIDTH + GAP;
                any = true;
            }
        }
        if (any) {
            s.skip(STILL_HEIGHT + 12);
        }
    }
}
