package farglass.desk;

import farglass.desk.assignment.AssignmentStation;
import farglass.desk.camp.CampStation;
import farglass.desk.check.CheckStation;
import farglass.desk.debrief.DebriefStation;
import farglass.desk.film.FilmStation;
import farglass.desk.library.LibrarySheet;
import farglass.desk.library.TeamSheet;
import farglass.desk.library.TeamText;
import farglass.desk.matchup.MatchupStation;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.plan.PlanStation;
import farglass.desk.profile.ProfileStation;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.KeySheet;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.start.FirstSteps;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.Function;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The rail of stations and the page beside it. */
public final class Shell {
    private static final Duration PREPARE_AFTER = Duration.millis(400);
    /** Of the words on long work in the rail, points. */
    private static final double WORK_WIDTH = 92;

    /** What a station needs; less is scrolled, points. */
    private static final double LEAST_HIGH = 600;

    private final Desk desk;
    private final BorderPane root = new BorderPane();
    private final StackPane whole = new StackPane(root);
    private final StackPane page = new StackPane();
    private final VBox rail = new VBox();
    private final List<Station> stations = new ArrayList<>();
    private final ProfileStation profile;
    private final List<Button> buttons = new ArrayList<>();
    private final FirstSteps steps;
    /** Out of sight; where stations are styled before they are first seen. */
    private final Pane wings = new Pane();

    private Station current;

    public Shell(Desk desk) {
        this.desk = desk;
        FilmStation film = new FilmStation(desk);
        steps = new FirstSteps(desk);
        stations.add(new AssignmentStation(desk, steps, () -> go(film)));
        stations.add(film);
        stations.add(new CheckStation(desk, (match, tag) -> {
            desk.openMatch(match);
            go(film);
            if (tag >= 0) {
                film.show(tag);
            }
        }));
        profile = new ProfileStation(desk, () -> go(film));
        stations.add(profile);
        MeetingModel meeting = new MeetingModel(desk);
        stations.add(new MatchupStation(desk, meeting, () -> go(film)));
        stations.add(new PlanStation(desk, meeting, () -> go(film)));
        stations.add(new CampStation(desk, meeting));
        stations.add(new DebriefStation(desk, () -> go(film)));
        root.setId("shell");
        rail.getStyleClass().add("rail");
        Label title = Ui.label(Words.of("app.rail"), "rail-title");
        title.setMinHeight(Region.USE_PREF_SIZE);
        rail.getChildren().add(title);
        if (desk.library().readOnly()) {
            Label reading = Ui.prose(Words.of("app.reading-only"), "rail-reading");
            reading.setId("reading-only");
            rail.getChildren().add(reading);
        }
        stations.forEach(s -> rail.getChildren().add(button(s)));
        VBox spring = new VBox();
        Ui.grow(spring);
        rail.getChildren()
                .addAll(
                        spring,
                        longWork(),
                        team(),
                        hint("rail-library", "library.button", this::librarySheet),
                        hint("rail-keys", "keys.hint", this::keySheet),
                        new HBox(
                                hint("rail-settings", "settings.button", this::settings),
                                hint("rail-about", "about.button", this::about)));
        page.setPadding(new Insets(14, 20, 14, 20));
        page.setMinHeight(LEAST_HIGH);
        // laid over the head of the page, so that nothing moves under the hand when a notice comes
        Node notice = desk.notices().view();
        StackPane.setAlignment(notice, Pos.TOP_CENTER);
        wings.setVisible(false);
        wings.setManaged(false);
        StackPane middle = new StackPane(frame("frame", page), notice, wings);
        ScrollPane railFrame = frame("rail-frame", rail);
        railFrame.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        railFrame.skinProperty().addListener((o, was, is) -> besideBar(railFrame));
        root.setLeft(railFrame);
        root.setCenter(middle);
        root.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        desk.cover().addListener((o, was, is) -> {
            whole.getChildren().setAll(root);
            if (is != null) {
                whole.getChildren().add(is);
                is.requestFocus();
            }
        });
        for (Station s : stations) {
            if (s instanceof Keys.Bound bound) {
                bound.keys()
                        .chosen(
                                id -> desk.preferences().get("key." + s.name() + "." + id),
                                (id, keys) -> desk.preferences().set("key." + s.name() + "." + id, keys));
            }
        }
        go(stations.get(0));
    }

