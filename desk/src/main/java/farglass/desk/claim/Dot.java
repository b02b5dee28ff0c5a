package farglass.desk.claim;

import farglass.desk.shell.Look;
import farglass.stats.Trial;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;

/**
 * One occurrence behind a claim: filled when it worked, a ring when not. It does what a button does at a fraction of
 * its cost, because a page has hundreds, and says what it is only when it is asked.
 */
public final class Dot extends Region {
    private static final double RADIUS = 3.7;
    private static final double STROKE = 1.4;
    private static final double SIZE = 2 * RADIUS + STROKE + 2;

    private final Trial trial;
    private final ClaimActions deeds;

    /** @param tip shared by the dots of a row; holds the words of the one under the mouse */
    Dot(Trial trial, Color colour, ClaimActions deeds, Tooltip tip) {
        this.trial = trial;
        this.deeds = deeds;
        Circle circle = new Circle(SIZE / 2, SIZE / 2, RADIUS, trial.worked() ? colour : Look.sheet());
        circle.setStroke(colour);
        circle.setStrokeWidth(STROKE);
        circle.setManaged(false);
        getChildren().add(circle);
        setMinSize(SIZE, SIZE);
        setPrefSize(SIZE, SIZE);
        setMaxSize(SIZE, SIZE);
        getStyleClass().add("dot");
        setAccessibleRole(AccessibleRole.BUTTON);
        setFocusTraversable(true);
        Tooltip.install(this, tip);
        setOnMouseEntered(e -> tip.setText(deeds.describe(trial)));
        setOnMousePressed(e -> {
            requestFocus();
            e.consume();
        });
        setOnMouseClicked(e -> {
            if (e.getButton() == MouseButton.PRIMARY) {
                fire();
            }
            e.consume();
        });
        setOnKeyPressed(this::pressed);
    }

    private void pressed(KeyEvent e) {
        if (e.getCode() == KeyCode.SPACE || e.getCode() == KeyCode.ENTER) {
            fire();
            e.consume();
        }
    }

    /** Plays its moment. */
    public void fire() {
        deeds.play(trial);
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.TEXT
                ? deeds.describe(trial)
                : super.queryAccessibleAttribute(attribute, parameters);
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE) {
            fire();
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }
}
