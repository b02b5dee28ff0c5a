package farglass.desk.library;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.store.Backups;
import farglass.store.Verification;
import farglass.text.Language;
import farglass.time.Dates;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;

/** Backups, newest first: the day, what for, the size, how many matches, and whether it has been found good. */
public final class BackupList extends ListView<Backups.Backup> {
    private static final double ROW = 34;
    private final Map<Backups.Backup, Verification> verified = new HashMap<>();

    BackupList() {
        setId("backups");
        setFixedCellSize(ROW);
        setAccessibleText(Words.of("library.backups"));
        setPlaceholder(Ui.empty(Words.of("library.backups.none")));
        setCellFactory(v -> new Cell());
    }

    void show(List<Backups.Backup> oldestFirst) {
        List<Backups.Backup> newest = new java.util.ArrayList<>(oldestFirst);
        java.util.Collections.reverse(newest);
        getItems().setAll(newest);
        if (!newest.isEmpty()) {
            getSelectionModel().select(0);
        }
    }

    void verified(Backups.Backup b, Verification v) {
        verified.put(b, v);
        refresh();
    }

    /** Whether a backup was looked through and found bad. */
    boolean bad(Backups.Backup b) {
        return !b.whole() || (verified.containsKey(b) && !verified.get(b).good());
    }

    public static String size(long bytes) {
        return String.format(Language.locale(), "%.1f MB", bytes / 1024.0 / 1024.0);
    }

    private final class Cell extends ListCell<Backups.Backup> {
        private final Label date = Ui.label("", "strong");
        private final Label kind = Ui.label("", "soft");
        private final Label content = Ui.label("", "soft");
        private final Label state = Ui.label("", "soft");
        private final HBox line = new HBox(14, date, kind, content, Ui.spring(), state);

        private Cell() {
            line.setAlignment(Pos.CENTER_LEFT);
            date.setMinWidth(120);
            kind.setMinWidth(210);
        }

        @Override
        protected void updateItem(Backups.Backup b, boolean empty) {
            super.updateItem(b, empty);
            if (empty || b == null) {
                setGraphic(null);
                return;
            }
            Verification v = verified.get(b);
            date.setText(Dates.words(b.date())
                    + (b.time() == null ? "" : " " + b.time().withSecond(0)));
            kind.setText(Words.of("library.kind." + b.kind().name().toLowerCase(Locale.ROOT)));
            content.setText(
                    v == null || !v.good()
                            ? size(b.bytes())
                            : Words.of(
                                    "library.content",
                                    size(b.bytes()),
                                    v.counts().get("match_record")));
            state.getStyleClass().remove("form-problem");
            if (bad(b)) {
                state.setText(Words.of("library.bad"));
                state.getStyleClass().add("form-problem");
            } else {
                state.setText(Words.of(v == null ? "library.looking" : "library.good"));
            }
            setGraphic(line);
        }
    }
}
