package farglass.time;

/**
 * A moment in a film file. A type of its own, so that it cannot be mixed up with {@link MatchTime}.
 *
 * @param ms milliseconds from the first frame, not negative
 */
public record FilmTime(long ms) implements Comparable<FilmTime> {
    public static final FilmTime ZERO = new FilmTime(0);

    public FilmTime {
        if (ms < 0) {
            throw new IllegalArgumentException("film time (" + ms + " ms) must not be negative");
        }
    }

    /** A moment of a film, ms from its first frame. */
    public static FilmTime ofMs(long ms) {
        return new FilmTime(ms);
    }

    /** This moment moved by {@code deltaMs}, stopping at zero. */
    public FilmTime plus(long deltaMs) {
        return new FilmTime(Math.max(0, ms + deltaMs));
    }

    @Override
    public int compareTo(FilmTime other) {
        return Long.compare(ms, other.ms);
    }

    @Override
    public String toString() {
        return Clock.millis(ms);
    }
}
