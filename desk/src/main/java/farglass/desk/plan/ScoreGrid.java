package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Solution;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The win chance and the best option in one place, by score and time left. */
final class ScoreGrid extends VBox {
    private static final int[] SCORES = {6, 4, 3, 2, 1, 0, -1, -2, -3, -4, -6};
    private static final int COLUMNS = 8;

    private final MeetingModel model;
    private final ComboBox<ModelState> place = new ComboBox<>();
    private final GridPane cells = new GridPane();
    private boolean filling;

    ScoreGrid(MeetingModel model) {
        super(8);
        this.model = model;
        place.setId("grid-place");
        cells.setId("grid-cells");
        cells.setHgap(3);
        cells.setVgap(3);
        place.setConverter(new StringConverter<>() {
            @Override
            public String toString(ModelState p) {
                return p == null ? "" : model.writer().place(p);
            }

            @Override
            public ModelState fromString(String s) {
                return null;
            }
        });
        place.valueProperty().addListener((o, was, is) -> {
            if (!filling) {
                draw();
            }
        });
        HBox head = new HBox(8, Ui.name(Words.of("plan.grid.place"), place), place);
        head.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        getChildren().addAll(head, cells, Ui.prose(Words.of("plan.grid.hint"), "soft"));
    }

    void fill() {
        Proposal p = model.proposal().get();
        filling = true;
        ModelState kept = place.getValue();
        List<ModelState> places = p == null
                ? List.of()
                : p.solved().flow().states().stream()
                        .filter(x -> p.solved().flow().minutes(x) > 0.02)
                        .sorted(Comparator.comparingDouble(
                                x -> -p.solved().flow().minutes(x)))
                        .toList();
        place.getItems().setAll(places);
        place.setValue(kept != null && places.contains(kept) ? kept : places.isEmpty() ? null : places.get(0));
        filling = false;
        draw();
    }

    private void draw() {
        Proposal p = model.proposal().get();
        if (p == null || place.getValue() == null) {
            Gradual.anew(cells, List.of(() -> at(Ui.empty(Words.of("plan.proposed.none")), 0, 0)));
            return;
        }
        Solution s = p.solved().planned();
        long end = s.programme().model().horizonMs();
        MeetingWriter w = model.writer();
        int[] scores = s.programme().model().rules().counts() ? SCORES : new int[] {0};
        List<Supplier<Node>> made = new ArrayList<>();
        for (int c = 0; c < COLUMNS; c++) {
            int column = c;
            made.add(() -> at(Ui.label(left(end - at(column, end)), "field-name"), column + 1, 0));
        }
        for (int r = 0; r < scores.length; r++) {
            int row = r + 1;
            int lead = scores[r];
            String score = (lead > 0 ? "+" : "") + lead;
            made.add(() -> {
                Label points = Ui.label(Words.of("plan.grid.score", score), "field-name");
                points.setMinWidth(50);
                return at(points, 0, row);
            });
            for (int c = 0; c < COLUMNS; c++) {
                int column = c;
                made.add(() -> at(cell(s, w, lead, score, at(column, end), end), column + 1, row));
            }
        }
        Gradual.anew(cells, made);
    }

    private static Node at(Node cell, int column, int row) {
        GridPane.setConstraints(cell, column, row);
        return cell;
    }

    private static long at(int column, long end) {
        return column * end / COLUMNS;
    }

    private static String left(long ms) {
        return Words.of("plan.grid.left", ms / 60_000, String.format("%02d", ms / 1000 % 60));
    }

    private Node cell(Solution s, MeetingWriter w, int score, String said, long ms, long end) {
        ModelState p = place.getValue();
        Option o = s.option(p, ms, score, 0);
        double win = s.win(p, ms, score, 0);
        String does = o.kind() == Option.Kind.PRESS ? w.technique(o.technique()) : w.option(o);
        Label label = new Label(w.percent(win) + "\n" + does);
        label.setMinSize(78, 36);
        label.setMaxSize(78, 36);
        label.getStyleClass().addAll("grid-cell", "grid-" + o.kind().name().toLowerCase(java.util.Locale.ROOT));
        // amber where we win, teal where they do: the further from even the deeper
        double strength = Math.min(1, Math.abs(win - 0.5) * 2) * 0.85;
        String wash = win >= 0.5 ? "240,217,184" : "196,222,223";
        label.setStyle("-fx-background-color: rgba(" + wash + "," + strength + ");");
        label.setTooltip(
                new Tooltip(Words.of("plan.grid.cell", w.place(p), left(end - ms), said, w.option(o), w.percent(win))));
        return label;
    }
}
