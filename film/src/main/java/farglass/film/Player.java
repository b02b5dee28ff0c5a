package farglass.film;

import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Plays one film on a thread of its own. All methods return at once and may be called from any thread; the newest
 * request wins, steps add up. Pictures are handed to a {@link Screen} in turn from three buffers.
 */
public final class Player implements AutoCloseable {
    public static final double SLOWEST = 1 / 8.0;
    public static final double FASTEST = 4;
    private static final long NANOS_PER_MS = 1_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(Player.class);

    private final Path path;
    private final Screen screen;
    private final LongSupplier nanos;
    private final Thread thread;
    private final ReentrantLock lock = new ReentrantLock();
    private final Condition changed = lock.newCondition();

    private FilmInfo info;
    private FilmFile film;
    private volatile boolean closed;
    private volatile Quick quick = Quick.NONE;
    private volatile Sound sound = Sound.NONE;
    private boolean playing;
    private double speed = 1;
    private int current = -1;
    private int wanted = -1;
    private long wantedMs = -1;
    private Loop loop;
    /** Speeds at which a span under review is still to be played. */
    private final Deque<Double> passes = new ArrayDeque<>();

    private boolean reviewing;
    private double speedBefore = 1;
    private long anchorNanos;
    private long anchorMs;

    /** Where pictures go. Called on the player's thread. */
    public interface Screen {
        /** The film is open; buffers of {@link #show} have this size from now on. */
        void opened(FilmInfo info);

        /**
         * A picture to show.
         *
         * @param buffer which of the three buffers, 0 to 2
         * @param bgra its content; written again only after two more pictures
         */
        void show(int buffer, ByteBuffer bgra, int frame, FilmTime time);

        /** Playing began or stopped. */
        void playing(boolean now);

        /** The player changed its speed by itself, on the way through a {@link Player#review}. */
        default void speed(double now) {}

        /** A frame cannot be shown; the picture before it stays. */
        default void damaged(String message) {}

        /** The film cannot be used, or not from here on. */
        void failed(String message);
    }

    /** A span played again and again, [from, to). */
    public record Loop(FilmTime from, FilmTime to) {}

    /** Opens the film in the background; the screen hears of it. */
    public Player(Path path, Screen screen) {
        this(path, screen, System::nanoTime);
    }

    Player(Path path, Screen screen, LongSupplier nanos) {
        this.path = path;
        this.screen = screen;
        this.nanos = nanos;
        this.thread = new Thread(this::run, "film-player");
        thread.setDaemon(true);
        thread.start();
    }

    public void play() {
        change(() -> setPlaying(true));
    }

    public void pause() {
        change(() -> setPlaying(false));
    }

    public void toggle() {
        change(() -> setPlaying(!playing));
    }

    private void setPlaying(boolean now) {
        if (now == playing) {
            return;
        }
        if (now && info != null && current >= info.frames() - 1) {
            wanted = 0;
        }
        playing = now;
        anchor();
        screen.playing(now);
    }

    /** @param factor film seconds per second, clipped to 1/8..4 */
    public void speed(double factor) {
        change(() -> {
            speed = Math.max(SLOWEST, Math.min(FASTEST, factor));
            anchor();
        });
    }

    /** Shows the frame at a film time; playing goes on from there. */
    public void seek(FilmTime t) {
        change(() -> {
            wantedMs = t.ms();
            wanted = -1;
        });
    }

    /** Moves by a film time, negative for back. */
    public void jump(long ms) {
        change(() -> {
            long from = wantedMs >= 0
                    ? wantedMs
                    : film == null || current < 0 ? 0 : film.timeOf(current).ms();
            wantedMs = Math.max(0, from + ms);
            wanted = -1;
        });
    }

    /** Stops and moves by whole frames, negative for back; several calls add up. */
    public void step(int frames) {
        change(() -> {
            if (reviewing) {
                endReview();
                loop = null;
            }
            setPlaying(false);
            int from = wanted >= 0 ? wanted : Math.max(0, current);
            wanted = from + frames;
            wantedMs = -1;
            if (film != null) {
                wanted = clip(wanted);
            }
        });
    }

    /** Plays a span again and again; null ends it. */
    public void loop(Loop span) {
        change(() -> {
            endReview();
            loop = span;
            if (span != null) {
                wantedMs = span.from().ms();
                wanted = -1;
            }
        });
    }

    /**
     * Plays a span once at each of the speeds, one after the other, then stops at its end with the speed it had before.
     *
     * @param speeds film seconds per second, each clipped to 1/8..4; at least one
     */
    public void review(Loop span, List<Double> speeds) {
        change(() -> {
            speedBefore = speed;
            passes.clear();
            passes.addAll(speeds);
            loop = span;
            wantedMs = span.from().ms();
            wanted = -1;
            nextPass();
            setPlaying(true);
        });
    }

    private void nextPass() {
        speed = Math.max(SLOWEST, Math.min(FASTEST, passes.remove()));
        reviewing = true;
        screen.speed(speed);
    }

    /** The end of a looped span: from its beginning again, or, when a review is over, a stop. */
    private void spanEnded() {
        if (!reviewing) {
            wantedMs = loop.from().ms();
        } else if (!passes.isEmpty()) {
            nextPass();
            wantedMs = loop.from().ms();
        } else {
            endReview();
            loop = null;
            setPlaying(false);
        }
    }

    private void endReview() {
        if (reviewing) {
            reviewing = false;
            passes.clear();
            speed = speedBefore;
            screen.speed(speed);
        }
    }

    private int clip(int frame) {
        return Math.max(0, Math.min(frame, info.frames() - 1));
    }

