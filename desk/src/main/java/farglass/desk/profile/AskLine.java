package farglass.desk.profile;

import farglass.ask.Asked;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;

/**
 * A question in the words of the phrase line. Enter asks, Tab takes the first completion, Esc goes back to the page.
 */
final class AskLine extends HBox {
    private static final int CHOICES = 4;

    private final Desk desk;
    private final TextField field = new TextField();
    private final HBox choices = new HBox(10);

    /**
     * @param ask called with the question
     * @param leave called when the line is left
     */
    AskLine(Desk desk, Consumer<String> ask, Runnable leave) {
        super(10);
        this.desk = desk;
        field.setId("ask");
        field.setPromptText(Words.of("ask.prompt"));
        field.setPrefWidth(380);
        field.setOnAction(e -> {
            if (!field.getText().isBlank()) {
                ask.accept(field.getText());
            }
        });
        field.textProperty().addListener((o, was, is) -> complete());
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.TAB && !e.isShiftDown() && !words().isEmpty()) {
                take(words().get(0));
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                field.clear();
                leave.run();
                e.consume();
            }
        });
        choices.setAlignment(Pos.CENTER_LEFT);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(Ui.name(Words.of("ask.label"), field), field, choices);
    }

    void begin() {
        field.requestFocus();
    }

    private List<String> words() {
        return Asked.complete(field.getText(), desk.lexicon(), desk.athletes(), CHOICES);
    }

    private void complete() {
        choices.getChildren().clear();
        for (String w : words()) {
            choices.getChildren().add(Ui.button(w, () -> take(w), "quiet"));
        }
    }

    private void take(String word) {
        String text = field.getText();
        int cut = Math.max(text.lastIndexOf(' '), text.lastIndexOf(','));
        field.setText(text.substring(0, cut + 1) + word + " ");
        field.positionCaret(field.getText().length());
        field.requestFocus();
    }
}
