package farglass.desk.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Key bindings of a station: the table that is obeyed is the table that the key sheet shows. */
public final class Keys {
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
        bindings.add(new Binding(KeyCombination.valueOf(combination), Words.of(does), when, action));
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
        FlowPane table = new FlowPane(javafx.geometry.Orientation.VERTICAL, 36, 8);
        table.setPrefWrapLength(400);
        for (Line l : lines) {
            HBox row = new HBox(12, Ui.label(l.keys(), "key"), Ui.label(l.does(), "body"));
            row.setPrefWidth(420);
            table.getChildren().add(row);
        }
        VBox sheet = Ui.sheet(Words.of("keys.title"), Ui.button(Words.of("notice.close"), close, "quiet"), table);
        sheet.setMaxSize(960, 520);
        sheet.getStyleClass().add("floating");
        return new StackPane(sheet);
    }
}
