package farglass.desk.profile;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Lexicon;
import farglass.profile.Figure;
import farglass.stats.Trial;
import farglass.tendency.FinishTree;
import farglass.text.Language;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/**
 * What led to the locks, read from the lock backwards: each line is a tag, its count, how many finished, and how long
 * it took.
 */
final class TreesView extends VBox {
    private static final int LOCKS = 5;
    private static final int BRANCHES = 4;
    private static final int DEPTH = 3;
    private static final double INDENT = 22;
    private static final double UNIT = 5;

    private final Lexicon lexicon;
    private final Color colour;
    private final Consumer<List<Trial>> playAll;

    /** @param colour the athlete's */
    TreesView(Lexicon lexicon, Figure.Trees figure, Color colour, Consumer<List<Trial>> playAll) {
        super(2);
        this.lexicon = lexicon;
        this.colour = colour;
        this.playAll = playAll;
        figure.roots().stream().limit(LOCKS).forEach(root -> add(root, 0));
        int rest = figure.roots().size() - LOCKS;
        if (rest > 0) {
            getChildren().add(Ui.label(Words.of("tree.more", rest), "soft"));
        }
    }

    private void add(FinishTree.Node node, int depth) {
        Rectangle all = new Rectangle(Math.max(4, node.n() * UNIT), 9);
        all.setFill(Look.sheet());
        Color own = node.step().own() ? colour : colour.equals(Look.ours()) ? Look.theirs() : Look.ours();
        all.setStroke(own);
        Rectangle worked = new Rectangle(node.x() * UNIT, 9, own);
        javafx.scene.layout.StackPane bar = new javafx.scene.layout.StackPane(all, worked);
        bar.setAlignment(Pos.CENTER_LEFT);
        String name = node.step().code().startsWith(">")
                ? lexicon.positionName(node.step().code().substring(1))
                : lexicon.techniqueName(node.step().code());
        String seconds =
                Double.isNaN(node.medianMs()) ? "-" : String.format(Language.locale(), "%.1f", node.medianMs() / 1000);
        Button word = Ui.button(
                Words.of(node.step().own() ? "tree.own" : "tree.other", name),
                () -> playAll.accept(node.trials()),
                "quiet",
                depth == 0 ? "tree-lock" : "tree-step");
        Label counts = Ui.label(Words.of("tree.counts", node.x(), node.n(), seconds), "soft");
        counts.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(8, Ui.label(depth == 0 ? "" : "\u2190", "soft"), word, bar, counts);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setPadding(new Insets(0, 0, 0, depth * INDENT));
        getChildren().add(line);
        if (depth < DEPTH) {
            node.before().stream().limit(BRANCHES).forEach(n -> add(n, depth + 1));
        }
    }
}
