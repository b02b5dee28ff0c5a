package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.text.CoreWords;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ColorPicker;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;

/** Who is who in a match, where and when it was: for a new match, or to correct one. */
final class MatchForm extends StackPane {
    private final Desk desk;
    private final MatchRecord changed;
    private final Consumer<String> done;
    private final Runnable close;
    private final Athlete a = new Athlete("#e8e4d8");
    private final Athlete b = new Athlete("#2f5fa8");
    private final TextField event = new TextField();
    private final TextField round = new TextField();
    private final DatePicker date = Ui.datePicker();
    private final ComboBox<String> ruleset = new ComboBox<>(FXCollections.observableArrayList(AssignmentForm.RULESETS));
    private final ComboBox<String> attire = new ComboBox<>(FXCollections.observableArrayList(AssignmentForm.ATTIRES));
    private final Spinner<Integer> minutes = new Spinner<>(1, 60, 8);
    private final ComboBox<RecordKind> kind = new ComboBox<>(FXCollections.observableArrayList(RecordKind.values()));
    private final TextField film = new TextField();
    private final Label problem = Ui.prose("", "form-problem");
    private final Button keep;

    /** One athlete's row. */
    private final class Athlete {
        private final ComboBox<String> name = new ComboBox<>();
        private final TextField marker = new TextField();
        private final ColorPicker colour;

        Athlete(String worn) {
            name.setEditable(true);
            name.setPrefWidth(220);
            marker.setPromptText(Words.of("form.marker"));
            colour = new ColorPicker(Color.web(worn));
        }

        Node row(String corner) {
            name.setId("form-" + corner);
            HBox row = new HBox(8, Ui.label(corner, "key"), name, Ui.grow(marker), colour);
            row.setAlignment(Pos.CENTER_LEFT);
            return row;
        }

        void fill(MatchAthlete old) {
            name.setValue(old.name());
            marker.setText(old.marker() == null ? "" : old.marker());
            if (old.colour() != null) {
                colour.setValue(Color.web(old.colour()));
            }
        }

        String typed() {
            String text = name.getEditor().getText();
            return text == null ? "" : text.strip();
        }

        MatchAthlete made(MatchAthlete old) {
            String typed = typed();
            String id = desk.athletes().entrySet().stream()
                    .filter(e -> e.getValue().equalsIgnoreCase(typed))
                    .map(Map.Entry::getKey)
                    .findFirst()
                    .orElseGet(() -> slug(typed));
            Color c = colour.getValue();
            String hex = String.format(
                    Locale.ROOT,
                    "#%02x%02x%02x",
                    Math.round(c.getRed() * 255),
                    Math.round(c.getGreen() * 255),
                    Math.round(c.getBlue() * 255));
            String mark = marker.getText().isBlank() ? null : marker.getText().strip();
            return new MatchAthlete(id, typed, mark, hex, old == null ? Map.of() : old.extra());
        }
    }

