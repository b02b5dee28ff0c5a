package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** Keys of a station reach it from the rail too, and what lies over the window comes and goes. */
class RailKeysTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2031-05-01T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private final FxRobot robot = new FxRobot();
    private Desk desk;
    private Shell shell;
    private Scene scene;

    @BeforeEach
    void open() throws Exception {
        Stage stage = FxToolkit.registerPrimaryStage();
        robot.interact(() -> {
            try {
                Look.load();
                Library library = Library.open(folder.resolve("my.farglass"), CLOCK);
                Demo.fill(library);
                desk = new Desk(LibraryContent.of(library), CLOCK);
                shell = new Shell(desk);
                scene = Look.scene(shell.view(), 1280, 800);
                stage.setScene(scene);
                stage.show();
                shell.shown();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
    }

    @AfterEach
    void close() {
        robot.interact(() -> {
            shell.go(0);
            desk.close();
        });
    }

    private void press(KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void aKeyOfTheStationWorksWhileTheRailHasTheKeyboard() {
        robot.interact(() -> {
            shell.go(7);
            shell.view().lookupAll(".rail-button").iterator().next().requestFocus();
        });
        assertThat(scene.getFocusOwner().getStyleClass()).contains("rail-button");
        press(KeyCode.F3);
        robot.interact(() -> assertThat(
                        ((javafx.scene.control.ToggleButton) scene.lookup("#debrief-page-decisions")).isSelected())
                .as("the next page")
                .isTrue());
    }

    @Test
    void aSheetKeepsItsKeysToItself() {
        robot.interact(() -> shell.go(7));
        press(KeyCode.F1);
        assertThat(scene.lookup("#key-sheet")).isNotNull();
        press(KeyCode.F3);
        robot.interact(() -> assertThat(
                        ((javafx.scene.control.ToggleButton) scene.lookup("#debrief-page-branches")).isSelected())
                .as("still the first page")
                .isTrue());
        press(KeyCode.F1);
    }

    @Test
    void everyStationIsReachedByItsNumber() {
        for (int i = 0; i < 8; i++) {
            press(KeyCode.CONTROL, KeyCode.valueOf("DIGIT" + (i + 1)));
            int n = i;
            robot.interact(() -> assertThat(shell.station(n).view().getScene())
                    .as("station " + n)
                    .isSameAs(scene));
        }
    }

    @Test
    void whatLiesOverTheWindowComesAndGoes() {
        Label over = new Label("over");
        over.setId("over");
        over.setFocusTraversable(true);
        robot.interact(() -> desk.cover().set(over));
        assertThat(scene.lookup("#over")).isSameAs(over);
        assertThat(scene.lookup("#shell")).as("the window stays below").isNotNull();
        assertThat(scene.getFocusOwner()).isSameAs(over);
        robot.interact(() -> desk.cover().set(null));
        assertThat(scene.lookup("#over")).isNull();
    }
}
