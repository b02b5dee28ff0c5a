package farglass.desk.film;

import java.util.Set;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A pointer that is moved by the keyboard over the picture: arrows move it (with Shift finely), Enter or Space presses
 * it down and, pressed again, lets it go; with Ctrl as the other button does.
 */
final class KeyPointer {
    private static final double STEP = 16;
    private static final double FINE = 2;

    /** What a pointer does; points in the coordinates of the picture's area. */
    interface Target {
        void press(Point2D at, boolean main);

        void drag(Point2D at);

        void release(Point2D at);

        /** It is not pressed and stands here now. */
        void hover(Point2D at);
    }

    private static final Set<KeyCode> KEYS =
            Set.of(KeyCode.LEFT, KeyCode.RIGHT, KeyCode.UP, KeyCode.DOWN, KeyCode.ENTER, KeyCode.SPACE);
    /** They have the keyboard only while something is drawn on them. */
    private static final Set<String> POINTED_AT = Set.of("sketch", "clock-veil");

    private final Target target;
    private Point2D at;
    private boolean down;

    /** Stands in the middle at first. */
    KeyPointer(Rectangle2D picture, Target target) {
        this.target = target;
        this.at = new Point2D((picture.getMinX() + picture.getMaxX()) / 2, (picture.getMinY() + picture.getMaxY()) / 2);
    }

    /** Whether a key goes to something that is pointed at, and is no key of the station's there. */
    static boolean means(KeyEvent e) {
        return e.getTarget() instanceof Node n && POINTED_AT.contains(n.getId()) && KEYS.contains(e.getCode());
    }

    /** Does what a key says; false for a key that says nothing here. */
    boolean handle(KeyEvent e, Rectangle2D picture) {
        double step = e.isShiftDown() ? FINE : STEP;
        switch (e.getCode()) {
            case LEFT -> move(-step, 0, picture);
            case RIGHT -> move(step, 0, picture);
            case UP -> move(0, -step, picture);
            case DOWN -> move(0, step, picture);
            case ENTER, SPACE -> press(!e.isControlDown());
            default -> {
                return false;
            }
        }
        e.consume();
        return true;
    }

    private void move(double x, double y, Rectangle2D picture) {
        at = new Point2D(
                Math.max(picture.getMinX(), Math.min(picture.getMaxX(), at.getX() + x)),
                Math.max(picture.getMinY(), Math.min(picture.getMaxY(), at.getY() + y)));
        if (down) {
            target.drag(at);
        } else {
            target.hover(at);
        }
    }

    private void press(boolean main) {
        if (down) {
            down = false;
            target.release(at);
        } else {
            down = true;
            target.press(at, main);
        }
    }
}
