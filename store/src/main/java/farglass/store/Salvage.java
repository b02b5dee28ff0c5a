package farglass.store;

import farglass.draft.DraftList;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.DraftJson;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What can still be read of a damaged library. A table is read from its beginning and from its end, each as far as it
 * goes, and what lies between two damaged places is asked for row by row.
 *
 * @param matches records that are not removed
 * @param settings by name
 * @param missing one sentence for each thing that is known to be there and cannot be read, or for a table of which that
 * is all that can be said
 */
public record Salvage(
        List<MatchRecord> matches,
        List<Plan> plans,
        List<Assignment> assignments,
        List<DraftList> drafts,
        Map<String, String> settings,
        List<String> missing) {
    public Salvage {
        matches = List.copyOf(matches);
        plans = List.copyOf(plans);
        assignments = List.copyOf(assignments);
        drafts = List.copyOf(drafts);
        settings = Map.copyOf(settings);
        missing = List.copyOf(missing);
    }

    /** Puts all of it into a new library. */
    void fill(Library empty) throws LibraryException {
        empty.addAll(matches);
        for (Plan p : plans) {
            empty.save(p);
        }
        for (Assignment a : assignments) {
            empty.save(a);
        }
        for (DraftList d : drafts) {
            empty.save(d);
        }
        for (Map.Entry<String, String> e : settings.entrySet()) {
            empty.set(e.getKey(), e.getValue());
        }
    }

    /** @throws LibraryException when nothing at all can be read */
    public static Salvage of(Path file, Clock clock) throws LibraryException {
        Path real = LibraryFile.real(file);
        Backups backups = new Backups(real, clock, w -> {});
        LibraryFile.Reading reading = LibraryFile.readable(real, backups);
        try (Connection c = reading.connection()) {
            return of(c);
        } catch (SQLException e) {
            throw LibraryFile.damaged(real, backups, e);
        } finally {
            LibraryFile.drop(reading.copy());
        }
    }

    static Salvage of(Connection c) throws SQLException {
        List<String> missing = new ArrayList<>();
        List<MatchRecord> matches = documents(
                rows(c, "match_record", "id", "CASE removed WHEN 0 THEN COALESCE(document, '') END", missing),
                "match",
                MatchJson::read,
                missing);
        Map<String, String> versions =
                rows(c, "plan_version", "plan_id || char(10) || n", "COALESCE(document, '')", missing);
        Map<String, String> standing = new LinkedHashMap<>();
        rows(c, "plan", "id", "current_version", missing).forEach((id, n) -> {
            String document = versions.get(id + "\n" + n);
            if (document == null) {
                missing.add(StoreWords.of("salvage.plan", id));
            } else {
                standing.put(id, document);
            }
        });
        List<Plan> plans = documents(standing, "plan", PlanJson::read, missing);
        List<Assignment> assignments = documents(
                rows(c, "assignment", "id", "COALESCE(document, '')", missing),
                "assignment",
                PlanJson::readAssignment,
                missing);
        List<DraftList> drafts = documents(
                LibraryFile.version(c) < LibraryFile.WITH_DRAFTS
                        ? Map.of()
                        : rows(c, "draft_list", "match_id", "COALESCE(document, '')", missing),
                "list of drafts of",
                DraftJson::read,
                missing);
        Map<String, String> settings = rows(c, "setting", "name", "COALESCE(text, '')", missing);
        if (matches.isEmpty() && plans.isEmpty() && assignments.isEmpty() && !missing.isEmpty()) {
            throw new SQLException(StoreWords.of("salvage.nothing"));
        }
        return new Salvage(matches, plans, assignments, drafts, settings, missing);
    }

    private interface Reading<T> {
        T read(String document) throws FormatException;
    }

    private static <T> List<T> documents(
            Map<String, String> rows, String what, Reading<T> reading, List<String> missing) {
        List<T> read = new ArrayList<>();
        rows.forEach((id, document) -> {
            if (document == null) {
                // taken out of sight by the user
                return;
            }
            try {
                read.add(reading.read(document));
            } catch (FormatException e) {
                missing.add(StoreWords.of("salvage.document", what, id, e.getMessage()));
            }
        });
        return read;
    }

    private static Map<String, String> rows(
            Connection c, String table, String key, String value, List<String> missing) {
        Map<String, String> rows = new LinkedHashMap<>();
        String select = "SELECT " + key + ", " + value + " FROM " + table;
        boolean whole = scan(c, select + " NOT INDEXED ORDER BY rowid", rows);
        if (whole) {
            return rows;
        }
        scan(c, select + " NOT INDEXED ORDER BY rowid DESC", rows);
        Map<String, String> known = new LinkedHashMap<>();
        boolean told = scan(c, "SELECT " + key + ", '' FROM " + table, known);
        for (String id : known.keySet()) {
            if (!rows.containsKey(id)) {
                Map<String, String> one = new LinkedHashMap<>();
                if (scan(c, select + " WHERE " + key + " = '" + id.replace("'", "''") + "'", one) && !one.isEmpty()) {
                    rows.putAll(one);
                } else if (!table.equals("plan_version")) {
                    missing.add(StoreWords.of(
                            "salvage.row", table.replace("_record", "").replace('_', ' '), id.replace('\n', ' ')));
                }
            }
        }
        if (!told) {
            missing.add(StoreWords.of("salvage.table", table.replace('_', ' ')));
        }
        return rows;
    }

    /** @return whether the query came to its end */
    private static boolean scan(Connection c, String query, Map<String, String> rows) {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery(query)) {
            while (r.next()) {
                if (r.getString(1) != null) {
                    rows.put(r.getString(1), r.getString(2));
                }
            }
            return true;
        } catch (SQLException e) {
            return false;
        }
    }
}
