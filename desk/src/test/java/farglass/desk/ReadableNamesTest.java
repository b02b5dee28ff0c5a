package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever the keyboard can stop at says what it is, to people who hear the screen. */
class ReadableNamesTest extends DeskDriver {
    /** Roles that say nothing. */
    private static final Set<AccessibleRole> NOTHING = Set.of(AccessibleRole.NODE, AccessibleRole.PARENT);

    private static void stops(Node node, List<Node> into) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        if (node.isFocusTraversable()) {
            into.add(node);
        }
        // the field inside is the same stop
        if (node instanceof Parent p && !(node instanceof Spinner) && !(node instanceof ComboBoxBase)) {
            p.getChildrenUnmodifiable().forEach(c -> stops(c, into));
        }
    }

    private boolean labelled(Node node) {
        return scene.getRoot().lookupAll(".label").stream()
                .anyMatch(n -> n instanceof Label l && l.getLabelFor() == node);
    }

    private String name(Node node) {
        if (node.getAccessibleText() != null && !node.getAccessibleText().isBlank()) {
            return node.getAccessibleText();
        }
        if (labelled(node)) {
            return "labelled";
        }
        if (node instanceof Labeled l) {
            return l.getText() == null ? "" : l.getText();
        }
        if (node instanceof TextInputControl t) {
            return t.getPromptText() == null ? "" : t.getPromptText();
        }
        return "";
    }

    private void assertNamed() throws Exception {
        List<String> nameless = onFx(() -> {
            List<Node> stops = new ArrayList<>();
            stops(scene.getRoot(), stops);
            assertThat(stops).hasSizeGreaterThan(5);
            return stops.stream()
                    .filter(n -> name(n).isBlank() || NOTHING.contains(n.getAccessibleRole()))
                    .map(n -> n + " in " + n.getParent() + ", " + n.getAccessibleRole() + " '" + name(n) + "'")
                    .toList();
        });
        assertThat(nameless).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void everyStopOfAStationHasANameAndARole(int station) throws Exception {
        onFx(() -> {
            shell.go(station);
            return null;
        });
        settle();
        if (station == 4) {
            await(
                    "what meets what",
                    () -> !scene.getRoot().lookupAll(".row-button").isEmpty());
        }
        assertNamed();
    }

    @ParameterizedTest
    @ValueSource(strings = {"library", "keys", "settings", "about"})
    void soHasEveryStopOfASheetOfTheRail(String sheet) throws Exception {
        fire("#rail-" + sheet);
        settle();
        assertNamed();
        press(KeyCode.ESCAPE);
    }

    /** What a drawing shows is said in words. */
    @ParameterizedTest
    @ValueSource(strings = {"CHART", "GAME"})
    void aFigureIsToldInWords(String page) throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        fire("#page-" + page);
        String id = "CHART".equals(page) ? "#chart" : "#game";
        await("it is drawn", () -> {
            Node figure = scene.lookup(id);
            return figure != null
                    && figure.getAccessibleText() != null
                    && figure.getAccessibleText().length() > 100;
        });
        Node figure = onFx(() -> scene.lookup(id));
        assertThat(figure.getAccessibleRole()).isEqualTo(AccessibleRole.IMAGE_VIEW);
        assertThat(figure.getAccessibleText()).containsPattern("\\d").endsWith(".");
    }
}
