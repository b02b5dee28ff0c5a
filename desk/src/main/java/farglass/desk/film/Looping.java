package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.film.Player.Loop;
import farglass.time.FilmTime;
import java.util.List;

/** The span of film that is looked at again and again, and the stopwatch between two frames. */
final class Looping {
    private static final long STEP_MS = 500;
    private static final long ROUND_MS = 1000;
    private static final long REVIEWED_MS = 2000;
    private static final List<Double> TWICE_SLOWLY_THEN_ONCE = List.of(0.25, 0.25, 1.0);

    private final FilmView film;
    private FilmTime from;
    private FilmTime to;
    private FilmTime watch;

    Looping(FilmView film) {
        this.film = film;
    }

    /** Two seconds round the moment on screen. */
    void here() {
        now(m -> set(m.plus(-ROUND_MS), m.plus(ROUND_MS)));
    }

    void end() {
        from = null;
        to = null;
        if (film.player() != null) {
            film.player().loop(null);
        }
    }

    void beginHere() {
        now(m -> {
            from = m;
            to = to != null && to.compareTo(m) > 0 ? to : null;
            play();
        });
    }

    void endHere() {
        now(m -> {
            to = m;
            from = from != null && from.compareTo(m) < 0 ? from : m.plus(-REVIEWED_MS);
            play();
        });
    }

    /** Moves the beginning by half a second, {@code steps} negative for earlier. */
    void moveBegin(int steps) {
        if (from != null && to != null && from.plus(steps * STEP_MS).compareTo(to) < 0) {
            set(from.plus(steps * STEP_MS), to);
        }
    }

    void moveEnd(int steps) {
        if (from != null && to != null && to.plus(steps * STEP_MS).compareTo(from) > 0) {
            set(from, to.plus(steps * STEP_MS));
        }
    }

    /** Twice in slow motion, then once at real speed: the marked span, else the last two seconds. */
    void review() {
        now(m -> {
            Loop span = from != null && to != null ? new Loop(from, to) : new Loop(m.plus(-REVIEWED_MS), m);
            film.player().review(span, TWICE_SLOWLY_THEN_ONCE);
        });
    }

    /** Starts the stopwatch at the frame on screen, or puts it away. */
    void stopwatch() {
        if (watch != null) {
            watch = null;
        } else {
            now(m -> watch = m);
        }
    }

    /** Where the stopwatch was started, or null. */
    FilmTime watched() {
        return watch;
    }

    /** Another film: nothing is marked in it. */
    void forget() {
        from = null;
        to = null;
        watch = null;
    }

    private void set(FilmTime begin, FilmTime finish) {
        from = begin;
        to = finish;
        play();
    }

    private void play() {
        if (from != null && to != null) {
            film.player().loop(new Loop(from, to));
            film.player().play();
        }
    }

    private void now(java.util.function.Consumer<FilmTime> action) {
        FilmView.Moment m = film.moment().get();
        if (film.player() != null && m != null) {
            action.accept(m.time());
        }
    }
}
