package farglass.desk.film;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.function.LongSupplier;
import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.util.Duration;

/**
 * A short exercise that measures how long this user takes from seeing something to beginning to type: a disc fills with
 * colour at an uncertain moment, any letter answers. The middle of seven answers is kept.
 */
final class ReactionSheet extends StackPane {
    static final int ROUNDS = 7;
    /** Nobody sees and types faster; such a key was on its way before. */
    static final long TOO_EARLY_MS = 100;

    private static final long TOO_LATE_MS = 2000;
    private static final double DISC = 46;

    private final Circle disc = new Circle(DISC);
    private final Label told = Ui.label(Words.of("reaction.how"), "body");
    private final List<Long> answers = new ArrayList<>();
    private final LongSupplier millis;
    private final LongConsumer measured;
    private final PauseTransition wait = new PauseTransition();
    private long shownAt = -1;

    /**
     * @param millis a running clock
     * @param measured gets the median, ms
     * @param close puts the sheet away
     */
    ReactionSheet(LongSupplier millis, LongConsumer measured, Runnable close) {
        this.millis = millis;
        this.measured = measured;
        setId("reaction-sheet");
        told.setId("reaction-told");
        disc.setStroke(Look.ink());
        disc.setStrokeWidth(2);
        VBox middle = new VBox(18, disc, told);
        middle.setAlignment(Pos.CENTER);
        VBox sheet = Ui.sheet(
                Words.of("reaction.title"), Ui.button(Words.of("notice.close"), close, "quiet"), Ui.grow(middle));
        sheet.getStyleClass().add("floating");
        sheet.setPrefSize(460, 260);
        sheet.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(sheet);
        setFocusTraversable(true);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                e.consume();
                wait.stop();
                close.run();
            } else if (e.getCode().isLetterKey()) {
                e.consume();
                answered();
            }
        });
        wait.setOnFinished(e -> show());
        next();
    }

    private void next() {
        shownAt = -1;
        disc.setFill(Look.sheet());
        // uneven and not to be guessed: between one and three seconds
        wait.setDuration(Duration.millis(1000 + 2000 * Math.random()));
        wait.playFromStart();
    }

    /** The disc fills. */
    void show() {
        shownAt = millis.getAsLong();
        disc.setFill(Look.ours());
    }

    private void answered() {
        if (shownAt < 0) {
            return;
        }
        long took = millis.getAsLong() - shownAt;
        if (took < TOO_EARLY_MS || took > TOO_LATE_MS) {
            told.setText(Words.of(took < TOO_EARLY_MS ? "reaction.early" : "reaction.late"));
            next();
            return;
        }
        answers.add(took);
        if (answers.size() < ROUNDS) {
            told.setText(Words.of("reaction.round", took, answers.size(), ROUNDS));
            next();
            return;
        }
        answers.sort(null);
        long median = answers.get(ROUNDS / 2);
        told.setText(Words.of("reaction.done", median));
        measured.accept(median);
    }
}
