package farglass.store;

import static java.util.Objects.requireNonNull;

import farglass.draft.DraftList;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.jspecify.annotations.Nullable;

/**
 * The user's work in one file: matches with their edit logs, plans with their versions, assignments, settings.
 *
 * <p>Every change is one transaction that reads, checks and writes, and is on disk before the method returns. All
 * methods may be called from any thread; they run one after the other and should not be called from the interface
 * thread for more than a tag at a time.
 */
public final class Library implements AutoCloseable {
    /** Setting: a folder for a second copy of each day's backup. */
    public static final String SECOND_BACKUPS = "backup.second";

    /** Setting: files that go with an athlete who is being forgotten, one a line. */
    private static final String FORGETTING = "forgetting";

    private final Path file;
    private final Clock clock;
    private final Backups backups;
    private final @Nullable LibraryLock lock;
    private final Connection connection;
    private final Handle handle;
    private final MatchRows matches;
    private final PlanRows plans;
    private final SettingRows settings;
    private final DraftRows drafts;
    private final MirrorRows mirror;
    private final MatchEdits edits;
    private final TagReader tags;
    private final Heads heads;
    /** Null for a library that is only read. */
    private final @Nullable OpenFile open;
    /** Made for reading and deleted when it is closed, or null. */
    private final @Nullable Path copy;

    private final Warnings warnings = new Warnings();
    private @Nullable String author;
    private boolean backedUp;

    private final List<String> missing;

    private Library(Path file, Clock clock, LibraryLock lock, boolean anew) throws LibraryException {
        this.file = file;
        this.clock = clock;
        this.lock = lock;
        this.backups = new Backups(file, clock, warnings::say);
        this.connection = LibraryFile.writable(file, backups, anew);
        this.copy = null;
        this.missing = List.of();
        this.handle = handle();
        this.matches = new MatchRows(handle, true);
        this.plans = new PlanRows(handle);
        this.settings = new SettingRows(handle);
        this.drafts = new DraftRows(handle);
        this.mirror = new MirrorRows(handle);
        this.edits = new MatchEdits(matches, mirror, this::author);
        this.tags = new TagReader(file, backups);
        this.heads = new Heads(this, handle, tags);
        try {
            this.open = new OpenFile(file, lock, backups);
        } catch (IOException e) {
            closeConnection();
            throw LibraryFile.damaged(file, backups, e);
        }
    }

    /** To be read only. */
    private Library(Path file, Clock clock, LibraryFile.Reading reading, List<String> missing) throws LibraryException {
        this.file = file;
        this.clock = clock;
        this.lock = null;
        this.open = null;
        this.backups = new Backups(file, clock, warnings::say);
        this.connection = reading.connection();
        this.copy = reading.copy();
        this.missing = missing;
        this.handle = handle();
        try {
            this.matches = new MatchRows(handle, LibraryFile.version(connection) != 1);
        } catch (SQLException e) {
            closeConnection();
            throw LibraryFile.damaged(file, backups, e);
        }
        this.plans = new PlanRows(handle);
        this.settings = new SettingRows(handle);
        this.drafts = new DraftRows(handle);
        this.mirror = new MirrorRows(handle);
        this.edits = new MatchEdits(matches, mirror, this::author);
        this.tags = new TagReader(file, backups);
        this.heads = new Heads(this, handle, tags);
    }

    private Handle handle() throws LibraryException {
        try {
            return Jdbi.create(connection).open();
        } catch (JdbiException e) {
            closeConnection();
            throw LibraryFile.damaged(file, backups, e);
        }
    }

    /**
     * Opens a library, making it when it does not exist.
     *
     * @param clock gives the dates of edits and backups
     * @throws LibraryException when it is open elsewhere, read-only, from a newer version, damaged, or not a library
     */
    public static Library open(Path file, Clock clock) throws LibraryException {
        return open(file, clock, false);
    }

    /** Begins a new library where none is, although backups of an earlier one lie there; they are kept. */
    public static Library beginAnew(Path file, Clock clock) throws LibraryException {
        return open(file, clock, true);
    }

    private static Library open(Path file, Clock clock, boolean anew) throws LibraryException {
        Path real = LibraryFile.real(file);
        LibraryLock lock = LibraryLock.take(real);
        try {
            Library library = new Library(real, clock, lock, anew);
            library.goOnForgetting();
            return library;
        } catch (LibraryException | RuntimeException e) {
            lock.close();
            throw e;
        }
    }

    /**
     * Opens a library to be read only: it may be open in a window, lie on a medium that cannot be written, or be of
     * another version. Nothing about it changes, every method that would change something throws.
     */
    public static Library read(Path file, Clock clock) throws LibraryException {
        Path real = LibraryFile.real(file);
        return new Library(real, clock, LibraryFile.readable(real, new Backups(real, clock, w -> {})), List.of());
    }

