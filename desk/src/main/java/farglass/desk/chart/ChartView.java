package farglass.desk.chart;

import farglass.chart.ChartPlan;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.profile.ClaimWriter;
import farglass.stats.Trial;
import farglass.tendency.Flows;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** Flows between places: width is how often, shade how sure. A flow plays its moments when it is clicked. */
public final class ChartView extends Region {
    private static final double PAD_X = 54;
    private static final double PAD_Y = 20;
    private static final int FLOWS = 44;
    private static final int FLOWS_OF_TWO = 26;
    private static final int STEPS = 16;
    private static final double NEAR = 6;
    /** So many flows are told to those who hear the figure. */
    private static final int TOLD = 8;

    private static final double WIDEST = 9;
    /** A ring from this radius on holds its code. */
    private static final double LABEL = 12;

    private final Lexicon lexicon;
    private final Supplier<ChartPlan> plan;
    private final Canvas canvas = new Canvas();
    private final Tooltip tip = new Tooltip();
    private final List<Drawn> drawn = new ArrayList<>();
    private final List<Stand> stands = new ArrayList<>();
    private final List<Layer> layers = new ArrayList<>();
    private Consumer<List<Trial>> play = t -> {};

    private record Layer(Flows flows, Color colour, boolean above) {}

    /** Where a place was drawn. */
    private record Stand(Flows.Stop stop, double x, double y, double r) {}

    private record Drawn(Flows.Flow flow, double[] xs, double[] ys) {}

    /** @param plan asked for when the chart is first drawn */
    public ChartView(Lexicon lexicon, Supplier<ChartPlan> plan) {
        this.lexicon = lexicon;
        this.plan = plan;
        setId("chart");
        getChildren().add(canvas);
        Tooltip.install(this, tip);
        setOnMouseMoved(e -> {
            Drawn d = nearest(e.getX(), e.getY());
            tip.setText(stands.stream()
                    .filter(s -> Math.hypot(s.x() - e.getX(), s.y() - e.getY()) <= Math.max(s.r(), NEAR))
                    .findFirst()
                    .map(s -> describe(s.stop()))
                    .orElseGet(() -> d == null ? Words.of("chart.tip") : describe(d.flow())));
        });
        setOnMouseClicked(e -> {
            Drawn d = nearest(e.getX(), e.getY());
            if (d != null) {
                play.accept(d.flow().trials());
            }
        });
    }

    public void onPlay(Consumer<List<Trial>> action) {
        play = action;
    }

    /** One athlete alone, or with another laid over; {@code other} may be null. */
    public void show(Flows flows, Color colour, Flows other, Color otherColour) {
        layers.clear();
        layers.add(new Layer(flows, colour, false));
        if (other != null) {
            layers.add(new Layer(other, otherColour, true));
        }
        Ui.figure(this, layers.stream().map(l -> words(l.flows())).collect(Collectors.joining(" ")));
        draw();
    }

    /** The flows that are seen most. */
    private String words(Flows flows) {
        return flows.flows().stream()
                .sorted(Comparator.comparingDouble(Flows.Flow::perTenMinutes).reversed())
                .limit(TOLD)
                .map(f -> describe(f) + ".")
                .collect(Collectors.joining(" "));
    }

    /** "half guard (guard) to side control (under): 4 times, 1.2 in ten minutes". */
    public String describe(Flows.Flow f) {
        return Words.of(
                "chart.flow",
                lexicon.positionName(f.from()) + " (" + CoreWords.code(f.role().code()) + ")",
                lexicon.positionName(f.to()) + " (" + CoreWords.code(f.toRole().code()) + ")",
                f.trials().size(),
                String.format(Language.locale(), "%.1f", f.perTenMinutes()),
                f.trials().stream().map(t -> t.tag().match()).distinct().count());
    }

    private String describe(Flows.Stop s) {
        return Words.of(
                "chart.stop",
                lexicon.positionName(s.position()) + " ("
                        + CoreWords.code(s.role().code()) + ")",
                ClaimWriter.percent(s.share().mean()),
                ClaimWriter.percent(s.share().lo()),
                ClaimWriter.percent(s.share().hi()),
                s.share().matches());
    }

    private Drawn nearest(double x, double y) {
        Drawn best = null;
        double least = NEAR;
        for (Drawn d : drawn) {
            for (int i = 0; i < d.xs().length; i++) {
                double away = Math.hypot(d.xs()[i] - x, d.ys()[i] - y);
                if (away < least) {
                    least = away;
                    best = d;
                }
            }
        }
        return best;
    }

    @Override
    protected void layoutChildren() {
        if (canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
            canvas.setWidth(getWidth());
            canvas.setHeight(getHeight());
            draw();
        }
    }

    private double x(double[] spot) {
        return PAD_X + (getWidth() - 2 * PAD_X) * spot[0];
    }

    private double y(double[] spot) {
        return PAD_Y + (getHeight() - 2 * PAD_Y) * spot[1];
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        drawn.clear();
        stands.clear();
        g.setStroke(Look.rule());
        g.setLineWidth(1);
        g.setLineDashes(3, 4);
        double middle = y(new double[] {0, 0.5});
        g.strokeLine(8, middle, getWidth() - 8, middle);
        g.setLineDashes();
        g.setFont(Font.font(Look.CONDENSED, 12.5));
        g.setFill(Look.soft());
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(Words.of("chart.ahead"), 6, 9);
        g.fillText(Words.of("chart.behind"), 6, getHeight() - 9);
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(Words.of("chart.tight"), getWidth() - 6, middle - 8);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(Words.of("chart.apart"), 6, middle - 8);
        for (Layer l : layers) {
            l.flows().flows().stream()
                    .limit(layers.size() > 1 ? FLOWS_OF_TWO : FLOWS)
                    .forEach(f -> flow(g, f, l));
        }
        for (Layer l : layers) {
            l.flows().stops().forEach(s -> stop(g, s, l));
        }
        labels(g);
    }

