package farglass.desk.check;

import farglass.agreement.Versions;
import farglass.desk.shell.Desk;
import farglass.desk.shell.EditWords;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.Library;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Who changed what in the open record, and when; two versions chosen are compared. */
final class HistorySheet extends StackPane {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss");
    private static final int MOST = 12;

    private final Desk desk;
    private final ListView<Library.Step> steps = new ListView<>();
    private final Label compared = Ui.prose(Words.of("history.how"), "body");

    /** @param close puts the sheet away */
    HistorySheet(Desk desk, Runnable close) {
        this.desk = desk;
        setId("history-sheet");
        steps.setId("history-steps");
        compared.setId("history-compared");
        steps.getStyleClass().addAll("record", "findings");
        steps.setPlaceholder(Ui.empty(Words.of("history.none")));
        steps.setCellFactory(v -> new Cell());
        steps.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        steps.getSelectionModel().getSelectedIndices().addListener((javafx.collections.ListChangeListener<Integer>)
                c -> compare());
        VBox sheet = Ui.sheet(
                Words.of("history.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.grow(steps),
                compared);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(860, 600);
        getChildren().add(sheet);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        String id = desk.openRecord().get().id();
        desk.tasks()
                .query(
                        "history",
                        () -> desk.library().history(id),
                        all -> {
                            List<Library.Step> newest = new ArrayList<>(all);
                            java.util.Collections.reverse(newest);
                            steps.getItems().setAll(newest);
                        },
                        e -> desk.notices().problem(e.getMessage()));
    }

    /** The record as it was after a step. */
    private MatchRecord after(int n) {
        MatchRecord r = desk.openRecord().get();
        for (Library.Step s : steps.getItems()) {
            if (s.stands() && s.n() > n) {
                r = s.edit().inverse().apply(r);
            }
        }
        return r;
    }

    private void compare() {
        List<Library.Step> chosen = new ArrayList<>(steps.getSelectionModel().getSelectedItems());
        chosen.removeIf(s -> s == null || !s.stands());
        if (chosen.isEmpty()) {
            compared.setText(Words.of("history.how"));
            return;
        }
        int later = chosen.stream().mapToInt(Library.Step::n).max().orElseThrow();
        int earlier = chosen.size() < 2
                ? later - 1
                : chosen.stream().mapToInt(Library.Step::n).min().orElseThrow();
        MatchRecord a = after(earlier);
        MatchRecord b = after(later);
        Versions v = Versions.of(a, b);
        List<String> parts = new ArrayList<>();
        v.added().stream().limit(MOST).forEach(t -> parts.add("+ " + text(b, t)));
        v.removed().stream().limit(MOST).forEach(t -> parts.add("- " + text(a, t)));
        if (v.head()) {
            parts.add(Words.of("history.head"));
        }
        if (v.films()) {
            parts.add(Words.of("history.films"));
        }
        compared.setText(Words.of(
                "history.compared", earlier, later, v.same() ? Words.of("history.same") : String.join(";  ", parts)));
    }

    private String text(MatchRecord r, Tag tag) {
        return new EditWords(r, desk.lexicon()).tag(tag);
    }

    private String words(Edit edit) {
        return new EditWords(desk.openRecord().get(), desk.lexicon()).edit(edit);
    }

    private final class Cell extends ListCell<Library.Step> {
        private final Label when = Ui.label("", "record-time");
        private final Label who = Ui.label("", "record-about");
        private final Label what = Ui.label("", "record-what");
        private final HBox line = new HBox(12, when, who, what);

        Cell() {
            when.setMinWidth(150);
            who.setMinWidth(90);
        }

        @Override
        protected void updateItem(Library.Step s, boolean empty) {
            super.updateItem(s, empty);
            if (empty || s == null) {
                setGraphic(null);
                return;
            }
            when.setText(s.n() + "   " + WHEN.format(s.at().atZone(ZoneId.systemDefault())));
            who.setText(s.by() == null ? "" : s.by());
            what.setText(s.stands() ? words(s.edit()) : Words.of("history.undone", words(s.edit())));
            setGraphic(line);
        }
    }
}