    /**
     * Opens what can be read of a damaged library, to be read only and without histories; {@link #missing} says what
     * cannot.
     *
     * @throws LibraryException when nothing can be read
     */
    public static Library salvaged(Path file, Clock clock) throws LibraryException {
        Path real = LibraryFile.real(file);
        Salvage found = Salvage.of(real, clock);
        Path folder = null;
        try {
            folder = Files.createTempDirectory("farglass-salvaged");
            Path there = folder.resolve("library");
            try (Library whole = open(there, clock)) {
                whole.backedUp = true;
                found.fill(whole);
            }
            Connection c = LibraryFile.connect(LibraryFile.url(there, "?mode=ro"), "1000");
            return new Library(real, clock, new LibraryFile.Reading(c, folder), found.missing());
        } catch (IOException | SQLException e) {
            LibraryFile.drop(folder);
            throw LibraryFile.damaged(real, new Backups(real, clock, w -> {}), e);
        }
    }

    /** What is known to be in a damaged library and cannot be read, one sentence each; empty for a whole one. */
    public List<String> missing() {
        return missing;
    }

    /** Whether it was opened for reading only. */
    public boolean readOnly() {
        return open == null;
    }

    /** The library's own file, links resolved. */
    public Path file() {
        return file;
    }

    /** The folder that film paths of records are relative to. */
    public Path folder() {
        return requireNonNull(file.toAbsolutePath().getParent());
    }

    /** Where its copies lie. */
    public Backups backups() {
        return backups;
    }

    /** Who hears what could not be done beside a change, such as the day's backup; what was said before is said now. */
    public void onWarning(Consumer<String> listener) {
        warnings.listen(listener);
    }

    /** All records that are not removed, oldest first. */
    public synchronized List<MatchRecord> matches() throws LibraryException {
        return look(matches::all);
    }

    /** The library read by need. */
    public Heads heads() {
        return heads;
    }

    /** All records, those that are out of sight among them. */
    synchronized List<MatchRecord> everyMatch() throws LibraryException {
        return look(matches::everything);
    }

    /** A record by id, also one that is out of sight; empty when there is none. */
    public synchronized Optional<MatchRecord> match(String id) throws LibraryException {
        return look(() -> matches.match(id));
    }

    /** A record by id; empty when there is none, or it is out of sight. */
    public synchronized Optional<MatchRecord> visible(String id) throws LibraryException {
        return look(() -> matches.removed(id) ? Optional.empty() : matches.match(id));
    }

    /** @throws LibraryException when a record of that id is there already */
    public synchronized void add(MatchRecord record) throws LibraryException {
        addAll(List.of(record));
    }

    /**
     * Adds all records or, when one of them cannot be added, none. A match that had been removed comes back as it is
     * given, with its history and one step more.
     */
    public synchronized void addAll(List<MatchRecord> records) throws LibraryException {
        change(rows -> edits.add(records));
    }

    /** Takes a match out of sight, or back in. Nothing is deleted. */
    public synchronized void setRemoved(String id, boolean removed) throws LibraryException {
        change(rows -> edits.setRemoved(id, removed));
    }

    /**
     * Applies an edit; what had been undone before it can no longer be redone.
     *
     * @return the record after the edit, which is on disk
     */
    public synchronized MatchRecord apply(String id, Edit edit) throws LibraryException {
        return change(() -> edits.apply(matches.known(id), edit));
    }

    /** Who makes the edits from now on; null for nobody in particular. */
    public synchronized void author(String name) {
        author = name;
    }

    /** The library as the mirror of a team's; it may be none. */
    public Mirror mirror() {
        return new Mirror(this, mirror);
    }

    /** Who hears, on the thread that changes the library, that something waits to be sent to the team. */
    public void onWaiting(Runnable listener) {
        mirror.onWaiting(listener);
    }

    /** Who makes a change now. */
    synchronized MatchEdits.Author author() {
        return new MatchEdits.Author(author, clock.instant());
    }

    Instant now() {
        return clock.instant();
    }

    void renamed(Map<String, Map<String, String>> byMatch) {
        edits.renamed(byMatch);
    }

    synchronized <T> T reading(Transaction.Work<T> work) throws LibraryException {
        return look(work);
    }

    /**
     * A step of a record's history.
     *
     * @param n from 1
     * @param by who made it, or null
     * @param stands whether it stands; false for one that has been undone
     */
    public record Step(int n, Instant at, @Nullable String by, Edit edit, boolean stands) {}

    /** Every confirmed edit of a record, oldest first. */
    public synchronized List<Step> history(String id) throws LibraryException {
        return look(() -> matches.history(id));
    }

