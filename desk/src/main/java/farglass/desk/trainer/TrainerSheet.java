package farglass.desk.trainer;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.studio.Footage;
import farglass.match.MatchRecord;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.text.Language;
import farglass.time.Dates;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.trainer.Exercise;
import farglass.trainer.Mark;
import farglass.work.session.Preferences;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The tagging trainer: makes a film at one of three levels, which is tagged in the film station like any other, and
 * marks the record against what was drawn. The truth is kept apart from the record until it is asked for.
 */
public final class TrainerSheet extends StackPane {
    private static final String TRUTH = "practice.truth ";
    private static final String RESULTS = "practice.results";
    private static final int SHOWN = 8;
    private static final double PICTURE = 240;

    private final Desk desk;
    private final Consumer<String> open;
    private final VBox exercises = new VBox(6);
    private final VBox mark = new VBox(8);
    private final Label progress = Ui.prose("", "soft");

    /**
     * @param open opens a match in the film station
     * @param close puts the sheet away
     */
    public TrainerSheet(Desk desk, Consumer<String> open, Runnable close) {
        this.desk = desk;
        this.open = open;
        setId("trainer-sheet");
        getStyleClass().add("veil");
        mark.setId("trainer-mark");
        progress.setId("trainer-progress");
        HBox levels = new HBox(8);
        for (int level = 1; level <= Exercise.LEVELS; level++) {
            int chosen = level;
            Button b = Ui.button(Words.of("trainer.level." + level), () -> make(chosen), "choice");
            b.setId("trainer-level-" + level);
            levels.getChildren().add(b);
        }
        ScrollPane scroll = new ScrollPane(new VBox(12, exercises, mark));
        scroll.setFitToWidth(true);
        VBox sheet = Ui.sheet(
                Words.of("trainer.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.prose(Words.of("trainer.how"), "body"),
                levels,
                Ui.grow(scroll),
                progress);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(900, 660);
        getChildren().add(sheet);
        setFocusTraversable(true);
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
        fill();
    }

    private void fill() {
        exercises.getChildren().clear();
        List<MatchRecord> made = desk.matches().stream().filter(Exercise::is).toList();
        if (made.isEmpty()) {
            exercises.getChildren().add(Ui.empty(Words.of("trainer.none")));
        }
        for (MatchRecord r : made) {
            Button go = Ui.button(Words.of("trainer.tag"), () -> open.accept(r.id()), "choice");
            Button see = Ui.button(Words.of("trainer.see"), () -> mark(r), "choice");
            see.setId("trainer-see-" + r.id());
            HBox line = new HBox(
                    10,
                    Ui.label(
                            Words.of(
                                    "trainer.exercise",
                                    r.details().round(),
                                    Dates.words(r.details().date()),
                                    r.tags().size()),
                            "body"),
                    Ui.spring(),
                    go,
                    see);
            line.setAlignment(Pos.CENTER_LEFT);
            exercises.getChildren().add(line);
        }
        progress.setText(Words.of("trainer.progress", String.join("     ", results())));
    }

    private List<String> results() {
        List<String> all = desk.preferences()
                .get(RESULTS)
                .map(String::lines)
                .map(s -> s.toList())
                .orElse(List.of());
        return all.subList(Math.max(0, all.size() - SHOWN), all.size());
    }

    /** Makes an exercise, draws its film in the background, and opens it when it is there. */
    private void make(int level) {
        LocalDate today = LocalDate.now(desk.clock());
        long n = desk.matches().stream().filter(Exercise::is).count()
                + desk.clock().millis() % 100_000;
        Exercise e = Exercise.make(level, today, n, desk.lexicon());
        Path target = desk.filmPath(e.truth());
        desk.tasks().longTask(Words.of("trainer.making"), (share, cancelled) -> {
            try {
                if (Footage.standard().make(e.truth(), e.truth().clock(), desk.lexicon(), target, share, cancelled)) {
                    Platform.runLater(() -> made(e));
                }
            } catch (FilmException x) {
                desk.notices().problem(x.getMessage());
            }
        });
        desk.notices().done(Words.of("trainer.making.wait"));
    }

    private void made(Exercise e) {
        desk.preferences().set(TRUTH + e.truth().id(), MatchJson.write(e.truth()));
        desk.addMatches(List.of(e.empty()), () -> open.accept(e.empty().id()));
    }

    private record Marked(Mark mark, List<BufferedImage> pictures) {}

    private void mark(MatchRecord learner) {
        Optional<String> kept = desk.preferences().get(TRUTH + learner.id());
        if (kept.isEmpty()) {
            desk.notices().problem(Words.of("trainer.no-truth"));
            return;
        }
        desk.tasks()
                .query(
                        "practice",
                        () -> marked(kept.get(), learner),
                        m -> show(learner, m),
                        e -> desk.notices().problem(Words.of("trainer.failed", e.getMessage())));
    }

    private Marked marked(String text, MatchRecord learner) throws FormatException {
        MatchRecord truth = MatchJson.read(text);
        Mark m = Mark.of(truth, learner, desk.lexicon());
        List<BufferedImage> pictures = new ArrayList<>();
        for (Mark.Confusion c : m.confusions()) {
            pictures.add(still(truth, c.t()));
            pictures.add(still(learner.withFilms(truth.films()), c.t()));
        }
        return new Marked(m, pictures);
    }

    /** The picture as it would be drawn from a record. */
    private BufferedImage still(MatchRecord r, MatchTime t) {
        FilmTime f = r.clock().filmTimes(t).stream().findFirst().orElse(FilmTime.ZERO);
        return Footage.standard().still(r, r.clock(), desk.lexicon(), f);
    }

    private void show(MatchRecord learner, Marked m) {
        Mark k = m.mark();
        String kappa = number(k.agreement().overall().kappa());
        String line = Words.of(
                "trainer.mark",
                kappa,
                number(k.agreement().overall().error()),
                share(k.agreement().recall()),
                share(k.agreement().precision()),
                Double.isNaN(k.delayMs()) ? "-" : Math.round(k.delayMs()) + " ms");
        mark.getChildren().setAll(Ui.prose(line, "claim-sentence"));
        if (!Double.isNaN(k.delayMs())) {
            long reaction = k.reaction(desk.preferences().reactionMs());
            Button use = Ui.button(
                    Words.of("trainer.use", reaction),
                    () -> {
                        desk.preferences().set(Preferences.REACTION, Long.toString(reaction));
                        desk.notices().done(Words.of("trainer.used", reaction));
                    },
                    "choice");
            use.setId("trainer-use");
            mark.getChildren().add(use);
        }
        FlowPane pairs = new FlowPane(14, 10);
        for (int i = 0; i < k.confusions().size(); i++) {
            Mark.Confusion c = k.confusions().get(i);
            HBox both = new HBox(
                    6, picture(m.pictures().get(2 * i)), picture(m.pictures().get(2 * i + 1)));
            String words = Words.of(
                    "trainer.confused",
                    desk.lexicon().positionName(c.truth()),
                    desk.lexicon().positionName(c.taken()),
                    c.ms() / 1000.0);
            pairs.getChildren().add(new VBox(3, both, Ui.label(words, "soft")));
        }
        mark.getChildren().add(pairs);
        remember(learner, kappa, share(k.agreement().f1()));
    }

    /** One line a marking; the same exercise marked again on the same day takes its old line's place. */
    private void remember(MatchRecord learner, String kappa, String f1) {
        String head = LocalDate.now(desk.clock()) + " " + learner.details().round();
        List<String> all = new ArrayList<>(desk.preferences()
                .get(RESULTS)
                .map(String::lines)
                .map(s -> s.toList())
                .orElse(List.of()));
        all.removeIf(l -> l.startsWith(head));
        all.add(Words.of("trainer.result", head, kappa, f1));
        desk.preferences().set(RESULTS, String.join("\n", all));
        progress.setText(Words.of("trainer.progress", String.join("     ", results())));
    }

    private static ImageView picture(BufferedImage image) {
        WritableImage shown = new WritableImage(image.getWidth(), image.getHeight());
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                shown.getPixelWriter().setArgb(x, y, image.getRGB(x, y));
            }
        }
        ImageView view = new ImageView(shown);
        view.setFitWidth(PICTURE);
        view.setPreserveRatio(true);
        return view;
    }

    private static String number(double v) {
        return Double.isNaN(v) ? "-" : String.format(Language.locale(), "%.2f", v);
    }

    private static String share(double v) {
        return Double.isNaN(v) ? "-" : Math.round(v * 100) + "%";
    }
}
