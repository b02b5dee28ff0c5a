package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Role;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Which part of a match counts, whatever the match.
 *
 * @param role holder, guard, under or neutral, or null for all
 * @param score who leads, seen from the athlete, or null for all
 * @param clock part of the scheduled length, or null for all
 */
public record Moment(
        @Nullable Role role,
        @Nullable Standing score,
        @Nullable Part clock) {
    public static final Moment ANY = new Moment(null, null, null);

    /** Score state seen from the athlete. */
    public enum Standing {
        AHEAD(1),
        LEVEL(0),
        BEHIND(-1);

        private final int sign;

        Standing(int sign) {
            this.sign = sign;
        }
    }

    /** Parts of the scheduled length; the last two minutes lie within the thirds. */
    public enum Part {
        FIRST_THIRD,
        SECOND_THIRD,
        LAST_THIRD,
        LAST_TWO_MINUTES;

        private static final long TWO_MINUTES = 120_000;

        /** Begin in match milliseconds of a match of this length. */
        long from(long lengthMs) {
            return switch (this) {
                case FIRST_THIRD -> 0;
                case SECOND_THIRD -> lengthMs / 3;
                case LAST_THIRD -> lengthMs * 2 / 3;
                case LAST_TWO_MINUTES -> Math.max(0, lengthMs - TWO_MINUTES);
            };
        }

        long to(long lengthMs) {
            return switch (this) {
                case FIRST_THIRD -> lengthMs / 3;
                case SECOND_THIRD -> lengthMs * 2 / 3;
                case LAST_THIRD, LAST_TWO_MINUTES -> Long.MAX_VALUE / 2;
            };
        }
    }

    /** A stretch of match time, half-open. */
    record Window(long from, long to) {
        long overlap(long start, long end) {
            return Math.max(0, Math.min(to, end) - Math.max(from, start));
        }
    }

    /** Whether every moment counts. */
    public boolean everything() {
        return equals(ANY);
    }

    /** The same at a score. */
    public Moment score(Standing s) {
        return new Moment(role, s, clock);
    }

    /** The same in a part of the match. */
    public Moment clock(Part p) {
        return new Moment(role, score, p);
    }

    /** The same in a role; null for all. */
    public Moment role(Role r) {
        return new Moment(r, score, clock);
    }

    /** The stretches of a match that score and clock let through. */
    List<Window> windows(MatchFacts facts, Corner me) {
        long length = facts.record().details().lengthMs();
        long from = clock == null ? 0 : clock.from(length);
        long to = clock == null ? Long.MAX_VALUE / 2 : clock.to(length);
        if (score == null) {
            return List.of(new Window(from, to));
        }
        TreeSet<Long> turns = new TreeSet<>(List.of(0L));
        facts.turns().forEach(t -> turns.add(t.ms()));
        List<Window> windows = new ArrayList<>();
        for (long t : turns) {
            Long next = turns.higher(t);
            if (facts.standing(MatchTime.ofMs(t), me) == score.sign) {
                long start = Math.max(from, t);
                long end = Math.min(to, next == null ? Long.MAX_VALUE / 2 : next);
                if (start < end) {
                    windows.add(new Window(start, end));
                }
            }
        }
        return windows;
    }
}
