package farglass.film.score;

import java.util.Comparator;

/**
 * A change of the score that a film shows.
 *
 * @param fromMs film moment at which the old number was last seen
 * @param ms film moment at which the new one was first seen; far from the former when the graphic was hidden meanwhile
 * @param athlete 0 for the first of the graphic, 1 for the second
 * @param column of the graphic
 * @param confidence 0..1
 */
public record ScoreChange(long fromMs, long ms, int athlete, int column, int before, int after, double confidence) {
    public static final Comparator<ScoreChange> IN_FILM_ORDER = Comparator.comparingLong(ScoreChange::ms)
            .thenComparing(ScoreChange::column)
            .thenComparing(ScoreChange::athlete)
            .thenComparing(ScoreChange::after);

    /** A change seen within this time happened on the picture, ms. */
    private static final long SEEN_MS = 1500;

    /** Whether the graphic was hidden when it changed, so that only an interval is known. */
    public boolean hidden() {
        return hidden(fromMs, ms);
    }

    static boolean hidden(long fromMs, long ms) {
        return ms - fromMs > SEEN_MS;
    }

    public int by() {
        return after - before;
    }
}
