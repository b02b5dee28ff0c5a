package farglass.work.team;

import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Mirror;
import farglass.store.TeamChange;
import farglass.store.server.Exchange;
import farglass.store.server.TeamAddress;
import farglass.store.server.TeamException;
import farglass.store.server.TeamServer;
import farglass.team.TeamRole;
import farglass.work.words.WorkWords;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Sends what is confirmed in a mirror as soon as it is, takes in what others do as soon as the server tells of it, and
 * goes on trying when the server is not reached. Has a thread of its own; all methods may be called from any thread.
 */
public final class TeamLink implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(TeamLink.class);
    /** How long the server is listened to before one looks whether there is something to be sent, ms. */
    private static final int LISTEN_MS = 50;
    /** How often one says that one is here, and looks whether the line stands, ms. */
    private static final long HERE_MS = 15_000;
    /** Who was not heard of for so long is not here any more, seconds. */
    private static final int GONE_SECONDS = 40;

    private static final long FIRST_PAUSE_MS = 500;
    private static final long LONGEST_PAUSE_MS = 15_000;
    private static final long LEAST_BREATH_MS = 40;
    private static final long LONGEST_BREATH_MS = 400;
    private static final long CLOSING_MS = 3000;

    private final Library library;
    private final Executor results;
    private final TeamListener listener;
    private final String name;
    private final Thread thread = new Thread(this::run, "team");
    private final ReentrantLock lock = new ReentrantLock();
    private final Condition awake = lock.newCondition();
    private volatile boolean nudged;
    private volatile boolean hurried;
    private volatile boolean moved;
    private volatile boolean closed;
    private volatile @Nullable String match;
    private List<TeamStatus.Present> present = List.of();
    /** What one may do there; null while it has not been reached. */
    private volatile @Nullable TeamRole role;

    /** Null but while the team's library comes for the first time. */
    private @Nullable Double came;

    /**
     * @param library a mirror
     * @param name who works here, as others see it
     * @param results where the listener is called
     */
    public TeamLink(Library library, String name, Executor results, TeamListener listener) {
        this.library = library;
        this.name = name;
        this.results = results;
        this.listener = listener;
        thread.setDaemon(true);
        library.onWaiting(this::nudge);
    }

    /** Begins. */
    public void start() {
        thread.start();
    }

    /** There is something to be sent. */
    public void nudge() {
        nudged = true;
    }

    /** It is to be tried now, also when the server was away a moment ago. */
    public void tryNow() {
        nudged = true;
        hurried = true;
        lock.lock();
        try {
            awake.signalAll();
        } finally {
            lock.unlock();
        }
    }

    /** Which match is looked at here; null for none. */
    public void at(@Nullable String id) {
        match = id;
        moved = true;
    }

    private void run() {
        long pause = FIRST_PAUSE_MS;
        while (!closed) {
            try (TeamServer server = TeamServer.open(address())) {
                moved = true;
                role = server.role().orElse(null);
                while (!closed) {
                    nudged = false;
                    long begun = System.nanoTime();
                    exchange(server);
                    here(server);
                    status(true, null);
                    pause = FIRST_PAUSE_MS;
                    breathe(begun);
                    listen(server);
                }
                // what was confirmed last
                new Exchange(library, server).both();
            } catch (TeamException e) {
                present = List.of();
                status(false, e.getMessage());
                LOG.info("the team's library is not reached: {}", e.kind());
            } catch (LibraryException | RuntimeException e) {
                present = List.of();
                status(false, String.valueOf(e.getMessage()));
                LOG.warn("the mirror cannot be brought up to date", e);
            }
            rest(pause);
            pause = Math.min(2 * pause, LONGEST_PAUSE_MS);
        }
    }

    private TeamAddress address() throws LibraryException {
        return new TeamAddress(library.mirror()
                .state()
                .map(Mirror.State::url)
                .orElseThrow(() -> new IllegalStateException("not a mirror")));
    }

    /** As long as it took, so that where much comes in it comes in together and the machine has half of its time. */
    private void breathe(long begun) {
        long took = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
        try {
            Thread.sleep(Math.max(LEAST_BREATH_MS, Math.min(took, LONGEST_BREATH_MS)));
        } catch (InterruptedException e) {
            closed = true;
        }
    }

    private void listen(TeamServer server) throws TeamException {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(HERE_MS);
        while (!closed && !nudged && !moved) {
            if (server.heard(LISTEN_MS)) {
                return;
            }
            if (System.nanoTime() > until) {
                moved = true;
            }
        }
    }

    private void here(TeamServer server) throws LibraryException, TeamException {
        String id = library.mirror().state().map(Mirror.State::mirror).orElse("");
        if (moved) {
            moved = false;
            server.present(id, name, match);
        }
        present = server.present(GONE_SECONDS).stream()
                .filter(p -> !p.mirror().equals(id))
                .map(p -> new TeamStatus.Present(p.name(), p.match()))
                .toList();
    }

    /** What came in is told also when the line breaks behind it. */
    private void exchange(TeamServer server) throws LibraryException, TeamException {
        Exchange[] running = new Exchange[1];
        // while a library comes for the first time it is shown page by page
        Exchange exchange = new Exchange(library, server, share -> {
            told(running[0].takeChanged());
            came = share;
            status(true, null);
        });
        running[0] = exchange;
        try {
            exchange.both();
        } finally {
            came = null;
            told(exchange.changed());
        }
    }

    private void told(Map<TeamChange.Kind, Set<String>> changed) {
        if (!changed.isEmpty()) {
            results.execute(() -> listener.changed(changed));
        }
    }

    private void status(boolean reached, @Nullable String problem) {
        try {
            Mirror.State s = library.mirror().state().orElseThrow();
            TeamStatus now =
                    new TeamStatus(reached, s.waiting(), s.clashes(), s.reachedAt(), problem, present, role, came);
            results.execute(() -> listener.status(now));
        } catch (LibraryException e) {
            String why = WorkWords.of("team.unread", e.getMessage());
            results.execute(() -> listener.status(new TeamStatus(false, 0, 0, null, why, List.of(), role, null)));
        }
    }

    private void rest(long ms) {
        lock.lock();
        try {
            long left = TimeUnit.MILLISECONDS.toNanos(ms);
            // what is confirmed meanwhile does not hasten it: the server is away
            while (left > 0 && !closed && !hurried) {
                left = awake.awaitNanos(left);
            }
            hurried = false;
        } catch (InterruptedException e) {
            closed = true;
        } finally {
            lock.unlock();
        }
    }

    /** Sends what waits if that goes at once, and ends; what is left is sent the next time. */
    @Override
    public void close() {
        closed = true;
        tryNow();
        library.onWaiting(() -> {});
        try {
            thread.join(CLOSING_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
