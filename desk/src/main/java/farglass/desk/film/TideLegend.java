package farglass.desk.film;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.Shape;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.layout.HBox;

/** What the marks of the tide line mean. */
final class TideLegend extends HBox {
    private static final double SIZE = 12;

    TideLegend() {
        super(10);
        setAlignment(Pos.CENTER_RIGHT);
        for (Shape s : Shape.values()) {
            Canvas mark = new Canvas(SIZE, SIZE);
            s.draw(mark.getGraphicsContext2D(), SIZE / 2, SIZE / 2, 4, 1, Look.soft());
            HBox one = new HBox(4, mark, Ui.label(Words.of("mark." + s.family()), "legend"));
            one.setAlignment(Pos.CENTER);
            getChildren().add(one);
        }
        getChildren().add(Ui.label(Words.of("mark.fill"), "legend"));
    }
}
