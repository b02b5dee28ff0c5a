package farglass.work.session;

import farglass.plan.Assignment;
import farglass.store.Library;
import farglass.team.TeamRole;
import farglass.work.task.Tasks;
import farglass.work.words.WorkWords;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** The assignments of the library; the changes of one session can be taken back. Belongs to the thread of results. */
public final class Assignments {
    private final Library library;
    private final Tasks tasks;
    private final Messages messages;
    private final Rights rights;
    private final Deque<Assignment> earlier = new ArrayDeque<>();
    private List<Assignment> all;

    Assignments(List<Assignment> all, Library library, Tasks tasks, Messages messages, Rights rights) {
        this.rights = rights;
        this.all = List.copyOf(all);
        this.library = library;
        this.tasks = tasks;
        this.messages = messages;
    }

    /** All of them, as they are shown. Immutable. */
    public List<Assignment> all() {
        return all;
    }

    /** After athletes or matches were deleted: nothing leads back to them. */
    void replace(List<Assignment> next) {
        earlier.clear();
        all = List.copyOf(next);
    }

    /** Keeps an assignment, new or changed; where one may not, with a message and nothing else. */
    public void save(Assignment a) {
        if (!rights.grant(TeamRole::plans)) {
            return;
        }
        all.stream()
                .filter(x -> x.id().equals(a.id()) && !x.equals(a))
                .findFirst()
                .ifPresent(earlier::push);
        keep(a);
    }

    /** Takes the last change back; what came back, or empty with a message. */
    public Optional<Assignment> undo() {
        if (earlier.isEmpty()) {
            messages.done(WorkWords.of("undo.none"));
            return Optional.empty();
        }
        Assignment before = earlier.pop();
        keep(before);
        return Optional.of(before);
    }

    private void keep(Assignment a) {
        List<Assignment> next = new ArrayList<>(all);
        int at = 0;
        while (at < next.size() && !next.get(at).id().equals(a.id())) {
            at++;
        }
        if (at < next.size()) {
            next.set(at, a);
        } else {
            next.add(a);
        }
        all = List.copyOf(next);
        tasks.write(
                () -> {
                    library.save(a);
                    return a;
                },
                kept -> {},
                e -> messages.problem(e.getMessage()));
    }
}
