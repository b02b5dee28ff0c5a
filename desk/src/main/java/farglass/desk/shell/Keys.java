package farglass.desk.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Key bindings of a station: the table that is obeyed is the table that the key sheet shows. */
public final class Keys {
    private static final int COLUMNS = 3;
    private static final double COLUMN = 345;
    private static final double COLUMN_GAP = 14;
    private static final double ROW = 22;
    private static final double ROW_GAP = 6;
    private final List<Binding> bindings = new ArrayList<>();

    /** A station with keys of its own. */
    public interface Bound {
        Keys keys();
    }

    /** A line of the key sheet. */
    public record Line(String keys, String does) {}

    private record Binding(KeyCombination keys, String does, BooleanSupplier when, Runnable action) {}

    /** @param does key of its description in the words */
    public Keys on(String combination, String does, Runnable action) {
        return on(combination, does, () -> true, action);
    }

    /** @param when whether the binding holds at the moment */
    public Keys on(String combination, String does, BooleanSupplier when, Runnable action) {
        KeyCombination keys = KeyCombination.valueOf(combination);
        if (!(keys instanceof KeyCodeCombination)) {
            // a misspelled key would be taken for a character that no keyboard sends
            throw new IllegalArgumentException("key (" + combination + ") is not one of KeyCode's names");
        }
        bindings.add(new Binding(keys, Words.of(does), when, action));
        return this;
    }

    /** Runs the first binding that matches and holds, and consumes the event. */
    public void handle(KeyEvent e) {
        for (Binding b : bindings) {
            if (b.keys().match(e) && b.when().getAsBoolean()) {
                e.consume();
                b.action().run();
                return;
            }
        }
    }

    public List<Line> lines() {
        return bindings.stream()
                .map(b -> new Line(b.keys().getDisplayText(), b.does()))
                .toList();
    }

    static Node sheet(List<Line> lines, Runnable close) {
        FlowPane table = new FlowPane(javafx.geometry.Orientation.VERTICAL, COLUMN_GAP, ROW_GAP);
        int rows = (lines.size() + COLUMNS - 1) / COLUMNS;
        table.setPrefWrapLength(rows * (ROW + ROW_GAP));
        for (Line l : lines) {
            HBox row = new HBox(12, Ui.label(l.keys(), "key"), Ui.label(l.does(), "body"));
            row.setPrefSize(COLUMN, ROW);
            row.setMinHeight(ROW);
            table.getChildren().add(row);
        }
        VBox sheet = Ui.sheet(Words.of("keys.title"), Ui.button(Words.of("notice.close"), close, "quiet"), table);
        sheet.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        sheet.getStyleClass().add("floating");
        return new StackPane(sheet);
    }
}
