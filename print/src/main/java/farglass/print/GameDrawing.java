package farglass.print;

import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.GameLabels;
import farglass.scout.GameLayout;
import farglass.scout.ReportWriter;
import farglass.type.Typeface;
import java.awt.Color;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The game figure on paper. */
final class GameDrawing {
    private static final int STEPS = 18;
    private static final double NAME = 8;
    private static final double COUNT = 7;
    /** Lines on paper are this much of those on screen. */
    private static final double SCALE = 0.55;

    private final GameFigure figure;
    private final ReportWriter writer;
    private final Lexicon lexicon;
    private final Color colour;

    GameDrawing(GameFigure figure, ReportWriter writer, Lexicon lexicon, Color colour) {
        this.figure = figure;
        this.writer = writer;
        this.lexicon = lexicon;
        this.colour = colour;
    }

    void draw(PaperPage page, double x, double y, double w, double h) throws IOException {
        GameLayout layout = new GameLayout(figure, w, h);
        for (GameFigure.Link l : figure.links()) {
            GameLayout.Curve c = layout.curve(l);
            curve(page, c, x, y, Ink.thin(colour, l.second() ? 0.22 : 0.34), SCALE * layout.line(l));
            if (layout.filled(l) > 0) {
                curve(page, c, x, y, colour, SCALE * layout.filled(l));
            }
        }
        for (GameFigure.Box b : figure.boxes()) {
            GameLayout.Spot s = layout.spot(b);
            double high = s.h();
            page.fill(x + s.x() - s.w() / 2, y + s.y() - high / 2, s.w(), high, Color.WHITE);
            page.frame(x + s.x() - s.w() / 2, y + s.y() - high / 2, s.w(), high, colour, 0.8);
            String name = page.wrapped(writer.box(b, lexicon), s.w() - 4, Typeface.CONDENSED_SEMIBOLD, NAME, 1)
                    .get(0);
            centred(page, name, x + s.x(), y + s.y() + 2.8, Typeface.CONDENSED_SEMIBOLD, NAME);
        }
        Map<GameFigure.Link, double[]> sizes = new HashMap<>();
        for (GameFigure.Link l : figure.links()) {
            sizes.put(l, size(page, writer.link(l, lexicon)));
        }
        GameLabels labels = new GameLabels(layout, sizes::get);
        for (GameFigure.Link l : figure.links()) {
            GameLabels.Rect place = labels.of(l);
            double at = y + place.y();
            for (String line : writer.link(l, lexicon)) {
                at += COUNT;
                page.text(line, x + place.x(), at, Typeface.CONDENSED, COUNT, Ink.INK);
            }
        }
    }

    private static double[] size(PaperPage page, List<String> lines) throws IOException {
        double width = 0;
        for (String line : lines) {
            width = Math.max(width, page.textWidth(line, Typeface.CONDENSED, COUNT));
        }
        return new double[] {width, COUNT * lines.size() + 2};
    }

    private static void centred(PaperPage page, String text, double x, double y, Typeface face, double points)
            throws IOException {
        page.text(text, x - page.textWidth(text, face, points) / 2, y, face, points, Ink.INK);
    }

    private static void curve(PaperPage page, GameLayout.Curve c, double x, double y, Color tint, double width)
            throws IOException {
        double[] before = c.at(0);
        for (int i = 1; i <= STEPS; i++) {
            double[] next = c.at(i / (double) STEPS);
            page.line(x + before[0], y + before[1], x + next[0], y + next[1], tint, width);
            before = next;
        }
    }
}
