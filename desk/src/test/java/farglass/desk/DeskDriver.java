package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.TextSize;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/** Opens the real window on a library of its own and drives it by keys and mouse. */
abstract class DeskDriver {
    static final Clock CLOCK = Clock.fixed(Instant.parse("2031-05-01T09:00:00Z"), ZoneOffset.UTC);
    /** Seconds to wait for what must come; less while a test is being written. */
    /** With Ctrl they lead to the stations. */
    static final KeyCode[] STATION_KEYS = {
        KeyCode.DIGIT1,
        KeyCode.DIGIT2,
        KeyCode.DIGIT3,
        KeyCode.DIGIT4,
        KeyCode.DIGIT5,
        KeyCode.DIGIT6,
        KeyCode.DIGIT7,
        KeyCode.DIGIT8
    };

    private static final long PATIENCE_SECONDS = Integer.getInteger("patience", 30);

    @TempDir
    Path folder;

    final FxRobot robot = new FxRobot();
    Stage stage;
    TextSize size = TextSize.PERCENT_100;
    Desk desk;
    Shell shell;
    Scene scene;

    @BeforeEach
    void start() throws Exception {
        stage = FxToolkit.registerPrimaryStage();
        onFx(() -> {
            Look.load();
            open(true);
            return null;
        });
        settle();
    }

    /** Opens the window on {@code my.farglass}, as starting the program does. */
    void open(boolean fill) throws Exception {
        Library library = Library.open(folder.resolve("my.farglass"), CLOCK);
        if (fill) {
            fill(library);
        }
        desk = new Desk(LibraryContent.of(library), CLOCK);
        shell = new Shell(desk);
        scene = Look.scene(shell.view(), 1280, 800, size);
        stage.setScene(scene);
        stage.show();
        shell.shown();
    }

    /** What the library holds before the window opens. */
    void fill(Library library) throws Exception {
        Demo.fill(library);
    }

    /** Goes to the profile, to its page of claims. */
    void toClaims() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        fire("#page-CLAIMS");
        await(
                "claims are there",
                () -> !((ListView<?>) find("#claims")).getItems().isEmpty());
    }

    /** Closes the library and opens it anew. */
    void restart() throws Exception {
        onFx(() -> {
            desk.close();
            open(false);
            return null;
        });
        settle();
    }

    @AfterEach
    void close() throws Exception {
        onFx(() -> {
            shell.go(0);
            desk.close();
            return null;
        });
    }

    static <T> T onFx(Callable<T> work) throws Exception {
        return WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    }

    /** Waits until something holds; what it is stands in the failure. */
    void await(String what, Callable<Boolean> holds) {
        await(what, PATIENCE_SECONDS, holds);
    }

    /** Waits until all that comes into sight piece by piece is there. */
    void settle() {
        WaitForAsyncUtils.waitForFxEvents();
        try {
            WaitForAsyncUtils.waitFor(PATIENCE_SECONDS, TimeUnit.SECONDS, () -> onFx(() -> Gradual.settled(scene)));
        } catch (TimeoutException e) {
            throw new AssertionError("waited in vain: the pieces of the view", e);
        }
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Waits for what takes its time, such as a film being drawn. */
    void await(String what, long seconds, Callable<Boolean> holds) {
        AtomicReference<Throwable> last = new AtomicReference<>();
        try {
            WaitForAsyncUtils.waitFor(
                    seconds,
                    TimeUnit.SECONDS,
                    () -> onFx(() -> {
                        try {
                            return holds.call();
                        } catch (AssertionError notYet) {
                            // such as a page that is not there yet
                            last.set(notYet);
                            return false;
                        }
                    }));
        } catch (TimeoutException e) {
            throw new AssertionError("waited in vain: " + what, last.get() == null ? e : last.get());
        }
        settle();
    }

    @SuppressWarnings({"unchecked", "TypeParameterUnusedInFormals"})
    <T extends Node> T find(String selector) {
        Node node = scene.lookup(selector);
        assertThat(node).as(selector).isNotNull();
        return (T) node;
    }

    void press(KeyCode... keys) {
        robot.push(keys);
        settle();
    }

    void fire(String selector) throws Exception {
        onFx(() -> {
            ((javafx.scene.control.ButtonBase) scene.lookup(selector)).fire();
            return null;
        });
        settle();
    }

    /** Types a phrase into the film station's line and confirms it. */
    void phrase(String text) {
        robot.interact(() -> find("#phrase").requestFocus());
        await("the line has the keyboard", () -> find("#phrase").isFocused());
        robot.write(text, 0);
        press(KeyCode.ENTER);
    }

    /** What all labels within a node say. */
    List<String> texts(String selector) {
        List<String> all = new ArrayList<>();
        for (Node n : find(selector).lookupAll(".label")) {
            all.add(((Labeled) n).getText());
        }
        return all;
    }

    /** Whether a label within a node holds some words. */
    boolean says(String selector, String words) {
        return texts(selector).stream().anyMatch(t -> t != null && t.contains(words));
    }

    /** Presses the first button within a node whose words begin so. */
    void fire(String within, String begins) throws Exception {
        onFx(() -> {
            find(within).lookupAll(".button").stream()
                    .map(Button.class::cast)
                    .filter(b -> b.getText() != null && b.getText().startsWith(begins))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("no button " + begins))
                    .fire();
            return null;
        });
        settle();
    }

    /** Chooses a page by its chip and waits for what stands on it. */
    void page(String chip, String shown) throws Exception {
        onFx(() -> {
            ((ToggleButton) find(chip)).fire();
            return null;
        });
        await("page " + chip, () -> scene.lookup(shown) != null);
    }

    /** Takes up another assignment of the demo. */
    void assign(String id) throws Exception {
        onFx(() -> {
            desk.assignment()
                    .set(desk.assignments().stream()
                            .filter(a -> a.id().equals(id))
                            .findFirst()
                            .orElseThrow());
            return null;
        });
    }

    String notice() throws Exception {
        return onFx(() ->
                scene.lookup("#notice").isVisible() ? ((Labeled) scene.lookup("#notice .notice-text")).getText() : "");
    }

    void awaitNotice(String part) {
        await("the notice says " + part, () -> notice0().contains(part));
    }

    private String notice0() {
        return ((Labeled) scene.lookup("#notice .notice-text")).getText();
    }

    static boolean onInterfaceThread() {
        return Platform.isFxApplicationThread();
    }
}
