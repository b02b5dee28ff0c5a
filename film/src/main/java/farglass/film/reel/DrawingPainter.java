package farglass.film.reel;

import farglass.film.studio.Lettering;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.type.Typeface;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.function.Function;

/** Draws marks onto a picture of any size: on screen, on stills and in reels alike. */
public final class DrawingPainter {
    private static final Color DIM = new Color(20, 28, 34, 165);
    private static final Color RIM = new Color(0xfcf9f1);
    private static final double STROKE = 0.008;
    private static final double HEAD = 0.045;
    private static final double LETTERS = 0.055;

    private final Function<Corner, Color> colours;
    /** Loaded with the first words drawn: reading a typeface takes longer than a picture may. */
    private Lettering letters;

    /** @param colours colour of an athlete, and of a mark that is neither's (null) */
    public DrawingPainter(Function<Corner, Color> colours) {
        this.colours = colours;
    }

    /**
     * @param x left edge of the picture within the target, pixels
     * @param y its upper edge
     * @param width its width
     * @param height its height
     */
    public void paint(Graphics2D g, List<Drawing.Mark> marks, double x, double y, double width, double height) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Area dark = new Area(new Rectangle2D.Double(x, y, width, height));
        boolean dimmed = false;
        for (Drawing.Mark m : marks) {
            if (m.kind() == Drawing.Kind.SPOTLIGHT) {
                dark.subtract(new Area(ellipse(m, x, y, width, height)));
                dimmed = true;
            }
        }
        if (dimmed) {
            g.setColor(DIM);
            g.fill(dark);
        }
        for (Drawing.Mark m : marks) {
            mark(g, m, x, y, width, height);
        }
    }

    private static Ellipse2D ellipse(Drawing.Mark m, double x, double y, double w, double h) {
        Ellipse2D e = new Ellipse2D.Double();
        e.setFrameFromDiagonal(x + m.x1() * w, y + m.y1() * h, x + m.x2() * w, y + m.y2() * h);
        return e;
    }

    private void mark(Graphics2D g, Drawing.Mark m, double x, double y, double w, double h) {
        double x1 = x + m.x1() * w;
        double y1 = y + m.y1() * h;
        double x2 = x + m.x2() * w;
        double y2 = y + m.y2() * h;
        float stroke = (float) (STROKE * h);
        Color colour = colours.apply(m.who());
        switch (m.kind()) {
            case LINE -> rimmed(g, new Line2D.Double(x1, y1, x2, y2), colour, stroke);
            case RING -> rimmed(g, ellipse(m, x, y, w, h), colour, stroke);
            case ARROW -> arrow(g, x1, y1, x2, y2, colour, stroke, HEAD * h);
            case TEXT -> words(g, m.text() == null ? "" : m.text(), x1, y1, LETTERS * h, colour);
            case ANGLE -> angle(g, x1, y1, x2, y2, colour, stroke, LETTERS * h);
            case SPOTLIGHT -> {
                // painted before all others
            }
        }
    }

    private void words(Graphics2D g, String text, double x, double y, double size, Color colour) {
        if (letters == null) {
            letters = new Lettering(Typeface.SANS_SEMIBOLD);
        }
        double width = letters.width(text, size);
        g.setColor(RIM);
        g.fill(new Rectangle2D.Double(x - size * 0.3, y - size * 0.95, width + size * 0.6, size * 1.3));
        g.setColor(colour.darker());
        letters.draw(g, text, x, y, size);
    }

    /** Both legs of the angle, its arc, and its degrees from the upright, 0 to 180. */
    private void angle(
            Graphics2D g, double x1, double y1, double x2, double y2, Color colour, float stroke, double size) {
        double length = Math.hypot(x2 - x1, y2 - y1);
        double degrees = Math.toDegrees(Math.atan2(x2 - x1, y1 - y2));
        rimmed(g, new Line2D.Double(x1, y1, x1, y1 - length), colour, stroke);
        rimmed(g, new Line2D.Double(x1, y1, x2, y2), colour, stroke);
        double r = length * 0.35;
        rimmed(g, new Arc2D.Double(x1 - r, y1 - r, 2 * r, 2 * r, 90, -degrees, Arc2D.OPEN), colour, stroke * 0.7f);
        words(g, Math.round(Math.abs(degrees)) + "°", x1 + size * 0.5, y1 + size * 1.2, size, colour);
    }

    /** A light rim, so that a mark stands out from any ground. */
    private static void rimmed(Graphics2D g, java.awt.Shape shape, Color colour, float stroke) {
        g.setStroke(new BasicStroke(stroke * 2.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(RIM);
        g.draw(shape);
        g.setStroke(new BasicStroke(stroke * 1.3f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(colour);
        g.draw(shape);
    }

    private static void arrow(
            Graphics2D g, double x1, double y1, double x2, double y2, Color colour, float stroke, double head) {
        double length = Math.hypot(x2 - x1, y2 - y1);
        double shaft = Math.max(0, length - head * 0.8);
        AffineTransform way = AffineTransform.getTranslateInstance(x1, y1);
        way.rotate(Math.atan2(y2 - y1, x2 - x1));
        rimmed(g, way.createTransformedShape(new Line2D.Double(0, 0, shaft, 0)), colour, stroke);
        Path2D tip = new Path2D.Double();
        tip.moveTo(length, 0);
        tip.lineTo(length - head, -head * 0.45);
        tip.lineTo(length - head, head * 0.45);
        tip.closePath();
        rimmed(g, way.createTransformedShape(tip), colour, stroke * 0.5f);
        g.fill(way.createTransformedShape(tip));
    }
}