    /** In a window that is smaller than what it shows needs, that is scrolled: nothing is out of reach. */
    private static ScrollPane frame(String id, Node content) {
        ScrollPane frame = new ScrollPane(content);
        frame.setId(id);
        frame.setFitToWidth(true);
        frame.setFitToHeight(true);
        frame.setFocusTraversable(false);
        return frame;
    }

    /** The rail is as wide as before beside its bar, when that comes. */
    private void besideBar(ScrollPane frame) {
        frame.lookupAll(".scroll-bar").stream()
                .filter(ScrollBar.class::isInstance)
                .map(ScrollBar.class::cast)
                .filter(b -> b.getOrientation() == Orientation.VERTICAL)
                .forEach(b -> b.visibleProperty().addListener((o, was, is) -> {
                    frame.setPrefWidth(rail.prefWidth(-1) + (is ? b.prefWidth(-1) : 0));
                    root.requestLayout();
                }));
    }

    private Button button(Station s) {
        Label name = Ui.label(Words.of(s.name()), "rail-name");
        Label status = Ui.label("", "rail-status");
        status.textProperty().bind(s.status());
        VBox face = new VBox(1, name, status);
        Button button = new Button();
        button.setId("rail-" + s.name());
        button.setGraphic(face);
        button.setMaxWidth(Double.MAX_VALUE);
        button.getStyleClass().add("rail-button");
        button.setAccessibleText(Words.of(s.name()));
        button.setOnAction(e -> go(s));
        buttons.add(button);
        return button;
    }

    private Node longWork() {
        Label name = Ui.prose("", "rail-work");
        // long words go on in the next line: the rail stays as it is
        name.setPrefWidth(WORK_WIDTH);
        name.textProperty()
                .bind(Bindings.createStringBinding(
                        () -> desk.status().name().get() + " "
                                + Math.round(desk.status().share().get() * 100) + "%",
                        desk.status().name(),
                        desk.status().share()));
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(desk.status().share());
        Button cancel = Ui.button(Words.of("work.cancel"), desk.tasks()::cancelLongTask, "rail-cancel");
        VBox box = new VBox(4, name, bar, cancel);
        box.setPadding(new Insets(0, 8, 8, 12));
        box.visibleProperty().bind(desk.status().name().isNotEmpty());
        box.managedProperty().bind(box.visibleProperty());
        return box;
    }

    /** How the library stands to its team's; out of the way for one of one's own. */
    private Node team() {
        Button b = hint("rail-team", "team.rail", this::teamSheet);
        b.setWrapText(true);
        b.textProperty()
                .bind(Bindings.createStringBinding(
                        () -> desk.team().get() == null
                                ? ""
                                : TeamText.line(
                                        desk.team().get(),
                                        desk.openRecord().get() == null
                                                ? null
                                                : desk.openRecord().get().id()),
                        desk.team(),
                        desk.openRecord()));
        b.visibleProperty().bind(desk.team().isNotNull());
        b.managedProperty().bind(b.visibleProperty());
        return b;
    }

    private void teamSheet() {
        lay("team-sheet", close -> new TeamSheet(desk, close));
    }

    /** A quiet line at the foot of the rail. */
    private static Button hint(String id, String words, Runnable action) {
        Button b = Ui.button(Words.of(words), action, "rail-hint");
        b.setId(id);
        b.setMaxWidth(Double.MAX_VALUE);
        return b;
    }

    /** Where the library lies, and its backups. */
    public void librarySheet() {
        lay(
                "library-sheet",
                close -> new LibrarySheet(desk, new RecentLibraries(Home.folder())::all, desk::report, close));
    }

    private void settings() {
        lay("settings-sheet", close -> new SettingsSheet(desk, this::keySheet, this::librarySheet, close));
    }

    private void about() {
        lay("about-sheet", close -> new AboutSheet(desk.library().file(), close));
    }

    /** Lays a sheet over the station, unless it lies there; closed, also by Escape, it gives the keyboard back. */
    private void lay(String id, Function<Runnable, Node> sheet) {
        if (page.lookup("#" + id) != null) {
            return;
        }
        Node[] laid = new Node[1];
        Runnable close = () -> {
            page.getChildren().remove(laid[0]);
            current.shown();
        };
        laid[0] = sheet.apply(close);
        laid[0].getStyleClass().add("veil");
        laid[0].addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        page.getChildren().add(laid[0]);
        laid[0].requestFocus();
    }

