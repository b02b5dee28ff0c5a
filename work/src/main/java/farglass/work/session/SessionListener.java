package farglass.work.session;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.work.team.TeamStatus;
import java.util.List;

/** What hears of changes, on the thread of results. */
public interface SessionListener {
    /** One match is another version now. */
    default void recordChanged(MatchRecord now) {}

    /** Matches came or went. */
    default void recordsChanged(List<MatchRecord> all) {}

    /** Everything was read anew: matches, assignments and plans may be gone. */
    default void replaced() {}

    /** What is proposed about a match has changed, or how sure its sources are. */
    default void draftsChanged(String match) {}

    /** One of the plans is another version now. */
    default void planChanged(Plan now) {}

    /** Somebody else has changed an assignment, or made one. */
    default void assignmentsChanged() {}

    /** The library stands otherwise to its team's. */
    default void teamChanged(TeamStatus now) {}
}
