package farglass.desk.check;

import farglass.check.RecordCheck;
import farglass.check.Settled;
import farglass.desk.player.MomentView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.store.json.MatchJson;
import farglass.time.Dates;
import farglass.time.MatchTime;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;

/** The open record's score with its reasons, and its findings with their repairs. */
public final class CheckStation implements Station, Keys.Bound {
    private final Desk desk;
    private final Label facts = Ui.label("", "soft");
    private final ScoreSheet own;
    private final ScoreSheet other;
    private final FindingList findings;
    private final MomentView moment;
    private final TideLine tide;
    private final ComboBox<Ruleset> whatIf = new ComboBox<>();
    private final CheckBox called = new CheckBox(Words.of("check.all-called"));
    private final Label left = Ui.label("", "soft");
    private final Button repair = Ui.button(Words.of("check.repair"), this::repair, "strong-button");
    private final StringProperty status = new SimpleStringProperty("");
    private final Keys keys = new Keys();
    private final VBox page;
    private final StackPane view = new StackPane();
    private boolean visible;
    private boolean stale = true;

    private record Worked(MatchRecord record, Score score, Score otherwise, List<Finding> findings) {}

    /** @param toFilm opens a match in the film station at a tag */
    public CheckStation(Desk desk, BiConsumer<String, Integer> toFilm) {
        this.desk = desk;
        this.moment = new MomentView(desk, Words.of("check.hint"), toFilm);
        this.tide = TideLine.large(desk.lexicon());
        tide.setId("check-tide");
        tide.onSeek(t -> look(t, -1));
        tide.onPick(i -> look(desk.openRecord().get().tags().get(i).t(), i));
        this.own = new ScoreSheet(desk, "score-own", this::look);
        this.other = new ScoreSheet(desk, "score-other", this::look);
        this.findings = new FindingList(f -> look(f.t(), f.index()));
        keys.on("Enter", "keys.check.repair", this::repair)
                .on("Alt+C", "keys.check.called", () -> settle(true))
                .on("Alt+E", "keys.check.seen", () -> settle(false))
                .on("F3", "keys.check.next", findings::next)
                .on("F5", "keys.check.compare", this::chooseSecond)
                .on("F6", "keys.check.history", this::history)
                .on("F7", "keys.check.rules", this::rules)
                .on("F8", "keys.check.lexicon", this::lexicon)
                .on("Ctrl+Z", "keys.undo", desk::undo)
                .on("Ctrl+Shift+Z", "keys.redo", desk::redo);
        page = layout();
        view.getChildren().add(page);
        view.setId("station-check");
        page.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        desk.openRecord().addListener((o, was, is) -> changed());
        desk.rulesets().addListener((o, was, is) -> fillRulesets());
        view.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        view.setOnDragDropped(e -> {
            boolean taken = e.getDragboard().hasFiles() && desk.openRecord().get() != null;
            if (taken) {
                compare(e.getDragboard().getFiles().get(0).toPath());
            }
            e.setDropCompleted(taken);
            e.consume();
        });
        whatIf.valueProperty().addListener((o, was, is) -> changed());
        called.selectedProperty().addListener((o, was, is) -> changed());
        fillRulesets();
    }

