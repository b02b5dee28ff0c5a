package farglass.desk.brief;

import farglass.brief.Slide;
import farglass.desk.chart.GameView;
import farglass.desk.player.MomentView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.scout.ReportWriter;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.text.Language;
import farglass.time.Dates;
import farglass.work.publish.Moments;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/**
 * A briefing shown full screen: arrow keys or blank go on, up and down change the moment, N shows the notes, Esc ends
 * it.
 */
final class BriefShow extends VBox {
    private final Desk desk;
    private final List<Slide> slides;
    private final Runnable close;
    private final Label place = Ui.label("", "claim-interval");
    private final Label heading = Ui.label("", "heading");
    private final Label text = Ui.prose("", "slide-text");
    private final VBox points = new VBox(6);
    private final Label notes = Ui.prose("", "slide-notes");
    private final MomentView moment;
    private final GameView game;
    private int at;
    private int shownMoment;

    BriefShow(Desk desk, List<Slide> slides, Runnable close) {
        super(14);
        this.desk = desk;
        this.slides = List.copyOf(slides);
        this.close = close;
        setId("brief-show");
        getStyleClass().add("slide");
        setPadding(new Insets(34, 54, 30, 54));
        setFocusTraversable(true);
        this.moment = new MomentView(desk, "", (match, tag) -> {}).large(560);
        this.game = new GameView(
                desk.tasks(), "brief-game", desk.lexicon(), new ReportWriter(Language.locale()), this::play);
        text.setId("slide-text");
        notes.setId("slide-notes");
        notes.setVisible(false);
        VBox said = new VBox(14, heading, text, points, notes);
        said.setMinWidth(420);
        said.setMaxWidth(520);
        HBox middle = new HBox(30, said, Ui.grow(new StackPane(moment, game)));
        HBox foot = new HBox(12, place, Ui.spring(), Ui.label(Words.of("brief.keys"), "soft"));
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(Ui.grow(middle), foot);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        sceneProperty().addListener((o, was, is) -> {
            if (is != null && is.getWindow() instanceof Stage stage) {
                stage.setFullScreen(true);
            }
        });
        fill();
    }

    private void key(KeyEvent e) {
        switch (e.getCode()) {
            case RIGHT, SPACE, PAGE_DOWN, ENTER -> go(at + 1);
            case LEFT, PAGE_UP, BACK_SPACE -> go(at - 1);
            case HOME -> go(0);
            case END -> go(slides.size() - 1);
            case DOWN -> another(1);
            case UP -> another(-1);
            case N -> notes.setVisible(!notes.isVisible());
            case ESCAPE -> end();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void end() {
        moment.pause();
        if (getScene() != null && getScene().getWindow() instanceof Stage stage) {
            stage.setFullScreen(false);
        }
        close.run();
    }

    private void go(int to) {
        if (to >= 0 && to < slides.size()) {
            at = to;
            shownMoment = 0;
            fill();
        }
    }

    private void another(int by) {
        int all = slides.get(at).moments().size();
        if (all > 0) {
            shownMoment = Math.floorMod(shownMoment + by, all);
            play();
        }
    }

    private void fill() {
        Slide s = slides.get(at);
        heading.setText(s.heading());
        text.setText(s.text());
        points.getChildren()
                .setAll(s.points().stream()
                        .map(p -> (Node) Ui.prose(p, "slide-point"))
                        .toList());
        notes.setText(s.notes());
        place.setText(Words.of("brief.place", at + 1, slides.size()));
        moment.setVisible(!s.moments().isEmpty());
        moment.setManaged(!s.moments().isEmpty());
        moment.pause();
        game.setVisible(s.figure() != null);
        if (s.figure() != null) {
            game.show(s.figure(), Look.theirs());
        }
        play();
    }

    /** A way of the game that was clicked, in the place of the drawing until the slide is gone to again. */
    private void play(List<Trial> attempts) {
        attempts.stream()
                .map(Trial::tag)
                .filter(t ->
                        desk.match(t.match()).filter(r -> !r.films().isEmpty()).isPresent())
                .findFirst()
                .flatMap(t -> desk.match(t.match()).map(r -> new Shown(r, Moments.index(r, t))))
                .filter(x -> x.tag() >= 0)
                .ifPresent(x -> {
                    game.setVisible(false);
                    moment.setVisible(true);
                    moment.setManaged(true);
                    MatchRecord r = x.record();
                    moment.play(r, r.tags().get(x.tag()).t(), x.tag(), "");
                });
    }

    private record Shown(MatchRecord record, int tag) {}

    private void play() {
        List<TagRef> moments = slides.get(at).moments();
        if (moments.isEmpty()) {
            return;
        }
        TagRef ref = moments.get(shownMoment);
        desk.match(ref.match()).ifPresent(r -> {
            int tag = Moments.index(r, ref);
            if (tag >= 0) {
                moment.play(r, r.tags().get(tag).t(), tag, caption(r));
            }
        });
    }

    private String caption(MatchRecord r) {
        int all = slides.get(at).moments().size();
        String which = Words.of("clip.place", shownMoment + 1, all);
        boolean nameless =
                desk.plan().get() != null && desk.plan().get().brief().nameless();
        return nameless
                ? which
                : Words.of(
                        "brief.caption",
                        r.details().a().surname(),
                        r.details().b().surname(),
                        Dates.words(r.details().date()),
                        which);
    }
}
