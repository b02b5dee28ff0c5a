package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Span;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Who engages first in a match, and how; of matches that were seen from their start. */
public enum Opening {
    /** The athlete pulls guard. */
    PULL,
    /** The athlete tries a takedown. */
    TAKEDOWN,
    /** The other does either. */
    OTHER;

    /** What it is counted under. */
    public String key() {
        return "opening " + name().toLowerCase(Locale.ROOT);
    }

    /** The first takedown or pull of either; null when there is none, or the start was not seen. */
    public static MatchFacts.@Nullable Act first(MatchFacts facts) {
        List<Span> spans = facts.line().spans();
        if (spans.isEmpty() || spans.get(0).leftTruncated()) {
            return null;
        }
        for (MatchFacts.Act act : facts.acts()) {
            if (act.family().equals("takedown") || act.family().equals("guard-pull")) {
                return act;
            }
        }
        return null;
    }

    /** What a first engagement is to one of the two. */
    public static Opening of(MatchFacts.Act first, Corner me) {
        if (first.action().by() != me) {
            return OTHER;
        }
        return first.family().equals("guard-pull") ? PULL : TAKEDOWN;
    }
}
