package farglass.table;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.time.FilmTime;
import farglass.time.MatchTime;

/**
 * A change of the table's score that was read off a film.
 *
 * @param from film moment at which the old number was last seen
 * @param at film moment at which the new one was first seen
 * @param t match moment of the latter
 * @param call {@code POINTS}, {@code ADVANTAGE} or {@code PENALTY}
 * @param before number before the change
 * @param after number after it; less than before when a call was taken back
 * @param confidence 0..1
 */
public record ReadChange(
        FilmTime from, FilmTime at, MatchTime t, Corner who, CallKind call, int before, int after, double confidence) {
    public ReadChange {
        if (before == after || before < 0 || after < 0) {
            throw new IllegalArgumentException("a change from " + before + " to " + after + " is none");
        }
        if (!(confidence >= 0 && confidence <= 1)) {
            throw new IllegalArgumentException("confidence (" + confidence + ") must lie in 0..1");
        }
    }

    public int by() {
        return after - before;
    }
}
