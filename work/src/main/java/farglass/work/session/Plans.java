package farglass.work.session;

import farglass.plan.Plan;
import farglass.store.Library;
import farglass.team.TeamRole;
import farglass.work.task.Tasks;
import farglass.work.words.WorkWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The plans of the library. A change is shown at once and kept as a new version. Belongs to the thread of results. */
public final class Plans {
    private final Library library;
    private final Tasks tasks;
    private final Messages messages;
    private final Rights rights;
    private final List<SessionListener> listeners = new ArrayList<>();
    private final Map<String, Plan> byId = new LinkedHashMap<>();

    Plans(List<Plan> all, Library library, Tasks tasks, Messages messages, Rights rights) {
        this.rights = rights;
        this.library = library;
        this.tasks = tasks;
        this.messages = messages;
        replace(all);
    }

    void listen(SessionListener listener) {
        listeners.add(listener);
    }

    void replace(List<Plan> all) {
        byId.clear();
        all.forEach(p -> byId.put(p.id(), p));
    }

    /** Others have changed these. */
    void refresh(Set<String> ids) {
        tasks.write(
                library::plans,
                kept -> kept.stream().filter(p -> ids.contains(p.id())).forEach(this::show),
                e -> messages.problem(e.getMessage()));
    }

    /** All plans that have been kept. */
    public List<Plan> all() {
        return List.copyOf(byId.values());
    }

    /** The plan of an id as it is shown; empty when there is none. */
    public Optional<Plan> plan(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /**
     * Keeps the next version of a plan. When it cannot be written, the version on disk is shown again, with a message.
     */
    public void change(Plan before, Plan next) {
        if (!rights.grant(TeamRole::plans)) {
            // whoever has changed a field sees again what stands
            show(before);
            return;
        }
        show(next);
        tasks.write(
                () -> {
                    library.save(before, next);
                    return next;
                },
                kept -> {},
                e -> {
                    messages.problem(e.getMessage());
                    asKept(before);
                });
    }

    private void asKept(Plan before) {
        tasks.write(
                () -> library.plans().stream()
                        .filter(p -> p.id().equals(before.id()))
                        .findFirst(),
                kept -> kept.ifPresentOrElse(this::show, () -> {
                    byId.remove(before.id());
                    listeners.forEach(l -> l.planChanged(before));
                }),
                e -> messages.problem(e.getMessage()));
    }

    /** One version back (-1) or forward (1). */
    public void step(String id, int by) {
        tasks.write(
                () -> library.stepPlan(id, by),
                kept -> kept.ifPresentOrElse(
                        this::show, () -> messages.done(WorkWords.of(by < 0 ? "undo.none" : "redo.none"))),
                e -> messages.problem(e.getMessage()));
    }

    private void show(Plan now) {
        byId.put(now.id(), now);
        listeners.forEach(l -> l.planChanged(now));
    }
}
