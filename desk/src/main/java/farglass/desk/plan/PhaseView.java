package farglass.desk.plan;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.matchup.gameplan.PhaseFigure;
import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseFigure.Whose;
import farglass.matchup.gameplan.PhaseLayout;
import farglass.matchup.gameplan.PhaseText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Orientation;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.CubicCurve;
import javafx.scene.shape.StrokeLineCap;

/** A match under the plan, drawn by phases; boxes are as high as their words need, and open what lies behind them. */
final class PhaseView extends Pane {
    private static final double HEAD = 20;
    private static final double BETWEEN = 8;
    private static final double AIR = 6;
    private static final double PALE = 0.3;

    private final Consumer<Box> opened;
    private final Map<PhaseFigure.Key, Button> buttons = new HashMap<>();
    private final List<Label> heads = new ArrayList<>();
    private final Label legend = Ui.prose("", "soft");
    private final Pane ways = new Pane();
    private PhaseText text;

    /** @param opened gets a box that is chosen */
    PhaseView(Consumer<Box> opened) {
        this.opened = opened;
        setId("plan-phases");
        ways.setManaged(false);
        ways.setMouseTransparent(true);
        // it takes the width it is given
        setMinWidth(0);
    }

    void show(PhaseText drawn) {
        text = drawn;
        buttons.clear();
        heads.clear();
        getChildren().setAll(ways);
        for (Phase p : Phase.values()) {
            Label head = Ui.label(drawn.phase(p), "field-name");
            heads.add(head);
            getChildren().add(head);
        }
        for (Box b : drawn.figure().boxes()) {
            Button button = button(b);
            buttons.put(b.key(), button);
            getChildren().add(button);
        }
        legend.setText(drawn.legend());
        getChildren().add(legend);
        requestLayout();
    }

    private Button button(Box b) {
        Label name = Ui.prose(text.name(b), "phase-name");
        Label note = Ui.prose(text.note(b), "phase-note");
        Button button = new Button();
        VBox face = new VBox(name, note);
        face.setMaxWidth(Double.MAX_VALUE);
        face.setMouseTransparent(true);
        button.setGraphic(face);
        button.setId("phase-" + List.of(Phase.values()).indexOf(b.key().phase()) + "-"
                + text.figure().boxes(b.key().phase()).indexOf(b));
        button.setAccessibleText(text.name(b) + ". " + text.note(b));
        button.getStyleClass().addAll("fork", style(b.key().whose()));
        button.setOnAction(e -> opened.accept(b));
        return button;
    }

    /** Marks a box as the one that is opened; null for none. */
    void choose(PhaseFigure.Key key) {
        buttons.forEach((k, b) -> {
            b.getStyleClass().remove("chosen");
            if (k.equals(key)) {
                b.getStyleClass().add("chosen");
            }
        });
    }

    private static String style(Whose w) {
        return switch (w) {
            case OURS -> "ours";
            case THEIRS -> "theirs";
            case NOBODY -> "drift";
        };
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    @Override
    protected double computePrefHeight(double width) {
        double w = width > 0 ? width : getWidth();
        return text == null || w <= 0 ? 0 : HEAD + laid(w).height() + AIR + legend.prefHeight(w);
    }

    @Override
    protected double computeMinHeight(double width) {
        return computePrefHeight(width);
    }

    private PhaseLayout laid(double width) {
        double wide = PhaseLayout.boxWidth(width);
        return PhaseLayout.of(text.figure(), width, b -> buttons.get(b.key()).prefHeight(wide), BETWEEN);
    }

    @Override
    protected void layoutChildren() {
        if (text == null || getWidth() <= 0) {
            return;
        }
        PhaseLayout layout = laid(getWidth());
        double wide = PhaseLayout.boxWidth(getWidth());
        for (int i = 0; i < heads.size(); i++) {
            heads.get(i).resizeRelocate(i * (getWidth() - wide) / (heads.size() - 1), 0, wide, HEAD);
        }
        layout.spots().forEach((key, s) -> buttons.get(key).resizeRelocate(s.x(), HEAD + s.y(), s.w(), s.h()));
        ways.getChildren()
                .setAll(layout.bands().stream()
                        .sorted(Comparator.comparingDouble(PhaseLayout.Band::thick)
                                .reversed())
                        .map(PhaseView::way)
                        .toList());
        legend.resizeRelocate(0, HEAD + layout.height() + AIR, getWidth(), legend.prefHeight(getWidth()));
    }

    private static CubicCurve way(PhaseLayout.Band b) {
        CubicCurve c = new CubicCurve(
                b.x1(), HEAD + b.y1(), b.bend(), HEAD + b.y1(), b.bend(), HEAD + b.y2(), b.x2(), HEAD + b.y2());
        c.setFill(null);
        c.setStrokeWidth(Math.max(1, b.thick()));
        c.setStrokeLineCap(StrokeLineCap.BUTT);
        c.setStroke(colour(b.link().to().whose()).deriveColor(0, 1, 1, PALE));
        return c;
    }

    private static Color colour(Whose w) {
        return switch (w) {
            case OURS -> Look.ours();
            case THEIRS -> Look.theirs();
            case NOBODY -> Look.soft();
        };
    }
}
