package farglass.desk.chart;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.scout.GameFigure;
import farglass.scout.GameLabels;
import farglass.scout.GameLayout;
import farglass.scout.ReportWriter;
import farglass.stats.Trial;
import farglass.work.task.Tasks;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** A game drawn from the start to the finish; a way plays its attempts when it is clicked. */
public final class GameView extends Region {
    private static final double NEAR = 9;
    private static final int STEPS = 24;
    private static final double LINE = 12;
    private static final Font NAME = Font.font("Barlow Condensed SemiBold", 14);
    private static final Font COUNT = Font.font("Barlow Condensed", 13);

    private final Tasks tasks;
    private final Lexicon lexicon;
    private final ReportWriter writer;
    private final Canvas canvas = new Canvas();
    private final Text measure = new Text();
    private final Tooltip tip = new Tooltip(Words.of("chart.tip"));
    private GameFigure figure = new GameFigure(List.of(), List.of(), 0, 0);
    /** Whether another figure is to be drawn. */
    private boolean stale;

    private Color colour = Look.theirs();

    /**
     * @param tasks where the places of words are found
     * @param id of the view; no other with the same one is in sight
     * @param play gets the attempts of a way that is clicked
     */
    public GameView(Tasks tasks, String id, Lexicon lexicon, ReportWriter writer, Consumer<List<Trial>> play) {
        this.tasks = tasks;
        this.lexicon = lexicon;
        this.writer = writer;
        setId(id);
        measure.setFont(COUNT);
        getChildren().add(canvas);
        Tooltip.install(this, tip);
        setOnMouseMoved(e -> {
            GameFigure.Link l = nearest(e.getX(), e.getY());
            tip.setText(l == null ? Words.of("chart.tip") : writer.way(figure, l, lexicon));
        });
        setOnMouseClicked(e -> {
            GameFigure.Link l = nearest(e.getX(), e.getY());
            if (l != null) {
                play.accept(l.trials());
            }
        });
    }

    /** @param of the athlete's colour */
    public void show(GameFigure f, Color of) {
        figure = f;
        colour = of;
        Ui.figure(
                this,
                f.links().stream().map(l -> writer.way(f, l, lexicon) + ".").collect(Collectors.joining(" ")));
        stale = true;
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        if (stale || canvas.getWidth() != getWidth() || canvas.getHeight() != getHeight()) {
            stale = false;
            canvas.setWidth(getWidth());
            canvas.setHeight(getHeight());
            draw();
        }
    }

    private GameLayout laid() {
        return new GameLayout(figure, getWidth(), getHeight());
    }

    private GameFigure.Link nearest(double x, double y) {
        GameLayout layout = laid();
        GameFigure.Link best = null;
        double least = Double.MAX_VALUE;
        for (GameFigure.Link l : figure.links()) {
            GameLayout.Curve c = layout.curve(l);
            for (int i = 0; i <= STEPS; i++) {
                double[] p = c.at(i / (double) STEPS);
                double away = Math.hypot(p[0] - x, p[1] - y) - layout.line(l) / 2;
                if (away < least) {
                    least = away;
                    best = l;
                }
            }
        }
        return least <= NEAR ? best : null;
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        GameLayout layout = laid();
        for (GameFigure.Link l : figure.links()) {
            GameLayout.Curve c = layout.curve(l);
            if (l.second()) {
                g.setLineDashes(7, 4);
            }
            stroke(g, c, layout.line(l), colour.deriveColor(0, 1, 1, 0.28));
            g.setLineDashes();
            if (layout.filled(l) > 0) {
                stroke(g, c, layout.filled(l), colour);
            }
        }
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (GameFigure.Box b : figure.boxes()) {
            box(g, layout.spot(b), writer.box(b, lexicon), b.kind() == GameFigure.Kind.FINISH);
        }
        IdentityHashMap<GameFigure.Link, double[]> sizes = new IdentityHashMap<>();
        figure.links().forEach(l -> sizes.put(l, size(writer.link(l, lexicon))));
        tasks.query(
                "words of " + getId(),
                () -> new GameLabels(layout, l -> Objects.requireNonNull(sizes.get(l))),
                labels -> words(layout.figure(), labels),
                e -> {
                    throw new IllegalStateException(e);
                });
    }

    /** Words stand on what is drawn already; what was drawn anew meanwhile asks anew. */
    private void words(GameFigure of, GameLabels labels) {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.setFont(COUNT);
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        for (GameFigure.Link l : of.links()) {
            GameLabels.Rect at = labels.of(l);
            double y = at.y() + LINE / 2;
            g.setFill(Look.ink());
            for (String line : writer.link(l, lexicon)) {
                g.setStroke(Look.sheet());
                g.setLineWidth(3);
                g.strokeText(line, at.x(), y);
                g.fillText(line, at.x(), y);
                y += LINE;
            }
        }
    }

    private double[] size(List<String> lines) {
        double width = 0;
        for (String line : lines) {
            measure.setText(line);
            width = Math.max(width, measure.getLayoutBounds().getWidth());
        }
        return new double[] {width, LINE * lines.size()};
    }

    private void box(GraphicsContext g, GameLayout.Spot s, String words, boolean finish) {
        double x = s.x() - s.w() / 2;
        double y = s.y() - s.h() / 2;
        g.setFill(finish ? colour : Look.sheet());
        g.fillRoundRect(x, y, s.w(), s.h(), 8, 8);
        g.setStroke(colour);
        g.setLineWidth(1.4);
        g.strokeRoundRect(x, y, s.w(), s.h(), 8, 8);
        g.setFill(finish ? Look.sheet() : Look.ink());
        g.setFont(NAME);
        g.fillText(words, s.x(), s.y(), s.w() - 8);
    }

    private static void stroke(GraphicsContext g, GameLayout.Curve c, double width, Color tint) {
        g.setStroke(tint);
        g.setLineWidth(width);
        g.beginPath();
        g.moveTo(c.x1(), c.y1());
        g.bezierCurveTo(c.c1x(), c.c1y(), c.c2x(), c.c2y(), c.x2(), c.y2());
        g.stroke();
    }
}
