package farglass.store;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.HandleCallback;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.jdbi.v3.core.statement.UnableToExecuteStatementException;

/**
 * The user's work in one file: matches with their edit logs, plans with their versions, assignments, settings.
 *
 * <p>Every change is one transaction, on disk before the method returns. All methods may be called from any thread; they
 * run one after the other and should not be called from the interface thread for more than a tag at a time.
 */
public final class Library implements AutoCloseable {
    private String author;
    private final Path file;
    private final LibraryFile.Lock lock;
    private final Connection connection;
    private final Handle handle;
    private final Clock clock;
    private boolean backedUp;

    private Library(Path file, LibraryFile.Lock lock, Connection connection, Clock clock) {
        this.file = file;
        this.lock = lock;
        this.connection = connection;
        this.handle = Jdbi.create(connection).open();
        this.clock = clock;
    }

    /**
     * Opens a library, making it when it does not exist.
     *
     * @param clock gives the dates of edits and backups
     * @throws LibraryException when it is open elsewhere, read-only, from a newer version, or not a library
     */
    public static Library open(Path file, Clock clock) throws LibraryException {
        try {
            Path folder = file.toAbsolutePath().getParent();
            if (folder != null) {
                Files.createDirectories(folder);
            }
        } catch (IOException e) {
            throw new LibraryException(
                    "The folder of " + file + " cannot be made. Nothing was changed. Choose another folder.", e);
        }
        LibraryFile.Lock lock = LibraryFile.Lock.take(file);
        try {
            return new Library(file, lock, LibraryFile.connect(file), clock);
        } catch (LibraryException e) {
            lock.close();
            throw e;
        }
    }

    public Path file() {
        return file;
    }

    /** The folder that film paths of records are relative to. */
    public Path folder() {
        return file.toAbsolutePath().getParent();
    }

    /** All records that are not removed, oldest first. */
    public synchronized List<MatchRecord> matches() throws LibraryException {
        List<MatchRecord> records =
                Documents.matches(handle.createQuery("SELECT document FROM match_record WHERE removed = 0 ORDER BY id")
                        .map((row, context) -> row.getBytes(1))
                        .list());
        records.sort(java.util.Comparator.comparing(
                        (MatchRecord r) -> r.details().date(),
                        java.util.Comparator.nullsLast(java.util.Comparator.<LocalDate>naturalOrder()))
                .thenComparing(MatchRecord::id));
        return records;
    }

