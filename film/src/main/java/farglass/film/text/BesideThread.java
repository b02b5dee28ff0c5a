package farglass.film.text;

import farglass.film.FilmException;
import farglass.film.FilmWords;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** One thread on which a network works beside its caller, who decodes the next pictures meanwhile. */
public final class BesideThread implements AutoCloseable {
    /** What a network does at once takes a fraction of this. */
    private static final int LONGEST_S = 60;

    private final ExecutorService thread = Executors.newSingleThreadExecutor();

    public <T> Future<T> begin(Callable<T> work) {
        return thread.submit(work);
    }

    /**
     * What was begun, when it is done.
     *
     * @throws FilmException what the work threw, or that the wait was cancelled
     */
    public static <T> T result(Future<T> begun) throws FilmException {
        try {
            return begun.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new FilmException(FilmWords.of("reading.cancelled"));
        } catch (ExecutionException e) {
            if (e.getCause() instanceof FilmException f) {
                throw f;
            }
            throw new IllegalStateException(e.getCause());
        }
    }

    /** The same, also when the caller is to stop: what was begun takes a moment only. */
    public static <T> T settled(Future<T> begun) throws FilmException {
        boolean interrupted = Thread.interrupted();
        try {
            while (!begun.isDone()) {
                try {
                    begun.get(LONGEST_S, TimeUnit.SECONDS);
                } catch (InterruptedException e) {
                    interrupted = true;
                } catch (ExecutionException e) {
                    break;
                } catch (TimeoutException e) {
                    throw new IllegalStateException("a network has not come to an end", e);
                }
            }
            return result(begun);
        } finally {
            if (interrupted) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** Waits for what goes on and drops the rest: a network must not be closed while it is at work. */
    @Override
    public void close() {
        thread.shutdownNow();
        try {
            if (!thread.awaitTermination(LONGEST_S, TimeUnit.SECONDS)) {
                throw new IllegalStateException("a network has not come to an end");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
