package farglass.rules;

import farglass.match.Corner;
import farglass.rules.Score.Near;
import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * Control that must last before it counts.
 *
 * @param award what it is for; {@code double-pull} for the advantage of coming up on top
 * @param from when control began, match ms
 * @param unseenMs how much of it was not in the picture: this does not count as held
 * @param early whether it began before points counted
 */
record Hold(
        Corner who,
        String award,
        long from,
        long unseenMs,
        boolean early,
        @Nullable String what,
        int tag) {
    /** Whether it goes on in a state. */
    boolean goesOn(State s) {
        if (s.placed() || s.top() != who || s.neutral()) {
            return false;
        }
        return switch (award) {
            case "takedown", "sweep", "double-pull" -> true;
            case "pass" -> s.rank() >= 1;
            case "knee-on-belly" -> s.rank() >= 2;
            default -> s.rank() >= 3;
        };
    }

    /** The same after a while that nobody saw. */
    Hold unseen(long ms) {
        return new Hold(who, award, from, unseenMs + ms, early, what, tag);
    }

    /** When it has lasted long enough, match ms. */
    long doneAt(long holdMs) {
        return from + unseenMs + holdMs;
    }

    /** Why it did not count. */
    Near near(long until, long needMs, Reason missing) {
        long held = Math.min(needMs, until - from - unseenMs);
        String why = switch (missing) {
            case LATE, STOPPAGE, END, NOT_SEEN -> "rules.hold." + missing.code();
            default -> "rules.hold";
        };
        return new Near(MatchTime.ofMs(from), who, award, held, needMs, missing.code(), why, tag);
    }
}
