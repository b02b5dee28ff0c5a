package farglass.desk.profile;

import farglass.desk.player.FilmView;
import farglass.desk.player.MomentView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.stats.Trial;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The moment a dot stands for, or all moments of a claim one after the other. */
public final class ClipView extends VBox {
    private static final Duration EACH = Duration.seconds(7);

    private final Desk desk;
    private final MomentView moment;
    private final Label place = Ui.label("", "soft");
    private final HBox steps;
    private final PauseTransition next = new PauseTransition(EACH);
    private List<Trial> row = List.of();
    private int at;

    /** @param toFilm opens a match in the film station */
    public ClipView(Desk desk, Consumer<String> toFilm) {
        this(desk, Words.of("clip.hint"), toFilm);
    }

    /** @param hint what to choose while nothing is shown */
    public ClipView(Desk desk, String hint, Consumer<String> toFilm) {
        super(4);
        this.desk = desk;
        this.moment = new MomentView(desk, hint, (match, tag) -> toFilm.accept(match));
        Button back = Ui.button(Words.of("clip.back"), () -> step(-1), "choice");
        Button forth = Ui.button(Words.of("clip.next"), () -> step(1), "choice");
        forth.setId("clip-next");
        place.setId("clip-place");
        steps = new HBox(8, back, forth, place);
        steps.setAlignment(Pos.CENTER_LEFT);
        steps.setVisible(false);
        steps.managedProperty().bind(steps.visibleProperty());
        next.setOnFinished(e -> step(1));
        getChildren().addAll(moment, steps);
    }

    String describe(Trial t) {
        Optional<MatchRecord> match = desk.match(t.tag().match());
        if (match.isEmpty() || t.index() >= match.get().tags().size()) {
            return t.tag().match();
        }
        return desk.describe(match.get(), t.index());
    }

    /** One moment, over and over. */
    void play(Trial t) {
        next.stop();
        steps.setVisible(false);
        show(t);
    }

    private void show(Trial t) {
        desk.match(t.tag().match())
                .ifPresentOrElse(
                        r -> moment.play(r, t.t(), t.index(), describe(t)), () -> moment.say(Words.of("clip.no-film")));
    }

    /** Every moment with film, one after the other. */
    public void playAll(List<Trial> trials) {
        List<Trial> filmed = trials.stream().filter(this::hasFilm).toList();
        if (filmed.isEmpty()) {
            next.stop();
            steps.setVisible(false);
            moment.say(Words.of("clip.none", trials.size()));
            return;
        }
        row = filmed;
        at = -1;
        steps.setVisible(true);
        step(1);
    }

    /** The next of the row, or the one before; nothing where there is no row. */
    void step(int by) {
        if (!steps.isVisible()) {
            return;
        }
        at = Math.floorMod(at + by, row.size());
        place.setText(Words.of("clip.place", at + 1, row.size()));
        show(row.get(at));
        next.playFromStart();
    }

    boolean hasFilm(Trial t) {
        return desk.match(t.tag().match())
                .filter(r -> !r.films().isEmpty() && Files.exists(desk.filmPath(r)))
                .isPresent();
    }

    void pause() {
        next.stop();
        moment.pause();
    }

    FilmView film() {
        return moment.film();
    }
}
