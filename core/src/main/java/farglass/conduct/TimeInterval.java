package farglass.conduct;

import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * Where something is seen in a record.
 *
 * @param tag index of the tag that shows it
 * @param to its end; null when nothing says how long it went on
 * @param cut whether the match was stopped, ended or left the picture before it was over
 */
record TimeInterval(int tag, MatchTime from, @Nullable MatchTime to, boolean cut) {
    boolean on(MatchTime t) {
        return from.compareTo(t) <= 0 && to != null && t.compareTo(to) < 0;
    }
}
