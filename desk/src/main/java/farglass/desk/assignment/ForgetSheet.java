package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.store.Forgetting;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** Deletes an athlete for good, after saying what will go. */
final class ForgetSheet extends VBox {
    private final Desk desk;
    private final ComboBox<String> who = new ComboBox<>();
    private final VBox what = new VBox(4);
    private final Button confirm;
    private final Runnable close;
    private Forgetting found;

    ForgetSheet(Desk desk, Runnable close) {
        super(12);
        this.desk = desk;
        this.close = close;
        setId("forget-sheet");
        getStyleClass().add("sheet");
        setMaxSize(620, 460);
        who.setId("forget-who");
        who.getItems().setAll(new TreeMap<>(desk.athletes()).keySet());
        who.setConverter(new StringConverter<>() {
            @Override
            public String toString(String id) {
                return id == null ? "" : desk.nameOf(id);
            }

            @Override
            public String fromString(String s) {
                return s;
            }
        });
        who.setPromptText(Words.of("forget.choose"));
        who.valueProperty().addListener((o, was, is) -> look(is));
        what.setId("forget-what");
        confirm = Ui.button(Words.of("forget.confirm"), this::forget, "strong-button");
        confirm.setId("forget-confirm");
        confirm.setDisable(true);
        HBox tools = new HBox(8, Ui.spring(), Ui.button(Words.of("forget.keep"), close, "choice"), confirm);
        tools.setAlignment(Pos.CENTER_RIGHT);
        getChildren()
                .addAll(
                        Ui.label(Words.of("forget.title"), "question"),
                        Ui.prose(Words.of("forget.hint"), "body"),
                        who,
                        Ui.grow(what),
                        tools);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
    }

    private void look(String athlete) {
        found = null;
        confirm.setDisable(true);
        what.getChildren().clear();
        if (athlete == null) {
            return;
        }
        desk.tasks()
                .query(
                        "forget",
                        () -> desk.library().concerning(athlete),
                        this::show,
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    private void show(Forgetting f) {
        found = f;
        what.getChildren().clear();
        line("forget.matches", f.matches().size());
        line("forget.plans", f.plans().size());
        line("forget.quoting", f.quoting().size());
        line("forget.assignments", f.assignments().size());
        line("forget.naming", f.naming().size());
        line("forget.settings", f.settings().size());
        line("forget.traces", f.traces().size());
        line("forget.films", f.films().size());
        line("forget.pictures", f.pictures().size());
        line("forget.exported", f.exported().size());
        line("forget.changed", f.changed().size());
        line("forget.backups", f.backups().size());
        if (desk.team().get() != null) {
            what.getChildren().add(Ui.prose(Words.of("forget.team"), "body"));
        }
        what.getChildren().add(Ui.prose(Words.of("forget.outside"), "soft"));
        confirm.setDisable(f.nothing());
    }

    private void line(String key, int n) {
        if (n > 0) {
            what.getChildren().add(Ui.prose(Words.of(key, n), "pinned-sentence"));
        }
    }

    /** What was shown is what is deleted; the library is read anew after it. */
    private void forget() {
        Forgetting f = found;
        if (f == null) {
            return;
        }
        confirm.setDisable(true);
        String name = desk.nameOf(f.athlete());
        desk.forget(f, left -> {
            close.run();
            if (left.isEmpty()) {
                desk.notices().done(Words.of("forget.done", name));
            } else {
                desk.notices().problem(Words.of("forget.left", name, names(left)));
            }
        });
    }

    private static String names(List<Path> left) {
        return left.stream().map(Path::toString).collect(Collectors.joining(", "));
    }
}
