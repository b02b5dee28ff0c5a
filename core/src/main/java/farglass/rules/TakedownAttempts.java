package farglass.rules;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Takedown attempts under way: whoever pulls guard against one gives the takedown away (ruling R19). */
final class TakedownAttempts {
    private static final List<String> HELD_STANDING = List.of("SLG", "BLS", "FHS");
    /** A takedown attempt so old still counts when the other pulls guard. */
    private static final long ATTEMPT_MS = 3000;
    /** So long after the other's failed attempt going behind him is a counter and no takedown. */
    private static final long COUNTER_MS = 10_000;

    private final MatchRecord record;
    private final Lexicon lexicon;

    TakedownAttempts(MatchRecord record, Lexicon lexicon) {
        this.record = record;
        this.lexicon = lexicon;
    }

    /**
     * Whether one was attacking when the other pulled guard.
     *
     * @param before the state before the pull, or null
     * @param when match ms
     */
    boolean underWay(Corner attacker, @Nullable State before, long when) {
        boolean holding = before != null && before.top() == attacker && HELD_STANDING.contains(before.place());
        return holding || shotAt(attacker, when);
    }

    private boolean shotAt(Corner x, long when) {
        return record.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == x
                        && lexicon.familyOf(a.technique()).equals("takedown")
                        && a.reached() != null
                        && a.t().ms() <= when
                        && when - a.end().ms() <= ATTEMPT_MS);
    }

    /** Whether an action goes behind somebody whose own attempt has just failed. */
    boolean counters(Tag.Action cause) {
        if (!cause.technique().equals("go-behind")) {
            return false;
        }
        return record.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == cause.by().other()
                        && !a.completed()
                        && lexicon.familyOf(a.technique()).equals("takedown")
                        && a.t().compareTo(cause.t()) <= 0
                        && cause.t().since(a.end()) <= COUNTER_MS);
    }
}
