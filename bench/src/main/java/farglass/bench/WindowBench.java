package farglass.bench;

import farglass.desk.Demo;
import farglass.desk.Shell;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;

/**
 * From the Enter key to the tag drawn: the key goes to the real window (drawn off screen), the clock stops when the
 * pulse that lays out and paints the changed tide line is over.
 */
final class WindowBench {
    private static final int RUNS = 60;
    private static final int WARM = 15;

    private WindowBench() {}

    record Figures(double median, double max, int runs) {}

    static Figures run(Path folder) throws Exception {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        CountDownLatch started = new CountDownLatch(1);
        Platform.startup(started::countDown);
        started.await();
        AtomicReference<Window> window = new AtomicReference<>();
        onFx(() -> window.set(new Window(folder)));
        double[] ms = new double[RUNS];
        for (int i = -WARM; i < RUNS; i++) {
            double took = window.get().tag(i);
            if (i >= 0) {
                ms[i] = took;
            }
        }
        onFx(() -> window.get().desk.close());
        Arrays.sort(ms);
        return new Figures(ms[RUNS / 2], ms[RUNS - 1], RUNS);
    }

    private interface Work {
        void run() throws Exception;
    }

    private static void onFx(Work work) throws InterruptedException {
        CountDownLatch done = new CountDownLatch(1);
        Platform.runLater(() -> {
            try {
                work.run();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            } finally {
                done.countDown();
            }
        });
        done.await();
    }

    /** The real window on the demo library, with a match without film open. */
    private static final class Window {
        private final Desk desk;
        private final Scene scene;
        private final TextField phrase;

        Window(Path folder) throws Exception {
            Look.load();
            Library library = Library.open(folder.resolve("w.farglass"), Clock.systemUTC());
            Demo.fill(library);
            desk = new Desk(LibraryContent.of(library), Clock.systemUTC());
            Shell shell = new Shell(desk);
            scene = Look.scene(shell.view(), 1280, 800);
            Stage stage = new Stage();
            stage.setScene(scene);
            stage.show();
            desk.openMatch(desk.matches().stream()
                    .filter(r -> r.films().isEmpty())
                    .max(java.util.Comparator.comparingInt(r -> r.tags().size()))
                    .orElseThrow()
                    .id());
            shell.go(1);
            phrase = (TextField) scene.lookup("#phrase");
        }

        double tag(int n) throws InterruptedException {
            onFx(() -> phrase.setText("b knee cut right " + (n % 2 == 0 ? "near" : "stuffed")));
            CountDownLatch drawn = new CountDownLatch(1);
            long[] times = new long[2];
            onFx(() -> {
                MatchRecord before = desk.openRecord().get();
                Runnable[] after = new Runnable[1];
                after[0] = () -> {
                    if (desk.openRecord().get() != before) {
                        times[1] = System.nanoTime();
                        scene.removePostLayoutPulseListener(after[0]);
                        drawn.countDown();
                    }
                };
                scene.addPostLayoutPulseListener(after[0]);
                times[0] = System.nanoTime();
                Event.fireEvent(
                        phrase, new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
            });
            if (!drawn.await(10, TimeUnit.SECONDS)) {
                throw new IllegalStateException("the tag was not drawn");
            }
            return (times[1] - times[0]) / 1e6;
        }
    }
}
