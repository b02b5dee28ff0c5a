package farglass.scout;

import farglass.lexicon.Lexicon;
import java.util.List;
import java.util.Locale;

/** A game figure as SVG, with its words as text. */
public final class GameSvg {
    private static final double WIDTH = 760;
    private static final double STEP = 92;
    private static final double LINE = 12;
    private static final double LETTER = 5.8;

    private GameSvg() {}

    /** @param colour of the athlete, as {@code #rrggbb} */
    public static String of(GameFigure figure, ReportWriter writer, Lexicon lexicon, String colour) {
        double height = Math.max(1, figure.columns()) * STEP;
        GameLayout layout = new GameLayout(figure, WIDTH, height);
        StringBuilder svg = new StringBuilder(format(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\" font-family=\"sans-serif\">%n",
                WIDTH, height));
        for (GameFigure.Link l : figure.links()) {
            GameLayout.Curve c = layout.curve(l);
            String path = format(
                    "M%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1f",
                    c.x1(), c.y1(), c.c1x(), c.c1y(), c.c2x(), c.c2y(), c.x2(), c.y2());
            stroke(svg, path, colour, layout.line(l), 0.3, l.second());
            if (layout.filled(l) > 0) {
                stroke(svg, path, colour, layout.filled(l), 1, false);
            }
        }
        for (GameFigure.Box b : figure.boxes()) {
            GameLayout.Spot s = layout.spot(b);
            svg.append(format(
                    "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" rx=\"4\" fill=\"#FCF9F1\" stroke=\"%s\"/>%n",
                    s.x() - s.w() / 2, s.y() - s.h() / 2, s.w(), s.h(), colour));
            text(svg, s.x(), s.y() + 4, 13, "middle", writer.box(b, lexicon));
        }
        GameLabels labels = new GameLabels(layout, l -> size(writer.link(l, lexicon)));
        for (GameFigure.Link l : figure.links()) {
            GameLabels.Rect at = labels.of(l);
            double y = at.y() - 2;
            for (String line : writer.link(l, lexicon)) {
                text(svg, at.x(), y += LINE, 11, "start", line);
            }
        }
        return svg.append("</svg>\n").toString();
    }

    /** A typeface of the reader's own is not known: about as wide as any. */
    private static double[] size(List<String> lines) {
        int longest = lines.stream().mapToInt(String::length).max().orElse(0);
        return new double[] {LETTER * longest, LINE * lines.size()};
    }

    private static void stroke(
            StringBuilder svg, String path, String colour, double width, double opacity, boolean dashed) {
        svg.append(format(
                "<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"%.1f\" stroke-opacity=\"%.2f\"%s/>%n",
                path, colour, width, opacity, dashed ? " stroke-dasharray=\"7 4\"" : ""));
    }

    private static void text(StringBuilder svg, double x, double y, int size, String anchor, String words) {
        String safe = words.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
        svg.append(format(
                "<text x=\"%.1f\" y=\"%.1f\" font-size=\"%d\" text-anchor=\"%s\" fill=\"#1B2A34\">%s</text>%n",
                x, y, size, anchor, safe));
    }

    private static String format(String pattern, Object... args) {
        return String.format(Locale.ROOT, pattern, args);
    }
}
