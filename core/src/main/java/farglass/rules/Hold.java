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
 * @param early whether it began before points counted
 */
record Hold(
        Corner who,
        String award,
        long from,
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

    /** Why it did not count. */
    Near near(long until, long needMs, String missing) {
        long held = Math.min(needMs, until - from);
        String why = switch (missing) {
            case "late" -> award + " began before points count";
            case "stoppage" -> held(held, needMs) + " when the match was stopped";
            case "end" -> held(held, needMs) + " when the match ended";
            default -> held(held, needMs);
        };
        return new Near(MatchTime.ofMs(from), who, award, held, needMs, missing, why, tag);
    }

    /**
     * Put together by hand: simulated matches by the thousand pass through here, and a formatter took a tenth of their
     * time.
     */
    private String held(long held, long needMs) {
        long tenths = Math.round(held / 100.0);
        return award + " held " + tenths / 10 + "." + tenths % 10 + " s of " + Math.round(needMs / 1e3);
    }
}
