package farglass.desk.player;

import java.util.function.Supplier;
import javafx.geometry.Rectangle2D;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;

/** How near a picture is looked at, and which place of it: by the wheel, by dragging, or by keys. */
public final class Zoom {
    private static final double NEAREST = 8;
    private static final double STEP = 1.4;
    private static final double PAN = 0.12;

    private double factor = 1;
    /** The place in the middle, as shares of the picture. */
    private double x = 0.5;

    private double y = 0.5;
    private double dragX;
    private double dragY;
    private Runnable changed = () -> {};

    /** @param picture where the picture lies now */
    void listen(Region view, Supplier<Rectangle2D> picture, Runnable redraw) {
        changed = redraw;
        view.addEventHandler(ScrollEvent.SCROLL, e -> {
            Rectangle2D p = picture.get();
            if (p.getWidth() > 0 && e.getDeltaY() != 0) {
                near(
                        e.getDeltaY() > 0 ? 1 : -1,
                        (e.getX() - p.getMinX()) / p.getWidth(),
                        (e.getY() - p.getMinY()) / p.getHeight());
                e.consume();
            }
        });
        view.addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            dragX = e.getX();
            dragY = e.getY();
        });
        view.addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> {
            Rectangle2D p = picture.get();
            if (factor > 1 && e.getButton() == MouseButton.PRIMARY && p.getWidth() > 0) {
                to(x - (e.getX() - dragX) / p.getWidth(), y - (e.getY() - dragY) / p.getHeight());
                dragX = e.getX();
                dragY = e.getY();
                e.consume();
            }
        });
    }

    public double factor() {
        return factor;
    }

    double x() {
        return x;
    }

    double y() {
        return y;
    }

    /** Nearer (positive) or farther by steps, about the middle. */
    public void near(int steps) {
        near(steps, x, y);
    }

    /** Nearer or farther about a place of the picture, which stays where it is on screen. */
    private void near(int steps, double atX, double atY) {
        double before = factor;
        factor = Math.max(1, Math.min(NEAREST, factor * Math.pow(STEP, steps)));
        double moved = 1 - before / factor;
        to(x + (atX - x) * moved, y + (atY - y) * moved);
    }

    /** Moves what is looked at, by an eighth of what is seen at a time. */
    public void pan(int right, int down) {
        to(x + right * PAN / factor, y + down * PAN / factor);
    }

    private void to(double nextX, double nextY) {
        double half = 0.5 / factor;
        x = Math.max(half, Math.min(1 - half, nextX));
        y = Math.max(half, Math.min(1 - half, nextY));
        changed.run();
    }

    /** The whole picture again. */
    public void whole() {
        factor = 1;
        to(0.5, 0.5);
    }

    /** Where a picture so long begins in a view so long, with the place looked at in the middle. */
    double begin(double view, double picture, double middle) {
        double begin = view / 2 - middle * picture;
        // no empty edge where the picture is larger than the view; in the middle where it is smaller
        return picture <= view ? (view - picture) / 2 : Math.max(view - picture, Math.min(0, begin));
    }
}