    private VBox layout() {
        Button compare = Ui.button(Words.of("compare.button"), this::chooseSecond, "choice");
        Button history = Ui.button(Words.of("history.button"), this::history, "choice");
        Button rules = Ui.button(Words.of("rules.button"), this::rules, "choice");
        Button lexicon = Ui.button(Words.of("lexicon.button"), this::lexicon, "choice");
        lexicon.setId("check-lexicon");
        history.setId("check-history");
        rules.setId("check-rules");
        HBox head = Ui.head(Ui.label(Words.of("check.question"), "question"), facts, compare, history, rules, lexicon);
        whatIf.setId("check-what-if");
        whatIf.setAccessibleText(Words.of("name.what-if"));
        whatIf.setPrefWidth(170);
        whatIf.setConverter(new StringConverter<>() {
            @Override
            public String toString(Ruleset r) {
                return r == null ? "" : r.title();
            }

            @Override
            public Ruleset fromString(String s) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        });
        called.setId("check-all-called");
        called.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        whatIf.setMinWidth(120);
        HBox otherwise = new HBox(10, whatIf, called);
        otherwise.setAlignment(Pos.CENTER_LEFT);
        VBox first = Ui.sheet(Words.of("check.score"), null, Ui.grow(own));
        VBox second = Ui.sheet(Words.of("check.what-if"), null, otherwise, Ui.grow(other));
        GridPane halves = new GridPane();
        halves.setHgap(12);
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        RowConstraints high = new RowConstraints();
        high.setPercentHeight(100);
        halves.getColumnConstraints().addAll(half, half);
        halves.getRowConstraints().add(high);
        halves.add(first, 0, 0);
        halves.add(second, 1, 0);
        VBox tideSheet = Ui.sheet(Words.of("film.tide"), null, Ui.grow(tide));
        tideSheet.getStyleClass().add("tight");
        tideSheet.setMinHeight(168);
        tideSheet.setMaxHeight(168);
        VBox scores = new VBox(12);
        Gradual.parts(scores, Ui.grow(halves), tideSheet);
        repair.setId("check-repair");
        Button asCalled = Ui.button(Words.of("check.as-called"), () -> settle(true), "choice");
        asCalled.setId("check-as-called");
        Button asSeen = Ui.button(Words.of("check.as-seen"), () -> settle(false), "choice");
        asSeen.setId("check-as-seen");
        HBox deeds = new HBox(8, Ui.spring(), asCalled, asSeen, repair);
        VBox doubts = Ui.sheet(Words.of("check.findings"), left, Ui.grow(findings.view()), deeds);
        VBox film = Ui.sheet(Words.of("profile.clip"), null, moment);
        VBox right = new VBox(12);
        Gradual.parts(right, film, Ui.grow(doubts));
        right.setMinWidth(440);
        right.setMaxWidth(440);
        HBox body = new HBox(12);
        Gradual.parts(body, Ui.grow(scores), right);
        VBox whole = new VBox(10);
        Gradual.parts(whole, head, Ui.grow(body));
        return whole;
    }

    private void fillRulesets() {
        Ruleset before = whatIf.getValue();
        whatIf.getItems().setAll(desk.rulesets().get().all());
        whatIf.setValue(
                whatIf.getItems().contains(before)
                        ? before
                        : whatIf.getItems().get(whatIf.getItems().size() > 2 ? 2 : 0));
        changed();
    }

    private void changed() {
        stale = true;
        if (visible) {
            work();
        }
    }

    private void work() {
        MatchRecord r = desk.openRecord().get();
        stale = false;
        if (r == null) {
            facts.setText("");
            own.say(Words.of("film.none"));
            other.say("");
            findings.show(null, List.of());
            return;
        }
        Ruleset rules =
                desk.rulesets().get().orUsual(r.details().ruleset(), r.details().date());
        Ruleset otherwise = whatIf.getValue();
        if (otherwise == null) {
            // the list is being filled: the choice that follows works it out
            return;
        }
        boolean all = called.isSelected();
        desk.tasks()
                .query(
                        "check",
                        () -> {
                            Score score = Scoring.of(r, rules, desk.lexicon());
                            Score second = all
                                    ? Scoring.allCalled(r, otherwise, desk.lexicon())
                                    : Scoring.of(r, otherwise, desk.lexicon());
                            return new Worked(r, score, second, RecordCheck.findings(r, score, desk.lexicon()));
                        },
                        this::show,
                        e -> desk.notices().problem(Words.of("check.failed", e.getMessage())));
    }

    private void show(Worked w) {
        MatchRecord r = w.record();
        String date = r.details().date() == null ? "" : Dates.words(r.details().date()) + ", ";
        facts.setText(Words.of(
                "check.facts",
                r.details().a().surname(),
                r.details().b().surname(),
                date,
                w.score().ruleset().title()));
        tide.show(r, desk.amber(r), -1);
        own.show(r, w.score());
        other.show(r, w.otherwise());
        findings.show(r, w.findings());
        long errors = count(w, Finding.Severity.ERROR);
        long warnings = count(w, Finding.Severity.WARNING);
        left.setText(Words.of("check.left", errors, warnings, w.findings().size() - errors - warnings));
        status.set(
                errors + warnings == 0 ? Words.of("check.status.none") : Words.of("check.status", errors + warnings));
    }

