package farglass.desk.film;

import farglass.time.MatchTime;
import java.util.function.Consumer;
import java.util.function.LongSupplier;

/** The match clock of a match that has no film: it runs while the match is watched at the mat side, and stands else. */
final class MatClock {
    private static final long NANOS_PER_MS = 1_000_000;

    private final LongSupplier nanos;
    private final Consumer<Boolean> runs;
    private long baseMs;
    private long begunNanos;
    private boolean running;

    /** @param runs told when it begins to run and when it stops */
    MatClock(LongSupplier nanos, Consumer<Boolean> runs) {
        this.nanos = nanos;
        this.runs = runs;
    }

    MatchTime now() {
        return MatchTime.ofMs(baseMs + (running ? (nanos.getAsLong() - begunNanos) / NANOS_PER_MS : 0));
    }

    boolean running() {
        return running;
    }

    void toggle() {
        long now = now().ms();
        running = !running;
        set(MatchTime.ofMs(now));
        runs.accept(running);
    }

    void stop() {
        if (running) {
            toggle();
        }
    }

    /** Puts it to a match moment; it goes on from there when it runs. */
    void set(MatchTime t) {
        baseMs = t.ms();
        begunNanos = nanos.getAsLong();
    }

    void move(long ms) {
        set(MatchTime.ofMs(Math.max(0, now().ms() + ms)));
    }
}
