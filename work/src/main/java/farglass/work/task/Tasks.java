package farglass.work.task;

import farglass.work.words.WorkWords;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Work off the thread of results (the interface thread of a window). A query asks something and may be dropped when a
 * newer one comes. A write changes the library, a command or an export makes something outside it: these are done in
 * the order given or told as not done, also when the window closes. Long work is one at a time, with progress and a way
 * to cancel it.
 */
public final class Tasks implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Tasks.class);
    private static final long CLOSE_SECONDS = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(r -> daemon(r, "library-writer"));
    private final ExecutorService commands = Executors.newSingleThreadExecutor(r -> daemon(r, "commands"));
    private final ExecutorService workers = Executors.newFixedThreadPool(2, r -> yielding(r, "worker"));
    private final ExecutorService longWorker = Executors.newSingleThreadExecutor(r -> yielding(r, "long-work"));
    private final Map<String, AtomicLong> newest = new ConcurrentHashMap<>();
    private final Map<Long, String> pending = new ConcurrentSkipListMap<>();
    private final AtomicLong begun = new AtomicLong();
    private final Executor results;
    private Consumer<Running> progress = running -> {};
    private Consumer<String> stopped = name -> {};
    /** What is to be done on the thread of results once nothing is pending; null for nothing. */
    private @Nullable Runnable whenDone;

    private volatile boolean cancelled;
    private volatile boolean closing;

    /**
     * The long task that runs.
     *
     * @param name what the user calls it; empty when none runs
     * @param share of it that is done, 0 to 1
     */
    public record Running(String name, double share) {
        public static final Running NONE = new Running("", 0);
    }

    /**
     * @param results where answers, outcomes and progress are delivered, in the order in which they come; one thread
     */
    public Tasks(Executor results) {
        this.results = results;
    }

    /** Work that reports its share done and stops soon after it is cancelled. */
    public interface LongTask {
        /** Runs to its end or until it is cancelled; progress is the share done, 0 to 1. */
        void run(DoubleConsumer progress, BooleanSupplier cancelled);
    }

    /**
     * What is computed leaves the processors to what the user sees and hears; so do the threads that it begins. Nothing
     * relies on it: where the system does not heed it, all is as before.
     */
    @SuppressWarnings("ThreadPriorityCheck")
    private static Thread yielding(Runnable r, String name) {
        Thread t = daemon(r, name);
        t.setPriority(Thread.MIN_PRIORITY);
        return t;
    }

    private static Thread daemon(Runnable r, String name) {
        Thread t = new Thread(r, name);
        t.setDaemon(true);
        return t;
    }

    /** Does something on the thread of results, behind what was delivered before. */
    public void deliver(Runnable work) {
        results.execute(work);
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
     * Does something that must not be dropped, after what was ordered before it. The window closes only when it is
     * done.
     *
     * @param name what the user calls it, told while the window waits for it
     */
    public <T> void command(String name, Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        if (commands.isShutdown()) {
            failed.accept(new IllegalStateException(WorkWords.of("closing.too-late")));
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
        results.execute(() -> {
            pending.remove(id);
            if (pending.isEmpty() && whenDone != null) {
                Runnable then = whenDone;
                whenDone = null;
                then.run();
            }
        });
    }

    private <T> void run(Callable<T> work, Consumer<T> done, Consumer<Exception> failed) {
        try {
            T value = work.call();
            results.execute(() -> done.accept(value));
        } catch (RuntimeException e) {
            LOG.warn("background work failed", e);
            results.execute(() -> failed.accept(e));
        } catch (Exception e) {
            // foreseen: its message says what happened, what was kept and what to do
            results.execute(() -> failed.accept(e));
        } catch (Error e) {
            LOG.error("background work failed", e);
            results.execute(() -> failed.accept(told(e)));
        }
    }

    /** An error of the machine as something a user can be told. */
    private static Exception told(Error e) {
        return new IllegalStateException(WorkWords.unexpected(e), e);
    }

    /** Queues a long work under a name shown while it runs; one that nobody needs when the window closes. */
    public void longTask(String name, LongTask work) {
        if (!longWorker.isShutdown() && !closing) {
            longWorker.execute(() -> {
                if (!closing) {
                    runLong(name, work, false);
                }
            });
        }
    }

    /** Queues a long work that leaves something behind: it is finished before the window closes, or told as stopped. */
    public void export(String name, LongTask work) {
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

    private void runLong(String name, LongTask work, boolean export) {
        cancelled = false;
        show(new Running(name, 0));
        try {
            work.run(
                    share -> show(new Running(name, share)),
                    () -> cancelled
                            || (closing && !export)
                            || Thread.currentThread().isInterrupted());
            if (export && cancelled) {
                results.execute(() -> stopped.accept(name));
            }
        } catch (RuntimeException | Error e) {
            LOG.error("long work failed", e);
            results.execute(() -> failedLong(name, e));
        } finally {
            show(Running.NONE);
        }
    }

    private void show(Running running) {
        results.execute(() -> progress.accept(running));
    }

    private void failedLong(String name, Throwable e) {
        stopped.accept(name + " ("
                + (e instanceof Error error
                        ? told(error).getMessage()
                        : e.getClass().getSimpleName()) + ")");
    }

    /** Asks the long task that runs to stop; what it has begun to write is taken away. */
    public void cancelLongTask() {
        cancelled = true;
    }

    /** Who hears the name of an export that was stopped before it was whole. */
    public void onStopped(Consumer<String> listener) {
        stopped = listener;
    }

    /** Who hears of the long task that runs, on the thread of results. */
    public void onProgress(Consumer<Running> listener) {
        progress = listener;
    }

    /** Commands and exports that are not done, in the order in which they were given. */
    public List<String> pending() {
        return List.copyOf(pending.values());
    }

    /** Lets go of everything but commands and exports; then, on the thread of results, does what closes the window. */
    public void finish(Runnable then) {
        closing = true;
        workers.shutdownNow();
        if (pending.isEmpty()) {
            then.run();
        } else {
            whenDone = then;
        }
    }

    /**
     * Waits for confirmed writes and what was ordered before; exports that still run are stopped and leave nothing
     * half-written.
     */
    @Override
    public void close() {
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
