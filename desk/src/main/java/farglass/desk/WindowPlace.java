package farglass.desk;

import java.util.Collection;
import java.util.Optional;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** Where the window was and how large, in pixels of the screen; kept with the library. */
record WindowPlace(double x, double y, double width, double height, boolean maximized) {
    static final String PREFERENCE = "window.place";
    /** So much of the top must be on a screen that it can be taken hold of. */
    private static final double HOLD = 120;

    private static final double TITLE = 30;
    private static final int PARTS = 5;

    static WindowPlace of(Stage stage) {
        return new WindowPlace(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight(), stage.isMaximized());
    }

    /** One that was kept; empty for anything else. */
    static Optional<WindowPlace> read(String text) {
        String[] parts = text.strip().split(" ");
        if (parts.length != PARTS) {
            return Optional.empty();
        }
        try {
            WindowPlace p = new WindowPlace(
                    Double.parseDouble(parts[0]),
                    Double.parseDouble(parts[1]),
                    Double.parseDouble(parts[2]),
                    Double.parseDouble(parts[3]),
                    Boolean.parseBoolean(parts[4]));
            return Double.isFinite(p.x + p.y) && p.width > 0 && p.height > 0 ? Optional.of(p) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    String text() {
        return x + " " + y + " " + width + " " + height + " " + maximized;
    }

    /** Whether it can be seen and moved there: screens come and go. */
    boolean on(Collection<Rectangle2D> screens) {
        return screens.stream()
                .anyMatch(s -> s.getMinY() <= y
                        && y + TITLE <= s.getMaxY()
                        && Math.min(x + width, s.getMaxX()) - Math.max(x, s.getMinX()) >= HOLD);
    }

    /** Puts a window there, if that is on a screen. */
    void use(Stage stage) {
        if (on(Screen.getScreens().stream().map(Screen::getVisualBounds).toList())) {
            stage.setX(x);
            stage.setY(y);
            stage.setWidth(width);
            stage.setHeight(height);
            stage.setMaximized(maximized);
        }
    }
}
