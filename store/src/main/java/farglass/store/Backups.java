package farglass.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The copies of one library in the folder {@code backups} beside it, and in a second folder when the user named one.
 *
 * <p>A copy is made under another name, looked through by SQLite, counted against the library, brought to the disk, and
 * only then named: what bears the name of a backup was whole when it got it. Names are matched whole, so that a library
 * whose name begins alike keeps its own.
 */
public final class Backups {
    private static final int KEPT = 7;
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd.HHmmss");
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern(".HHmmss");
    private static final List<String> TABLES =
            List.of("match_record", "edit_log", "plan", "plan_version", "assignment", "setting");

    private final Path library;
    private final Clock clock;
    private final Consumer<String> warn;

    /** What a backup was made for. */
    public enum Kind {
        /** The first change of a day. */
        DAILY,
        /** A change that replaces much: a newer form of the file, a library brought back. */
        BEFORE,
        /** The user asked for it; never deleted by the program. */
        ASKED
    }

    /**
     * One copy.
     *
     * @param date the day it was made
     * @param time the time of day, or null for a daily one
     * @param bytes its size
     * @param whole whether its length and beginning are those of a whole library; {@link Verification} looks closer
     */
    public record Backup(
            Path path, LocalDate date, @Nullable LocalTime time, Kind kind, long bytes, boolean whole) {}

    /**
     * @param library its real path
     * @param clock gives the dates
     * @param warn gets one sentence when a backup could not be made
     */
    Backups(Path library, Clock clock, Consumer<String> warn) {
        this.library = library.toAbsolutePath();
        this.clock = clock;
        this.warn = warn;
    }

    /** The backups of a library, which need not be there itself. */
    public static Backups of(Path library, Clock clock) throws LibraryException {
        return new Backups(LibraryFile.real(library), clock, w -> {});
    }

    /** Where the copies of each day lie. */
    public Path folder() {
        return library.resolveSibling("backups");
    }

    /** All copies in the folder beside the library, oldest first. */
    public List<Backup> all() {
        return in(folder());
    }

