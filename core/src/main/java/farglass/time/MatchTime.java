package farglass.time;

/**
 * A moment on the running match clock.
 *
 * @param ms milliseconds of live match time since the start, not negative
 */
public record MatchTime(long ms) implements Comparable<MatchTime> {
    public static final MatchTime ZERO = new MatchTime(0);

    public MatchTime {
        if (ms < 0) {
            throw new IllegalArgumentException("match time (" + ms + " ms) must not be negative");
        }
    }

    /** A moment of a match, ms of match time. */
    public static MatchTime ofMs(long ms) {
        return new MatchTime(ms);
    }

    /** This moment moved by {@code deltaMs}, stopping at zero. */
    public MatchTime plus(long deltaMs) {
        return new MatchTime(Math.max(0, ms + deltaMs));
    }

    /** Milliseconds from {@code earlier} to this moment; negative when this one comes first. */
    public long since(MatchTime earlier) {
        return ms - earlier.ms;
    }

    @Override
    public int compareTo(MatchTime other) {
        return Long.compare(ms, other.ms);
    }

    /** Minutes, seconds and milliseconds, as {@code m:ss.mmm}. */
    @Override
    public String toString() {
        return Clock.millis(ms);
    }
}
