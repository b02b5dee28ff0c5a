package farglass.desk.claim;

import farglass.desk.shell.Look;
import farglass.stats.Estimate;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** A number between 0 and 1 with its interval on a scale; a small tick marks the library's average. */
final class IntervalBar extends Canvas {
    private static final double WIDTH = 176;
    private static final double HEIGHT = 18;
    private static final double PAD = 6;

    IntervalBar(Estimate e, Color colour) {
        super(WIDTH, HEIGHT);
        GraphicsContext g = getGraphicsContext2D();
        double middle = HEIGHT / 2;
        g.setStroke(Look.RULE);
        g.setLineWidth(1);
        g.strokeLine(PAD, middle, WIDTH - PAD, middle);
        for (int i = 0; i <= 4; i++) {
            double x = at(i / 4.0);
            g.strokeLine(x, middle - 4, x, middle + 4);
        }
        double strength = switch (e.grade()) {
            case STRONG -> 0.55;
            case FAIR -> 0.38;
            case THIN -> 0.2;
        };
        g.setFill(colour.deriveColor(0, 1, 1, strength));
        g.fillRoundRect(at(e.lo()), middle - 4.5, Math.max(4, at(e.hi()) - at(e.lo())), 9, 9, 9);
        if (Double.isFinite(e.baseline())) {
            double x = at(e.baseline());
            g.setStroke(Look.INK);
            g.setLineWidth(1.4);
            g.strokeLine(x, middle - 7, x, middle + 7);
        }
        if (Double.isFinite(e.mean())) {
            g.setFill(colour);
            g.fillOval(at(e.mean()) - 5, middle - 5, 10, 10);
        }
    }

    private static double at(double p) {
        return PAD + (WIDTH - 2 * PAD) * Math.max(0, Math.min(1, p));
    }
}
