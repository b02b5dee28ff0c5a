package farglass.desk.profile;

import farglass.desk.shell.Ui;
import farglass.profile.Figure;
import farglass.stats.Trial;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.HPos;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** Counts by year: a square for every occurrence up to twelve, and the number; every number plays its moments. */
final class YearsView extends GridPane {
    private static final double SIDE = 6;
    private static final int SQUARES = 12;

    YearsView(Figure.Years figure, Color colour, Consumer<List<Trial>> playAll) {
        setHgap(18);
        setVgap(2);
        for (int y = 0; y < figure.years().size(); y++) {
            add(Ui.label(Integer.toString(figure.years().get(y)), "heading"), y + 1, 0);
        }
        int line = 1;
        for (Figure.Years.Row row : figure.rows()) {
            add(Ui.label(row.name(), "record-what"), 0, line);
            for (int y = 0; y < row.trials().size(); y++) {
                List<Trial> trials = row.trials().get(y);
                Button cell = Ui.button(Integer.toString(trials.size()), () -> playAll.accept(trials), "quiet");
                cell.setDisable(trials.isEmpty());
                Rectangle bar = new Rectangle(Math.min(SQUARES, trials.size()) * SIDE, 9);
                bar.setFill(colour.deriveColor(0, 1, 1, 0.55));
                cell.setGraphic(bar);
                GridPane.setHalignment(cell, HPos.LEFT);
                add(cell, y + 1, line);
            }
            line++;
        }
    }
}
