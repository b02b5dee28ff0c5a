package farglass.desk.shell;

import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.application.Platform;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Work off the interface thread: writes in order on one thread, computations of which only the newest per question counts,
 * and one long work at a time with progress and a way to cancel it.
 */
public final class Background {
    private static final Logger LOG = LoggerFactory.getLogger(Background.class);
    private static final long CLOSE_SECONDS = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(r -> daemon(r, "library-writer"));
    private final ExecutorService workers = Executors.newFixedThreadPool(2, r -> daemon(r, "worker"));
    private final ExecutorService longWorker = Executors.newSingleThreadExecutor(r -> daemon(r, "long-work"));
    private final Map<String, AtomicLong> newest = new ConcurrentHashMap<>();
    private final StringProperty longName = new SimpleStringProperty("");
    private final DoubleProperty longShare = new SimpleDoubleProperty();
    private volatile boolean cancelled;

    /** Work that reports its share done and stops soon after it is cancelled. */
    public interface LongWork {
        void run(DoubleConsumer progress, BooleanSupplier cancelled);
    }

    private static Thread daemon(Runnable r, String name) {
        Thread t = new Thread(r, name);
        t.setDaemon(true);
        return t;
    }

    /** Runs writes one after the other, in the order given. */
    public <T> void write(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        writer.execute(() -> run(work, done, failed));
    }

    /** Computes the answer to a question; when it is asked again meanwhile, only the newest answer is delivered. */
    public <T> void compute(String question, Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        AtomicLong counter = newest.computeIfAbsent(question, k -> new AtomicLong());
        long mine = counter.incrementAndGet();
        if (workers.isShutdown()) {
            // the window is closing: nobody will look at the answer
            return;
        }
        workers.execute(() -> {
            if (counter.get() == mine) {
                run(
                        work,
                        value -> {
                            if (counter.get() == mine) {
                                done.accept(value);
                            }
                        },
                        failed);
            }
        });
    }

    private static <T> void run(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        try {
            T value = work.call();
            Platform.runLater(() -> done.accept(value));
        } catch (Exception e) {
            LOG.warn("background work failed", e);
            Platform.runLater(() -> failed.accept(e));
        }
    }

    /** Queues a long work under a name shown while it runs. */
    public void longWork(String name, LongWork work) {
        if (longWorker.isShutdown()) {
            return;
        }
        longWorker.execute(() -> {
            cancelled = false;
            Platform.runLater(() -> {
                longName.set(name);
                longShare.set(0);
            });
            try {
                work.run(share -> Platform.runLater(() -> longShare.set(share)), () -> cancelled);
            } catch (RuntimeException e) {
                LOG.error("long work failed: {}", name, e);
            } finally {
                Platform.runLater(() -> longName.set(""));
            }
        });
    }

    public void cancelLongWork() {
        cancelled = true;
    }

    /** Name of the long work that runs, empty when none does. */
    public ReadOnlyStringProperty longName() {
        return longName;
    }

    public ReadOnlyDoubleProperty longShare() {
        return longShare;
    }

    /** Waits for confirmed writes; drops everything else. */
    void close() {
        cancelled = true;
        workers.shutdownNow();
        longWorker.shutdown();
        writer.shutdown();
        try {
            if (!writer.awaitTermination(CLOSE_SECONDS, TimeUnit.SECONDS)) {
                LOG.error("a write did not finish in time");
            }
            longWorker.awaitTermination(CLOSE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
