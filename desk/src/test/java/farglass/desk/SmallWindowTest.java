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
        Node last = find("#plan-against").getParent();
        assertThat(onFx(() -> inScene(last).getMaxX()))
                .as("its head goes on in the next line")
                .isLessThanOrEqualTo(1024);
        assertThat(onFx(() -> inScene(last).getHeight())).isGreaterThan(50);
        resize(760, 500);
        ScrollPane frame = find("#frame");
        Node dials = find("#plan-against").getParent().getParent().getParent();
        assertThat(onFx(() -> inScene(dials).getMaxY()))
                .as("the page is higher than the window")
                .isGreaterThan(500);
        onFx(() -> {
            frame.setVvalue(1);
            return null;
        });
        settle();
        assertThat(onFx(() -> inScene(dials).getMaxY())).isLessThanOrEqualTo(500);
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
