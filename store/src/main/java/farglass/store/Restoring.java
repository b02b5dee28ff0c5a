package farglass.store;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/**
 * Brings a library back from a backup, whole or match by match. What was there before is kept beside the backups first.
 */
public final class Restoring {
    private final Path library;
    private final Path backup;
    private final Clock clock;

    /**
     * What was done.
     *
     * @param kept the copy of what was there before; empty when nothing was
     * @param matches ids brought back; empty when the whole library was
     */
    public record Done(Optional<Path> kept, List<String> matches) {}

    /** @param backup a backup, or any other file that holds a library */
    public Restoring(Path library, Path backup, Clock clock) throws LibraryException {
        this.library = LibraryFile.real(library);
        this.backup = LibraryFile.real(backup);
        this.clock = clock;
        if (this.library.equals(this.backup)) {
            throw new LibraryException(StoreWords.of("restore.itself", backup));
        }
    }

    /** What the backup holds otherwise than the library; a library that cannot be read counts as empty. */
    public LibraryDifference difference() throws LibraryException {
        Salvage now;
        try {
            now = Files.exists(library) ? Salvage.of(library, clock) : NOTHING;
        } catch (LibraryException e) {
            now = NOTHING;
        }
        return LibraryDifference.between(Salvage.of(backup, clock), now);
    }

    private static final Salvage NOTHING =
            new Salvage(List.of(), List.of(), List.of(), List.of(), java.util.Map.of(), List.of());

