package farglass.desk.library;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.store.Backups;
import farglass.store.Library;
import farglass.store.LibraryDifference;
import farglass.store.Restoring;
import farglass.store.Verification;
import farglass.store.server.TeamAddress;
import farglass.time.Dates;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;

/**
 * Where the library lies, its backups, what one holds otherwise than the library now, and bringing back all or single
 * matches.
 */
public final class LibrarySheet extends StackPane {
    private static final String ENDING = ".farglass";
    private static final double RECENT_WIDTH = 220;
    private static final String TEAM_EXAMPLE = "jdbc:postgresql://host/database";

    private final Desk desk;
    private final Supplier<List<Path>> recent;
    private final Runnable close;
    private final Consumer<Path> report;
    private final Label where = Ui.prose("", "body");
    private final Label second = Ui.prose("", "body");
    private final Button without = Ui.button(Words.of("library.second.none"), () -> setSecond(""), "quiet");
    private final TextField team = new TextField();
    private final HBox teamLine = new HBox(8);
    private final BackupList backups = new BackupList();
    private final VBox difference = new VBox(4);
    private final Label heading = Ui.label("", "heading");
    private final Button all = Ui.button(Words.of("library.bring-all"), this::bringAll, "choice");
    private final Button some = Ui.button(Words.of("library.bring-some"), this::bringSome, "choice");
    private final Map<String, CheckBox> boxes = new LinkedHashMap<>();

    /**
     * @param recent libraries that were open before, read off the interface thread
     * @param report writes the report file to the path it gets
     * @param close puts the sheet away
     */
    public LibrarySheet(Desk desk, Supplier<List<Path>> recent, Consumer<Path> report, Runnable close) {
        this.desk = desk;
        this.recent = recent;
        this.report = report;
        this.close = close;
        setId("library-sheet");
        VBox sheet = Ui.sheet(
                Words.of("library.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("library.question"), "question"),
                where,
                secondLine(),
                tools(),
                teamLine(),
                Ui.grow(new HBox(14, Ui.grow(listed()), Ui.grow(compared()))));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(1100, 680);
        getChildren().add(sheet);
        backups.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> compare(is));
        fill();
    }

    private VBox listed() {
        VBox box = new VBox(6, Ui.label(Words.of("library.backups"), "heading"), Ui.grow(backups));
        box.setPrefWidth(560);
        return box;
    }

    private VBox compared() {
        ScrollPane scroll = new ScrollPane(difference);
        scroll.setFitToWidth(true);
        all.setId("bring-all");
        some.setId("bring-some");
        HBox buttons = new HBox(8, Ui.spring(), some, all);
        VBox box = new VBox(6, heading, Ui.grow(scroll), Ui.prose(Words.of("library.kept-first"), "soft"), buttons);
        box.setPrefWidth(480);
        return box;
    }

    private HBox secondLine() {
        HBox line = new HBox(
                10, second, Ui.button(Words.of("library.second.choose"), this::chooseSecond, "choice"), without);
        line.setAlignment(Pos.CENTER_LEFT);
        second.setMaxWidth(680);
        return line;
    }

    private Node tools() {
        Button now = Ui.button(Words.of("library.back-up"), this::backUp, "choice");
        now.setId("back-up");
        Button another = Ui.button(Words.of("library.open"), this::chooseLibrary, "choice");
        another.setId("library-open");
        Button fresh = Ui.button(Words.of("library.new"), this::chooseNew, "choice");
        fresh.setId("library-new");
        Button copy = Ui.button(Words.of("library.copy"), this::chooseCopy, "choice");
        copy.setId("library-copy");
        Button shared = Ui.button(Words.of("library.team"), this::askTeam, "choice");
        shared.setId("library-team");
        return new Wrapping(
                8,
                Pos.CENTER_LEFT,
                now,
                Ui.button(Words.of("library.report"), this::chooseReport, "choice"),
                copy,
                another,
                fresh,
                shared,
                recent());
    }