    /** Once for every spot, beside the widest ring there, also where only a flow ends. */
    private void labels(GraphicsContext g) {
        Map<String, Double> widest = new LinkedHashMap<>();
        stands.forEach(s -> widest.merge(s.x() + " " + s.y(), s.r(), Math::max));
        for (Stand s : stands) {
            Double r = widest.remove(s.x() + " " + s.y());
            if (r != null) {
                label(g, s.stop().position(), s.x(), s.y(), r);
            }
        }
        for (Drawn d : drawn) {
            double[] spot = plan.get().at(d.flow().to(), d.flow().toRole());
            if (stands.stream().noneMatch(s -> s.x() == x(spot) && s.y() == y(spot))) {
                label(g, d.flow().to(), x(spot), y(spot), 2);
            }
        }
    }

    private void flow(GraphicsContext g, Flows.Flow f, Layer l) {
        double[] from = plan.get().at(f.from(), f.role());
        double[] to = plan.get().at(f.to(), f.toRole());
        double x1 = x(from);
        double y1 = y(from);
        double x2 = x(to);
        double y2 = y(to);
        double long1 = Math.hypot(x2 - x1, y2 - y1);
        if (long1 < 1) {
            return;
        }
        // flows there and back bend to different sides, and so do those of two athletes
        double bend = (l.above() ? -0.22 : 0.16) * long1;
        double cx = (x1 + x2) / 2 - (y2 - y1) / long1 * bend;
        double cy = (y1 + y2) / 2 + (x2 - x1) / long1 * bend;
        double shade = switch (f.grade()) {
            case STRONG -> 0.75;
            case FAIR -> 0.45;
            case THIN -> 0.22;
        };
        g.setStroke(l.colour().deriveColor(0, 1, 1, shade));
        g.setLineWidth(Math.min(WIDEST, 0.8 + 2.2 * f.perTenMinutes()));
        g.beginPath();
        g.moveTo(x1, y1);
        g.quadraticCurveTo(cx, cy, x2, y2);
        g.stroke();
        double[] xs = new double[STEPS];
        double[] ys = new double[STEPS];
        for (int i = 0; i < STEPS; i++) {
            double t = (i + 1.0) / (STEPS + 1);
            xs[i] = (1 - t) * (1 - t) * x1 + 2 * t * (1 - t) * cx + t * t * x2;
            ys[i] = (1 - t) * (1 - t) * y1 + 2 * t * (1 - t) * cy + t * t * y2;
        }
        head(g, xs, ys, l.colour().deriveColor(0, 1, 1, Math.min(1, shade + 0.2)));
        drawn.add(new Drawn(f, xs, ys));
    }

    private static void head(GraphicsContext g, double[] xs, double[] ys, Color colour) {
        int at = STEPS * 2 / 3;
        double angle = Math.atan2(ys[at] - ys[at - 1], xs[at] - xs[at - 1]);
        double[] hx = new double[3];
        double[] hy = new double[3];
        for (int i = 0; i < 3; i++) {
            double turn = angle + (i == 0 ? 0 : i == 1 ? 2.5 : -2.5);
            hx[i] = xs[at] + 6 * Math.cos(turn);
            hy[i] = ys[at] + 6 * Math.sin(turn);
        }
        g.setFill(colour);
        g.fillPolygon(hx, hy, 3);
    }

    private void stop(GraphicsContext g, Flows.Stop s, Layer l) {
        double[] spot = plan.get().at(s.position(), s.role());
        double share = Double.isFinite(s.share().mean()) ? s.share().mean() : 0;
        double r = 3 + 26 * Math.sqrt(share);
        g.setFill(Look.sheet().deriveColor(0, 1, 1, l.above() ? 0 : 0.9));
        g.fillOval(x(spot) - r, y(spot) - r, 2 * r, 2 * r);
        g.setStroke(l.colour());
        g.setLineWidth(1.6);
        g.setLineDashes(l.above() ? new double[] {3, 3} : new double[0]);
        g.strokeOval(x(spot) - r, y(spot) - r, 2 * r, 2 * r);
        g.setLineDashes();
        stands.add(new Stand(s, x(spot), y(spot), r));
    }

    /** In the ring where it fits, else beside it on a clear ground. */
    private static void label(GraphicsContext g, String code, double x, double y, double r) {
        g.setFont(Font.font(Look.CONDENSED_MEDIUM, 13));
        g.setTextBaseline(VPos.CENTER);
        boolean inside = r >= LABEL;
        if (!inside) {
            g.setFill(Look.sheet().deriveColor(0, 1, 1, 0.8));
            g.fillRect(x + r + 2, y - 7, 6.5 * code.length(), 14);
        }
        g.setFill(Look.ink());
        g.setTextAlign(inside ? TextAlignment.CENTER : TextAlignment.LEFT);
        g.fillText(code, inside ? x : x + r + 3, y);
    }
}
