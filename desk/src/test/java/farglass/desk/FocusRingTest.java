package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Where the keyboard is can be seen: whatever it stops at looks another way then. */
class FocusRingTest extends DeskDriver {
    private static final double ROUND = 3;
    private static final int DOTS = 8;

    private static void stops(Node node, List<Node> into) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        if (node.isFocusTraversable() && !(node instanceof ScrollPane)) {
            into.add(node);
        }
        if (node instanceof Parent p && !(node instanceof Spinner) && !(node instanceof ComboBoxBase)) {
            p.getChildrenUnmodifiable().forEach(c -> stops(c, into));
        }
    }

    private WritableImage picture(Bounds b) {
        SnapshotParameters part = new SnapshotParameters();
        part.setViewport(new Rectangle2D(
                b.getMinX() - ROUND, b.getMinY() - ROUND, b.getWidth() + 2 * ROUND, b.getHeight() + 2 * ROUND));
        return scene.getRoot().snapshot(part, null);
    }

    private static int different(WritableImage a, WritableImage b) {
        PixelReader one = a.getPixelReader();
        PixelReader two = b.getPixelReader();
        int n = 0;
        for (int y = 0; y < Math.min(a.getHeight(), b.getHeight()); y++) {
            for (int x = 0; x < Math.min(a.getWidth(), b.getWidth()); x++) {
                if (one.getArgb(x, y) != two.getArgb(x, y)) {
                    n++;
                }
            }
        }
        return n;
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void theKeyboardIsSeen(int station) throws Exception {
        onFx(() -> {
            shell.go(station);
            return null;
        });
        settle();
        Set<String> unseen = new TreeSet<>();
        List<Node> all = onFx(() -> {
            List<Node> stops = new ArrayList<>();
            stops(scene.getRoot(), stops);
            return stops;
        });
        assertThat(all).hasSizeGreaterThan(5);
        for (Node stop : all) {
            onFx(() -> {
                Bounds b = stop.localToScene(stop.getLayoutBounds());
                boolean shown = stop.getScene() == scene
                        && b.getWidth() > 0
                        && b.getMinX() >= 0
                        && b.getMaxX() <= scene.getWidth()
                        && b.getMinY() >= 0
                        && b.getMaxY() <= scene.getHeight();
                if (!shown) {
                    return null;
                }
                scene.getRoot().requestFocus();
                WritableImage without = picture(b);
                stop.requestFocus();
                WritableImage with = picture(stop.localToScene(stop.getLayoutBounds()));
                if (stop.isFocused() && different(without, with) < DOTS) {
                    unseen.add(stop.getClass().getSimpleName() + " " + stop.getStyleClass() + " " + stop.getId());
                }
                return null;
            });
        }
        assertThat(unseen).isEmpty();
    }
}
