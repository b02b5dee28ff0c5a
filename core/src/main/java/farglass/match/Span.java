package farglass.match;

import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of match time spent in one position, half-open [from, to).
 *
 * @param position code as tagged
 * @param place code that dwell and shares read: the base of a lock, else the position itself
 * @param holder athlete ahead, or null
 * @param guard athlete playing guard, or null
 * @param tag index of the position, resume or start tag that began it
 * @param byAction index of the completed action that led into it, or -1
 * @param exit how it ended
 * @param leftTruncated whether film began in the middle of it
 */
public record Span(
        MatchTime from,
        MatchTime to,
        String position,
        String place,
        @Nullable Corner holder,
        @Nullable Corner guard,
        @Nullable Side side,
        int tag,
        int byAction,
        Exit exit,
        boolean leftTruncated) {
    /** How a span ended. All but {@link #MOVED} are censored. */
    public enum Exit {
        MOVED,
        STOPPED,
        ENDED,
        GAP,
        OPEN
    }

    /** How long it lasted, ms. */
    public long lengthMs() {
        return to.since(from);
    }

    /** Whether its end was not seen, so that only a least length is known. */
    public boolean censored() {
        return exit != Exit.MOVED;
    }

    /** Whether a moment lies in it; its end does not. */
    public boolean contains(MatchTime t) {
        return t.compareTo(from) >= 0 && t.compareTo(to) < 0;
    }
}
