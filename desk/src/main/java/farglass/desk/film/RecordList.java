package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.work.publish.TagText;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Rectangle;

/** The tags of the record, one a line. */
final class RecordList {
    private static final double ROW = 30;
    private final ListView<Row> list = Gradual.unfolding(new ListView<>());
    private final Desk desk;
    private final RecordClock clock;
    private boolean filling;

    record Row(MatchRecord record, int index) {
        Tag tag() {
            return record.tags().get(index);
        }
    }

    RecordList(Desk desk, RecordClock clock, IntConsumer picked) {
        this.desk = desk;
        this.clock = clock;
        list.setId("record-list");
        list.setFixedCellSize(ROW);
        list.setFocusTraversable(false);
        list.getStyleClass().add("record");
        list.setPlaceholder(Ui.empty(Words.of("record.empty")));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                picked.accept(is.index());
            }
        });
    }

    ListView<Row> view() {
        return list;
    }

    void show(MatchRecord r, int selected) {
        filling = true;
        List<Row> rows = new ArrayList<>();
        for (int i = 0; r != null && i < r.tags().size(); i++) {
            rows.add(new Row(r, i));
        }
        list.getItems().setAll(rows);
        select(selected);
        filling = false;
    }

    void select(int index) {
        boolean before = filling;
        filling = true;
        if (index >= 0 && index < list.getItems().size()) {
            list.getSelectionModel().select(index);
            reveal(index);
        } else {
            list.getSelectionModel().clearSelection();
        }
        filling = before;
    }

    /** The clock is shown the other way. */
    void refresh() {
        list.refresh();
    }

    /** Scrolls so that the tag stands a little above the middle. */
    void reveal(int index) {
        list.scrollTo(Math.max(0, index - 5));
    }

    /** Of a row beside the name: time, mark, gaps, and what is left of what is said about it; points. */
    private static final double BESIDE = 150;

    private final class Cell extends ListCell<Row> {
        private final Label time = Ui.label("", "record-time");
        private final Rectangle chip = new Rectangle(9, 9);
        private final Label what = Ui.label("", "record-what");
        private final Label about = Ui.label("", "record-about");
        private final HBox line = new HBox(8, time, chip, what, Ui.spring(), about);

        Cell() {
            line.setAlignment(Pos.CENTER_LEFT);
            time.setMinWidth(50);
            about.setTextOverrun(OverrunStyle.ELLIPSIS);
            about.setMinWidth(20);
            line.prefWidthProperty().bind(list.widthProperty().subtract(28));
            line.maxWidthProperty().bind(list.widthProperty().subtract(28));
        }

        @Override
        protected void updateItem(Row row, boolean empty) {
            super.updateItem(row, empty);
            if (empty || row == null) {
                setGraphic(null);
                return;
            }
            TagText text = TagText.of(row.record(), row.tag(), desk.lexicon());
            time.setText(clock.text(row.record(), row.tag().t()));
            chip.setFill(text.who() == null ? Look.rule() : desk.colour(row.record(), text.who()));
            boolean state = row.tag() instanceof Tag.Position;
            chip.setArcWidth(state ? 0 : 9);
            chip.setArcHeight(state ? 0 : 9);
            what.setText(text.what());
            about.setText(text.about());
            // what is said about it gives way first, then a long name
            what.setMinWidth(Math.min(what.prefWidth(-1), Math.max(0, list.getWidth() - BESIDE)));
            Gradual.row(this, () -> line);
        }
    }
}