    /** Takes back the last edit, in a team's library one's own last; empty when there is none. */
    public synchronized Optional<MatchRecord> undo(String id) throws LibraryException {
        return change(() -> edits.step(id, true));
    }

    /** Does again what was undone; empty when there is nothing. */
    public synchronized Optional<MatchRecord> redo(String id) throws LibraryException {
        return change(() -> edits.step(id, false));
    }

    /** Whether a step of a record can be taken back. */
    public synchronized boolean canUndo(String id) throws LibraryException {
        return look(() -> edits.can(id, true));
    }

    /** Whether a step that was taken back can be made again. */
    public synchronized boolean canRedo(String id) throws LibraryException {
        return look(() -> edits.can(id, false));
    }

    /** All plans as they stand. */
    public synchronized List<Plan> plans() throws LibraryException {
        return look(plans::all);
    }

    /** Keeps a new version of a plan; versions that had been undone are dropped. */
    public synchronized void save(Plan plan) throws LibraryException {
        change(rows -> keep(plan));
    }

    /**
     * Keeps a changed plan; the first change of a plan keeps what was there before it, so that it can be taken back.
     */
    public synchronized void save(Plan before, Plan after) throws LibraryException {
        change(() -> {
            if (plans.version(before.id()) == 0) {
                keep(before);
            }
            keep(after);
            return true;
        });
    }

    private void keep(Plan plan) {
        mirror.change(TeamChange.Kind.PLAN, plan.id(), () -> plans.save(plan, clock.instant()), author());
    }

    /** The plan one version earlier ({@code step} -1) or later (1), which then stands; empty when there is none. */
    public synchronized Optional<Plan> stepPlan(String id, int step) throws LibraryException {
        return change(() -> {
            boolean shared = mirror.before(TeamChange.Kind.PLAN, id);
            Optional<Plan> now = plans.step(id, step);
            if (shared && now.isPresent()) {
                mirror.noteIfShared(TeamChange.Kind.PLAN, id, TeamChange.Act.SET, author());
            }
            return now;
        });
    }

    /** What is proposed about matches that are there; of most there is nothing. */
    public synchronized List<DraftList> drafts() throws LibraryException {
        return look(drafts::all);
    }

    /** Keeps what is proposed about a match, in place of what stood there. */
    public synchronized void save(DraftList list) throws LibraryException {
        change(rows -> mirror.change(TeamChange.Kind.DRAFT, list.match(), () -> drafts.save(list), author()));
    }

    /** All assignments. */
    public synchronized List<Assignment> assignments() throws LibraryException {
        return look(plans::assignments);
    }

    /** Keeps an assignment; a new one goes to the end of the list. */
    public synchronized void save(Assignment a) throws LibraryException {
        change(rows -> mirror.change(TeamChange.Kind.ASSIGNMENT, a.id(), () -> plans.save(a), author()));
    }

    /** What would be deleted with an athlete; nothing is changed. */
    public synchronized Forgetting concerning(String athlete) throws LibraryException {
        return look(() -> Forgetting.of(athlete, handle, file, backups.everything(secondBackups())));
    }

    /**
     * Deletes an athlete for good: all that was said before, from the library, from its copies and from the files in
     * its folder. The one thing here that cannot be taken back.
     *
     * @return files that could not be deleted; empty when all is gone
     */
    public synchronized List<Path> forget(Forgetting f) throws LibraryException {
        return forget(f, true);
    }

    /** @param tell whether the team is to forget him too; false where it has said so itself */
    synchronized List<Path> forget(Forgetting f, boolean tell) throws LibraryException {
        List<Path> files = f.files(backups.everything(secondBackups()));
        change(() -> {
            f.delete(handle);
            if (tell && mirror.attached()) {
                mirror.note(
                        TeamChange.Kind.ATHLETE,
                        TeamForgetting.mark(f.athlete()),
                        TeamChange.Act.FORGOTTEN,
                        TeamForgetting.of(f).text(),
                        null,
                        clock.instant(),
                        author);
            }
            // should the process end before all is gone, the next opening goes on from here
            settings.put(FORGETTING, files.stream().map(Path::toString).collect(Collectors.joining("\n")));
            return true;
        });
        try {
            List<Path> left = new ArrayList<>(f.changed());
            left.addAll(finishForgetting());
            return left;
        } catch (SQLException e) {
            throw new LibraryException(StoreWords.of("forget.unwiped", LibraryFile.reason(e)), e);
        }
    }

    /** Wipes free pages and the journal, deletes the files that were to go, and forgets that it had to. */
    private List<Path> finishForgetting() throws LibraryException, SQLException {
        List<Path> files = new ArrayList<>();
        setting(FORGETTING).orElse("").lines().forEach(l -> files.add(Path.of(l)));
        for (Path p : backups.everything(secondBackups())) {
            if (!files.contains(p)) {
                files.add(p);
            }
        }
        wipe();
        List<Path> left = Forgetting.deleteFiles(files);
        change(rows -> settings.remove(FORGETTING));
        wipe();
        // the backup of the day went too
        backedUp = false;
        return left;
    }

