package farglass.store;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What can be taken back and made again in a mirror: one's own steps. In a team's log nothing goes back; taking a step
 * back is a step of its own that undoes it, and making it again one that undoes that.
 */
final class TeamSteps {
    private final Deque<Own> done = new ArrayDeque<>();
    private final Deque<Own> undone = new ArrayDeque<>();
    private final Map<String, Own> byId = new HashMap<>();

    /**
     * A step made in this mirror.
     *
     * @param undoes the step that it takes back, or null
     * @param edit as it is kept
     */
    record Own(String id, @Nullable String undoes, String edit) {}

    /** @param own oldest first */
    TeamSteps(List<Own> own) {
        own.forEach(this::step);
    }

    private void step(Own step) {
        byId.put(step.id(), step);
        Own target = step.undoes() == null ? null : byId.get(step.undoes());
        if (target == null) {
            done.push(step);
            undone.clear();
        } else if (target.undoes() == null) {
            done.remove(target);
            undone.push(step);
        } else {
            undone.remove(target);
            Own again = byId.get(target.undoes());
            if (again != null) {
                done.push(again);
            }
        }
    }

    /** The step that would be taken back next. */
    Optional<Own> undo() {
        return Optional.ofNullable(done.peek());
    }

    /** The step that took back what would be made again next. */
    Optional<Own> redo() {
        return Optional.ofNullable(undone.peek());
    }

    /** The step that another one took back. */
    Optional<Own> undoneBy(Own undo) {
        return Optional.ofNullable(undo.undoes()).map(byId::get);
    }
}
