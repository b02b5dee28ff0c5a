package farglass.store;

import static java.util.Objects.requireNonNull;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/** Records and their edit logs, on a handle that the library gives. */
final class MatchRows {
    /** By date, those without one last; of a day by id. */
    static final Comparator<MatchRecord> OLDEST_FIRST = Comparator.comparing(
                    (MatchRecord r) -> r.details().date(), Comparator.nullsLast(Comparator.<LocalDate>naturalOrder()))
            .thenComparing(MatchRecord::id);

    private final Handle handle;
    /** Whether the log says who made an edit: the first release's did not. */
    private final boolean authors;

    MatchRows(Handle handle, boolean authors) {
        this.handle = handle;
        this.authors = authors;
    }

    /** In no order, those that are out of sight among them. */
    List<MatchRecord> everything() throws LibraryException {
        return read("SELECT document FROM match_record");
    }

    private List<MatchRecord> read(String query) throws LibraryException {
        return Documents.matches(
                handle.createQuery(query).map((row, context) -> row.getBytes(1)).list());
    }

    List<MatchRecord> all() throws LibraryException {
        List<MatchRecord> records = read("SELECT document FROM match_record WHERE removed = 0 ORDER BY id");
        records.sort(OLDEST_FIRST);
        return records;
    }

    Optional<MatchRecord> match(String id) throws LibraryException {
        Optional<String> document = handle.createQuery("SELECT document FROM match_record WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .findOne();
        return document.isEmpty() ? Optional.empty() : Optional.of(Documents.match(document.get()));
    }

    MatchRecord known(String id) throws LibraryException {
        return match(id).orElseThrow(() -> new LibraryException(StoreWords.of("match.none", id)));
    }

    /** Without reading it. */
    boolean there(String id) {
        return number("SELECT COUNT(*) FROM match_record WHERE id = :id", id) > 0;
    }

    boolean removed(String id) {
        return number("SELECT removed FROM match_record WHERE id = :id", id) == 1;
    }

    void setRemoved(String id, boolean removed) {
        handle.execute("UPDATE match_record SET removed = ? WHERE id = ?", removed ? 1 : 0, id);
    }

    void insert(MatchRecord r) {
        handle.execute("DELETE FROM edit_log WHERE match_id = ?", r.id());
        handle.execute("INSERT INTO match_record (id, document) VALUES (?, ?)", r.id(), MatchJson.write(r));
    }

    void clearLog(String id) {
        handle.execute("DELETE FROM edit_log WHERE match_id = ?", id);
    }

    void delete(String id) {
        clearLog(id);
        handle.execute("DELETE FROM match_record WHERE id = ?", id);
    }

    int applied(String id) {
        return number("SELECT edits_applied FROM match_record WHERE id = :id", id);
    }

    private int number(String query, String id) {
        return handle.createQuery(query)
                .bind("id", id)
                .mapTo(Integer.class)
                .findOne()
                .orElse(0);
    }

    /** Puts an edit at the end of what stands; what had been undone is dropped. */
    void append(MatchRecord before, MatchRecord after, Edit edit, Instant at, @Nullable String author) {
        String id = before.id();
        int n = applied(id) + 1;
        handle.execute("DELETE FROM edit_log WHERE match_id = ? AND n >= ?", id, n);
        handle.execute(
                "INSERT INTO edit_log (match_id, n, edit, made_at, made_by) VALUES (?, ?, ?, ?, ?)",
                id,
                n,
                EditJson.write(edit, before),
                at.toString(),
                author);
        store(after, n);
    }

    /** Puts a team's step behind what stands, where nothing was undone by going back. */
    void append(TeamChange step) {
        handle.execute(
                "INSERT INTO edit_log (match_id, n, edit, made_at, made_by, id, undoes, mirror)"
                        + " SELECT ?, COALESCE(MAX(n), 0) + 1, ?, ?, ?, ?, ?, ? FROM edit_log WHERE match_id = ?",
                step.item(),
                step.body(),
                step.at().toString(),
                step.by(),
                step.id(),
                step.undoes(),
                step.mirror(),
                step.item());
    }

    /** Takes steps out of the log, which then have to be put behind it anew. */
    void takeOut(List<TeamChange> steps) {
        steps.forEach(s -> handle.execute("DELETE FROM edit_log WHERE match_id = ? AND id = ?", s.item(), s.id()));
    }

    /** The record as it stands behind the whole log. */
    void store(MatchRecord record) {
        store(record, number("SELECT COALESCE(MAX(n), 0) FROM edit_log WHERE match_id = :id", record.id()));
    }

    /** Edits that were made in this mirror, oldest first. */
    List<TeamSteps.Own> own(String id) {
        return handle.createQuery("SELECT id, undoes, edit FROM edit_log WHERE match_id = :id AND mirror IS NULL"
                        + " AND id IS NOT NULL ORDER BY n")
                .bind("id", id)
                .map((row, context) -> new TeamSteps.Own(row.getString(1), row.getString(2), row.getString(3)))
                .list();
    }

    void store(MatchRecord record, int applied) {
        handle.execute(
                "UPDATE match_record SET document = ?, edits_applied = ? WHERE id = ?",
                MatchJson.write(record),
                applied,
                record.id());
    }

    Optional<Edit> edit(String id, int n) throws LibraryException {
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

    List<Library.Step> history(String id) throws LibraryException {
        int applied = applied(id);
        List<Library.Step> steps = new ArrayList<>();
        String who = authors ? "made_by" : "NULL AS made_by";
        try {
            for (Map<String, Object> row : handle.createQuery(
                            "SELECT n, edit, made_at, " + who + " FROM edit_log WHERE match_id = :id ORDER BY n")
                    .bind("id", id)
                    .mapToMap()
                    .list()) {
                int n = ((Number) requireNonNull(row.get("n"))).intValue();
                Object by = row.get("made_by");
                steps.add(new Library.Step(
                        n,
                        Instant.parse(requireNonNull(row.get("made_at")).toString()),
                        by == null ? null : by.toString(),
                        EditJson.read(requireNonNull(row.get("edit")).toString()),
                        n <= applied));
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
        return steps;
    }
}
