package farglass.talk;

import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.util.List;

/**
 * A spoken breakdown of a film.
 *
 * @param match id of the match
 * @param film the film's path as the record gives it
 * @param cue words shown before it begins, or empty
 * @param lengthMs how long somebody spoke, positive
 * @param shown what was on screen, in the order of time; the first at 0
 */
public record Talk(String id, String match, String film, String cue, long lengthMs, List<Shown> shown) {
    /**
     * From this moment of the talk on the film stood here, with this drawn on it.
     *
     * @param atMs since the talk began
     */
    public record Shown(long atMs, FilmTime film, List<Drawing.Mark> marks) {
        public Shown {
            marks = List.copyOf(marks);
        }
    }

    public Talk {
        shown = List.copyOf(shown);
        if (shown.isEmpty() || shown.get(0).atMs() != 0) {
            throw new IllegalArgumentException("a talk must show something from its beginning on");
        }
        if (lengthMs <= 0) {
            throw new IllegalArgumentException("length (" + lengthMs + " ms) must be positive");
        }
        for (int i = 1; i < shown.size(); i++) {
            if (shown.get(i).atMs() < shown.get(i - 1).atMs()) {
                throw new IllegalArgumentException("what was shown must come in the order of time");
            }
        }
    }

    /** What was on screen at a moment of the talk. */
    public Shown at(long ms) {
        int low = 0;
        int high = shown.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) / 2;
            if (shown.get(middle).atMs() <= ms) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return shown.get(low);
    }
}
