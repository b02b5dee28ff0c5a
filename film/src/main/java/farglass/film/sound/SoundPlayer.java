package farglass.film.sound;

import farglass.film.FilmException;
import java.nio.file.Path;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Plays the sound of one film on a thread of its own, following what the picture does. All methods return at once and
 * may be called from any thread; the newest request wins. A film without sound, and a machine without a sound line, are
 * silent.
 */
public final class SoundPlayer implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(SoundPlayer.class);

    private final Path film;
    private final Supplier<SoundLine> lines;
    private final ReentrantLock lock = new ReentrantLock();
    private final Condition changed = lock.newCondition();
    private boolean closed;
    private boolean muted;
    private Wish wish;
    private long version;

    private record Wish(long filmMs, double speed) {}

    /** Plays through the machine's own sound line. */
    public SoundPlayer(Path film) {
        this(film, SoundLine::ofMachine);
    }

    /** @param lines gives where the sound goes, when it is first needed; closed with this player */
    public SoundPlayer(Path film, Supplier<SoundLine> lines) {
        this.film = film;
        this.lines = lines;
        Thread thread = new Thread(this::run, "film-sound");
        thread.setDaemon(true);
        thread.start();
    }

    /** Sounds from a film moment on. */
    public void play(long filmMs, double speed) {
        ask(new Wish(filmMs, speed));
    }

    /** Falls silent. */
    public void stop() {
        ask(null);
    }

    private void ask(Wish next) {
        lock.lock();
        try {
            wish = next;
            version++;
            changed.signalAll();
        } finally {
            lock.unlock();
        }
    }

    /** Silent while true, going on with the film. */
    public void mute(boolean now) {
        lock.lock();
        try {
            muted = now;
        } finally {
            lock.unlock();
        }
    }

    private void run() {
        SoundReader reader = null;
        // opening a line may take long: here nobody waits for it
        SoundLine line = null;
        try {
            for (Wish next = await(); next != null; next = await()) {
                if (reader == null) {
                    reader = new SoundReader(film);
                    line = lines.get();
                }
                sound(reader, line, next);
            }
        } catch (FilmException e) {
            LOG.info("silent: {}", e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            if (reader != null) {
                reader.close();
            }
            if (line != null) {
                line.close();
            }
        }
    }

    private Wish await() throws InterruptedException {
        lock.lock();
        try {
            while (!closed && wish == null) {
                changed.await();
            }
            return closed ? null : wish;
        } finally {
            lock.unlock();
        }
    }

    private void sound(SoundReader reader, SoundLine line, Wish mine) throws FilmException {
        long asked = version();
        line.drop();
        reader.from(mine.filmMs(), mine.speed());
        for (short[] s = reader.next(); s != null; s = reader.next()) {
            boolean quiet;
            lock.lock();
            try {
                if (version != asked || closed) {
                    break;
                }
                quiet = muted;
            } finally {
                lock.unlock();
            }
            line.write(quiet ? new short[s.length] : s);
        }
        lock.lock();
        try {
            if (version == asked) {
                wish = null;
            } else {
                line.drop();
            }
        } finally {
            lock.unlock();
        }
    }

    private long version() {
        lock.lock();
        try {
            return version;
        } finally {
            lock.unlock();
        }
    }

    @Override
    public void close() {
        lock.lock();
        try {
            closed = true;
            version++;
            changed.signalAll();
        } finally {
            lock.unlock();
        }
    }
}