    private void wipe() throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute("VACUUM");
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        }
        requireNonNull(open).resized();
    }

    /** A forgetting that was cut short is brought to its end. */
    private void goOnForgetting() throws LibraryException {
        if (setting(FORGETTING).isPresent()) {
            try {
                backedUp = true;
                finishForgetting();
            } catch (SQLException e) {
                warnings.say(StoreWords.of("forget.unfinished", LibraryFile.reason(e)));
            }
        }
    }

    /** What was set under a name. */
    public synchronized Optional<String> setting(String name) throws LibraryException {
        return look(() -> settings.setting(name));
    }

    /** Everything that was set, by name. */
    public synchronized Map<String, String> settings() throws LibraryException {
        return look(settings::all);
    }

    /** Keeps a setting in place of what stood there. */
    public synchronized void set(String name, String text) throws LibraryException {
        change(rows -> mirror.change(TeamChange.Kind.SETTING, name, () -> settings.put(name, text), author()));
    }

    /**
     * Notes a file that was written outside the library, so that forgetting an athlete reaches it.
     *
     * @param athletes ids of those it tells of; empty for everybody
     */
    public void exported(Path written, Set<String> athletes) throws LibraryException {
        try {
            // summed up before the library is held: nobody waits for a long film
            Exported x = Exported.of(written, athletes);
            long bytes = Files.size(written);
            change(rows -> x.note(rows, clock.instant(), bytes));
        } catch (IOException e) {
            throw new LibraryException(StoreWords.of("export.unread", written, LibraryFile.reason(e)), e);
        }
    }

    /**
     * Makes a copy of the library now.
     *
     * @param where null for the usual folder
     * @return the copy
     */
    public synchronized Path backUp(Path where) throws LibraryException {
        return backups.asked(connection, where);
    }

    /**
     * Writes a checked copy of the library to a file that is not there yet. Films are not copied.
     *
     * @throws LibraryException when there is such a file, or it cannot be written; nothing is left then
     */
    public synchronized void saveCopy(Path target) throws LibraryException {
        backups.saveCopy(connection, target);
    }

    private @Nullable Path secondBackups() throws LibraryException {
        return setting(SECOND_BACKUPS)
                .filter(s -> !s.isBlank())
                .map(s -> folder().resolve(s))
                .orElse(null);
    }

    Connection connection() {
        return connection;
    }

    private <T> T look(Transaction.Work<T> work) throws LibraryException {
        try {
            return work.done();
        } catch (JdbiException e) {
            throw LibraryFile.damaged(file, backups, e);
        }
    }

    /** Work on the library's rows by those who know them. */
    interface RowWork {
        void done(Handle rows) throws LibraryException;
    }

    synchronized void change(RowWork work) throws LibraryException {
        change(() -> {
            work.done(handle);
            return true;
        });
    }

    /** What is kept beside the user's work and can be made again: no day's backup is due before it. */
    synchronized void besides(Runnable work) throws LibraryException {
        if (open == null) {
            return;
        }
        open.check(connection);
        try {
            Transaction.of(connection, () -> {
                work.run();
                return true;
            });
        } catch (JdbiException | SQLException e) {
            throw new LibraryException(StoreWords.of("library.unwritten", LibraryFile.reason(e)), e);
        }
        open.check(connection);
    }

    /** Reads, checks and writes in one transaction, which holds the file from its beginning. */
    private <T> T change(Transaction.Work<T> work) throws LibraryException {
        if (open == null) {
            throw new LibraryException(
                    LibraryException.Kind.READ_ONLY, StoreWords.of("library.reading-only", file), null);
        }
        open.check(connection);
        if (!backedUp) {
            backedUp = backups.daily(connection, secondBackups());
        }
        T done;
        try {
            done = Transaction.of(connection, work);
        } catch (JdbiException | SQLException e) {
            throw new LibraryException(StoreWords.of("library.unwritten", LibraryFile.reason(e)), e);
        }
        open.check(connection);
        return done;
    }

    @Override
    public synchronized void close() {
        if (open != null) {
            try {
                open.check(connection);
            } catch (LibraryException e) {
                warnings.say(e.getMessage());
            }
        }
        tags.close();
        handle.close();
        closeConnection();
        if (lock != null) {
            lock.close();
        }
    }

    private void closeConnection() {
        try {
            connection.close();
        } catch (SQLException ignored) {
            // every change is committed already
        }
        LibraryFile.drop(copy);
    }
}
