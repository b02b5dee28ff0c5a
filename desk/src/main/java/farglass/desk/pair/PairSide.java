package farglass.desk.pair;

import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.nio.file.Path;
import java.util.List;

/**
 * A moment to be held beside another.
 *
 * @param at the frame that is aligned with the other side's
 * @param caption who, when, what
 * @param drawings of the film, with corner A standing for the athlete drawn amber
 */
public record PairSide(Path film, FilmTime at, String caption, List<Drawing> drawings) {
    public PairSide {
        drawings = List.copyOf(drawings);
    }
}
