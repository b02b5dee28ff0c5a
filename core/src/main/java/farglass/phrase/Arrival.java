package farglass.phrase;

import farglass.lexicon.Performer;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.Tag;
import farglass.time.MatchTime;

/** Who is where after a completed action. */
public final class Arrival {
    private Arrival() {}

    /**
     * The position tag that follows a completed action: takedowns, sweeps, reversals, passes, pin advances and back
     * takes put the actor ahead; guard pulls, guard entries and recoveries make him the guard player; an escape leaves
     * the other ahead unless it reaches a neutral place or is made from above, like posturing out of a guard.
     */
    public static Tag.Position of(MatchTime t, Technique technique, Corner by, Position target) {
        if (target.neutral()) {
            return Tag.Position.of(t, target.code(), null, null);
        }
        boolean actorAhead = switch (technique.family()) {
            case "guard-pull", "guard-entry", "recovery" -> false;
            case "escape" -> technique.role() == Performer.TOP;
            default -> true;
        };
        Corner ahead = actorAhead ? by : by.other();
        return Tag.Position.of(t, target.code(), ahead, target.guard() ? ahead.other() : null);
    }
}