    private void anchor() {
        anchorNanos = nanos.getAsLong();
        anchorMs = film == null || current < 0 ? 0 : film.timeOf(current).ms();
        follow();
    }

    private void change(Runnable request) {
        lock.lock();
        try {
            request.run();
            changed.signalAll();
        } finally {
            lock.unlock();
        }
    }

    private void run() {
        try (FilmFile opened = FilmFile.open(path, () -> closed)) {
            FilmInfo description = opened.info();
            screen.opened(description);
            lock.lock();
            try {
                info = description;
                film = opened;
                if (wanted < 0 && wantedMs < 0) {
                    wanted = 0;
                }
            } finally {
                lock.unlock();
            }
            ByteBuffer[] buffers = PictureBuffers.take(description.shownWidth(), description.shownHeight());
            try {
                showFrames(opened, buffers);
            } finally {
                PictureBuffers.giveBack(buffers);
            }
            quick.close();
        } catch (FilmException e) {
            quick.close();
            if (!closed) {
                screen.failed(e.getMessage());
            }
        } catch (RuntimeException e) {
            LOG.error("the player stopped", e);
            quick.close();
            if (!closed) {
                screen.failed(
                        FilmWords.of("stopped", path.getFileName(), e.getClass().getSimpleName()));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void showFrames(FilmFile opened, ByteBuffer[] buffers) throws FilmException, InterruptedException {
        int buffer = 0;
        for (int frame = nextFrame(opened); frame >= 0; frame = nextFrame(opened)) {
            if (!opened.near(frame) && quick.draw(opened.timeOf(frame).ms(), buffers[buffer])) {
                screen.show(buffer, buffers[buffer], frame, opened.timeOf(frame));
                buffer = (buffer + 1) % buffers.length;
            }
            try {
                if (opened.picture(frame, buffers[buffer], this::newerWanted)) {
                    screen.show(buffer, buffers[buffer], frame, opened.timeOf(frame));
                    buffer = (buffer + 1) % buffers.length;
                }
            } catch (FilmException e) {
                // what was shown before stays, under its own number; the next frame may be whole
                screen.damaged(e.getMessage());
            }
        }
    }

    /** Whether another place has been asked for since, so that this one need not be decoded to the end. */
    private boolean newerWanted() {
        lock.lock();
        try {
            return closed || wantedMs >= 0;
        } finally {
            lock.unlock();
        }
    }

    /** Pictures that can be had at once, shown while the film itself is still being decoded. */
    public interface Quick {
        Quick NONE = (ms, target) -> false;

        /**
         * Draws the picture at a film moment in the film's own size. Called on the player's thread.
         *
         * @return false when there is none
         */
        boolean draw(long filmMs, ByteBuffer bgra);

        /** Frees what it holds. Called on the player's thread when the player closes. */
        default void close() {}
    }

    /** The sound that follows the picture. Called with the player's lock held: must return at once. */
    public interface Sound {
        Sound NONE = new Sound() {
            @Override
            public void play(long filmMs, double speed) {
                // silent
            }

            @Override
            public void stop() {
                // silent
            }
        };

        /** The picture runs from this moment on. */
        void play(long filmMs, double speed);

        /** The picture stands. */
        void stop();
    }

    /** Sets what sounds with the picture; may be called at any time. */
    public void sound(Sound s) {
        change(() -> {
            sound = s;
            follow();
        });
    }

    /** The sound does what the picture does. */
    private void follow() {
        if (playing) {
            sound.play(anchorMs, speed);
        } else {
            sound.stop();
        }
    }

    /** Sets where quick pictures come from; may be called at any time. */
    public void quick(Quick pictures) {
        quick = pictures;
    }

    /** Waits until a frame is due and says which; -1 when the player is closed. */
    private int nextFrame(FilmFile opened) throws InterruptedException {
        lock.lock();
        try {
            while (!closed) {
                if (wantedMs >= 0) {
                    wanted = opened.frameAt(FilmTime.ofMs(wantedMs));
                    wantedMs = -1;
                }
                if (wanted >= 0) {
                    int frame = clip(wanted);
                    wanted = -1;
                    anchorNanos = nanos.getAsLong();
                    anchorMs = opened.timeOf(frame).ms();
                    follow();
                    // set before it is decoded, so that a step asked for meanwhile counts from here
                    current = frame;
                    return frame;
                }
                if (!playing) {
                    changed.await();
                    continue;
                }
                int due = dueFrame(opened);
                if (due >= 0) {
                    current = due;
                    return due;
                }
            }
            return -1;
        } finally {
            lock.unlock();
        }
    }

    /** The frame the clock asks for now; waits a moment and gives -1 when the present one still stands. */
    @SuppressWarnings("WaitNotInLoop") // the loop is that of nextFrame
    private int dueFrame(FilmFile opened) throws InterruptedException {
        long filmMs = anchorMs + (long) ((nanos.getAsLong() - anchorNanos) * speed / NANOS_PER_MS);
        if (loop != null && filmMs >= loop.to().ms()) {
            spanEnded();
            return -1;
        }
        int frame = opened.frameAt(FilmTime.ofMs(filmMs));
        if (frame > current) {
            return frame;
        }
        if (current >= info.frames() - 1) {
            if (loop != null) {
                spanEnded();
            } else {
                setPlaying(false);
            }
            return -1;
        }
        long waitMs = opened.timeOf(current + 1).ms() - filmMs;
        changed.await((long) (waitMs * NANOS_PER_MS / speed) + 1, TimeUnit.NANOSECONDS);
        return -1;
    }

    /** Stops the thread and frees the film; waits at most two seconds for a frame being decoded. */
    @Override
    public void close() {
        change(() -> closed = true);
        try {
            thread.join(TimeUnit.SECONDS.toMillis(2));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
