package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import org.junit.jupiter.api.Test;

/** In a window of 1024 by 640 everything can be reached. */
class SmallWindowTest extends DeskDriver {
    private void resize(double wide, double high) throws Exception {
        onFx(() -> {
            scene.getWindow().setWidth(wide);
            scene.getWindow().setHeight(high);
            return null;
        });
        settle();
    }

    private static Bounds inScene(Node n) {
        return n.localToScene(n.getLayoutBounds());
    }

    @Test
    void whatDoesNotFitIsScrolledTo() throws Exception {
        onFx(() -> {
            shell.go(5);
            return null;
        });
        settle();
        resize(1024, 640);
        ScrollPane frame = find("#frame");
        Node last = find("#plan-against").getParent();
        assertThat(onFx(() -> inScene(last).getMaxX()))
                .as("its head is wider than the window")
                .isGreaterThan(1024);
        onFx(() -> {
            frame.setHvalue(1);
            return null;
        });
        settle();
        assertThat(onFx(() -> inScene(last).getMaxX())).isLessThanOrEqualTo(1024);
        ScrollPane rail = find("#rail-frame");
        onFx(() -> {
            rail.setVvalue(1);
            return null;
        });
        settle();
        assertThat(onFx(() -> inScene(find("#rail-about")).getMaxY())).isLessThanOrEqualTo(640);
        resize(1280, 800);
        assertThat(onFx(() -> inScene(last).getMaxX())).as("without scrolling").isLessThanOrEqualTo(1280);
    }
}
