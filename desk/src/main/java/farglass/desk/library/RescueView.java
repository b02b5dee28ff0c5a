package farglass.desk.library;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.store.Backups;
import farglass.store.LibraryException;
import farglass.store.Verification;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What stands in the window when a library cannot be opened: why, and its backups to bring back. */
public final class RescueView extends StackPane {
    private final BackupList backups = new BackupList();
    private final Label question = Ui.prose(Words.of("rescue.question"), "question");
    private final Button bring = Ui.button(Words.of("rescue.bring"), () -> {}, "strong-button");

    /** What the user may ask for. */
    public interface Choices {
        void bringBack(Path backup);

        /** Null where a new library must not be begun. */
        Runnable beginAnew();

        void leave();
    }

    /** @param library the path that was to be opened */
    public RescueView(Path library, LibraryException why, Clock clock, Choices choices) {
        setId("rescue");
        setPadding(new Insets(40));
        bring.setId("rescue-bring");
        bring.setDisable(true);
        bring.setOnAction(e ->
                choices.bringBack(backups.getSelectionModel().getSelectedItem().path()));
        backups.getSelectionModel()
                .selectedItemProperty()
                .addListener((o, was, is) -> bring.setDisable(is == null || backups.bad(is)));
        HBox buttons = new HBox(8, Ui.spring(), Ui.button(Words.of("rescue.leave"), choices::leave, "choice"));
        if (choices.beginAnew() != null) {
            buttons.getChildren().add(Ui.button(Words.of("rescue.anew"), choices.beginAnew(), "choice"));
        }
        buttons.getChildren().add(bring);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        VBox sheet = Ui.sheet(
                Words.of("app.title"),
                null,
                question,
                Ui.prose(why.getMessage(), "body"),
                Ui.label(Words.of("library.backups"), "heading"),
                Ui.grow(backups),
                Ui.prose(Words.of("library.kept-first"), "soft"),
                buttons);
        sheet.setSpacing(10);
        sheet.setMaxSize(900, Region.USE_PREF_SIZE);
        backups.setPrefHeight(260);
        getChildren().add(sheet);
        Thread looking = new Thread(() -> look(library, clock), "backups");
        looking.setDaemon(true);
        looking.start();
    }

    private void look(Path library, Clock clock) {
        try {
            List<Backups.Backup> found = Backups.of(library, clock).all();
            Platform.runLater(() -> {
                backups.show(found);
                question.setText(Words.of(found.isEmpty() ? "rescue.none" : "rescue.question"));
            });
            for (int i = found.size() - 1; i >= 0; i--) {
                Backups.Backup b = found.get(i);
                Verification v = verified(b, clock);
                Platform.runLater(() -> {
                    backups.verified(b, v);
                    Backups.Backup chosen = backups.getSelectionModel().getSelectedItem();
                    bring.setDisable(chosen == null || backups.bad(chosen));
                });
            }
        } catch (LibraryException e) {
            // no backups to be told of; why the library cannot be opened stands above
        }
    }

    private static Verification verified(Backups.Backup b, Clock clock) {
        try {
            return Verification.of(b.path(), clock);
        } catch (LibraryException e) {
            return new Verification(0, Map.of(), List.of(e.getMessage()));
        }
    }
}
