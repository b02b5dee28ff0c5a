package farglass.store;

import farglass.store.json.DraftJson;
import farglass.store.json.EditJson;
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
import org.jspecify.annotations.Nullable;

/**
 * Whether a library, or a backup of one, can be read to its last document.
 *
 * @param version of the file's form, see the migrations
 * @param counts rows by table
 * @param faults what is wrong, one sentence each; empty when all is good
 */
public record Verification(int version, Map<String, Long> counts, List<String> faults) {
    private static final int MOST_FAULTS = 50;

    public Verification {
        counts = Map.copyOf(counts);
        faults = List.copyOf(faults);
    }

    /** Whether everything could be read. */
    public boolean good() {
        return faults.isEmpty();
    }

    /** Looks through a file without writing to it, also while a window has it open. */
    public static Verification of(Path file, Clock clock) throws LibraryException {
        Path real = LibraryFile.real(file);
        LibraryFile.Reading reading = LibraryFile.readable(real, new Backups(real, clock, w -> {}));
        try (Connection c = reading.connection()) {
            return of(c);
        } catch (SQLException e) {
            return new Verification(0, Map.of(), List.of(StoreWords.of("verify.unread", LibraryFile.reason(e))));
        } finally {
            LibraryFile.drop(reading.copy());
        }
    }

    private static Verification of(Connection c) throws SQLException {
        List<String> faults = new ArrayList<>();
        String fault = fault(c);
        if (fault != null) {
            faults.add(fault);
        }
        Map<String, Long> counts = new LinkedHashMap<>();
        each(c, "match_record", "id, document", counts, faults, r -> MatchJson.read(text(r)));
        each(c, "edit_log", "match_id || ', edit ' || n, edit", counts, faults, r -> EditJson.read(text(r)));
        each(c, "plan_version", "plan_id || ', version ' || n, document", counts, faults, r -> PlanJson.read(text(r)));
        each(c, "assignment", "id, document", counts, faults, r -> PlanJson.readAssignment(text(r)));
        if (LibraryFile.version(c) >= LibraryFile.WITH_DRAFTS) {
            each(c, "draft_list", "match_id, document", counts, faults, r -> DraftJson.read(text(r)));
        }
        each(c, "plan", "id", counts, faults, r -> {});
        each(c, "setting", "name, text", counts, faults, r -> {});
        ask(
                c,
                "SELECT m.id FROM match_record m WHERE m.edits_applied <> (SELECT COUNT(*) FROM edit_log e"
                        + " WHERE e.match_id = m.id AND e.n <= m.edits_applied)",
                "verify.gap",
                faults);
        ask(
                c,
                "SELECT p.id FROM plan p WHERE NOT EXISTS (SELECT 1 FROM plan_version v"
                        + " WHERE v.plan_id = p.id AND v.n = p.current_version)",
                "verify.version",
                faults);
        return new Verification(
                LibraryFile.version(c), counts, faults.size() <= MOST_FAULTS ? faults : faults.subList(0, MOST_FAULTS));
    }

    /** What SQLite finds wrong with a file, as one sentence; null when nothing. */
    static @Nullable String fault(Connection c) {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("PRAGMA integrity_check(1)")) {
            return r.next() && r.getString(1).equals("ok") ? null : StoreWords.of("verify.damaged");
        } catch (SQLException e) {
            return StoreWords.of("verify.parts", LibraryFile.reason(e));
        }
    }

    private static String text(ResultSet row) throws SQLException {
        String text = row.getString(2);
        return text == null ? "" : text;
    }

    private interface Reading {
        void read(ResultSet row) throws SQLException, FormatException;
    }

    private static void each(
            Connection c,
            String table,
            String columns,
            Map<String, Long> counts,
            List<String> faults,
            Reading reading) {
        long n = 0;
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT " + columns + " FROM " + table)) {
            while (r.next()) {
                n++;
                try {
                    reading.read(r);
                } catch (FormatException e) {
                    faults.add(StoreWords.of("verify.row", table, r.getString(1), e.getMessage()));
                }
            }
        } catch (SQLException e) {
            faults.add(StoreWords.of("verify.table", table, LibraryFile.reason(e)));
        }
        counts.put(table, n);
    }

    private static void ask(Connection c, String query, String sentence, List<String> faults) {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery(query)) {
            while (r.next()) {
                faults.add(StoreWords.of(sentence, r.getString(1)));
            }
        } catch (SQLException e) {
            faults.add(StoreWords.of("verify.apart", LibraryFile.reason(e)));
        }
    }
}