    /**
     * @param changed the match to correct, or null for a new one
     * @param path film of a new one, or null
     * @param done gets the id of a new match
     */
    MatchForm(Desk desk, MatchRecord changed, Path path, Runnable close, Consumer<String> done) {
        this.desk = desk;
        this.changed = changed;
        this.close = close;
        this.done = done;
        this.keep = Ui.button(Words.of(changed == null ? "form.add" : "form.keep"), this::keep, "strong-button");
        keep.setId("form-keep");
        List<String> names = List.copyOf(desk.athletes().values());
        a.name.getItems().setAll(names);
        b.name.getItems().setAll(names);
        film.setText(path == null ? "" : path.toString());
        ruleset.setConverter(Ui.shown(code -> desk.rulesName(code, null)));
        ruleset.setValue("points-gi");
        attire.setConverter(Ui.shown(CoreWords::code));
        attire.setValue("gi");
        kind.setValue(RecordKind.MATCH);
        kind.setConverter(new StringConverter<>() {
            @Override
            public String toString(RecordKind k) {
                return k == null ? "" : Words.of("kind." + k.code());
            }

            @Override
            public RecordKind fromString(String text) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        });
        if (changed != null) {
            fill(changed);
        }
        getStyleClass().add("veil");
        getChildren().add(sheet());
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                e.consume();
                close.run();
            }
        });
        Gradual.focus(a.name.getEditor());
    }

    private void fill(MatchRecord r) {
        MatchRecord.Details d = r.details();
        a.fill(d.a());
        b.fill(d.b());
        event.setText(d.event());
        round.setText(d.round());
        date.setValue(d.date());
        ruleset.setValue(d.ruleset());
        attire.setValue(d.attire());
        kind.setValue(r.kind());
        minutes.getValueFactory().setValue((int) Math.max(1, d.lengthMs() / 60_000));
    }

    private Node sheet() {
        HBox films = new HBox(8, Ui.grow(film), Ui.button(Words.of("form.choose"), this::chooseFilm, "choice"));
        HBox buttons = new HBox(10, Ui.grow(problem), Ui.button(Words.of("form.cancel"), close, "choice"), keep);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        film.setId("form-film");
        date.setId("form-date");
        problem.setId("form-problem");
        VBox sheet = Ui.sheet(
                Words.of(changed == null ? "form.new" : "form.change"),
                null,
                Ui.label(Words.of("form.who"), "field-name"),
                a.row("a"),
                b.row("b"),
                new HBox(10, field("form.event", event), field("form.round", round), field("form.date", date)),
                new HBox(
                        10,
                        field("form.kind", kind),
                        field("assignment.ruleset", ruleset),
                        field("assignment.attire", attire),
                        field("assignment.minutes", minutes)));
        if (changed == null) {
            sheet.getChildren().addAll(Ui.label(Words.of("form.film"), "field-name"), films);
        }
        sheet.getChildren().add(buttons);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(720, javafx.scene.layout.Region.USE_PREF_SIZE);
        sheet.setId("match-form");
        return sheet;
    }

    private static VBox field(String words, Node control) {
        VBox box = new VBox(2, Ui.label(Words.of(words), "field-name"), control);
        HBox.setHgrow(box, javafx.scene.layout.Priority.ALWAYS);
        return box;
    }

    private void chooseFilm() {
        var file = new FileChooser().showOpenDialog(getScene().getWindow());
        if (file != null) {
            film.setText(file.toString());
        }
    }

    private static String slug(String name) {
        return java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
    }

    private void keep() {
        if (a.typed().isEmpty() || b.typed().isEmpty() || a.typed().equalsIgnoreCase(b.typed())) {
            told(Words.of("form.names"), "form-problem");
            return;
        }
        MatchRecord.Details old = changed == null ? null : changed.details();
        MatchRecord.Details details = new MatchRecord.Details(
                date.getValue(),
                event.getText(),
                round.getText(),
                old == null ? null : old.division(),
                attire.getValue(),
                ruleset.getValue(),
                minutes.getValue() * 60_000L,
                a.made(old == null ? null : old.a()),
                b.made(old == null ? null : old.b()),
                old == null ? null : old.result());
        if (changed != null) {
            desk.openMatch(changed.id());
            List<Edit> edits = new ArrayList<>(List.of(new Edit.SetDetails(changed.details(), details)));
            if (kind.getValue() != changed.kind()) {
                edits.add(new Edit.SetKind(changed.kind(), kind.getValue()));
            }
            desk.edit(edits.size() == 1 ? edits.get(0) : new Edit.Batch(edits));
            close.run();
            return;
        }
        add(details);
    }

    private void add(MatchRecord.Details details) {
        String path = film.getText().strip();
        if (!path.isEmpty()) {
            told(Words.of("film.looking", new File(path).getName()), "soft");
        }
        keep.setDisable(true);
        desk.tasks()
                .command(
                        Words.of("match.name"),
                        () -> path.isEmpty() ? List.<FilmRef>of() : List.of(look(Path.of(path))),
                        films -> {
                            // a match that cannot be kept is told in a notice, and may be tried again
                            keep.setDisable(false);
                            add(details, films);
                        },
                        e -> {
                            keep.setDisable(false);
                            told(e.getMessage(), "form-problem");
                        });
    }

    /** Says something beside the buttons. */
    private void told(String text, String style) {
        problem.getStyleClass().removeAll("soft", "form-problem");
        problem.getStyleClass().add(style);
        problem.setText(text);
    }

    private static FilmRef look(Path path) throws FilmException {
        try (FilmFile opened = FilmFile.open(path)) {
            return FilmRef.of(path.toAbsolutePath().toString(), opened.info().durationMs(), ClockMap.EMPTY);
        }
    }

    private void add(MatchRecord.Details d, List<FilmRef> films) {
        LocalDate day = d.date() == null ? LocalDate.now(desk.clock()) : d.date();
        String stem = day + "-" + slug(d.a().surname()) + "-" + slug(d.b().surname());
        String id = stem;
        for (int n = 2; desk.match(id).isPresent(); n++) {
            id = stem + "-" + n;
        }
        MatchRecord empty = new MatchRecord(id, kind.getValue(), d, films, List.of(), Map.of());
        List<Tag> tags = TagIds.name(
                empty,
                List.of(
                        new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                        Tag.Position.of(MatchTime.ZERO, "STD", null, (Corner) null)));
        String added = id;
        desk.addMatches(List.of(empty.withTags(tags)), () -> done.accept(added));
    }
}
