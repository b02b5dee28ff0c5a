package farglass.desk.profile;

import farglass.desk.claim.ClaimRow;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.MatchRecord;
import farglass.match.Result;
import farglass.plan.PinnedClaim;
import farglass.stats.Grade;
import farglass.tendency.Claim;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Profile;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;

/** Claims about one athlete. */
public final class ProfileStation implements Station {
    private static final long SEED = 1;
    private static final double TIDE_WIDTH = 124;
    private static final double TIDE_HEIGHT = 34;

    private final Desk desk;
    private final Label question = Ui.label("", "question");
    private final Label basis = Ui.label("", "soft");
    private final ComboBox<String> athlete = new ComboBox<>();
    private final ToggleGroup attire = new ToggleGroup();
    private final DatePicker from = Ui.datePicker();
    private final DatePicker to = Ui.datePicker();
    private final ListView<Claim> claims = new ListView<>();
    private final Label strength = Ui.label("", "soft");
    private final Runnable toFilm;
    private final ClipView clip;
    private final FlowPane tides = new FlowPane(12, 8);
    private final StringProperty status = new SimpleStringProperty("");
    private final VBox view;
    private boolean visible;
    private boolean stale = true;
    private boolean filling;

    /** @param toFilm goes to the film station */
    public ProfileStation(Desk desk, Runnable toFilm) {
        this.desk = desk;
        this.toFilm = toFilm;
        this.clip = new ClipView(desk, this::open);
        view = layout();
        view.setId("station-profile");
        desk.matches().addListener((javafx.collections.ListChangeListener<MatchRecord>) c -> changed());
        desk.profiled().addListener((o, was, is) -> changed());
        desk.assignment().addListener((o, was, is) -> changed());
        desk.plan().addListener((o, was, is) -> claims.refresh());
    }

