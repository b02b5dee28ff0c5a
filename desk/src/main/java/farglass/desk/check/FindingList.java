package farglass.desk.check;

import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.text.CoreWords;
import farglass.time.Clock;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is doubtful, one under the other: how bad, when, what, and what would put it right. */
final class FindingList {
    private final ListView<Finding> list = Gradual.unfolding(new ListView<>());
    private boolean filling;
    private int place = -1;
    private String shownMatch;

    FindingList(Consumer<Finding> picked) {
        list.setId("findings");
        list.setAccessibleText(Words.of("name.findings"));
        list.getStyleClass().addAll("record", "findings");
        list.setPlaceholder(Ui.empty(Words.of("check.none")));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                picked.accept(is);
            }
        });
    }

    ListView<Finding> view() {
        return list;
    }

    Finding selected() {
        return list.getSelectionModel().getSelectedItem();
    }

    /** After the next change the finding that has moved up to this place is selected. */
    void keepPlace() {
        place = list.getSelectionModel().getSelectedIndex();
    }

    void show(MatchRecord r, List<Finding> findings) {
        boolean same = r != null && r.id().equals(shownMatch);
        shownMatch = r == null ? null : r.id();
        filling = true;
        list.getItems().setAll(findings);
        filling = false;
        if (same && place >= 0 && !findings.isEmpty()) {
            list.getSelectionModel().select(Math.min(place, findings.size() - 1));
        }
        place = -1;
    }

    /** The next finding, from the last to the first. */
    void next() {
        if (!list.getItems().isEmpty()) {
            int at = (list.getSelectionModel().getSelectedIndex() + 1)
                    % list.getItems().size();
            list.getSelectionModel().select(at);
            list.scrollTo(at);
        }
    }

    private static final class Cell extends ListCell<Finding> {
        private final Label when = Ui.label("", "record-time");
        private final Label how = Ui.label("", "finding-severity");
        private final Label what = Ui.prose("", "body");
        private final Label remedy = Ui.label("", "record-about");
        private final HBox line = new HBox(10, when, how, Ui.grow(new VBox(1, what, remedy)));

        Cell() {
            line.setAlignment(Pos.TOP_LEFT);
            when.setMinWidth(52);
            how.setMinWidth(14);
            line.setMaxWidth(390);
            line.setPrefWidth(390);
        }

        /** As high as the line is at the width that it gets: asked for no width, it would not count what wraps. */
        @Override
        protected double computePrefHeight(double width) {
            return getGraphic() == line
                    ? snappedTopInset() + line.prefHeight(line.getPrefWidth()) + snappedBottomInset()
                    : super.computePrefHeight(width);
        }

        @Override
        protected void updateItem(Finding f, boolean empty) {
            super.updateItem(f, empty);
            if (empty || f == null) {
                setGraphic(null);
                return;
            }
            when.setText(f.index() < 0 ? "" : Clock.tenths(f.t().ms()));
            how.getStyleClass().removeAll("error", "warning", "info");
            how.getStyleClass().add(f.severity().code());
            how.setText(Words.of("severity." + f.severity().code()));
            how.setAccessibleText(CoreWords.code(f.severity().code()));
            what.setText(f.message());
            remedy.setText(ways(f));
            remedy.setManaged(f.remedy() != null);
            setGraphic(line);
        }

        private static String ways(Finding f) {
            String words =
                    f.repairs().stream().map(Finding.Repair::words).collect(Collectors.joining(Words.of("check.or")));
            return words.isEmpty() ? "" : Words.of("check.remedy", words);
        }
    }
}
