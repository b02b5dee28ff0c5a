package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Result;
import farglass.text.CoreWords;
import farglass.time.Dates;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

/** One match in a list: who, where, its tide line, how it ended. */
final class MatchCell extends ListCell<MatchRecord> {
    private static final double TIDE_WIDTH = 220;
    private static final double TIDE_HEIGHT = 38;
    private final Desk desk;

    MatchCell(Desk desk) {
        this.desk = desk;
    }

    @Override
    protected void updateItem(MatchRecord r, boolean empty) {
        super.updateItem(r, empty);
        if (empty || r == null) {
            setGraphic(null);
            return;
        }
        MatchRecord.Details d = r.details();
        HBox names = new HBox(6, athlete(r, Corner.A), Ui.label("-", "soft"), athlete(r, Corner.B));
        names.setAlignment(Pos.CENTER_LEFT);
        String date = d.date() == null ? Words.of("match.no-date") : Dates.words(d.date());
        String where = java.util.stream.Stream.of(date, d.event(), d.attire() == null ? "" : CoreWords.code(d.attire()))
                .filter(s -> s != null && !s.isEmpty())
                .collect(java.util.stream.Collectors.joining(", "));
        VBox who = new VBox(2, names, Ui.label(where, "soft"));
        who.setMinWidth(240);
        who.setPrefWidth(240);
        TideLine tide = TideLine.small(desk.lexicon(), r, desk.amber(r));
        tide.setMinSize(TIDE_WIDTH, TIDE_HEIGHT);
        tide.setPrefSize(TIDE_WIDTH, TIDE_HEIGHT);
        tide.setMaxSize(TIDE_WIDTH, TIDE_HEIGHT);
        Label film = Ui.label(r.films().isEmpty() ? "" : Words.of("match.film"), "badge");
        film.setVisible(!r.films().isEmpty());
        VBox end = new VBox(
                2,
                Ui.label(result(r), "body"),
                Ui.label(Words.of("record.count", r.tags().size()), "soft"));
        HBox row = new HBox(14, who, tide, Ui.grow(end), film);
        row.setAlignment(Pos.CENTER_LEFT);
        end.setMinWidth(0);
        film.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        // the row takes the width of the list, never more
        row.maxWidthProperty().bind(getListView().widthProperty().subtract(34));
        row.prefWidthProperty().bind(row.maxWidthProperty());
        setGraphic(row);
    }

    private HBox athlete(MatchRecord r, Corner c) {
        HBox box = new HBox(
                5,
                new Rectangle(10, 10, desk.colour(r, c)),
                Ui.label(r.athlete(c).surname(), "strong"));
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private String result(MatchRecord r) {
        Result result = r.details().result();
        if (result == null) {
            return Words.of("match.open");
        }
        String how = result.technique() == null
                ? CoreWords.code(result.method().code())
                : desk.lexicon().techniqueName(result.technique());
        return result.winner() == null
                ? how
                : Words.of("match.won", r.athlete(result.winner()).surname(), how);
    }
}
