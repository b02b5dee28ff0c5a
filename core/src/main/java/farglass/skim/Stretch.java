package farglass.skim;

import farglass.time.MatchTime;
import java.util.EnumSet;
import java.util.Set;

/**
 * Match time that is worth its own speed.
 *
 * @param to after {@code from}
 * @param why at least one reason
 */
public record Stretch(MatchTime from, MatchTime to, Set<Why> why) {
    /** What is to be seen there. */
    public enum Why {
        START,
        /** The score changes. */
        SCORE,
        DRAFT,
        /** They begin anew after a stop. */
        RESTART,
        /** Two sources give one moment to different athletes. */
        DISPUTED,
        /** Nothing was tagged or proposed for long: a look into the middle. */
        UNTAGGED,
        FINISH
    }

    public Stretch {
        why = Set.copyOf(why);
    }

    boolean contains(MatchTime t) {
        return t.compareTo(from) >= 0 && t.compareTo(to) < 0;
    }

    /** Both as one; they touch. */
    Stretch with(Stretch next) {
        Set<Why> both = EnumSet.copyOf(why);
        both.addAll(next.why);
        return new Stretch(from, next.to.compareTo(to) > 0 ? next.to : to, both);
    }
}
