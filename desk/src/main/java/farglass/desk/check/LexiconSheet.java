package farglass.desk.check;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.LexiconException;
import farglass.lexicon.OwnTerms;
import farglass.lexicon.Position;
import farglass.lexicon.Renamed;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.TermMerge;
import farglass.work.session.TeamLexicon;
import farglass.work.words.WorkWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The words of the work, to be made the team's own: displayed names, aliases, standing values, checkpoints, house
 * terms; and two terms made one. Words hold from the next start on, tags are rewritten at once.
 */
final class LexiconSheet extends StackPane {
    private final Desk desk;
    private final TeamLexicon own;
    private final TextField search = new TextField();
    private final ListView<Term> list = new ListView<>();
    private final Label code = Ui.label("", "strong");
    private final TextField name = new TextField();
    private final TextField aliases = new TextField();
    private final TextField value = new TextField();
    private final TextField checkpoints = new TextField();
    private final TextField into = new TextField();
    private final TextField fresh = new TextField();
    private final Label told = Ui.prose("", "form-problem");
    private final ComboBox<String> shown = new ComboBox<>(FXCollections.observableArrayList(OwnTerms.LANGUAGES));

    /** @param close puts the sheet away */
    LexiconSheet(Desk desk, Runnable close) {
        this.desk = desk;
        this.own = desk.teamLexicon();
        setId("lexicon-sheet");
        search.setId("lexicon-search");
        search.setPromptText(Words.of("lexicon.search"));
        search.textProperty().addListener((o, was, is) -> fill());
        list.setId("lexicon-list");
        list.getStyleClass().add("record");
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> show(is));
        list.setPrefWidth(420);
        name.setId("lexicon-name");
        aliases.setId("lexicon-aliases");
        value.setId("lexicon-value");
        checkpoints.setId("lexicon-checkpoints");
        into.setId("lexicon-into");
        fresh.setId("lexicon-new");
        told.setId("lexicon-told");
        into.setPromptText(Words.of("lexicon.into.prompt"));
        fresh.setPromptText(Words.of("lexicon.new.prompt"));
        shown.setConverter(Ui.shown(l -> Words.of("lexicon.language." + l)));
        shown.setValue(own.terms().shown());
        shown.setOnAction(e -> keep(own.terms().shown(shown.getValue()), Words.of("lexicon.kept")));
        Button keep = Ui.button(Words.of("form.keep"), this::keepTerm, "strong-button");
        keep.setId("lexicon-keep");
        Button merge = Ui.button(Words.of("lexicon.merge"), this::merge, "choice");
        merge.setId("lexicon-merge");
        Button add = Ui.button(Words.of("lexicon.add"), this::add, "choice");
        add.setId("lexicon-add");
        Button back = Ui.button(Words.of("lexicon.back"), this::back, "choice");
        back.setId("lexicon-back");
        VBox form = new VBox(
                6,
                code,
                named("lexicon.name", name),
                named("lexicon.aliases", aliases),
                named("lexicon.value", value),
                named("lexicon.checkpoints", checkpoints),
                new HBox(8, keep, back),
                named("lexicon.merge.how", row(into, merge)),
                named("lexicon.new", row(fresh, add)),
                told);
        form.setMinWidth(440);
        HBox head = new HBox(10, Ui.grow(search), Ui.label(Words.of("lexicon.shown"), "soft"), shown);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox sheet = Ui.sheet(
                Words.of("lexicon.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                head,
                Ui.grow(new HBox(14, Ui.grow(list), form)),
                Ui.label(Words.of("lexicon.when"), "soft"));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(980, 600);
        getChildren().add(sheet);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        fill();
    }

    private static HBox row(TextField field, Button button) {
        button.setMinWidth(Region.USE_PREF_SIZE);
        return new HBox(8, Ui.grow(field), button);
    }

    private static VBox named(String words, javafx.scene.Node control) {
        return new VBox(2, Ui.label(Words.of(words), "field-name"), control);
    }

    private List<Term> terms() {
        Lexicon l = own.next();
        List<Term> all = new ArrayList<>(l.techniques());
        all.addAll(l.positions());
        all.addAll(l.grips());
        return all;
    }

    private void fill() {
        String wanted = Lexicon.normal(search.getText());
        Term selected = list.getSelectionModel().getSelectedItem();
        list.getItems()
                .setAll(terms().stream()
                        .filter(t -> wanted.isEmpty()
                                || Lexicon.normal(t.code()).contains(wanted)
                                || Lexicon.normal(t.name()).contains(wanted)
                                || t.aliases().stream()
                                        .anyMatch(a -> Lexicon.normal(a).contains(wanted)))
                        .toList());
        if (selected != null) {
            list.getItems().stream()
                    .filter(t -> t.getClass() == selected.getClass() && t.code().equals(selected.code()))
                    .findFirst()
                    .ifPresent(t -> list.getSelectionModel().select(t));
        } else if (list.getItems().size() == 1) {
            list.getSelectionModel().select(0);
        }
    }