    /** Where the address of a team's library is typed; out of the way until it is asked for. */
    private Node teamLine() {
        team.setId("library-team-address");
        team.setPromptText(TEAM_EXAMPLE);
        team.setAccessibleText(Words.of("library.team.address"));
        team.setOnAction(e -> openTeam());
        Button open = Ui.button(Words.of("library.team.open"), this::openTeam, "choice");
        open.setId("library-team-open");
        teamLine.getChildren().setAll(Ui.label(Words.of("library.team.address"), "soft"), Ui.grow(team), open);
        teamLine.setAlignment(Pos.CENTER_LEFT);
        teamLine.setVisible(false);
        teamLine.managedProperty().bind(teamLine.visibleProperty());
        return teamLine;
    }

    private void askTeam() {
        teamLine.setVisible(!teamLine.isVisible());
        if (teamLine.isVisible()) {
            team.requestFocus();
        }
    }

    private void openTeam() {
        try {
            desk.openTeam(new TeamAddress(team.getText().strip()).url());
        } catch (IllegalArgumentException e) {
            desk.notices().problem(Words.of("team.address", String.valueOf(e.getMessage())));
        }
    }

    /** Libraries that were open before; chosen, one opens in place of this. */
    private ComboBox<Path> recent() {
        ComboBox<Path> box = new ComboBox<>();
        box.setId("library-recent");
        box.setPromptText(Words.of("library.recent"));
        box.setAccessibleText(Words.of("library.recent"));
        box.setConverter(Ui.shown(Path::toString));
        box.setPrefWidth(RECENT_WIDTH);
        Path here = desk.library().file();
        desk.tasks()
                .query(
                        "recent libraries",
                        () -> recent.get().stream().filter(p -> !p.equals(here)).toList(),
                        found -> {
                            box.getItems().setAll(found);
                            box.setDisable(found.isEmpty());
                        },
                        e -> box.setDisable(true));
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                desk.openLibrary(box.getValue());
            }
        });
        return box;
    }

    private FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(Words.of(title));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Far Glass", "*.farglass"));
        return chooser;
    }

    private void chooseLibrary() {
        File chosen = chooser("library.open").showOpenDialog(getScene().getWindow());
        if (chosen != null) {
            desk.openLibrary(chosen.toPath());
        }
    }

    private void chooseNew() {
        File chosen = chooser("library.new").showSaveDialog(getScene().getWindow());
        if (chosen != null) {
            Path file = named(chosen);
            if (Files.exists(file)) {
                desk.notices().problem(Words.of("library.new.there", file));
            } else {
                desk.openLibrary(file);
            }
        }
    }

    private void chooseCopy() {
        File chosen = chooser("library.copy").showSaveDialog(getScene().getWindow());
        if (chosen != null) {
            saveCopy(named(chosen));
        }
    }

    /** Writes a copy of the library; this one stays open. */
    void saveCopy(Path target) {
        Library library = desk.library();
        desk.tasks()
                .command(
                        Words.of("library.copy.name"),
                        () -> {
                            library.saveCopy(target);
                            return target;
                        },
                        done -> desk.notices().done(Words.of("library.copied", done)),
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    /** With the ending of a library, which some file choosers do not add. */
    private static Path named(File chosen) {
        return chosen.getName().endsWith(ENDING)
                ? chosen.toPath()
                : chosen.toPath().resolveSibling(chosen.getName() + ENDING);
    }

    private void fill() {
        boolean on = desk.preferences()
                .get(Library.SECOND_BACKUPS)
                .filter(s -> !s.isBlank())
                .isPresent();
        without.setVisible(on);
        second.setText(desk.preferences()
                .get(Library.SECOND_BACKUPS)
                .filter(s -> !s.isBlank())
                .map(s -> Words.of("library.second", s))
                .orElse(Words.of("library.second.off")));
        Library library = desk.library();
        desk.tasks()
                .query(
                        "backups",
                        () -> {
                            List<Backups.Backup> found = library.backups().all();
                            String last = library.backups()
                                    .newest()
                                    .map(b -> Dates.words(b.date()))
                                    .orElse(Words.of("library.never"));
                            String text = Words.of(
                                    "library.where", library.file(), BackupList.size(bytes(library.file())), last);
                            return Map.entry(text, found);
                        },
                        found -> {
                            where.setText(found.getKey());
                            backups.show(found.getValue());
                            found.getValue().forEach(this::verify);
                        },
                        e -> where.setText(String.valueOf(e.getMessage())));
    }

    /** With the journal, in which the newest changes lie. */
    private static long bytes(Path library) throws IOException {
        Path journal = library.resolveSibling(library.getFileName() + "-wal");
        return Files.size(library) + (Files.exists(journal) ? Files.size(journal) : 0);
    }

    private void verify(Backups.Backup b) {
        desk.tasks()
                .query(
                        "verify " + b.path(),
                        () -> Verification.of(b.path(), desk.clock()),
                        v -> backups.verified(b, v),
                        e -> backups.verified(
                                b, new Verification(0, Map.of(), List.of(String.valueOf(e.getMessage())))));
    }

    private void compare(Backups.Backup b) {
        difference.getChildren().clear();
        boxes.clear();
        some.setDisable(true);
        all.setDisable(true);
        heading.setText("");
        if (b == null) {
            return;
        }
        heading.setText(Words.of("library.comparing"));
        desk.tasks()
                .query(
                        "difference",
                        () -> new Restoring(desk.library().file(), b.path(), desk.clock()).difference(),
                        d -> show(b, d),
                        e -> heading.setText(String.valueOf(e.getMessage())));
    }

    private void show(Backups.Backup b, LibraryDifference d) {
        boolean mayChange = !desk.library().readOnly();
        all.setDisable(backups.bad(b));
        heading.setText(Words.of(d.nothing() ? "library.same" : "library.differs", Dates.words(b.date())));
        for (LibraryDifference.Match m : d.matches()) {
            String text = m.now() < 0
                    ? Words.of("library.only-then", m.title(), m.then())
                    : m.then() < 0
                            ? Words.of("library.only-now", m.title(), m.now())
                            : Words.of("library.changed", m.title(), m.then(), m.now());
            if (m.then() < 0) {
                difference.getChildren().add(Ui.prose(text, "soft"));
                continue;
            }
            CheckBox box = new CheckBox(text);
            box.setWrapText(true);
            box.selectedProperty()
                    .addListener((o, was, is) -> some.setDisable(
                            !mayChange || boxes.values().stream().noneMatch(CheckBox::isSelected)));
            boxes.put(m.id(), box);
            difference.getChildren().add(box);
        }
        rest("library.plans", d.plans());
        rest("library.assignments", d.assignments());
        rest("library.settings", d.settings());
    }

    private void rest(String key, List<String> ids) {
        if (!ids.isEmpty()) {
            difference.getChildren().add(Ui.prose(Words.of(key, ids.size()), "soft"));
        }
    }

    private void backUp() {
        desk.tasks()
                .command(
                        Words.of("library.backup.name"),
                        () -> desk.library().backUp(null),
                        made -> {
                            desk.notices().done(Words.of("library.backed-up", made));
                            fill();
                        },
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    private void bringAll() {
        Backups.Backup b = backups.getSelectionModel().getSelectedItem();
        if (b != null) {
            close.run();
            desk.bringBack(b.path());
        }
    }

    private void bringSome() {
        Backups.Backup b = backups.getSelectionModel().getSelectedItem();
        List<String> ids = new ArrayList<>();
        boxes.forEach((id, box) -> {
            if (box.isSelected()) {
                ids.add(id);
            }
        });
        if (b == null || ids.isEmpty()) {
            return;
        }
        desk.tasks()
                .write(
                        () -> Restoring.matches(desk.library(), b.path(), ids, desk.clock()),
                        done -> {
                            desk.readAnew();
                            close.run();
                            desk.notices().done(Words.of("library.brought-some", ids.size(), Dates.words(b.date())));
                        },
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    private void chooseSecond() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(Words.of("library.second.title"));
        File folder = chooser.showDialog(getScene().getWindow());
        if (folder != null) {
            setSecond(folder.getAbsolutePath());
        }
    }

    private void setSecond(String folder) {
        desk.preferences().set(Library.SECOND_BACKUPS, folder);
        fill();
    }

    private void chooseReport() {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName("farglass-report.txt");
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            report.accept(file.toPath());
        }
    }
}
