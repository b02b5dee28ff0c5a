package farglass.desk.shell;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;

/** Tools in a row that goes on in the next line where there is no room: longer words, larger text, a small window. */
public final class Wrapping extends FlowPane {
    private static final double UNDER = 6;

    /** @param gap points between two of them */
    public Wrapping(double gap, Pos alignment, Node... tools) {
        super(gap, UNDER, tools);
        setAlignment(alignment);
        setRowValignment(javafx.geometry.VPos.CENTER);
    }

    /** All in one row. */
    @Override
    protected double computePrefWidth(double height) {
        double sum = snappedLeftInset() + snappedRightInset();
        for (Node n : getManagedChildren()) {
            sum += snapSizeX(n.prefWidth(-1)) + getHgap();
        }
        return Math.max(0, sum - getHgap());
    }
}
