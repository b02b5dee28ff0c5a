package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.WhenShown;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.desk.trainer.TrainerSheet;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.store.table.NotesTable;
import farglass.time.Dates;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The assignment and the list of matches. */
public final class AssignmentStation implements Station, Keys.Bound {
    private static final List<String> FILMS = List.of(".mp4", ".mkv", ".webm", ".mov", ".m4v", ".avi");
    private final Desk desk;
    private final Node steps;
    private final Runnable toFilm;
    private final ListView<MatchRecord> list = Gradual.unfolding(new ListView<>());
    private final CheckBox onlyOpponents = new CheckBox(Words.of("matches.only"));
    private final Label count = Ui.label("", "soft");
    private final Keys keys = new Keys();
    private final StackPane view;

    /**
     * @param steps stand above the sheets until they are done
     * @param toFilm goes to the film station
     */
    public AssignmentStation(Desk desk, Node steps, Runnable toFilm) {
        this.desk = desk;
        this.steps = steps;
        this.toFilm = toFilm;
        view = new StackPane(layout());
        view.setId("station-assignment");
        keys.on("Ctrl+Z", "keys.undo", desk::undoAssignment);
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        WhenShown filling = new WhenShown(view, this::fill);
        desk.matches().addListener((javafx.collections.ListChangeListener<MatchRecord>) c -> filling.ask());
        desk.assignment().addListener((o, was, is) -> filling.ask());
        onlyOpponents.selectedProperty().addListener((o, was, is) -> fill());
        fill();
    }