    private VBox layout() {
        HBox head = new HBox(14, question, Ui.spring(), basis);
        head.setAlignment(Pos.CENTER_LEFT);
        athlete.setConverter(names());
        athlete.setId("profile-athlete");
        athlete.valueProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                desk.profiled().set(is);
            }
        });
        HBox filters = new HBox(8, athlete);
        for (String code : List.of("all", "gi", "no-gi")) {
            ToggleButton b = new ToggleButton(Words.of("attire." + code));
            b.setToggleGroup(attire);
            b.setUserData(code.equals("all") ? null : code);
            b.setSelected(code.equals("all"));
            b.getStyleClass().add("chip");
            b.setId("attire-" + code);
            filters.getChildren().add(b);
        }
        attire.selectedToggleProperty().addListener((o, was, is) -> {
            if (is == null) {
                was.setSelected(true);
            } else {
                changed();
            }
        });
        from.setPromptText(Words.of("profile.from"));
        to.setPromptText(Words.of("profile.to"));
        for (DatePicker p : List.of(from, to)) {
            p.setPrefWidth(140);
            p.valueProperty().addListener((o, was, is) -> changed());
        }
        filters.getChildren().addAll(from, to, Ui.spring(), Ui.label(Words.of("profile.half-life"), "soft"));
        filters.setAlignment(Pos.CENTER_LEFT);
        claims.setId("claims");
        claims.getStyleClass().add("claims");
        claims.setCellFactory(v -> new Cell());
        claims.setPlaceholder(Ui.empty(Words.of("profile.empty")));
        VBox left = Ui.sheet(Words.of("profile.claims"), strength, Ui.grow(claims));
        ScrollPane scroll = new ScrollPane(tides);
        scroll.setFitToWidth(true);
        VBox matches = Ui.sheet(Words.of("profile.matches"), null, Ui.grow(scroll));
        VBox clips = Ui.sheet(Words.of("profile.clip"), null, clip);
        VBox right = new VBox(12, clips, Ui.grow(matches));
        right.setMinWidth(440);
        right.setMaxWidth(440);
        return new VBox(10, head, filters, Ui.grow(new HBox(12, Ui.grow(left), right)));
    }

    private StringConverter<String> names() {
        return new StringConverter<>() {
            @Override
            public String toString(String id) {
                return id == null ? "" : desk.nameOf(id);
            }

            @Override
            public String fromString(String s) {
                return s;
            }
        };
    }

    @Override
    public String name() {
        return "station.profile";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public ObservableValue<String> status() {
        return status;
    }

    @Override
    public void shown() {
        visible = true;
        if (stale) {
            compute();
        }
    }

    @Override
    public void hidden() {
        visible = false;
        clip.pause();
    }

    private void changed() {
        stale = true;
        if (visible) {
            compute();
        }
    }

    private Filter filter() {
        LocalDate asOf =
                desk.assignment().get() == null ? null : desk.assignment().get().date();
        return Filter.ALL
                .attire((String) attire.getSelectedToggle().getUserData())
                .dates(from.getValue(), to.getValue())
                .asOf(asOf);
    }

    private void compute() {
        stale = false;
        filling = true;
        athlete.getItems().setAll(desk.athletes().keySet());
        athlete.setValue(desk.profiled().get());
        filling = false;
        String who = desk.profiled().get();
        if (who == null) {
            question.setText(Words.of("profile.question.none"));
            return;
        }
        question.setText(Words.of("profile.question", desk.nameOf(who)));
        List<MatchRecord> records = List.copyOf(desk.matches());
        Filter filter = filter();
        desk.background()
                .compute(
                        "profile",
                        () -> Profile.of(records, who, filter, desk.lexicon(), SEED),
                        this::show,
                        e -> desk.notices().problem(Words.of("profile.failed", e.getMessage())));
    }

    private void show(Profile p) {
        double minutes = p.evidence().exposureMs() / 60_000.0;
        basis.setText(Words.of("profile.basis", p.evidence().matches().size(), Math.round(minutes)));
        int strong = p.graded(Grade.STRONG).size();
        status.set(Words.of("profile.status", strong));
        strength.setText(Words.of(
                "profile.strength",
                strong,
                p.graded(Grade.FAIR).size(),
                p.graded(Grade.THIN).size()));
        claims.getItems().setAll(p.claims());
        tides.getChildren().clear();
        for (Evidence.Seen seen : p.evidence().matches()) {
            tides.getChildren().add(tide(seen));
        }
    }

    private Node tide(Evidence.Seen seen) {
        MatchRecord r = seen.record();
        boolean ours = desk.colourOf(desk.profiled().get()).equals(farglass.desk.shell.Look.OURS);
        TideLine line = TideLine.small(
                desk.lexicon(), r, ours ? seen.corner() : seen.corner().other());
        line.setMinSize(TIDE_WIDTH, TIDE_HEIGHT);
        line.setPrefSize(TIDE_WIDTH, TIDE_HEIGHT);
        String year =
                r.details().date() == null ? "" : r.details().date().toString().substring(0, 7);
        VBox box = new VBox(1, line, Ui.label(year + ", " + result(seen), "legend"));
        box.setOnMouseClicked(e -> open(r.id()));
        box.getStyleClass().add("clickable");
        return box;
    }

    private void open(String match) {
        desk.openMatch(match);
        toFilm.run();
    }

    private static String result(Evidence.Seen seen) {
        Result result = seen.record().details().result();
        if (result == null) {
            return Words.of("result.open");
        }
        if (result.winner() == null) {
            return Words.of("result.draw");
        }
        return Words.of(
                result.winner() == seen.corner() ? "result.won" : "result.lost",
                result.method().code());
    }

    private void pin(Claim c) {
        String who = desk.profiled().get();
        if (desk.plan().get() == null) {
            desk.notices().done(Words.of("claim.no-plan"));
            return;
        }
        PinnedClaim pinned = PinnedClaim.of(who, c, desk.claimWriter());
        desk.changePlan(p -> p.isPinned(who, c.id()) ? p.unpin(pinned) : p.pin(pinned));
    }

    private void chooseReel(Claim c) {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.profiled().get() + "." + c.id() + ".mp4");
        File file = chooser.showSaveDialog(view.getScene().getWindow());
        if (file != null) {
            writeReel(c, file.toPath());
        }
    }

    /** Writes the moments of a claim as a film; the outcome is told in a notice. */
    public void writeReel(Claim c, Path target) {
        new ReelExport(desk, clip::describe).write(c, target);
    }

    /** Plays the first dot of a claim that has film; for pictures of the station. */
    public boolean playFirst() {
        for (Claim c : claims.getItems()) {
            for (var t : c.trials()) {
                if (desk.match(t.tag().match())
                        .filter(r -> !r.films().isEmpty() && java.nio.file.Files.exists(desk.filmPath(r)))
                        .isPresent()) {
                    clip.play(t);
                    return true;
                }
            }
        }
        return false;
    }

    public ListView<Claim> claims() {
        return claims;
    }

    private final class Cell extends ListCell<Claim> {
        @Override
        protected void updateItem(Claim c, boolean empty) {
            super.updateItem(c, empty);
            if (empty || c == null) {
                setGraphic(null);
                return;
            }
            boolean pinned = desk.plan().get() != null
                    && desk.plan().get().isPinned(desk.profiled().get(), c.id());
            ClaimRow row = new ClaimRow(
                    c,
                    desk.claimWriter(),
                    desk.colourOf(desk.profiled().get()),
                    pinned,
                    clip::describe,
                    clip::play,
                    ProfileStation.this::pin,
                    ProfileStation.this::chooseReel);
            row.prefWidthProperty().bind(claims.widthProperty().subtract(36));
            row.maxWidthProperty().bind(claims.widthProperty().subtract(36));
            setGraphic(row);
        }
    }
}
