package farglass.desk.debrief;

import farglass.debrief.Calibration;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** What was given so much chance, against how much of it happened: on the diagonal forecasts can be believed. */
final class ReliabilityView extends Canvas {
    private static final double SIZE = 250;
    private static final double LEFT = 40;
    private static final double EDGE = 12;
    private static final double BOTTOM = 36;

    ReliabilityView(Calibration c) {
        super(SIZE + LEFT, SIZE + BOTTOM);
        setId("reliability");
        Ui.figure(
                this,
                c.bins().stream()
                        .map(b -> Words.of("debrief.bin", percent(b.mean()), percent(b.happened()), b.n()))
                        .collect(Collectors.joining(" ")));
        GraphicsContext g = getGraphicsContext2D();
        g.setFont(Font.font(Look.CONDENSED, 12.5));
        g.setTextBaseline(VPos.CENTER);
        g.setStroke(Look.rule());
        g.setFill(Look.soft());
        for (int i = 0; i <= 4; i++) {
            double share = i / 4.0;
            g.strokeLine(x(0), y(share), x(1), y(share));
            g.strokeLine(x(share), y(0), x(share), y(1));
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText(25 * i + "%", x(0) - 5, y(share));
            g.setTextAlign(TextAlignment.CENTER);
            if (i > 0) {
                g.fillText(25 * i + "%", x(share), y(0) + 10);
            }
        }
        g.fillText(Words.of("debrief.given"), x(0.5), y(0) + 27);
        g.setStroke(Look.soft());
        g.setLineDashes(4, 4);
        g.strokeLine(x(0), y(0), x(1), y(1));
        g.setLineDashes();
        g.setFill(Look.ours());
        for (Calibration.Bin b : c.bins()) {
            double r = 3 + 2 * Math.sqrt(b.n());
            g.fillOval(x(b.mean()) - r, y(b.happened()) - r, 2 * r, 2 * r);
        }
        g.setFill(Look.ink());
        g.setTextAlign(TextAlignment.LEFT);
        for (Calibration.Bin b : c.bins()) {
            double r = 3 + 2 * Math.sqrt(b.n());
            g.fillText(Integer.toString(b.n()), x(b.mean()) + r + 2, y(b.happened()));
        }
    }

    private static String percent(double share) {
        return Math.round(100 * share) + "%";
    }

    private static double x(double share) {
        return LEFT + (SIZE - EDGE) * share;
    }

    private static double y(double share) {
        return EDGE + (SIZE - EDGE) * (1 - share);
    }
}
