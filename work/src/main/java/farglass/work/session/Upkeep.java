package farglass.work.session;

import farglass.lexicon.Lexicon;
import farglass.store.Library;
import farglass.store.LibraryException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps up what a large library is read by, while it is open: heads of matches and counts of athletes. On a thread of
 * its own that gives way to all others, in pieces of milliseconds.
 */
public final class Upkeep implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);
    /** After an opening the first page comes first. */
    private static final long FIRST_MS = 15_000;

    private static final long REST_MS = 60_000;
    /** Between two pieces, so that whoever writes is not kept waiting by one after the other. */
    private static final long BREATH_MS = 5;

    private final Library library;
    private final Lexicon lexicon;
    private final Thread thread;
    private volatile boolean closed;

    Upkeep(Library library, Lexicon lexicon) {
        this.library = library;
        this.lexicon = lexicon;
        this.thread = new Thread(this::run, "upkeep");
        thread.setDaemon(true);
        lower(thread);
    }

    @SuppressWarnings("ThreadPriorityCheck")
    private static void lower(Thread t) {
        t.setPriority(Thread.MIN_PRIORITY);
    }

    /** Keeps it up now, where a command has changed a library so large that it is read by need. */
    public static void now(Library library) throws LibraryException {
        if (library.readOnly() || library.heads().count() <= LibraryContent.READ_WHOLE) {
            return;
        }
        Lexicon lexicon = TeamWords.of(library.settings()).lexicon();
        boolean more = true;
        while (more) {
            more = library.heads().keepUp(lexicon);
        }
    }

    void start() {
        thread.start();
    }

    private void run() {
        try {
            Thread.sleep(FIRST_MS);
            while (!closed) {
                while (!closed && library.heads().keepUp(lexicon)) {
                    Thread.sleep(BREATH_MS);
                }
                Thread.sleep(REST_MS);
            }
        } catch (LibraryException | RuntimeException e) {
            // nothing is lost by it but the time of the next opening; what is wrong is told where it is in the way
            LOG.warn("heads and counts are not kept up until the next opening", e);
        } catch (InterruptedException e) {
            // the library is being closed
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        closed = true;
        thread.interrupt();
    }
}
