package farglass.work.session;

import farglass.team.TeamRole;
import farglass.work.words.WorkWords;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * What may be done here: everything, unless the team has said otherwise. What a server would refuse later is refused at
 * once, with a message.
 */
final class Rights {
    private final Messages messages;
    /** Null in a library of one's own, and while the team has not been reached. */
    private @Nullable TeamRole role;

    Rights(Messages messages) {
        this.messages = messages;
    }

    void role(@Nullable TeamRole now) {
        if (now != null) {
            role = now;
        }
    }

    /** Whether something may be done; when not, it is told. */
    boolean grant(Predicate<TeamRole> allows) {
        TeamRole mine = role;
        if (mine == null || allows.test(mine)) {
            return true;
        }
        messages.problem(WorkWords.of(mine.plans() ? "team.may-not.coach" : "team.may-not.athlete"));
        return false;
    }
}
