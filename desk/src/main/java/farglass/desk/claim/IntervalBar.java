package farglass.desk.claim;

import farglass.desk.shell.Look;
import farglass.profile.Claim;
import farglass.profile.Scale;
import farglass.stats.Estimate;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** A number with its interval on a scale that fits its unit; a small tick marks the library's average. */
public final class IntervalBar extends Canvas {
    private static final double WIDTH = 158;
    private static final double HEIGHT = 18;
    private static final double PAD = 6;

    private final Scale scale;

    public IntervalBar(Claim c, Color colour) {
        this(c.unit(), c.estimate(), colour);
    }

    public IntervalBar(Claim.Unit unit, Estimate e, Color colour) {
        super(WIDTH, HEIGHT);
        scale = Scale.of(unit, e);
        if (unit != Claim.Unit.COUNT) {
            draw(unit, e, colour);
        }
    }

    private void draw(Claim.Unit unit, Estimate e, Color colour) {
        GraphicsContext g = getGraphicsContext2D();
        double middle = HEIGHT / 2;
        g.setStroke(Look.rule());
        g.setLineWidth(1);
        g.strokeLine(PAD, middle, WIDTH - PAD, middle);
        for (int i = 0; i <= 4; i++) {
            double x = PAD + (WIDTH - 2 * PAD) * i / 4.0;
            g.strokeLine(x, middle - 4, x, middle + 4);
        }
        double strength = switch (e.grade()) {
            case STRONG -> 0.55;
            case FAIR -> 0.38;
            case THIN -> 0.2;
        };
        // a bound without an upper end runs to the end of its scale
        double hi = unit == Claim.Unit.TIMES_EXPECTED ? scale.to() : e.hi();
        g.setFill(colour.deriveColor(0, 1, 1, strength));
        g.fillRoundRect(at(e.lo()), middle - 4.5, Math.max(4, at(hi) - at(e.lo())), 9, 9, 9);
        double average = unit == Claim.Unit.DIFFERENCE ? 0 : e.baseline();
        if (Double.isFinite(average)) {
            double x = at(average);
            g.setStroke(Look.ink());
            g.setLineWidth(1.4);
            g.strokeLine(x, middle - 7, x, middle + 7);
        }
        if (Double.isFinite(e.mean())) {
            g.setFill(colour);
            g.fillOval(at(e.mean()) - 5, middle - 5, 10, 10);
        }
    }

    private double at(double v) {
        return PAD + (WIDTH - 2 * PAD) * scale.at(v);
    }
}
