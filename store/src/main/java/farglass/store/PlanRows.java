package farglass.store;

import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.PlanJson;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** Plans with their versions, and assignments, on a handle that the library gives. */
final class PlanRows {
    private final Handle handle;

    PlanRows(Handle handle) {
        this.handle = handle;
    }

    List<Plan> all() throws LibraryException {
        List<Plan> plans = new ArrayList<>();
        for (String d : handle.createQuery("SELECT v.document FROM plan p JOIN plan_version v"
                        + " ON v.plan_id = p.id AND v.n = p.current_version ORDER BY p.id")
                .mapTo(String.class)
                .list()) {
            plans.add(Documents.plan(d));
        }
        return plans;
    }

    int version(String id) {
        return handle.createQuery("SELECT current_version FROM plan WHERE id = :id")
                .bind("id", id)
                .mapTo(Integer.class)
                .findOne()
                .orElse(0);
    }

    /** Keeps a new version; versions that had been undone are dropped. */
    void save(Plan plan, Instant at) {
        int version = version(plan.id());
        handle.execute("DELETE FROM plan_version WHERE plan_id = ? AND n > ?", plan.id(), version);
        handle.execute(
                "INSERT INTO plan_version (plan_id, n, document, made_at) VALUES (?, ?, ?, ?)",
                plan.id(),
                version + 1,
                PlanJson.write(plan),
                at.toString());
        handle.execute("DELETE FROM plan WHERE id = ?", plan.id());
        handle.execute("INSERT INTO plan (id, current_version) VALUES (?, ?)", plan.id(), version + 1);
    }

    Optional<Plan> step(String id, int step) throws LibraryException {
        int version = version(id) + step;
        Optional<String> document = handle.createQuery(
                        "SELECT document FROM plan_version WHERE plan_id = :id AND n = :n")
                .bind("id", id)
                .bind("n", version)
                .mapTo(String.class)
                .findOne();
        if (document.isEmpty()) {
            return Optional.empty();
        }
        handle.execute("UPDATE plan SET current_version = ? WHERE id = ?", version, id);
        return Optional.of(Documents.plan(document.get()));
    }

    List<Assignment> assignments() throws LibraryException {
        List<Assignment> list = new ArrayList<>();
        try {
            for (String d : handle.createQuery("SELECT document FROM assignment ORDER BY place, id")
                    .mapTo(String.class)
                    .list()) {
                list.add(PlanJson.readAssignment(d));
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
        return list;
    }

    /** A new one goes to the end of the list. */
    void save(Assignment a) {
        int changed = handle.execute("UPDATE assignment SET document = ? WHERE id = ?", PlanJson.write(a), a.id());
        if (changed == 0) {
            handle.execute(
                    "INSERT INTO assignment (id, place, document) SELECT ?, COALESCE(MAX(place), 0) + 1, ? FROM assignment",
                    a.id(),
                    PlanJson.write(a));
        }
    }
}
