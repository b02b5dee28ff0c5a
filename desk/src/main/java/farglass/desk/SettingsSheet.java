package farglass.desk;

import farglass.desk.film.LostFilms;
import farglass.desk.film.QuickCopy;
import farglass.desk.library.BackupList;
import farglass.desk.shell.Desk;
import farglass.desk.shell.TextSize;
import farglass.desk.shell.Theme;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.text.Language;
import farglass.work.session.Preferences;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;

/** What shapes the window; kept with the library. */
final class SettingsSheet extends StackPane {
    private static final double WIDE = 560;

    private static final double HIGH = 660;
    private static final double NARROW = 110;
    /** Longest time from seeing to typing that is a reaction, ms. */
    private static final int SLOWEST_MS = 1500;

    private static final int STEP_MS = 10;
    private static final List<Integer> ROOM_GB = List.of(1, 2, 5, 10, 20);
    /** Setting: where films lie, looked through for those that are missing. */
    private static final String FILMS = "films.folder";

    private final Desk desk;
    private final Label films = Ui.prose("", "body");
    private final Label copies = Ui.prose("", "soft");

    /**
     * @param keys shows the sheet of keys
     * @param library shows the sheet of the library
     * @param close puts the sheet away
     */
    SettingsSheet(Desk desk, Runnable keys, Runnable library, Runnable close) {
        this.desk = desk;
        setId("settings-sheet");
        VBox content = new VBox(
                8,
                name("settings.language"),
                languages(),
                name("settings.theme"),
                themes(),
                name("settings.text"),
                sizes(),
                Ui.prose(Words.of("settings.anew"), "soft"),
                named("settings.name", author()),
                named("settings.reaction", reaction()),
                name("settings.films"),
                films,
                row(filmFolder()),
                name("settings.copies"),
                copies,
                room(),
                name("settings.more"),
                row(List.of(
                        button("settings-keys", "settings.keys", () -> {
                            close.run();
                            keys.run();
                        }),
                        button("settings-library", "library.button", () -> {
                            close.run();
                            library.run();
                        }))));
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain");
        VBox sheet = Ui.sheet(
                Words.of("settings.title"), Ui.button(Words.of("notice.close"), close, "quiet"), Ui.grow(scroll));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(WIDE, HIGH);
        getChildren().add(sheet);
        showFilms();
        showCopies();
    }

    private static Label name(String words) {
        return Ui.label(Words.of(words), "field-name");
    }

    private static VBox named(String words, Node control) {
        return new VBox(2, Ui.name(Words.of(words), control), control);
    }

    private static Button button(String id, String words, Runnable action) {
        Button button = Ui.button(Words.of(words), action, "choice");
        button.setId(id);
        return button;
    }

    private static Node row(List<Button> buttons) {
        return new Wrapping(8, Pos.CENTER_LEFT, buttons.toArray(Node[]::new));
    }

