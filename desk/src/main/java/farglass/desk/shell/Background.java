package farglass.desk.shell;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
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
 * Work off the interface thread. A query asks something and may be dropped when a newer one comes. A write changes the library, a
 * command or an export makes something outside it: these are done in the order given or told as not done, also when the window
 * closes. Long work is one at a time, with progress and a way to cancel it.
 */
public final class Background {
    private static final Logger LOG = LoggerFactory.getLogger(Background.class);
    private static final long CLOSE_SECONDS = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(r -> daemon(r, "library-writer"));
    private final ExecutorService commands = Executors.newSingleThreadExecutor(r -> daemon(r, "commands"));
    private final ExecutorService workers = Executors.newFixedThreadPool(2, r -> daemon(r, "worker"));
    private final ExecutorService longWorker = Executors.newSingleThreadExecutor(r -> daemon(r, "long-work"));
    private final Map<String, AtomicLong> newest = new ConcurrentHashMap<>();
    private final Map<Long, String> pending = new ConcurrentSkipListMap<>();
    private final AtomicLong begun = new AtomicLong();
    private final StringProperty longName = new SimpleStringProperty("");
    private final DoubleProperty longShare = new SimpleDoubleProperty();
    private Consumer<String> stopped = name -> {};
    /** What is to be done on the interface thread once nothing is pending; null for nothing. */
    private Runnable whenDone;

    private volatile boolean cancelled;
    private volatile boolean closing;

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

    /** Answers a question; when it is asked again meanwhile, only the newest answer is delivered. */
    public <T> void query(String question, Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
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

    /**
     * Does something that must not be dropped, after what was ordered before it. The window closes only when it is done.
     *
     * @param name what the user calls it, told while the window waits for it
     */
    public <T> void command(String name, Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        if (commands.isShutdown()) {
            failed.accept(new IllegalStateException(Words.of("closing.too-late")));
            return;
        }
        long id = begin(name);
        commands.execute(() -> {
            try {
                run(work, done, failed);
            } finally {
                end(id);
            }
        });
    }

    private long begin(String name) {
        long id = begun.incrementAndGet();
        pending.put(id, name);
        return id;
    }

    private void end(long id) {
        // after what the work itself has sent to the interface thread
        Platform.runLater(() -> {
            pending.remove(id);
            if (pending.isEmpty() && whenDone != null) {
                Runnable then = whenDone;
                whenDone = null;
                then.run();
            }
        });
    }

    private static <T> void run(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        try {
            T value = work.call();
            Platform.runLater(() -> done.accept(value));
        } catch (RuntimeException e) {
            LOG.warn("background work failed", e);
            Platform.runLater(() -> failed.accept(e));
        } catch (Exception e) {
            // foreseen: its message says what happened, what was kept and what to do
            Platform.runLater(() -> failed.accept(e));
        } catch (Error e) {
            LOG.error("background work failed", e);
            Platform.runLater(() -> failed.accept(told(e)));
        }
    }

    /** An error of the machine as something a user can be told. */
    private static Exception told(Error e) {
        return new IllegalStateException(
                e instanceof OutOfMemoryError
                        ? Words.of("error.memory")
                        : Words.of("error.unexpected", e.getClass().getSimpleName()),
                e);
    }

    /** Queues a long work under a name shown while it runs; one that nobody needs when the window closes. */
    public void longWork(String name, LongWork work) {
        if (!longWorker.isShutdown() && !closing) {
            longWorker.execute(() -> {
                if (!closing) {
                    runLong(name, work, false);
                }
            });
        }
    }

    /** Queues a long work that leaves something behind: it is finished before the window closes, or told as stopped. */
    public void export(String name, LongWork work) {
        if (longWorker.isShutdown()) {
            stopped.accept(name);
            return;
        }
        long id = begin(name);
        longWorker.execute(() -> {
            try {
                runLong(name, work, true);
            } finally {
                end(id);
            }
        });
    }

    private void runLong(String name, LongWork work, boolean export) {
        cancelled = false;
        Platform.runLater(() -> {
            longName.set(name);
            longShare.set(0);
        });
        try {
            work.run(
                    share -> Platform.runLater(() -> longShare.set(share)),
                    () -> cancelled
                            || closing && !export
                            || Thread.currentThread().isInterrupted());
            if (export && cancelled) {
                Platform.runLater(() -> stopped.accept(name));
            }
        } catch (RuntimeException | Error e) {
            LOG.error("long work failed", e);
            Platform.runLater(() -> failedLong(name, e));
        } finally {
            Platform.runLater(() -> longName.set(""));
        }
    }

    private void failedLong(String name, Throwable e) {
        stopped.accept(name + " ("
                + (e instanceof Error error
                        ? told(error).getMessage()
                        : e.getClass().getSimpleName()) + ")");
    }

    public void cancelLongWork() {
        cancelled = true;
    }

    /** Who hears the name of an export that was stopped before it was whole. */
    void onStopped(Consumer<String> listener) {
        stopped = listener;
    }

    /** Name of the long work that runs, empty when none does. */
    public ReadOnlyStringProperty longName() {
        return longName;
    }

    public ReadOnlyDoubleProperty longShare() {
        return longShare;
    }

    /** Commands and exports that are not done, in the order in which they were given. */
    public List<String> pending() {
        return List.copyOf(pending.values());
    }

    /** Lets go of everything but commands and exports; then, on the interface thread, does what closes the window. */
    public void finish(Runnable then) {
        closing = true;
        workers.shutdownNow();
        if (pending.isEmpty()) {
            then.run();
        } else {
            whenDone = then;
        }
    }

    /** Waits for confirmed writes and what was ordered before; exports that still run are stopped and leave nothing half-written. */
    void close() {
        closing = true;
        workers.shutdownNow();
        commands.shutdown();
        longWorker.shutdown();
        try {
            if (!commands.awaitTermination(CLOSE_SECONDS, TimeUnit.SECONDS)) {
                LOG.error("a command did not finish in time");
            }
            cancelled = true;
            // the running one stops by itself, and those queued behind it are not begun
            longWorker.shutdownNow();
            longWorker.awaitTermination(CLOSE_SECONDS, TimeUnit.SECONDS);
            writer.shutdown();
            if (!writer.awaitTermination(CLOSE_SECONDS, TimeUnit.SECONDS)) {
                LOG.error("a write did not finish in time");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