    private static long count(Worked w, Finding.Severity s) {
        return w.findings().stream().filter(f -> f.severity() == s).count();
    }

    /** Shows the film at a moment. */
    private void look(MatchTime t, int tag) {
        MatchRecord r = desk.openRecord().get();
        String text = tag < 0 || tag >= r.tags().size() ? "" : desk.describe(r, tag);
        moment.play(r, t, tag, text);
        tide.now(t);
        tide.select(tag);
    }

    private void chooseSecond() {
        if (desk.openRecord().get() == null) {
            return;
        }
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("compare.choose"));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(Words.of("compare.files"), "*.json"));
        File file = chooser.showOpenDialog(view.getScene().getWindow());
        if (file != null) {
            compare(file.toPath());
        }
    }

    /** Lays another record of the open match over it. */
    void compare(Path file) {
        desk.tasks()
                .query(
                        "second-record",
                        () -> MatchJson.read(file),
                        other -> {
                            if (!other.id().equals(desk.openRecord().get().id())) {
                                desk.notices().done(Words.of("compare.other-id"));
                            }
                            lay(close -> new CompareSheet(desk, other, close));
                        },
                        e -> desk.notices().problem(Words.of("compare.failed", file.getFileName(), e.getMessage())));
    }

    private void history() {
        if (desk.openRecord().get() != null) {
            lay(close -> new HistorySheet(desk, close));
        }
    }

    private void rules() {
        MatchRecord r = desk.openRecord().get();
        String code = r == null ? null : r.details().ruleset();
        Ruleset shown = desk.rulesets()
                .get()
                .orUsual(code, r == null ? null : r.details().date());
        lay(close -> new RulesSheet(desk, shown, close));
    }

    private void lexicon() {
        lay(close -> new LexiconSheet(desk, close));
    }

    private void lay(Function<Runnable, Node> sheet) {
        Node[] laid = new Node[1];
        laid[0] = sheet.apply(() -> {
            view.getChildren().remove(laid[0]);
            findings.view().requestFocus();
        });
        moment.pause();
        view.getChildren().removeIf(n -> n != page);
        view.getChildren().add(laid[0]);
        laid[0].requestFocus();
    }

    private void repair() {
        Finding f = findings.selected();
        if (f == null) {
            desk.notices().done(Words.of("check.choose"));
        } else if (f.repairs().isEmpty()) {
            desk.notices().done(Words.of("check.no-repair"));
        } else if (f.repairs().size() == 1) {
            repair(f.repairs().get(0));
        } else {
            ways(f).show(repair, Side.TOP, 0, 0);
        }
    }

    /** Where it can be put right in several ways somebody has to say what happened. */
    private ContextMenu ways(Finding f) {
        ContextMenu menu = new ContextMenu();
        for (Finding.Repair way : f.repairs()) {
            MenuItem item = new MenuItem(way.words());
            item.setOnAction(e -> repair(way));
            menu.getItems().add(item);
        }
        return menu;
    }

    private void repair(Finding.Repair way) {
        findings.keepPlace();
        desk.edit(way.edit());
        desk.notices().done(Words.of("check.repaired", way.words()));
    }

    private void settle(boolean asCalled) {
        Finding f = findings.selected();
        if (f == null || !f.code().equals("table-differs")) {
            desk.notices().done(Words.of("check.not-table"));
            return;
        }
        MatchRecord r = desk.openRecord().get();
        findings.keepPlace();
        desk.edit(Edit.replace(r, f.index(), Settled.as(r.tags().get(f.index()), asCalled)));
        desk.notices().done(Words.of(asCalled ? "check.settled.called" : "check.settled.seen"));
    }

    @Override
    public String name() {
        return "station.check";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public ObservableValue<String> status() {
        return status;
    }

    @Override
    public void shown() {
        visible = true;
        if (stale) {
            work();
        }
        Gradual.focus(findings.view());
    }

    @Override
    public void hidden() {
        visible = false;
        moment.pause();
    }
}
