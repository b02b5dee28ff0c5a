package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.profile.Claim;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** To the left and to the right of every kind of attack; each bar plays its attempts. */
final class SidesPage extends VBox {
    private static final double HIGH = 18;
    private static final double NAME = 130;
    /** Beside the longest bar: its count. */
    private static final double COUNT = 48;
    /** Of the longest bar; grows with the window. */
    private static final double NARROWEST = 120;

    private static final double WIDEST = 420;
    private static final double GAP = 10;

    private final Desk desk;
    private final Consumer<List<Trial>> play;
    private final DoubleProperty longest = new SimpleDoubleProperty(NARROWEST);

    SidesPage(Desk desk, Consumer<List<Trial>> play) {
        super(10);
        this.desk = desk;
        this.play = play;
        setId("sides");
        longest.bind(Bindings.max(
                NARROWEST,
                Bindings.min(WIDEST, widthProperty().subtract(NAME).divide(2).subtract(COUNT + GAP))));
    }

    /** @param sides claims of sides, one per kind of attack */
    void show(List<Claim> sides) {
        getChildren().clear();
        if (sides.isEmpty()) {
            getChildren().add(Ui.empty(Words.of("sides.none")));
            return;
        }
        GridPane grid = new GridPane();
        grid.setHgap(GAP);
        grid.setVgap(14);
        ColumnConstraints left = barColumn();
        left.setHalignment(HPos.RIGHT);
        ColumnConstraints name = new ColumnConstraints(NAME);
        name.setHalignment(HPos.CENTER);
        grid.getColumnConstraints().addAll(left, name, barColumn());
        grid.add(Ui.label(Words.of("sides.left"), "heading"), 0, 0);
        grid.add(Ui.label(Words.of("sides.right"), "heading"), 2, 0);
        int most = sides.stream()
                .mapToInt(c -> c.side() == null
                        ? 0
                        : Math.max(c.side().left(), c.side().right()))
                .max()
                .orElse(1);
        int line = 1;
        for (Claim c : sides) {
            add(grid, line, c, most);
            line += 2;
        }
        getChildren().add(grid);
    }

    private ColumnConstraints barColumn() {
        ColumnConstraints column = new ColumnConstraints();
        column.minWidthProperty().bind(longest.add(COUNT));
        return column;
    }

    private void add(GridPane grid, int line, Claim c, int most) {
        SideBias s = c.side();
        if (s == null) {
            return;
        }
        boolean right = c.template().endsWith(".right");
        grid.add(bar(c, s.left(), most, !right, Pos.CENTER_RIGHT), 0, line);
        grid.add(Ui.label(Words.of("sides." + c.id().substring(c.id().indexOf('.') + 1)), "strong"), 1, line);
        grid.add(bar(c, s.right(), most, right, Pos.CENTER_LEFT), 2, line);
        String counted = desk.claimWriter().name("word." + s.word()) + ", "
                + desk.claimWriter().interval(c) + ", "
                + desk.claimWriter().grade(c.estimate().grade());
        grid.add(Ui.label(counted, "soft"), 0, line + 1, 3, 1);
        GridPane.setHalignment(grid.getChildren().get(grid.getChildren().size() - 1), HPos.CENTER);
    }

    /** @param preferred whether the claim's occurrences that worked are those of this side */
    private HBox bar(Claim c, int count, int most, boolean preferred, Pos at) {
        Color colour = desk.colourOf(desk.profiled().get());
        Rectangle r = new Rectangle(1, HIGH, colour);
        r.widthProperty().bind(Bindings.max(1, longest.multiply((double) count / Math.max(1, most))));
        List<Trial> own =
                c.trials().stream().filter(t -> t.worked() == preferred).toList();
        Button number = Ui.button(Integer.toString(count), () -> play.accept(own), "quiet");
        number.setDisable(own.isEmpty());
        HBox box = at == Pos.CENTER_RIGHT ? new HBox(4, number, r) : new HBox(4, r, number);
        box.setAlignment(at);
        return box;
    }
}
