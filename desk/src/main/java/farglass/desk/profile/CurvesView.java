package farglass.desk.profile;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.Figure;
import farglass.stats.Curve;
import farglass.stats.Trial;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * How a place ends over time: the share that has ended in each way, with its interval as a wash. Every way has a line
 * pattern of its own besides its colour; its name plays the moments that ended so.
 */
final class CurvesView extends VBox {
    private static final double LEAST = 360;
    private static final double HEIGHT = 190;
    private static final double LEFT = 42;
    private static final double RIGHT = 12;
    private static final double TOP = 10;
    private static final double BOTTOM = 24;
    private static final long SHOWN_MS = 120_000;
    private final Pen other = new Pen(Look.soft());

    private final double wide;
    private final Map<String, Pen> pens;

    private record Pen(Color colour, double... dashes) {}

    /**
     * @param own colour of the athlete, in which the athlete's successes are drawn
     * @param wide width to fill, px
     */
    CurvesView(Figure.Curves figure, Color own, double wide, Consumer<List<Trial>> playAll) {
        super(4);
        this.wide = Math.max(LEAST, wide);
        Color other = own.equals(Look.ours()) ? Look.theirs() : Look.ours();
        this.pens = Map.of(
                Curve.HELD,
                new Pen(Look.ink()),
                "swept",
                new Pen(own, 9, 4),
                "finished",
                new Pen(own),
                "passed",
                new Pen(other),
                "submitted",
                new Pen(other, 2, 4),
                "stood",
                new Pen(Look.soft(), 5, 3, 1, 3));
        Canvas canvas = new Canvas(this.wide, HEIGHT);
        long end = Math.min(
                SHOWN_MS,
                figure.curves().stream().mapToLong(Curve::seenUntilMs).max().orElse(SHOWN_MS));
        GraphicsContext g = canvas.getGraphicsContext2D();
        axes(g, end);
        for (Curve c : figure.curves()) {
            if (!c.points().isEmpty()) {
                band(g, c, end);
            }
        }
        for (Curve c : figure.curves()) {
            line(g, c, end);
        }
        Ui.figure(
                canvas,
                figure.curves().stream()
                        .filter(c -> !c.points().isEmpty())
                        .map(CurvesView::words)
                        .collect(Collectors.joining(" ")));
        FlowPane legend = new FlowPane(14, 2);
        for (Curve c : figure.curves()) {
            legend.getChildren().add(name(c, figure.trials().getOrDefault(c.cause(), List.of()), playAll));
        }
        getChildren().addAll(canvas, legend);
    }

    /** Where a curve ends, with its interval. */
    private static String words(Curve c) {
        Curve.Point last = c.points().get(c.points().size() - 1);
        return Words.of(
                "curve.told",
                Words.of("curve." + c.cause()),
                Math.round(100 * last.value()),
                Math.round(100 * last.lo()),
                Math.round(100 * last.hi()),
                Math.round(last.ms() / 1000.0));
    }

    private Button name(Curve c, List<Trial> trials, Consumer<List<Trial>> playAll) {
        Pen pen = pens.getOrDefault(c.cause(), other);
        Line sample = new Line(0, 0, 26, 0);
        sample.setStroke(pen.colour());
        sample.setStrokeWidth(2.2);
        for (double d : pen.dashes()) {
            sample.getStrokeDashArray().add(d);
        }
        Button b = Ui.button(
                Words.of("curve." + c.cause()) + " (" + trials.size() + ")", () -> playAll.accept(trials), "quiet");
        b.setGraphic(sample);
        b.setAlignment(Pos.CENTER_LEFT);
        return b;
    }

    private double x(long ms, long end) {
        return LEFT + (wide - LEFT - RIGHT) * Math.min(1, ms / (double) end);
    }

    private static double y(double share) {
        return TOP + (HEIGHT - TOP - BOTTOM) * (1 - share);
    }

    private void axes(GraphicsContext g, long end) {
        g.setFont(Font.font(Look.CONDENSED, 12.5));
        g.setFill(Look.soft());
        g.setStroke(Look.rule());
        g.setLineWidth(1);
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.RIGHT);
        for (int i = 0; i <= 4; i++) {
            g.strokeLine(LEFT, y(i / 4.0), wide - RIGHT, y(i / 4.0));
            g.fillText(i * 25 + "%", LEFT - 6, y(i / 4.0));
        }
        g.setTextAlign(TextAlignment.CENTER);
        long step = end > 60_000 ? 20_000 : 10_000;
        for (long t = 0; t <= end; t += step) {
            g.fillText(t / 1000 + " s", x(t, end), HEIGHT - 10);
        }
    }

    private void band(GraphicsContext g, Curve c, long end) {
        Pen pen = pens.getOrDefault(c.cause(), other);
        g.setFill(pen.colour().deriveColor(0, 1, 1, 0.10));
        for (int i = 0; i < c.points().size(); i++) {
            Curve.Point p = c.points().get(i);
            long until = i + 1 < c.points().size() ? c.points().get(i + 1).ms() : c.seenUntilMs();
            if (p.ms() < end) {
                double from = x(p.ms(), end);
                g.fillRect(from, y(p.hi()), x(until, end) - from, y(p.lo()) - y(p.hi()));
            }
        }
    }

    private void line(GraphicsContext g, Curve c, long end) {
        Pen pen = pens.getOrDefault(c.cause(), other);
        g.setStroke(pen.colour());
        g.setLineWidth(2);
        g.setLineDashes(pen.dashes());
        double value = c.cause().equals(Curve.HELD) ? 1 : 0;
        g.beginPath();
        g.moveTo(x(0, end), y(value));
        for (Curve.Point p : c.points()) {
            if (p.ms() > end) {
                break;
            }
            g.lineTo(x(p.ms(), end), y(value));
            value = p.value();
            g.lineTo(x(p.ms(), end), y(value));
        }
        g.lineTo(x(c.seenUntilMs(), end), y(value));
        g.stroke();
        g.setLineDashes();
    }
}
