package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.draft.NoteDrafts;
import farglass.intake.NoteColumn;
import farglass.intake.NoteReader;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.store.table.NotesTable;
import farglass.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/**
 * A guide that takes old notes into a match: what each column holds, what words mean that the lexicon does not have,
 * and row by row what was understood. Nothing changes before it is taken; what was taught is remembered for the next
 * table.
 */
final class NotesSheet extends StackPane {
    private static final String COLUMNS = "notes.columns ";
    private static final String TERMS = "notes.terms";
    private static final int MOST_WORDS = 6;

    private final Desk desk;
    private final MatchRecord into;
    private final String file;
    private final NotesTable table;
    private final Runnable close;
    private final List<NoteColumn> roles;
    private final Map<String, String> terms;
    private final CheckBox down = new CheckBox(Words.of("notes.down"));
    private final VBox unknown = new VBox(4);
    private final ListView<NoteReader.Row> rows = new ListView<>();
    private final Button take = Ui.button("", this::take, "strong-button");
    private NoteReader reader;

    /**
     * @param into the match they are about
     * @param close puts the sheet away
     */
    NotesSheet(Desk desk, MatchRecord into, String file, NotesTable table, Runnable close) {
        this.desk = desk;
        this.into = into;
        this.file = file;
        this.table = table;
        this.close = close;
        this.terms = remembered();
        this.roles = new ArrayList<>(roles());
        setId("notes-sheet");
        getStyleClass().add("veil");
        take.setId("notes-take");
        rows.setId("notes-rows");
        rows.getStyleClass().addAll("record", "findings");
        rows.setCellFactory(v -> new Cell());
        down.setId("notes-down");
        down.setSelected(true);
        down.setOnAction(e -> read());
        HBox buttons = new HBox(10, Ui.spring(), Ui.button(Words.of("form.cancel"), close, "choice"), take);
        VBox sheet = Ui.sheet(
                Words.of("notes.title", file),
                Ui.label(
                        Words.of(
                                "notes.into",
                                into.details().a().surname(),
                                into.details().b().surname()),
                        "soft"),
                columns(),
                down,
                unknown,
                Ui.grow(rows),
                buttons);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(980, 680);
        getChildren().add(sheet);
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        read();
    }

    private String signature() {
        return COLUMNS + String.join("|", table.head());
    }

    private List<NoteColumn> roles() {
        List<NoteColumn> known = desk.preferences()
                .get(signature())
                .map(s -> java.util.Arrays.stream(s.split(","))
                        .map(NoteColumn::valueOf)
                        .toList())
                .orElse(List.of());
        return known.size() == table.head().size()
                ? known
                : NoteColumn.guess(
                        table.head(),
                        table.rows(),
                        List.of(into.details().a().name(), into.details().b().name()),
                        desk.lexicon());
    }

    private Map<String, String> remembered() {
        Map<String, String> known = new TreeMap<>();
        desk.preferences()
                .get(TERMS)
                .ifPresent(text -> text.lines().forEach(line -> {
                    int equals = line.indexOf('=');
                    if (equals > 0) {
                        known.put(line.substring(0, equals), line.substring(equals + 1));
                    }
                }));
        return known;
    }

    private FlowPane columns() {
        FlowPane pane = new FlowPane(10, 6);
        for (int c = 0; c < table.head().size(); c++) {
            int column = c;
            ComboBox<NoteColumn> role = new ComboBox<>(FXCollections.observableArrayList(NoteColumn.values()));
            role.setId("notes-column-" + c);
            role.setConverter(new StringConverter<>() {
                @Override
                public String toString(NoteColumn r) {
                    return r == null ? "" : Words.of("notes.column." + r.code());
                }

                @Override
                public NoteColumn fromString(String s) {
                    throw new UnsupportedOperationException("chosen from a list, never typed");
                }
            });
            role.setValue(roles.get(c));
            role.setPrefWidth(120);
            role.valueProperty().addListener((o, was, is) -> {
                roles.set(column, is);
                read();
            });
            pane.getChildren().add(new VBox(2, Ui.label(table.head().get(c), "field-name"), role));
        }
        return pane;
    }

    /** Reads the table anew, in the background; only the newest reading is shown. */
    private void read() {
        NoteReader next = new NoteReader(into, desk.lexicon(), roles, terms, down.isSelected());
        desk.tasks()
                .query(
                        "notes",
                        () -> next.read(table.rows()),
                        all -> show(next, all),
                        e -> desk.notices().problem(Words.of("notes.failed", e.getMessage())));
    }

    private void show(NoteReader by, List<NoteReader.Row> all) {
        reader = by;
        rows.getItems().setAll(all);
        long understood = all.stream().filter(r -> !r.tags().isEmpty()).count();
        take.setText(Words.of("notes.take", understood, all.size()));
        take.setDisable(understood == 0);
        Set<String> words = new LinkedHashSet<>();
        all.forEach(r -> {
            if (r.unknown() != null) {
                words.add(Lexicon.normal(r.unknown()));
            }
        });
        unknown.getChildren().clear();
        words.stream().limit(MOST_WORDS).forEach(w -> unknown.getChildren().add(teach(w)));
    }

    private HBox teach(String word) {
        TextField meant = new TextField();
        meant.setId("notes-term-" + word.replace(' ', '-'));
        meant.setPromptText(Words.of("notes.meant.prompt"));
        Label told = Ui.label("", "form-problem");
        meant.setOnAction(e -> {
            if (desk.lexicon().lookUp(meant.getText()).isEmpty()) {
                told.setText(Words.of("notes.meant.unknown", meant.getText()));
            } else {
                terms.put(word, meant.getText().strip());
                read();
            }
        });
        HBox line = new HBox(8, Ui.label(Words.of("notes.meant", word), "body"), meant, told);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void take() {
        List<NoteReader.Row> all = List.copyOf(rows.getItems());
        MatchRecord now = desk.match(into.id()).orElse(into);
        if (!now.equals(into)) {
            // the match was changed meanwhile: the notes are read into it as it is now
            reader = new NoteReader(now, desk.lexicon(), roles, terms, down.isSelected());
            all = reader.read(table.rows());
        }
        int fresh = desk.session().drafts().add(into.id(), NoteDrafts.of(all, file));
        desk.preferences().set(signature(), roles.stream().map(Enum::name).collect(Collectors.joining(",")));
        desk.preferences()
                .set(
                        TERMS,
                        terms.entrySet().stream()
                                .map(e -> e.getKey() + "=" + e.getValue())
                                .collect(Collectors.joining("\n")));
        close.run();
        desk.openMatch(into.id());
        desk.notices().done(Words.of("notes.taken", fresh));
    }

    private static final class Cell extends ListCell<NoteReader.Row> {
        private final Label number = Ui.label("", "record-about");
        private final Label when = Ui.label("", "record-time");
        private final Label what = Ui.label("", "record-what");
        private final HBox line = new HBox(12, number, when, what);

        Cell() {
            number.setMinWidth(30);
            when.setMinWidth(60);
        }

        @Override
        protected void updateItem(NoteReader.Row r, boolean empty) {
            super.updateItem(r, empty);
            if (empty || r == null) {
                setGraphic(null);
                return;
            }
            number.setText(Integer.toString(r.row()));
            when.setText(r.t() == null ? "" : Clock.tenths(r.t().ms()));
            boolean left = r.tags().isEmpty();
            what.setText(left ? Words.of("notes.left", r.problem()) : r.words());
            what.getStyleClass().remove("doubtful");
            if (left) {
                what.getStyleClass().add("doubtful");
            }
            setGraphic(line);
        }
    }
}
