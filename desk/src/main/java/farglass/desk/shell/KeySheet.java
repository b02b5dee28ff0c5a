package farglass.desk.shell;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * All keys that hold now, and what the program's own words mean. Choosing a key asks for the one that shall do its work
 * from then on.
 */
public final class KeySheet extends StackPane {
    private static final int COLUMNS = 3;
    private static final double COLUMN = 345;
    private static final double KEY = 100;
    private static final double COLUMN_GAP = 14;
    private static final double ROW = 21;
    private static final double ROW_GAP = 3;

    private static final List<String> OWN_WORDS =
            List.of("words.tide-line", "words.phrase", "words.record", "words.claim", "words.fork", "words.assignment");

    private final Keys keys;
    private final List<Keys.Line> fixed;
    private final FlowPane table = new FlowPane(Orientation.VERTICAL, COLUMN_GAP, ROW_GAP);
    private final Label how = Ui.label(Words.of("keys.how"), "soft");
    private String asked;

    /**
     * @param fixed keys that stay
     * @param keys keys of the station; null when it has none
     */
    public KeySheet(List<Keys.Line> fixed, Keys keys, Runnable close) {
        this.fixed = fixed;
        this.keys = keys;
        setId("key-sheet");
        how.setId("keys-how");
        HBox head = new HBox(10, how, Ui.spring());
        if (keys != null) {
            Button usual = Ui.button(
                    Words.of("keys.usual"),
                    () -> {
                        keys.usual();
                        fill();
                    },
                    "quiet");
            usual.setId("keys-usual");
            head.getChildren().add(usual);
        }
        VBox sheet = Ui.sheet(
                Words.of("keys.title"), Ui.button(Words.of("notice.close"), close, "quiet"), head, table, words());
        sheet.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        sheet.getStyleClass().add("floating");
        getChildren().add(sheet);
        fill();
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    private void fill() {
        table.getChildren().clear();
        fixed.forEach(l -> table.getChildren().add(row(l)));
        if (keys != null) {
            keys.lines().forEach(l -> table.getChildren().add(row(l)));
        }
        int rows = (table.getChildren().size() + COLUMNS - 1) / COLUMNS;
        table.setPrefWrapLength(rows * (ROW + ROW_GAP));
    }

    /** The words that no coach brings along. */
    private static Node words() {
        FlowPane own = new FlowPane(COLUMN_GAP, ROW_GAP);
        own.setId("own-words");
        own.setPrefWrapLength(COLUMNS * (COLUMN + COLUMN_GAP));
        for (String key : OWN_WORDS) {
            Label meaning = Ui.prose(Words.of(key), "body");
            meaning.setPrefWidth(COLUMN);
            own.getChildren().add(meaning);
        }
        return new VBox(4, Ui.label(Words.of("words.title"), "heading"), own);
    }

    private Node row(Keys.Line line) {
        HBox place = new HBox();
        place.setMinWidth(KEY);
        place.setPrefWidth(KEY);
        HBox row = new HBox(10, place);
        if (line.id() == null) {
            place.getChildren().add(Ui.label(line.keys(), "key"));
        } else {
            Button key = Ui.button(line.keys(), () -> ask(line), "key", "key-choice");
            key.setAccessibleText(line.keys() + ": " + line.does());
            place.getChildren().add(key);
        }
        row.getChildren().add(Ui.label(line.does(), "body"));
        row.setPrefSize(COLUMN, ROW);
        row.setMinHeight(ROW);
        return row;
    }

    private void ask(Keys.Line line) {
        asked = line.id();
        how.setText(Words.of("keys.press", line.does()));
        requestFocus();
    }

    private void pressed(KeyEvent e) {
        if (asked == null || e.getCode().isModifierKey()) {
            return;
        }
        e.consume();
        if (e.getCode() == KeyCode.ESCAPE) {
            how.setText(Words.of("keys.how"));
        } else {
            Optional<String> problem = keys.rebind(asked, e);
            how.setText(problem.orElse(Words.of("keys.done")));
            fill();
        }
        asked = null;
    }
}
