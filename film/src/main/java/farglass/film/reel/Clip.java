package farglass.film.reel;

import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.nio.file.Path;
import java.util.List;

/**
 * A stretch of a film to be shown.
 *
 * @param from first moment shown
 * @param to first moment not shown, later than {@code from}
 * @param slowFrom from where on it is shown at half speed; null for not at all
 * @param slowTo where that ends; null with {@code slowFrom}
 * @param title what it is, on the card before it
 * @param line where and when, below the title and on the picture
 * @param drawings drawings of the film, burnt in where they are shown
 */
public record Clip(
        Path film,
        FilmTime from,
        FilmTime to,
        FilmTime slowFrom,
        FilmTime slowTo,
        String title,
        String line,
        List<Drawing> drawings) {
    public Clip {
        drawings = List.copyOf(drawings);
        if (to.compareTo(from) <= 0) {
            throw new IllegalArgumentException("clip must end (" + to + ") after it begins (" + from + ")");
        }
        if ((slowFrom == null) != (slowTo == null) || (slowFrom != null && slowTo.compareTo(slowFrom) <= 0)) {
            throw new IllegalArgumentException(
                    "slow part (" + slowFrom + " to " + slowTo + ") must be both or neither");
        }
    }

    /** How long it is shown, ms: the slow part takes twice its time. */
    public long shownMs() {
        return to.ms() - from.ms() + slowMs();
    }

    private long slowMs() {
        return slowFrom == null ? 0 : Math.max(0, Math.min(slowTo.ms(), to.ms()) - Math.max(slowFrom.ms(), from.ms()));
    }

    /** The film moment on screen so long after the clip began. */
    FilmTime at(long shownMs) {
        if (slowFrom == null) {
            return from.plus(shownMs);
        }
        long before = Math.max(0, slowFrom.ms() - from.ms());
        if (shownMs <= before) {
            return from.plus(shownMs);
        }
        long slow = slowMs();
        return shownMs < before + 2 * slow ? from.plus(before + (shownMs - before) / 2) : from.plus(shownMs - slow);
    }
}
