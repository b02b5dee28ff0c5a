package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.MatchRecord;
import farglass.match.Result;
import farglass.tendency.Evidence;
import farglass.tendency.MatchFacts;
import farglass.text.CoreWords;
import farglass.time.Dates;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A small tide line for every match of a profile, oldest first, as many as are in sight drawn; each opens its match.
 */
final class MatchTides extends ListView<List<Evidence.Seen>> {
    private static final double WIDTH = 124;
    private static final double HEIGHT = 34;
    private static final double ROW = 60;
    private static final int BESIDE = 2;

    private final Desk desk;
    private final Consumer<String> open;
    private List<MatchFacts> shown = List.of();
    private String whose = "";

    MatchTides(Desk desk, Consumer<String> open) {
        this.desk = desk;
        this.open = open;
        setFixedCellSize(ROW);
        // it takes the room that the moment above leaves
        setPrefHeight(ROW);
        getStyleClass().add("tides");
        setFocusTraversable(false);
        setCellFactory(v -> new Row());
    }

    /**
     * Draws nothing anew when the matches are the same; of two who only met each other each is drawn on their own side.
     */
    void show(Evidence evidence) {
        List<MatchFacts> facts =
                evidence.matches().stream().map(Evidence.Seen::facts).toList();
        if (!facts.equals(shown) || !evidence.athlete().equals(whose)) {
            shown = facts;
            whose = evidence.athlete();
            List<List<Evidence.Seen>> rows = new ArrayList<>();
            List<Evidence.Seen> all = evidence.matches();
            for (int i = 0; i < all.size(); i += BESIDE) {
                rows.add(all.subList(i, Math.min(i + BESIDE, all.size())));
            }
            getItems().setAll(rows);
        }
    }

    private final class Row extends ListCell<List<Evidence.Seen>> {
        @Override
        protected void updateItem(List<Evidence.Seen> row, boolean empty) {
            super.updateItem(row, empty);
            if (empty) {
                setGraphic(null);
            } else {
                Gradual.row(
                        this,
                        () -> new HBox(
                                12, row.stream().map(MatchTides.this::tide).toArray(Node[]::new)));
            }
        }
    }

    private Node tide(Evidence.Seen seen) {
        MatchRecord r = seen.record();
        boolean ours = desk.colourOf(desk.profiled().get()).equals(Look.ours());
        TideLine line = TideLine.small(
                desk.lexicon(), r, ours ? seen.corner() : seen.corner().other());
        line.setMinSize(WIDTH, HEIGHT);
        line.setPrefSize(WIDTH, HEIGHT);
        String year = r.details().date() == null
                ? ""
                : Dates.words(YearMonth.from(r.details().date()));
        VBox box = new VBox(1, line, Ui.label(year.isEmpty() ? result(seen) : year + ", " + result(seen), "legend"));
        box.setOnMouseClicked(e -> open.accept(r.id()));
        box.getStyleClass().add("clickable");
        return box;
    }

    private static String result(Evidence.Seen seen) {
        Result result = seen.record().details().result();
        if (result == null) {
            return Words.of("result.open");
        }
        if (result.winner() == null) {
            return Words.of("result.draw");
        }
        return Words.of(
                result.winner() == seen.corner() ? "result.won" : "result.lost",
                CoreWords.code(result.method().code()));
    }
}