    /**
     * Puts the backup in the library's place. Stopped at any moment, either the one or the other is there whole.
     *
     * @throws LibraryException when the backup is not good, or the library is open; nothing is changed then
     */
    public Done whole() throws LibraryException {
        Verification v = Verification.of(backup, clock);
        if (!v.good()) {
            throw new LibraryException(
                    StoreWords.of("restore.bad", backup, v.faults().get(0)));
        }
        if (v.version() > LibraryFile.VERSION) {
            throw new LibraryException(StoreWords.of("restore.newer", backup));
        }
        LibraryLock lock = LibraryLock.take(library);
        Path part = library.resolveSibling(library.getFileName() + ".restored");
        try {
            Optional<Path> kept = keep();
            LibraryFile.clear(part);
            copy(part);
            // a journal of the old file must not be taken for one of the new
            for (String ending : List.of("-wal", "-shm", "-journal")) {
                Files.deleteIfExists(library.resolveSibling(library.getFileName() + ending));
            }
            Files.move(part, library, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            WholeFile.syncFolder(library);
            return new Done(kept, List.of());
        } catch (IOException | SQLException e) {
            throw new LibraryException(StoreWords.of("restore.failed", LibraryFile.reason(e)), e);
        } finally {
            LibraryFile.clear(part);
            lock.close();
        }
    }

    private void copy(Path part) throws SQLException, IOException {
        try (Connection c = LibraryFile.connect(LibraryFile.url(backup, "?mode=ro"), "1000")) {
            Backups.copy(c, part);
        } catch (SQLException e) {
            // a backup on a medium that cannot be written
            try (Connection c = LibraryFile.connect(LibraryFile.url(backup, "?immutable=1"), "1000")) {
                Backups.copy(c, part);
            }
        }
    }

    /** A copy of the library as it is: a backup when it can be read, else its bytes and its journal's. */
    private Optional<Path> keep() throws IOException {
        if (!Files.exists(library)) {
            return Optional.empty();
        }
        Backups backups = new Backups(library, clock, w -> {});
        try {
            if (LibraryFile.fault(library) == null) {
                try (Connection c = LibraryFile.connect(LibraryFile.url(library, ""), "1000");
                        Statement s = c.createStatement()) {
                    if (Verification.fault(c) == null) {
                        Optional<Path> made = backups.beforeChange(c);
                        if (made.isPresent()) {
                            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
                            return made;
                        }
                    }
                }
            }
        } catch (SQLException e) {
            // kept as it lies, below
        }
        Path aside = backups.aside("damaged");
        OwnerOnly.folderOf(aside);
        WholeFile.write(aside, part -> Files.copy(library, part, StandardCopyOption.REPLACE_EXISTING));
        Path journal = library.resolveSibling(library.getFileName() + "-wal");
        if (Files.exists(journal)) {
            WholeFile.write(
                    aside.resolveSibling(aside.getFileName() + "-wal"),
                    part -> Files.copy(journal, part, StandardCopyOption.REPLACE_EXISTING));
        }
        OwnerOnly.file(aside);
        return Optional.of(aside);
    }

    /**
     * Brings single matches back with their histories, into a library that is open; one that is there is replaced.
     *
     * @param ids of matches in the backup
     */
    public static Done matches(Library into, Path backup, List<String> ids, Clock clock) throws LibraryException {
        Salvage found = Salvage.of(backup, clock);
        for (String id : ids) {
            if (found.matches().stream().noneMatch(r -> r.id().equals(id))) {
                throw new LibraryException(StoreWords.of(
                        "restore.no-match",
                        backup,
                        id,
                        String.join(
                                ", ",
                                found.matches().stream().map(MatchRecord::id).toList())));
            }
        }
        Optional<Path> kept = into.backups().beforeChange(into.connection());
        if (into.mirror().attached()) {
            ofTeam(into, found.matches(), ids);
            return new Done(kept, List.copyOf(ids));
        }
        Path real = LibraryFile.real(backup);
        LibraryFile.Reading reading = LibraryFile.readable(real, into.backups());
        try (Connection from = reading.connection()) {
            into.change(rows -> {
                for (String id : ids) {
                    MatchRecord r = found.matches().stream()
                            .filter(x -> x.id().equals(id))
                            .findFirst()
                            .orElseThrow();
                    bring(rows, from, r);
                }
            });
        } catch (SQLException e) {
            throw LibraryFile.damaged(real, into.backups(), e);
        } finally {
            LibraryFile.drop(reading.copy());
        }
        return new Done(kept, List.copyOf(ids));
    }

    /** What the others have is not put back behind their backs: it becomes what it was, as a change like any other. */
    private static void ofTeam(Library into, List<MatchRecord> found, List<String> ids) throws LibraryException {
        for (MatchRecord r : found) {
            if (ids.contains(r.id())) {
                Optional<MatchRecord> there = into.match(r.id());
                if (there.isPresent()) {
                    into.setRemoved(r.id(), false);
                    into.apply(r.id(), Edit.between(there.get(), r));
                } else {
                    into.add(r);
                }
            }
        }
    }

    private static void bring(Handle into, Connection from, MatchRecord r) {
        MatchRows rows = new MatchRows(into, true);
        into.execute("DELETE FROM match_record WHERE id = ?", r.id());
        rows.insert(r);
        List<Object[]> steps = new ArrayList<>();
        int applied = 0;
        try (var log = from.prepareStatement("SELECT * FROM edit_log WHERE match_id = ? ORDER BY n");
                var head = from.prepareStatement("SELECT edits_applied FROM match_record WHERE id = ?")) {
            log.setString(1, r.id());
            head.setString(1, r.id());
            try (var row = head.executeQuery()) {
                applied = row.next() ? row.getInt(1) : 0;
            }
            try (var row = log.executeQuery()) {
                boolean authors = row.getMetaData().getColumnCount() > 4;
                while (row.next()) {
                    steps.add(new Object[] {
                        row.getInt("n"),
                        row.getString("edit"),
                        row.getString("made_at"),
                        authors ? row.getString("made_by") : null
                    });
                }
            }
        } catch (SQLException e) {
            // the record can be read and its history cannot: it comes back without one
            return;
        }
        for (Object[] s : steps) {
            into.execute(
                    "INSERT INTO edit_log (match_id, n, edit, made_at, made_by) VALUES (?, ?, ?, ?, ?)",
                    r.id(),
                    s[0],
                    s[1],
                    s[2],
                    s[3]);
        }
        into.execute("UPDATE match_record SET edits_applied = ? WHERE id = ?", applied, r.id());
    }
}
