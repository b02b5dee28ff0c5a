package farglass.desk.shell;

import farglass.text.PlainLine;
import farglass.work.session.Messages;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/** The line that says what happened, what was kept and what to do. Problems stay until they are put away. */
public final class Notices implements Messages {
    private static final Duration SHORT = Duration.seconds(6);
    private static final double HEAD = 54;
    /** Characters of a notice: three lines. */
    private static final int MOST = 420;

    private final Label text = Ui.prose("", "notice-text");
    private final HBox bar = new HBox(12, text, Ui.spring(), Ui.button(Words.of("notice.close"), this::clear, "quiet"));
    private final PauseTransition fade = new PauseTransition(SHORT);

    Notices() {
        bar.setId("notice");
        bar.getStyleClass().add("notice");
        bar.setAlignment(Pos.CENTER_LEFT);
        // as tall as the head of a page, which it covers whole
        bar.setMinHeight(HEAD);
        bar.setMaxHeight(Region.USE_PREF_SIZE);
        text.setMaxWidth(1000);
        fade.setOnFinished(e -> clear());
        clear();
    }

    public Node view() {
        return bar;
    }

    @Override
    public void problem(String message) {
        show(message, true);
    }

    @Override
    public void done(String message) {
        show(message, false);
    }

    private void show(String message, boolean stays) {
        if (!Platform.isFxApplicationThread()) {
            Platform.runLater(() -> show(message, stays));
            return;
        }
        text.setText(PlainLine.of(message, MOST));
        bar.getStyleClass().removeAll("problem");
        if (stays) {
            bar.getStyleClass().add("problem");
            fade.stop();
        } else {
            fade.playFromStart();
        }
        bar.setVisible(true);
        bar.setManaged(true);
    }

    private void clear() {
        bar.setVisible(false);
        bar.setManaged(false);
    }
}
