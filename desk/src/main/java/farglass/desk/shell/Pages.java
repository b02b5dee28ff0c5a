package farglass.desk.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.StackPane;

/** Pages of a station, one in sight, chosen by chips. */
public final class Pages {
    private final Wrapping chips = new Wrapping(6, Pos.CENTER_RIGHT);
    private final StackPane middle = new StackPane();
    private final ToggleGroup group = new ToggleGroup();
    private final List<Node> all = new ArrayList<>();

    public Pages() {
        middle.setMinHeight(0);
        // what does not fit goes on below, and lies over no chip
        middle.setAlignment(Pos.TOP_LEFT);
    }

    /** Adds a page; the first is in sight. Its chip has the key, with dashes, as its id. */
    public Pages add(String key, Node content) {
        ToggleButton chip = new ToggleButton(Words.of(key));
        chip.setId(key.replace('.', '-'));
        chip.getStyleClass().add("chip");
        chip.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        chip.setToggleGroup(group);
        chip.selectedProperty().addListener((o, was, is) -> {
            if (is) {
                middle.getChildren().setAll(content);
            }
        });
        if (group.getSelectedToggle() == null) {
            chip.setSelected(true);
        }
        chip.setOnAction(e -> chip.setSelected(true));
        all.add(chip);
        Gradual.anew(chips, all.stream().map(c -> (Supplier<Node>) () -> c).toList());
        return this;
    }

    /** Shows the page that was added under a key. */
    public void choose(String key) {
        String id = key.replace('.', '-');
        group.getToggles().stream()
                .filter(t -> t instanceof ToggleButton b && id.equals(b.getId()))
                .forEach(group::selectToggle);
    }

    /** Whether the page that was added under a key is in sight. */
    public boolean shows(String key) {
        return group.getSelectedToggle() instanceof ToggleButton b
                && key.replace('.', '-').equals(b.getId());
    }

    /** Goes on to the next page, after the last to the first. */
    public void next() {
        int at = group.getToggles().indexOf(group.getSelectedToggle());
        group.selectToggle(group.getToggles().get((at + 1) % group.getToggles().size()));
    }

    public Node chips() {
        return chips;
    }

    public Node middle() {
        return middle;
    }

    /** A page that fills its room, and is scrolled where it needs more. */
    public static ScrollPane fill(Node content) {
        ScrollPane pane = scroll(content);
        pane.setFitToHeight(true);
        return pane;
    }

    /** A page that may be longer than its room. */
    public static ScrollPane scroll(Node content) {
        ScrollPane pane = new ScrollPane(content);
        pane.setFitToWidth(true);
        pane.getStyleClass().add("plain");
        return pane;
    }
}
