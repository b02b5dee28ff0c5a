package farglass.work.meeting;

import farglass.matchup.advise.Meeting;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.Assignment;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Lays two athletes over one another by one policy: matches in the attire of the match and, where these are too few,
 * all.
 */
public final class MeetingService {
    private static final long MINUTE_MS = 60_000;

    private MeetingService() {}

    /**
     * Who meets whom, and how.
     *
     * @param attire {@code gi}, {@code no-gi}, or null for either
     * @param asOf day that ages of matches are counted back from, or null
     * @param lengthMs scheduled length, positive
     */
    public record Ask(
            String us,
            String them,
            Ruleset rules,
            @Nullable String attire,
            @Nullable LocalDate asOf,
            long lengthMs) {
        /** The meeting that an assignment is about; none when the athlete is no opponent of it. */
        public static Optional<Ask> of(@Nullable Assignment a, String them, Rulesets rulesets) {
            if (a == null || !a.opponents().contains(them)) {
                return Optional.empty();
            }
            Ruleset rules = rulesets.orUsual(a.ruleset(), a.date());
            return Optional.of(new Ask(a.us(), them, rules, a.attire(), a.date(), a.minutes() * MINUTE_MS));
        }
    }

    /** The fitted meeting; {@link Meeting#enough} says whether there is film enough for a plan. */
    public static Meeting meeting(LibraryIndex index, Ask ask, SolverSettings settings, Constraints wishes) {
        Meeting same = fit(index, ask, Filter.ALL.attire(ask.attire()), settings, wishes);
        return same.enough() || ask.attire() == null ? same : fit(index, ask, Filter.ALL, settings, wishes);
    }

    private static Meeting fit(
            LibraryIndex index, Ask ask, Filter filter, SolverSettings settings, Constraints wishes) {
        return Meeting.of(
                index,
                new Meeting.Question(
                        ask.us(), ask.them(), ask.rules(), filter, ask.asOf(), ask.lengthMs(), settings, wishes));
    }
}
