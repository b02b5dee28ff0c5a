package farglass.rules;

import farglass.match.Corner;
import farglass.match.Finding;
import farglass.match.Method;
import farglass.text.CoreWords;
import farglass.text.Language;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A score and everything it rests on.
 *
 * @param awards points given, in the order in which they were confirmed
 * @param near awards that were not given, with what was missing
 * @param advantages in the order of time
 * @param penalties in the order of time
 * @param scoreboard steps of the board, the first at 0
 * @param differences between the table's calls and this score
 * @param control match time for which each athlete was on top or ahead, ms
 * @param end where the match ended
 */
public record Score(
        Ruleset ruleset,
        List<Award> awards,
        List<Near> near,
        List<Advantage> advantages,
        List<Penalty> penalties,
        List<Step> scoreboard,
        List<Finding> findings,
        List<Difference> differences,
        Map<Corner, Long> control,
        MatchTime end,
        Verdict result) {
    public Score {
        awards = List.copyOf(awards);
        near = List.copyOf(near);
        advantages = List.copyOf(advantages);
        penalties = List.copyOf(penalties);
        scoreboard = List.copyOf(scoreboard);
        findings = List.copyOf(findings);
        differences = List.copyOf(differences);
        control = Map.copyOf(control);
    }

    /**
     * Points given.
     *
     * @param t when control began
     * @param confirmedAt when it had been held long enough
     * @param award takedown, sweep, pass, knee-on-belly, mount, back, penalty or guard-pull
     * @param value points, negative for a deduction
     * @param tag index of the tag it begins with
     * @param uncertain whether part of the hold was not in the picture
     */
    public record Award(
            MatchTime t,
            MatchTime confirmedAt,
            Corner who,
            String award,
            int value,
            @Nullable String why,
            int tag,
            boolean uncertain) {
        Award(MatchTime t, MatchTime confirmedAt, Corner who, String award, int value, @Nullable String why, int tag) {
            this(t, confirmedAt, who, award, value, why, tag, false);
        }
    }

    /**
     * Points not given.
     *
     * @param heldMs how long control was held
     * @param needMs how long it had to be
     * @param missing code of a {@link Reason}
     * @param why key of the sentence that says it
     */
    public record Near(
            MatchTime t, Corner who, String award, long heldMs, long needMs, String missing, String why, int tag) {
        private static final double MS = 1000;

        /**
         * Why, in a sentence. Put together only when it is asked for: simulated matches by the thousand pass through
         * here, and nobody reads why they were given nothing.
         */
        public String words() {
            Locale locale = Language.locale();
            return CoreWords.of(
                    why,
                    CoreWords.code(award),
                    String.format(locale, "%.1f", heldMs / MS),
                    String.format(locale, "%.0f", needMs / MS));
        }
    }

    /**
     * @param from what it was given for: a family, {@code near-} and an award, {@code penalty} or {@code double-pull}
     */
    public record Advantage(
            MatchTime t, Corner who, String from, @Nullable String why, int tag) {}

    /**
     * @param who the athlete penalised
     * @param number which of his penalties, from 1
     * @param effect what it did
     */
    public record Penalty(MatchTime t, Corner who, int number, PenaltyEffect effect, int tag) {}

    /** The board from this moment on. */
    public record Step(MatchTime t, int a, int b, int advA, int advB, int penA, int penB) {}

    /**
     * @param table what the table called, or null
     * @param computed what was worked out, or null
     * @param tag index of the tag to look at
     */
    public record Difference(
            MatchTime t,
            Corner who,
            @Nullable String table,
            @Nullable String computed,
            String message,
            int tag) {}

    /** @param winner null for a draw, and while nobody has decided */
    public record Verdict(@Nullable Corner winner, Method method) {}

    /** Points of a corner at the end. */
    public int points(Corner c) {
        return awards.stream().filter(a -> a.who() == c).mapToInt(Award::value).sum();
    }

    /** Advantages of a corner at the end. */
    public int advantages(Corner c) {
        return (int) advantages.stream().filter(a -> a.who() == c).count();
    }

    /** Penalties of a corner at the end. */
    public int penalties(Corner c) {
        return (int) penalties.stream().filter(p -> p.who() == c).count();
    }

    /** The board as it stood at a moment. */
    public Step at(MatchTime t) {
        Step last = scoreboard.get(0);
        for (Step s : scoreboard) {
            if (s.t().compareTo(t) <= 0) {
                last = s;
            }
        }
        return last;
    }
}
