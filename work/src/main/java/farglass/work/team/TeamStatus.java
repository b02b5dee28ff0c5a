package farglass.work.team;

import farglass.team.TeamRole;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a mirror stands to its team just now.
 *
 * @param reached whether the team's library is reached
 * @param waiting edits confirmed here and not there yet
 * @param clashes where somebody has to decide
 * @param reachedAt when it was last reached, or null
 * @param problem why it is not reached, or null
 * @param present who else is here
 * @param role what one may do there; null while it is not known
 * @param came how much of the team's library is here, 0 to 1, while it comes for the first time; null when it is
 */
public record TeamStatus(
        boolean reached,
        int waiting,
        int clashes,
        @Nullable Instant reachedAt,
        @Nullable String problem,
        List<Present> present,
        @Nullable TeamRole role,
        @Nullable Double came) {
    public TeamStatus {
        present = List.copyOf(present);
    }

    /**
     * Somebody who has the team's library open.
     *
     * @param match the match that is looked at, or null
     */
    public record Present(String name, @Nullable String match) {}
}