    public synchronized Optional<MatchRecord> match(String id) throws LibraryException {
        Optional<String> document = handle.createQuery("SELECT document FROM match_record WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .findOne();
        return document.isEmpty() ? Optional.empty() : Optional.of(Documents.match(document.get()));
    }

    /** @throws LibraryException when a record of that id is there already */
    public synchronized void add(MatchRecord record) throws LibraryException {
        addAll(List.of(record));
    }

    /** Adds all records or, when one of them cannot be added, none. */
    public synchronized void addAll(List<MatchRecord> records) throws LibraryException {
        Set<String> ids = new HashSet<>();
        for (MatchRecord r : records) {
            if (!ids.add(r.id())) {
                throw new LibraryException("Two of these matches have the id " + r.id()
                        + ". Nothing was added. Give one of them another id.");
            }
            Optional<MatchRecord> there = match(r.id());
            if (there.isPresent() && !isRemoved(r.id())) {
                throw new LibraryException("A match with id " + r.id() + " is in the library already. It was kept as"
                        + " it is, nothing was added. Give the new one another id, or remove the old one first.");
            }
        }
        write(h -> {
            for (MatchRecord r : records) {
                h.execute("DELETE FROM edit_log WHERE match_id = ?", r.id());
                h.execute("DELETE FROM match_record WHERE id = ?", r.id());
                h.execute("INSERT INTO match_record (id, document) VALUES (?, ?)", r.id(), MatchJson.write(r));
            }
            return null;
        });
    }

    private boolean isRemoved(String id) {
        return handle.createQuery("SELECT removed FROM match_record WHERE id = :id")
                        .bind("id", id)
                        .mapTo(Integer.class)
                        .findOne()
                        .orElse(0)
                == 1;
    }

    /** Takes a match out of sight, or back in. Nothing is deleted. */
    public synchronized void setRemoved(String id, boolean removed) throws LibraryException {
        write(h -> h.execute("UPDATE match_record SET removed = ? WHERE id = ?", removed ? 1 : 0, id));
    }

    /**
     * Applies an edit; what had been undone before it can no longer be redone.
     *
     * @return the record after the edit, which is on disk
     */
    public synchronized MatchRecord apply(String id, Edit edit) throws LibraryException {
        MatchRecord before = known(id);
        MatchRecord after = edit.apply(before);
        int applied = applied(id);
        write(h -> {
            h.execute("DELETE FROM edit_log WHERE match_id = ? AND n > ?", id, applied);
            h.execute(
                    "INSERT INTO edit_log (match_id, n, edit, made_at, made_by) VALUES (?, ?, ?, ?, ?)",
                    id,
                    applied + 1,
                    EditJson.write(edit, before),
                    clock.instant().toString(),
                    author);
            return store(h, after, applied + 1);
        });
        return after;
    }

    /** Who makes the edits from now on; null for nobody in particular. */
    public synchronized void author(String name) {
        author = name;
    }

    /**
     * A step of a record's history.
     *
     * @param n from 1
     * @param by who made it, or null
     * @param stands whether it stands; false for one that has been undone
     */
    public record Step(int n, Instant at, String by, Edit edit, boolean stands) {}

    /** Every confirmed edit of a record, oldest first. */
    public synchronized List<Step> history(String id) throws LibraryException {
        int applied = applied(id);
        List<Step> steps = new ArrayList<>();
        try {
            for (Map<String, Object> row : handle.createQuery(
                            "SELECT n, edit, made_at, made_by FROM edit_log WHERE match_id = :id ORDER BY n")
                    .bind("id", id)
                    .mapToMap()
                    .list()) {
                int n = ((Number) row.get("n")).intValue();
                Object by = row.get("made_by");
                steps.add(new Step(
                        n,
                        Instant.parse(row.get("made_at").toString()),
                        by == null ? null : by.toString(),
                        EditJson.read(row.get("edit").toString()),
                        n <= applied));
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
        return steps;
    }

    private static int store(Handle h, MatchRecord record, int applied) {
        return h.execute(
                "UPDATE match_record SET document = ?, edits_applied = ? WHERE id = ?",
                MatchJson.write(record),
                applied,
                record.id());
    }

    /** Takes back the last edit; empty when there is none. */
    public synchronized Optional<MatchRecord> undo(String id) throws LibraryException {
        int applied = applied(id);
        Optional<Edit> last = edit(id, applied);
        return last.isEmpty()
                ? Optional.empty()
                : Optional.of(step(id, last.get().inverse(), applied - 1));
    }

    /** Does again what was undone; empty when there is nothing. */
    public synchronized Optional<MatchRecord> redo(String id) throws LibraryException {
        int applied = applied(id);
        Optional<Edit> next = edit(id, applied + 1);
        return next.isEmpty() ? Optional.empty() : Optional.of(step(id, next.get(), applied + 1));
    }

    private MatchRecord step(String id, Edit edit, int applied) throws LibraryException {
        MatchRecord after = edit.apply(known(id));
        write(h -> store(h, after, applied));
        return after;
    }

    public synchronized boolean canUndo(String id) throws LibraryException {
        return applied(id) > 0;
    }

    public synchronized boolean canRedo(String id) throws LibraryException {
        return edit(id, applied(id) + 1).isPresent();
    }

    private int applied(String id) {
        return handle.createQuery("SELECT edits_applied FROM match_record WHERE id = :id")
                .bind("id", id)
                .mapTo(Integer.class)
                .findOne()
                .orElse(0);
    }

    private Optional<Edit> edit(String id, int n) throws LibraryException {
        Optional<String> document = handle.createQuery("SELECT edit FROM edit_log WHERE match_id = :id AND n = :n")
                .bind("id", id)
                .bind("n", n)
                .mapTo(String.class)
                .findOne();
        try {
            return document.isEmpty() ? Optional.empty() : Optional.of(EditJson.read(document.get()));
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
    }

    private MatchRecord known(String id) throws LibraryException {
        return match(id).orElseThrow(() -> new LibraryException("There is no match " + id + " in the library."));
    }

    /** All plans as they stand. */
    public synchronized List<Plan> plans() throws LibraryException {
        List<Plan> plans = new ArrayList<>();
        for (String d : handle.createQuery("SELECT v.document FROM plan p JOIN plan_version v"
                        + " ON v.plan_id = p.id AND v.n = p.current_version ORDER BY p.id")
                .mapTo(String.class)
                .list()) {
            plans.add(Documents.plan(d));
        }
        return plans;
    }

    /** Keeps a new version of a plan; versions that had been undone are dropped. */
    public synchronized void save(Plan plan) throws LibraryException {
        int version = planVersion(plan.id());
        write(h -> {
            h.execute("DELETE FROM plan_version WHERE plan_id = ? AND n > ?", plan.id(), version);
            h.execute(
                    "INSERT INTO plan_version (plan_id, n, document, made_at) VALUES (?, ?, ?, ?)",
                    plan.id(),
                    version + 1,
                    PlanJson.write(plan),
                    clock.instant().toString());
            h.execute("DELETE FROM plan WHERE id = ?", plan.id());
            return h.execute("INSERT INTO plan (id, current_version) VALUES (?, ?)", plan.id(), version + 1);
        });
    }

    /** Keeps a changed plan; the first change of a plan keeps what was there before it, so that it can be taken back. */
    public synchronized void save(Plan before, Plan after) throws LibraryException {
        if (planVersion(before.id()) == 0) {
            save(before);
        }
        save(after);
    }

    /** The plan one version earlier ({@code step} -1) or later (1), which then stands; empty when there is none. */
    public synchronized Optional<Plan> stepPlan(String id, int step) throws LibraryException {
        int version = planVersion(id) + step;
        Optional<String> document = handle.createQuery(
                        "SELECT document FROM plan_version WHERE plan_id = :id AND n = :n")
                .bind("id", id)
                .bind("n", version)
                .mapTo(String.class)
                .findOne();
        if (document.isEmpty()) {
            return Optional.empty();
        }
        write(h -> h.execute("UPDATE plan SET current_version = ? WHERE id = ?", version, id));
        return Optional.of(Documents.plan(document.get()));
    }

    private int planVersion(String id) {
        return handle.createQuery("SELECT current_version FROM plan WHERE id = :id")
                .bind("id", id)
                .mapTo(Integer.class)
                .findOne()
                .orElse(0);
    }

    public synchronized List<Assignment> assignments() throws LibraryException {
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

    /** Keeps an assignment; a new one goes to the end of the list. */
    public synchronized void save(Assignment a) throws LibraryException {
        write(h -> {
            int changed = h.execute("UPDATE assignment SET document = ? WHERE id = ?", PlanJson.write(a), a.id());
            return changed > 0
                    ? changed
                    : h.execute(
                            "INSERT INTO assignment (id, place, document)"
                                    + " SELECT ?, COALESCE(MAX(place), 0) + 1, ? FROM assignment",
                            a.id(),
                            PlanJson.write(a));
        });
    }

    /** What would be deleted with an athlete; nothing is changed. */
    public synchronized Forgetting concerning(String athlete) throws LibraryException {
        return Forgetting.of(athlete, handle, plans(), assignments(), file);
    }

    /**
     * Deletes an athlete for good: all that was said before, from the library, from its copies and from the films in its folder. The
     * one thing here that cannot be taken back.
     *
     * @return files that could not be deleted; empty when all is gone
     */
    public synchronized List<Path> forget(Forgetting f) throws LibraryException {
        List<Plan> plans = plans();
        List<Assignment> assignments = assignments();
        write(h -> {
            f.delete(h, plans, assignments);
            return null;
        });
        try (var s = connection.createStatement()) {
            // what was deleted still lies in free pages and in the journal
            s.execute("VACUUM");
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        } catch (SQLException e) {
            throw new LibraryException(
                    "The athlete is out of the library, but its free room could not be wiped (" + reason(e)
                            + "). Make room on the disk and forget the athlete again.",
                    e);
        }
        List<Path> left = new ArrayList<>();
        List<Path> files = new ArrayList<>(f.films());
        files.addAll(LibraryFile.backups(file));
        for (Path p : files) {
            try {
                Files.deleteIfExists(p);
            } catch (IOException e) {
                left.add(p);
            }
        }
        return left;
    }

    public synchronized Optional<String> setting(String name) {
        return handle.createQuery("SELECT text FROM setting WHERE name = :name")
                .bind("name", name)
                .mapTo(String.class)
                .findOne();
    }

    /** Everything that was set, by name. */
    public synchronized Map<String, String> settings() {
        Map<String, String> all = new LinkedHashMap<>();
        handle.createQuery("SELECT name, text FROM setting ORDER BY name")
                .map((row, context) -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(e -> all.put(e.getKey(), e.getValue()));
        return all;
    }

    public synchronized void set(String name, String text) throws LibraryException {
        write(h -> {
            h.execute("DELETE FROM setting WHERE name = ?", name);
            return h.execute("INSERT INTO setting (name, text) VALUES (?, ?)", name, text);
        });
    }

    private void write(HandleCallback<Object, RuntimeException> change) throws LibraryException {
        try {
            if (!backedUp) {
                LibraryFile.backUp(connection, file, LocalDate.now(clock));
                backedUp = true;
            }
            handle.inTransaction(change);
        } catch (UnableToExecuteStatementException e) {
            throw new LibraryException(
                    "The library could not be written (" + reason(e) + "). What was confirmed before is kept, this"
                            + " change is not. Make room on the disk or check that the folder is writable.",
                    e);
        } catch (JdbiException | SQLException | IOException e) {
            throw new LibraryException(
                    "The library could not be written (" + reason(e) + "). What was confirmed before is kept.", e);
        }
    }

    private static String reason(Exception e) {
        Throwable cause = e.getCause() == null ? e : e.getCause();
        return String.valueOf(cause.getMessage()).lines().findFirst().orElse("");
    }

    @Override
    public synchronized void close() {
        handle.close();
        try {
            connection.close();
        } catch (SQLException ignored) {
            // every change is committed already
        }
        lock.close();
    }
}
