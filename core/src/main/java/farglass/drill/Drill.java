package farglass.drill;

import farglass.stats.TagRef;
import farglass.time.MatchTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One question about a moment on film.
 *
 * @param id the same from day to day
 * @param tag where the clip stops
 * @param trigger technique that is seen
 * @param right one of the choices
 * @param choices codes: techniques, {@code =} and a coded answer, {@code none}; or {@code left} and {@code right}
 */
public record Drill(
        String id,
        Kind kind,
        TagRef tag,
        MatchTime t,
        @Nullable String trigger,
        @Nullable String right,
        List<String> choices) {
    /** What is asked. */
    public enum Kind {
        /** Our attempt is seen: how does the opponent answer? */
        ANSWER,
        /** The opponent begins: to which side? */
        SIDE,
        /** Just before somebody got through to the opponent: where is the opening? */
        OPENING
    }

    public Drill {
        choices = List.copyOf(choices);
        if (!choices.contains(right)) {
            throw new IllegalArgumentException("the right answer " + right + " is not among " + choices);
        }
    }
}
