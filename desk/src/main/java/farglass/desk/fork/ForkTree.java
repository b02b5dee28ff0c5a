package farglass.desk.fork;

import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Fork;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.stats.Grade;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.CubicCurve;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Draws a plan: openings at the left, what may follow to the right; amber is ours, teal is theirs. */
public final class ForkTree extends Pane {
    private static final double GAP = 44;
    private static final double BETWEEN = 14;
    private static final double MARGIN = 6;

    /** What a box takes beside its words, and above and below them. */
    private static final double INSET = 24;

    private static final double PADDING = 20;
    private static final Font TEXT = Font.font("Barlow SemiBold", 14.5);
    private static final Font NOTE = Font.font("Barlow", 12.5);

    private static final double USUAL_WIDTH = 7;
    private static final double WIDEST = 26;

    private final Consumer<String> picked;
    private Map<String, Double> chances = Map.of();
    private Set<String> drifts = Set.of();
    private static final double NARROW = 190;
    private static final double BROAD = 340;

    private double room;
    private double width = 184;
    private double height = 62;
    /** Of the longest text of a computed tree. */
    private double words;

    /** @param picked gets the id of a node that is chosen */
    public ForkTree(Consumer<String> picked) {
        this.picked = picked;
        setId("forks");
    }

    /**
     * How wide the way to a node is drawn: its chance, 0..1, by id; a node without one is drawn as usual.
     *
     * @param noOnes ids of nodes that are neither ours nor theirs
     */
    public void chances(Map<String, Double> byId, Set<String> noOnes) {
        chances = Map.copyOf(byId);
        drifts = Set.copyOf(noOnes);
        width = NARROW;
    }

    /** Lets the boxes of a computed tree grow until it fills so many pixels, before it is shown. */
    public void room(double pixels) {
        room = pixels;
    }

    private static int depth(Plan plan) {
        return Math.max(1, plan.openings().stream().mapToInt(Fork::depth).max().orElse(0));
    }

    /** @param selected id of the chosen node, or null */
    public void show(Plan plan, String selected) {
        if (!chances.isEmpty()) {
            double fits = (room - 2 * MARGIN - (depth(plan) - 1) * GAP) / depth(plan);
            width = Math.max(NARROW, Math.min(BROAD, fits));
            words = plan.openings().stream()
                    .mapToDouble(f -> tallest(f, Fork::text, TEXT))
                    .max()
                    .orElse(0);
            height = words
                    + plan.openings().stream()
                            .mapToDouble(f -> tallest(f, Fork::note, NOTE))
                            .max()
                            .orElse(0)
                    + PADDING;
        }
        List<Supplier<Node>> ways = new ArrayList<>();
        List<Supplier<Node>> boxes = new ArrayList<>();
        double y = MARGIN;
        for (Fork f : plan.openings()) {
            place(f, MARGIN, y, selected, ways, boxes);
            y += leaves(f) * rowHeight();
        }
        setPrefSize(depth(plan) * column() - GAP + 2 * MARGIN, y + MARGIN);
        setMinSize(getPrefWidth(), getPrefHeight());
        ways.addAll(boxes);
        Gradual.anew(this, ways);
    }

    /** How high the words of a fork or of any that follow it are, in the width of a box. */
    private double tallest(Fork f, Function<Fork, String> of, Font font) {
        Text measure = new Text(of.apply(f));
        measure.setFont(font);
        measure.setWrappingWidth(width - INSET);
        double most = Math.ceil(measure.getLayoutBounds().getHeight()) + 2;
        for (Fork n : f.next()) {
            most = Math.max(most, tallest(n, of, font));
        }
        return most;
    }

    private double column() {
        return width + GAP;
    }

    private double rowHeight() {
        return height + BETWEEN + 2;
    }

    private static int leaves(Fork f) {
        return Math.max(1, f.next().stream().mapToInt(ForkTree::leaves).sum());
    }

    private void place(
            Fork f, double x, double y, String selected, List<Supplier<Node>> ways, List<Supplier<Node>> boxes) {
        double middle = y + leaves(f) * rowHeight() / 2;
        double childY = y;
        for (Fork next : f.next()) {
            double childMiddle = childY + leaves(next) * rowHeight() / 2;
            ways.add(() -> curve(x + width, middle, x + column(), childMiddle, next));
            place(next, x + column(), childY, selected, ways, boxes);
            childY += leaves(next) * rowHeight();
        }
        boxes.add(() -> {
            Button node = node(f, f.id().equals(selected));
            node.setLayoutX(x);
            node.setLayoutY(middle - height / 2);
            return node;
        });
    }

    private CubicCurve curve(double x1, double y1, double x2, double y2, Fork next) {
        double bend = (x2 - x1) / 2 + 14;
        CubicCurve c = new CubicCurve(x1, y1, x1 + bend, y1, x2 - bend, y2, x2, y2);
        c.setFill(null);
        Double chance = chances.get(next.id());
        c.setStrokeWidth(chance == null ? USUAL_WIDTH : Math.max(1.5, WIDEST * chance));
        c.setStrokeLineCap(StrokeLineCap.BUTT);
        c.setStroke(colour(next).deriveColor(0, 1, 1, 0.35));
        return c;
    }

    private Color colour(Fork f) {
        return drifts.contains(f.id()) ? Look.soft() : f.ours() ? Look.ours() : Look.theirs();
    }

    private Button node(Fork f, boolean chosen) {
        Label text = Ui.label(f.text(), "fork-text");
        text.setWrapText(true);
        text.setMaxHeight(38);
        Label grade = Ui.label(grade(f), "fork-grade");
        if (f.claims().isEmpty()) {
            grade.getStyleClass().add("thin");
        }
        // a computed fork rests on rates, which its note tells
        grade.setManaged(chances.isEmpty());
        grade.setVisible(chances.isEmpty());
        Label note = Ui.label(f.note(), "fork-note");
        if (!chances.isEmpty()) {
            text.setPrefWidth(width - INSET);
            text.setMinHeight(words);
            text.setMaxHeight(words);
            note.setMinHeight(Region.USE_PREF_SIZE);
            note.setPrefWidth(width - INSET);
            note.setWrapText(true);
        }
        HBox below = new HBox(6, note, Ui.spring(), grade);
        below.setAlignment(Pos.CENTER_LEFT);
        grade.setMinWidth(Region.USE_PREF_SIZE);
        VBox face = new VBox(2, text, below);
        face.setMaxWidth(Double.MAX_VALUE);
        Button node = new Button();
        node.setGraphic(face);
        node.setId("fork-" + f.id());
        node.setPrefSize(width, height);
        node.setMinSize(width, height);
        node.setMaxSize(width, height);
        face.setPrefWidth(width - INSET);
        node.getStyleClass().addAll("fork", drifts.contains(f.id()) ? "drift" : f.ours() ? "ours" : "theirs");
        if (chosen) {
            node.getStyleClass().add("chosen");
        }
        node.setAccessibleText(Words.of(f.ours() ? "fork.ours" : "fork.theirs", f.text()));
        node.setOnAction(e -> picked.accept(f.id()));
        return node;
    }

    /** The best grade among the claims a node rests on, in words. */
    private static String grade(Fork f) {
        return f.claims().stream()
                .map(PinnedClaim::grade)
                .min(Comparator.comparing(Grade::ordinal))
                .map(g -> g.name().toLowerCase(Locale.ROOT))
                .orElse(Words.of("fork.no-claim"));
    }
}