    private void keyPressed(KeyEvent e) {
        if (e.getCode() == KeyCode.F1) {
            keySheet();
            e.consume();
        } else if (e.isControlDown() && e.getCode().isDigitKey() && e.getText().length() == 1) {
            int n = e.getText().charAt(0) - '1';
            if (n >= 0 && n < stations.size()) {
                go(stations.get(n));
                e.consume();
            }
        } else if (current instanceof Keys.Bound bound && page.getChildren().size() == 1 && nowhere(e.getTarget())) {
            // the keyboard is still where the last station left it, or on the rail
            bound.keys().handle(e);
        }
    }

    /** Neither in a station nor in a sheet that lies over one. */
    private boolean nowhere(Object target) {
        Node n = target instanceof Node node ? node : null;
        while (n != null && n != rail) {
            n = n.getParent();
        }
        return n == rail || !(target instanceof Node) || target == root || target == whole;
    }

    private void keySheet() {
        if (page.lookup("#key-sheet") != null) {
            page.getChildren().removeIf(n -> "key-sheet".equals(n.getId()));
            // the keyboard goes back to the station
            current.shown();
            return;
        }
        List<Keys.Line> fixed = new ArrayList<>();
        for (int i = 0; i < stations.size(); i++) {
            fixed.add(Keys.Line.fixed(
                    "Ctrl+" + (i + 1),
                    Words.of("keys.station", Words.of(stations.get(i).name()))));
        }
        fixed.add(Keys.Line.fixed("F1", Words.of("keys.sheet")));
        Keys keys = current instanceof Keys.Bound bound ? bound.keys() : null;
        page.getChildren().add(new KeySheet(fixed, keys, this::keySheet));
    }

    public void go(Station s) {
        if (current == s) {
            return;
        }
        if (current != null) {
            current.hidden();
        }
        current = s;
        page.getChildren().setAll(s.view());
        for (int i = 0; i < stations.size(); i++) {
            buttons.get(i).getStyleClass().remove("here");
            if (stations.get(i) == s) {
                buttons.get(i).getStyleClass().add("here");
            }
        }
        s.shown();
        if (s instanceof ProfileStation) {
            steps.reported();
        }
    }

    /** Goes to the n-th station, from 0. */
    public void go(int n) {
        go(stations.get(n));
    }

    /** Which station is in sight, from 0. */
    int here() {
        return stations.indexOf(current);
    }

    public Station station(int n) {
        return stations.get(n);
    }

    public Parent view() {
        return whole;
    }

    /**
     * Styles and lays out the stations that were not in sight yet, one after another and each piece by piece, while
     * nobody types: the first time they are wanted, they are there as fast as later.
     */
    public void prepare() {
        Deque<Station> unseen = new ArrayDeque<>(stations);
        PauseTransition pause = new PauseTransition(PREPARE_AFTER);
        // a key puts it off
        whole.addEventFilter(KeyEvent.ANY, e -> {
            if (pause.getStatus() == Animation.Status.RUNNING) {
                pause.playFromStart();
            }
        });
        pause.setOnFinished(e -> {
            while (!unseen.isEmpty() && unseen.peek().view().getScene() != null) {
                unseen.remove();
            }
            if (unseen.size() == stations.size() - 1) {
                // beside the stations: it takes longer than all of them, and gives way to them
                profile.ahead();
            }
            if (!unseen.isEmpty()) {
                Node next = unseen.remove().view();
                wings.resize(page.getWidth(), page.getHeight());
                wings.getChildren().add(next);
                next.resizeRelocate(0, 0, page.getWidth(), page.getHeight());
                Gradual.afterwards(wings, () -> {
                    // else it was wanted meanwhile and is in sight
                    if (wings.getChildren().remove(next)) {
                        // to find its place in the page costs a style anew
                        Gradual.again((Parent) next);
                    }
                    pause.playFromStart();
                });
            }
        });
        pause.play();
    }

    /** The window has come up. */
    public void shown() {
        current.shown();
    }
}