    /** Who makes the edits. */
    private TextField author() {
        TextField field =
                new TextField(desk.preferences().get(Preferences.NAME).orElse(System.getProperty("user.name", "")));
        field.setId("settings-name");
        field.setMaxWidth(WIDE / 2);
        Runnable keep = () -> {
            String said = field.getText().strip();
            if (!said.isEmpty() && !desk.preferences().get(Preferences.NAME).equals(Optional.of(said)) && allowed()) {
                desk.preferences().set(Preferences.NAME, said);
                // behind what is being written, for which the library is held
                desk.tasks()
                        .write(
                                () -> {
                                    desk.library().author(said);
                                    return said;
                                },
                                kept -> {},
                                e -> desk.notices().problem(String.valueOf(e.getMessage())));
            }
        };
        field.setOnAction(e -> keep.run());
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                keep.run();
            }
        });
        return field;
    }

    private Spinner<Integer> reaction() {
        Spinner<Integer> spinner =
                new Spinner<>(0, SLOWEST_MS, (int) desk.preferences().reactionMs(), STEP_MS);
        spinner.setId("settings-reaction");
        spinner.setEditable(true);
        spinner.setMaxWidth(NARROW);
        spinner.valueProperty().addListener((o, was, is) -> {
            if (is != null && allowed()) {
                desk.preferences().set(Preferences.REACTION, is.toString());
            }
        });
        return spinner;
    }

    private List<Button> filmFolder() {
        return List.of(
                button("settings-films", "settings.films.choose", () -> {
                    DirectoryChooser chooser = new DirectoryChooser();
                    chooser.setTitle(Words.of("settings.films"));
                    File chosen = chooser.showDialog(getScene().getWindow());
                    if (chosen != null && allowed()) {
                        desk.preferences().set(FILMS, chosen.toString());
                        showFilms();
                    }
                }),
                button(
                        "settings-films-look",
                        "settings.films.look",
                        () -> folder().ifPresentOrElse(
                                        new LostFilms(desk)::lookIn,
                                        () -> desk.notices().problem(Words.of("settings.films.none")))));
    }

    private Optional<Path> folder() {
        return desk.preferences().get(FILMS).filter(f -> !f.isBlank()).map(Path::of);
    }

    private void showFilms() {
        films.setText(folder().map(Path::toString).orElse(Words.of("settings.films.none")));
    }

    private Node room() {
        return choices(ROOM_GB, QuickCopy.limit(desk), gb -> "copies-" + gb, gb -> Words.of("settings.gb", gb), gb -> {
            if (allowed()) {
                desk.preferences().set(QuickCopy.LIMIT, gb.toString());
            }
        });
    }

    private void showCopies() {
        Path folder = QuickCopy.folder(desk);
        desk.tasks()
                .query(
                        "quick copies",
                        () -> BackupList.size(bytes(folder)),
                        size -> copies.setText(Words.of("settings.copies.used", size)),
                        e -> copies.setText(""));
    }

    private static long bytes(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return 0;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile)
                    .mapToLong(f -> f.toFile().length())
                    .sum();
        }
    }

    private Node languages() {
        return choices(
                List.of(Language.values()),
                Language.current(),
                l -> "language-" + l.tag(),
                Language::ownName,
                l -> choose(Language.PREFERENCE, l.tag()));
    }

    private Node themes() {
        return choices(
                List.of(Theme.values()),
                Theme.current(),
                t -> "theme-" + code(t),
                t -> Words.of("theme." + code(t)),
                t -> choose(Theme.PREFERENCE, code(t)));
    }

    private Node sizes() {
        return choices(
                List.of(TextSize.values()),
                TextSize.named(desk.preferences().get(TextSize.PREFERENCE).orElse("")),
                s -> "text-" + s.percent(),
                s -> Words.of("settings.percent", s.percent()),
                s -> choose(TextSize.PREFERENCE, s.percent()));
    }

    private static String code(Theme t) {
        return t.name().toLowerCase(Locale.ROOT);
    }

    /** One of some, side by side; only another one than the present is acted on. */
    private static <T> Node choices(
            List<T> all, T present, Function<T, String> id, Function<T, String> name, Consumer<T> chosen) {
        Wrapping row = new Wrapping(8, Pos.CENTER_LEFT);
        ToggleGroup one = new ToggleGroup();
        for (T t : all) {
            ToggleButton chip = new ToggleButton(name.apply(t));
            chip.setId(id.apply(t));
            chip.getStyleClass().add("chip");
            chip.setToggleGroup(one);
            chip.setSelected(t.equals(present));
            // pressed once more it would be let go: one of them always stands
            chip.setOnAction(e -> chip.setSelected(true));
            row.getChildren().add(chip);
        }
        AtomicReference<Toggle> stands = new AtomicReference<>(one.getSelectedToggle());
        one.selectedToggleProperty().addListener((o, was, is) -> {
            if (is != null && is != stands.get()) {
                stands.set(is);
                chosen.accept(all.get(one.getToggles().indexOf(is)));
            }
        });
        return row;
    }

    private void choose(String setting, String value) {
        if (allowed()) {
            desk.preferences().set(setting, value);
            desk.anew();
        }
    }

    private boolean allowed() {
        if (desk.library().readOnly()) {
            desk.notices().problem(Words.of("settings.reading-only"));
            return false;
        }
        return true;
    }
}
