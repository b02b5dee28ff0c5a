package farglass.work.team;

import farglass.store.TeamChange;
import java.util.Map;
import java.util.Set;

/** What hears of a team's library, on the thread of results. */
public interface TeamListener {
    /** Others have changed these, by kind. */
    void changed(Map<TeamChange.Kind, Set<String>> items);

    /** How the mirror stands to the team now. */
    void status(TeamStatus now);
}
