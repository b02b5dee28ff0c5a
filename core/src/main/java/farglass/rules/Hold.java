package farglass.rules;

import farglass.match.Corner;
import farglass.rules.Score.Near;
import farglass.time.MatchTime;
import java.util.Locale;

/**
 * Control that must last before it counts.
 *
 * @param award what it is for; {@code double-pull} for the advantage of coming up on top
 * @param from when control began, match ms
 * @param early whether it began before points counted
 */
record Hold(Corner who, String award, long from, boolean early, String what, int tag) {
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
            case "late" -> String.format(Locale.ROOT, "%s began before points count", award);
            case "stoppage" ->
                String.format(
                        Locale.ROOT,
                        "%s held %.1f s of %.0f when the match was stopped",
                        award,
                        held / 1e3,
                        needMs / 1e3);
            case "end" ->
                String.format(
                        Locale.ROOT, "%s held %.1f s of %.0f when the match ended", award, held / 1e3, needMs / 1e3);
            default -> String.format(Locale.ROOT, "%s held %.1f s of %.0f", award, held / 1e3, needMs / 1e3);
        };
        return new Near(MatchTime.ofMs(from), who, award, held, needMs, missing, why, tag);
    }
}