    private void show(Term t) {
        code.setText(t == null ? "" : t.code());
        name.setText(t == null ? "" : t.name());
        aliases.setText(t == null ? "" : String.join(", ", t.aliases()));
        value.setText(t instanceof Position p ? Double.toString(p.value()) : "");
        value.setDisable(!(t instanceof Position));
        checkpoints.setText(
                t instanceof Technique x
                        ? String.join(", ", own.terms().checkpoints().getOrDefault(x.code(), List.of()))
                        : "");
        checkpoints.setDisable(!(t instanceof Technique));
    }

    private void keepTerm() {
        Term t = list.getSelectionModel().getSelectedItem();
        if (t == null) {
            told.setText(Words.of("lexicon.choose"));
            return;
        }
        try {
            Term changed = Renamed.of(t, name.getText().strip(), list(aliases));
            if (changed instanceof Position p) {
                changed = Renamed.valued(p, Ui.number(value.getText()));
            }
            OwnTerms next = changed.equals(t) ? own.terms() : own.terms().with(changed);
            keep(t instanceof Technique ? next.checking(t.code(), list(checkpoints)) : next, Words.of("lexicon.kept"));
        } catch (NumberFormatException e) {
            told.setText(Words.of("rules.number", value.getText()));
        } catch (LexiconException e) {
            told.setText(Words.of("lexicon.wrong", e.getMessage()));
        }
    }

    private void keep(OwnTerms next, String done) {
        try {
            own.keep(next);
            told.setText(done);
            fill();
        } catch (LexiconException e) {
            told.setText(Words.of("lexicon.wrong", e.getMessage()));
        }
    }

    private static List<String> list(TextField f) {
        return f.getText().isBlank()
                ? List.of()
                : Arrays.asList(f.getText().strip().split("\\s*,\\s*"));
    }

    private void back() {
        told.setText(own.stepBack() ? Words.of("lexicon.went-back") : WorkWords.of("undo.none"));
        shown.setValue(own.terms().shown());
        fill();
    }

    /** All tags of the library that use the chosen term use the other from now on. */
    private void merge() {
        Term from = list.getSelectionModel().getSelectedItem();
        Optional<Term> to = from == null
                ? Optional.empty()
                : own.next().lookUp(into.getText()).stream()
                        .filter(t ->
                                t.getClass() == from.getClass() && !t.code().equals(from.code()))
                        .findFirst();
        if (to.isEmpty()) {
            told.setText(Words.of("lexicon.into.unknown", into.getText()));
            return;
        }
        Term there = to.get();
        List<MatchRecord> all = List.copyOf(desk.matches());
        // reads the tags of all matches, so not on the interface thread
        desk.tasks()
                .query(
                        "merge",
                        () -> all.stream()
                                .filter(r -> TermMerge.edit(r, from.code(), there.code())
                                        .isPresent())
                                .map(MatchRecord::id)
                                .toList(),
                        found -> merge(found, from, there),
                        e -> told.setText(e.getMessage()));
    }

    private void merge(List<String> found, Term from, Term to) {
        int matches = 0;
        for (String id : found) {
            Optional<Edit> edit = desk.match(id).flatMap(r -> TermMerge.edit(r, from.code(), to.code()));
            if (edit.isPresent()) {
                desk.edit(id, edit.get());
                matches++;
            }
        }
        told.setText(Words.of("lexicon.merged", matches, from.name(), to.name()));
    }

    /** A house term is like the chosen one in all but its words. */
    private void add() {
        Term like = list.getSelectionModel().getSelectedItem();
        String words = fresh.getText().strip();
        if (like == null || words.isEmpty()) {
            told.setText(Words.of("lexicon.new.how"));
            return;
        }
        String slug = Lexicon.normal(words).replaceAll("[^a-z0-9]+", "-");
        Term made = like instanceof Technique t
                ? new Technique(
                        slug,
                        words,
                        t.family(),
                        t.from(),
                        t.to(),
                        t.role(),
                        t.by(),
                        t.side(),
                        t.limb(),
                        t.using(),
                        t.limbTie(),
                        List.of(),
                        java.util.Map.of(),
                        List.of())
                : like instanceof Position p
                        ? new Position(
                                slug.toUpperCase(java.util.Locale.ROOT),
                                words,
                                p.family(),
                                p.holder(),
                                p.guard(),
                                p.value(),
                                p.attackValue(),
                                p.across(),
                                p.scoring(),
                                java.util.Map.of(),
                                List.of())
                        : new Grip(slug, words, java.util.Map.of(), List.of());
        boolean taken = terms().stream().anyMatch(t -> t.code().equals(made.code()));
        if (taken) {
            told.setText(Words.of("lexicon.new.taken", made.code()));
        } else {
            keep(own.terms().with(made), Words.of("lexicon.new.kept", words, like.name()));
        }
    }

    private static final class Cell extends ListCell<Term> {
        private final Label what = Ui.label("", "record-what");
        private final Label words = Ui.label("", "record-about");
        private final HBox line = new HBox(10, what, Ui.spring(), words);

        Cell() {
            what.setMinWidth(Region.USE_PREF_SIZE);
            line.setPrefWidth(380);
            line.setMaxWidth(380);
        }

        @Override
        protected void updateItem(Term t, boolean empty) {
            super.updateItem(t, empty);
            if (empty || t == null) {
                setGraphic(null);
                return;
            }
            what.setText(t.name());
            words.setText(String.join(", ", t.aliases()));
            setGraphic(line);
        }
    }
}
