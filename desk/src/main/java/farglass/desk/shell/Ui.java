package farglass.desk.shell;

import java.time.format.DateTimeFormatter;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.DatePicker;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import javafx.util.converter.LocalDateStringConverter;

/** Small pieces that every station is made of. */
public final class Ui {
    /** What a question keeps beside tools, points. */
    private static final double QUESTION = 220;

    private Ui() {}

    public static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    /** A label that breaks into lines. */
    public static Label prose(String text, String... styles) {
        Label label = label(text, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** The name of a field, which is also read aloud where the field is. */
    public static Label name(String text, Node field) {
        Label label = label(text, "field-name");
        label.setLabelFor(field);
        return label;
    }

    public static Button button(String text, Runnable action, String... styles) {
        Button button = new Button(text);
        button.getStyleClass().addAll(styles);
        button.setOnAction(e -> action.run());
        return button;
    }

    /** A date field; dates are written year first, as they are in records. */
    public static DatePicker datePicker() {
        DatePicker picker = new DatePicker();
        picker.setConverter(
                new LocalDateStringConverter(DateTimeFormatter.ISO_LOCAL_DATE, DateTimeFormatter.ISO_LOCAL_DATE));
        return picker;
    }

    /** A panel with a small heading and something at its right end. */
    public static VBox sheet(String heading, Node atRight, Node... content) {
        VBox box = new VBox(8);
        box.getStyleClass().add("sheet");
        Label name = label(heading, "heading");
        name.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(8, name, spring());
        if (atRight != null) {
            HBox.setHgrow(atRight, Priority.SOMETIMES);
            head.setMinHeight(Region.USE_PREF_SIZE);
            head.getChildren().add(atRight);
        }
        Node[] parts = new Node[content.length + 1];
        parts[0] = head;
        System.arraycopy(content, 0, parts, 1, content.length);
        Gradual.parts(box, parts);
        return box;
    }

    /**
     * The question that a station answers, and at its right what can be done there. Either goes on in the next line
     * where there is no room for both.
     */
    public static HBox head(Label question, Node... tools) {
        question.setWrapText(true);
        question.setMinWidth(QUESTION);
        for (Node tool : tools) {
            if (tool instanceof Labeled l) {
                l.setMinWidth(Region.USE_PREF_SIZE);
            }
        }
        HBox head = new HBox(10, question, grow(new Wrapping(10, Pos.CENTER_RIGHT, tools)));
        head.setAlignment(Pos.CENTER_LEFT);
        head.setMinHeight(Region.USE_PREF_SIZE);
        return head;
    }

    /** Words for values that are chosen from a list and never typed. */
    public static <T> StringConverter<T> shown(Function<T, String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : words.apply(value);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        };
    }

    public static Region spring() {
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        return spring;
    }

    public static <T extends Node> T grow(T node) {
        HBox.setHgrow(node, Priority.ALWAYS);
        VBox.setVgrow(node, Priority.ALWAYS);
        return node;
    }

    /**
     * A number that is typed, with a point or, as Portuguese has it, a comma.
     *
     * @throws NumberFormatException when it is none
     */
    public static double number(String typed) {
        return Double.parseDouble(typed.strip().replace(',', '.'));
    }

    /** A drawing, with what it shows in words for those who cannot see it. */
    public static void figure(Node drawing, String words) {
        drawing.setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        drawing.setAccessibleText(words);
    }

    /** Words for what to do when there is nothing yet. */
    public static Label empty(String text) {
        return prose(text, "empty-state");
    }
}