    private List<Backup> in(Path folder) {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        Pattern name = Pattern.compile(Pattern.quote(library.getFileName().toString())
                + "\\.(\\d{4}-\\d\\d-\\d\\d)(\\.\\d{6})?(\\.before)?\\.bak");
        List<Backup> found = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path p : files.sorted().toList()) {
                Matcher m = name.matcher(p.getFileName().toString());
                if (m.matches() && Files.isRegularFile(p)) {
                    Kind kind = m.group(2) == null ? Kind.DAILY : m.group(3) == null ? Kind.ASKED : Kind.BEFORE;
                    LocalTime time = m.group(2) == null ? null : LocalTime.parse(m.group(2), TIME);
                    found.add(new Backup(p, LocalDate.parse(m.group(1)), time, kind, Files.size(p), whole(p)));
                }
            }
        } catch (IOException | java.time.DateTimeException e) {
            // what cannot be listed cannot be offered
        }
        found.sort(Comparator.comparing(Backup::date).thenComparing(b -> modified(b.path())));
        return found;
    }

    private static long modified(Path p) {
        try {
            return Files.getLastModifiedTime(p).toMillis();
        } catch (IOException e) {
            return 0;
        }
    }

    private static boolean whole(Path p) {
        try {
            return LibraryFile.fault(p) == null;
        } catch (IOException e) {
            return false;
        }
    }

    /** The newest copy that is whole. */
    public Optional<Backup> newest() {
        List<Backup> good = all().stream().filter(Backup::whole).toList();
        return good.isEmpty() ? Optional.empty() : Optional.of(good.get(good.size() - 1));
    }

    /**
     * The day's copy, unless it is there and whole; a failure is a warning and stops nothing.
     *
     * @return whether the day is done with; false while the library holds nothing worth a copy
     */
    boolean daily(Connection c, @Nullable Path second) {
        LocalDate today = LocalDate.now(clock);
        Path target = folder().resolve(library.getFileName() + "." + today + ".bak");
        try {
            Map<String, Long> here = counts(c);
            if (Stream.of("match_record", "plan", "assignment").allMatch(t -> here.getOrDefault(t, 0L) == 0)) {
                return false;
            }
            if (!whole(target)) {
                copy(c, target);
                thin(folder(), Kind.DAILY);
            }
            if (second != null) {
                toSecond(target, second);
            }
        } catch (SQLException | IOException e) {
            warn.accept(StoreWords.of("backup.not-today", LibraryFile.reason(e), folder()));
        }
        return true;
    }

    private void toSecond(Path made, Path second) {
        Path there = second.resolve(made.getFileName());
        try {
            if (!whole(there)) {
                OwnerOnly.folder(second);
                WholeFile.write(there, part -> {
                    Files.copy(made, part, StandardCopyOption.REPLACE_EXISTING);
                    OwnerOnly.file(part);
                    if (Files.mismatch(made, part) >= 0) {
                        throw new IOException(StoreWords.of("backup.differs"));
                    }
                });
                thin(second, Kind.DAILY);
            }
        } catch (IOException e) {
            warn.accept(StoreWords.of("backup.no-second", LibraryFile.reason(e), folder(), second));
        }
    }

    /** A copy before much is changed; a failure is a warning. */
    Optional<Path> beforeChange(Connection c) {
        Path target = fresh(folder(), ".before.bak");
        try {
            copy(c, target);
            thin(folder(), Kind.BEFORE);
            return Optional.of(target);
        } catch (SQLException | IOException e) {
            warn.accept(StoreWords.of("backup.not-before", LibraryFile.reason(e), folder()));
            return Optional.empty();
        }
    }

    /**
     * A copy that the user asked for.
     *
     * @param where null for the usual folder
     * @throws LibraryException when it could not be made; nothing of it is left
     */
    Path asked(Connection c, Path where) throws LibraryException {
        Path folder = where == null ? folder() : where;
        try {
            Path target = fresh(folder, ".bak");
            copy(c, target);
            return target;
        } catch (SQLException | IOException e) {
            throw new LibraryException(StoreWords.of("backup.not-there", folder, LibraryFile.reason(e)), e);
        }
    }

    void saveCopy(Connection c, Path target) throws LibraryException {
        if (Files.exists(target)) {
            throw new LibraryException(StoreWords.of("copy.there", target));
        }
        try {
            copy(c, target);
        } catch (SQLException | IOException e) {
            throw new LibraryException(StoreWords.of("copy.not-there", target, LibraryFile.reason(e)), e);
        }
    }

    private Path fresh(Path folder, String ending) {
        LocalDateTime now = LocalDateTime.now(clock);
        Path target = folder.resolve(library.getFileName() + "." + MOMENT.format(now) + ending);
        while (Files.exists(target)) {
            now = now.plusSeconds(1);
            target = folder.resolve(library.getFileName() + "." + MOMENT.format(now) + ending);
        }
        return target;
    }

    /** Copies the library as one transaction sees it, and names the copy when it has been found good. */
    static void copy(Connection c, Path target) throws SQLException, IOException {
        OwnerOnly.folderOf(target);
        Path part = target.resolveSibling(target.getFileName() + ".part");
        LibraryFile.clear(part);
        OwnerOnly.create(part);
        try {
            try (var s = c.prepareStatement("VACUUM INTO ?")) {
                s.setString(1, part.toString());
                s.execute();
            }
            Map<String, Long> here = counts(c);
            try (Connection copy = LibraryFile.connect(LibraryFile.url(part, "?immutable=1"), "1000")) {
                String fault = Verification.fault(copy);
                if (fault != null || !counts(copy).equals(here)) {
                    throw new IOException(StoreWords.of("backup.unwhole"));
                }
            }
            WholeFile.sync(part);
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            WholeFile.syncFolder(target);
        } finally {
            LibraryFile.clear(part);
        }
    }

    private static Map<String, Long> counts(Connection c) throws SQLException {
        Map<String, Long> counts = new LinkedHashMap<>();
        try (Statement s = c.createStatement()) {
            for (String table : TABLES) {
                try (ResultSet r = s.executeQuery("SELECT COUNT(*) FROM " + table)) {
                    counts.put(table, r.next() ? r.getLong(1) : -1);
                }
            }
        }
        return counts;
    }

    /** Keeps the last of a kind; what is not whole does not count, and goes once enough good ones are there. */
    private void thin(Path folder, Kind kind) throws IOException {
        List<Backup> mine = in(folder).stream().filter(b -> b.kind() == kind).toList();
        List<Backup> good = mine.stream().filter(Backup::whole).toList();
        if (good.size() < KEPT) {
            return;
        }
        Backup oldest = good.get(good.size() - KEPT);
        for (Backup b : mine) {
            if (!b.whole() || mine.indexOf(b) < mine.indexOf(oldest)) {
                LibraryFile.clear(b.path());
            }
        }
    }

    /** Every file that is a copy of the library, whole or not, for deleting an athlete from all of them. */
    List<Path> everything(@Nullable Path second) {
        List<Path> files = new ArrayList<>();
        for (Path folder : second == null ? List.of(folder()) : List.of(folder(), second)) {
            if (!Files.isDirectory(folder)) {
                continue;
            }
            String stem = library.getFileName() + ".";
            Pattern ours = Pattern.compile(
                    Pattern.quote(stem) + "\\d{4}-\\d\\d-\\d\\d(\\.\\d{6})?(\\.before)?\\.(bak|damaged|rescued)"
                            + "(\\.part)?(-wal|-shm|-journal)?");
            try (Stream<Path> list = Files.list(folder)) {
                list.filter(p -> ours.matcher(p.getFileName().toString()).matches())
                        .sorted()
                        .forEach(files::add);
            } catch (IOException e) {
                // what cannot be listed is left, and told as left by the caller's search
            }
        }
        return files;
    }

    /** A name in the folder for a copy of another kind than a backup, for example {@code damaged}. */
    Path aside(String what) {
        return fresh(folder(), "." + what);
    }
}