    private Node layout() {
        HBox head = new HBox(12, Ui.label(Words.of("assignment.question"), "question"));
        VBox form = Ui.sheet(Words.of("assignment.sheet"), null, new AssignmentForm(desk));
        form.setMinWidth(340);
        form.setMaxWidth(340);
        list.setId("matches");
        list.setAccessibleText(Words.of("name.matches"));
        list.getStyleClass().add("matches");
        list.setCellFactory(v -> new MatchCell(desk));
        list.setPlaceholder(Ui.empty(Words.of("matches.empty")));
        list.setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                openSelected();
            }
        });
        list.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                openSelected();
            }
        });
        Wrapping tools = new Wrapping(
                8,
                Pos.CENTER_LEFT,
                Ui.button(Words.of("matches.open"), this::openSelected, "choice"),
                Ui.button(Words.of("matches.add"), () -> showForm(null, null), "choice"),
                Ui.button(Words.of("matches.import"), this::chooseImport, "choice"),
                Ui.button(Words.of("matches.who"), this::editSelected, "choice"),
                Ui.button(Words.of("matches.remove"), this::removeSelected, "choice"),
                Ui.button(Words.of("study.button"), this::study, "choice"),
                Ui.button(Words.of("trainer.button"), this::practise, "choice"),
                Ui.button(Words.of("forget.button"), this::forget, "quiet"));
        tools.getChildren().forEach(b -> ((Button) b).setMinWidth(Region.USE_PREF_SIZE));
        tools.getChildren().get(1).setId("matches-add");
        tools.getChildren().get(4).setId("matches-remove");
        tools.getChildren().get(5).setId("matches-study");
        tools.getChildren().get(6).setId("matches-practise");
        tools.getChildren().get(7).setId("matches-forget");
        Wrapping counted = new Wrapping(16, Pos.CENTER_RIGHT, onlyOpponents, count);
        VBox matches = Ui.sheet(Words.of("matches.sheet"), counted, tools, Ui.grow(list));
        acceptDrops(matches);
        VBox box = new VBox(12, head, steps, Ui.grow(new HBox(12, form, Ui.grow(matches))));
        return box;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public String name() {
        return "station.assignment";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(
                () -> {
                    Assignment a = desk.assignment().get();
                    if (a == null) {
                        return Words.of("assignment.status.none");
                    }
                    return a.date() == null ? a.event() : Dates.words(a.date());
                },
                desk.assignment());
    }

    private void fill() {
        Assignment a = desk.assignment().get();
        List<MatchRecord> shown = desk.matches().stream()
                .filter(r -> !onlyOpponents.isSelected()
                        || a == null
                        || a.opponents().stream().anyMatch(o -> r.cornerOf(o).isPresent()))
                .sorted(java.util.Comparator.comparing(
                        (MatchRecord r) -> r.details().date(),
                        java.util.Comparator.nullsLast(java.util.Comparator.reverseOrder())))
                .toList();
        MatchRecord selected = list.getSelectionModel().getSelectedItem();
        list.getItems().setAll(shown);
        if (selected != null) {
            shown.stream()
                    .filter(r -> r.id().equals(selected.id()))
                    .findFirst()
                    .ifPresent(r -> list.getSelectionModel().select(r));
        }
        long films = shown.stream().filter(r -> !r.films().isEmpty()).count();
        count.setText(Words.of("matches.count", shown.size(), films));
    }

    private Optional<MatchRecord> selected() {
        Optional<MatchRecord> r = Optional.ofNullable(list.getSelectionModel().getSelectedItem());
        if (r.isEmpty()) {
            desk.notices().done(Words.of("matches.choose"));
        }
        return r;
    }

    private void openSelected() {
        selected().ifPresent(r -> {
            desk.openMatch(r.id());
            toFilm.run();
        });
    }

    private void removeSelected() {
        selected().ifPresent(r -> {
            desk.setRemoved(r.id(), true);
            lastRemoved(r);
        });
    }

    private void lastRemoved(MatchRecord r) {
        view.getChildren().removeIf(n -> "removed".equals(n.getId()));
        HBox bar = new HBox(
                10,
                Ui.label(Words.of("matches.removed", title(r)), "body"),
                Ui.button(
                        Words.of("matches.back"),
                        () -> {
                            desk.setRemoved(r.id(), false);
                            view.getChildren().removeIf(n -> "removed".equals(n.getId()));
                        },
                        "choice"));
        bar.setId("removed");
        bar.getStyleClass().addAll("sheet", "floating");
        bar.setMaxSize(javafx.scene.layout.Region.USE_PREF_SIZE, javafx.scene.layout.Region.USE_PREF_SIZE);
        StackPane.setAlignment(bar, Pos.BOTTOM_RIGHT);
        view.getChildren().add(bar);
    }

    static String title(MatchRecord r) {
        return r.details().a().surname() + " - " + r.details().b().surname();
    }

    private void editSelected() {
        selected().ifPresent(r -> showForm(r, null));
    }

    /**
     * @param r match to change, or null for a new one
     * @param film film of a new one, or null
     */
    private void showForm(MatchRecord r, Path film) {
        MatchForm form = new MatchForm(desk, r, film, this::closeForm, added -> {
            closeForm();
            desk.openMatch(added);
            toFilm.run();
        });
        view.getChildren().add(form);
    }

    /** What to watch first of the opponent under study. */
    private void study() {
        String who = desk.profiled().get();
        if (who == null) {
            desk.notices().done(Words.of("study.who"));
            return;
        }
        Runnable close = () -> view.getChildren().removeIf(StudySheet.class::isInstance);
        view.getChildren()
                .add(new StudySheet(
                        desk,
                        who,
                        id -> {
                            close.run();
                            desk.openMatch(id);
                            toFilm.run();
                        },
                        close));
    }

    private void closeForm() {
        view.getChildren().removeIf(MatchForm.class::isInstance);
    }

    private void acceptDrops(Node target) {
        target.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        target.setOnDragDropped(e -> {
            take(e.getDragboard().getFiles().stream().map(File::toPath).toList());
            e.setDropCompleted(true);
            e.consume();
        });
    }

    private void chooseImport() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of("matches.import"));
        List<File> files = chooser.showOpenMultipleDialog(view.getScene().getWindow());
        if (files != null) {
            take(files.stream().map(File::toPath).toList());
        }
    }

    /** Films open the form of a new match; records and bundles are taken in. */
    void take(List<Path> files) {
        Optional<Path> film = files.stream()
                .filter(f -> FILMS.stream()
                        .anyMatch(e -> f.toString().toLowerCase(Locale.ROOT).endsWith(e)))
                .findFirst();
        if (film.isPresent()) {
            showForm(null, film.get());
        } else if (files.stream().anyMatch(AssignmentStation::isTable)) {
            files.stream().filter(AssignmentStation::isTable).findFirst().ifPresent(this::notes);
        } else {
            new Intake(desk).take(files);
        }
    }

    private static boolean isTable(Path file) {
        String name = file.toString().toLowerCase(Locale.ROOT);
        return name.endsWith(".csv") || name.endsWith(".tsv");
    }

    /** Old notes go into the match chosen in the list, else the open one. */
    private void notes(Path file) {
        MatchRecord into = list.getSelectionModel().getSelectedItem() == null
                ? desk.openRecord().get()
                : list.getSelectionModel().getSelectedItem();
        if (into == null) {
            desk.notices().done(Words.of("notes.which"));
            return;
        }
        desk.tasks()
                .query(
                        "notes-table",
                        () -> NotesTable.read(file),
                        table -> view.getChildren()
                                .add(new NotesSheet(
                                        desk,
                                        desk.match(into.id()).orElse(into),
                                        file.getFileName().toString(),
                                        table,
                                        () -> view.getChildren().removeIf(NotesSheet.class::isInstance))),
                        e -> desk.notices().problem(Words.of("notes.unreadable", file.getFileName(), e.getMessage())));
    }

    private void forget() {
        ForgetSheet sheet = new ForgetSheet(desk, () -> view.getChildren().removeIf(ForgetSheet.class::isInstance));
        view.getChildren().add(sheet);
        sheet.requestFocus();
    }

    private void practise() {
        Runnable close = () -> view.getChildren().removeIf(TrainerSheet.class::isInstance);
        TrainerSheet sheet = new TrainerSheet(
                desk,
                id -> {
                    close.run();
                    desk.openMatch(id);
                    toFilm.run();
                },
                close);
        view.getChildren().add(sheet);
        sheet.requestFocus();
    }
}
