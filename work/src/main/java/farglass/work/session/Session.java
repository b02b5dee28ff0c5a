package farglass.work.session;

import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import farglass.store.Forgetting;
import farglass.store.Heads;
import farglass.store.Library;
import farglass.store.TeamChange;
import farglass.tendency.KeptCounts;
import farglass.tendency.LibraryIndex;
import farglass.work.task.Tasks;
import farglass.work.team.TeamLink;
import farglass.work.team.TeamListener;
import farglass.work.team.TeamStatus;
import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * What holds while somebody works on a library: its content as it is shown, the team's terms and rulesets, one index of
 * all matches, and the changes that may be made.
 *
 * <p>All methods belong to the thread of results, but for those that say otherwise.
 */
public final class Session implements AutoCloseable {
    private final Library library;
    private final Clock clock;
    private final Tasks tasks;
    private final Messages messages;
    private final Rights rights;
    private final Preferences preferences;
    private final Lexicon lexicon;
    private final TeamLexicon teamLexicon;
    private final Records records;
    private final Assignments assignments;
    private final Plans plans;
    private final Drafts drafts;
    private final List<SessionListener> listeners = new ArrayList<>();
    private Rulesets rulesets;
    private LibraryIndex index;
    private List<MatchRecord> indexed = List.of();
    private final Object indexLock = new Object();
    private final Upkeep upkeep;
    private boolean closed;
    /** Null for a library of one's own, and where nobody asked for it. */
    private @Nullable TeamLink team;

    private final String author;

    /** @param author who makes the edits where nobody has given a name, such as the name on the machine */
    public Session(LibraryContent content, Clock clock, Tasks tasks, Messages messages, String author) {
        this.library = content.library();
        this.clock = clock;
        this.tasks = tasks;
        this.messages = messages;
        this.rights = new Rights(messages);
        this.preferences = new Preferences(content.settings(), library, tasks, messages);
        this.author = preferences.get(Preferences.NAME).orElse(author);
        library.author(this.author);
        library.onWarning(messages::problem);
        tasks.onStopped(name -> messages.problem(WorkWords.of("export.stopped", name)));
        TeamWords words = TeamWords.of(content.settings());
        words.problems().forEach(messages::problem);
        this.lexicon = words.lexicon();
        this.rulesets = words.rulesets();
        this.teamLexicon = new TeamLexicon(preferences, words.terms());
        this.records = new Records(content, tasks, messages, rights);
        this.assignments = new Assignments(content.assignments(), library, tasks, messages, rights);
        this.plans = new Plans(content.plans(), library, tasks, messages, rights);
        this.drafts = new Drafts(content.drafts(), records, lexicon, library, tasks, messages, rights);
        this.index = LibraryIndex.empty(lexicon);
        this.upkeep = new Upkeep(library, lexicon);
        if (!library.readOnly() && content.matches().size() > LibraryContent.READ_WHOLE) {
            upkeep.start();
        }
    }

    /** From now on the library is kept at the same as its team's, if it is a mirror of one. */
    public void joinTeam() {
        tasks.write(
                () -> !library.readOnly() && library.mirror().attached(),
                mirror -> {
                    if (mirror && team == null && !closed) {
                        team = new TeamLink(library, author, tasks::deliver, new FromTeam());
                        team.start();
                    }
                },
                e -> messages.problem(e.getMessage()));
    }

    /** What keeps it at the same; empty for a library of one's own. */
    public Optional<TeamLink> team() {
        return Optional.ofNullable(team);
    }

    /** What others did becomes what is shown. */
    private final class FromTeam implements TeamListener {
        @Override
        public void changed(Map<TeamChange.Kind, Set<String>> items) {
            items.forEach((kind, ids) -> {
                switch (kind) {
                    case MATCH -> records.refresh(ids);
                    case PLAN -> plans.refresh(ids);
                    case DRAFT -> drafts.refresh(ids);
                    case ASSIGNMENT ->
                        tasks.write(
                                library::assignments,
                                now -> {
                                    assignments.replace(now);
                                    listeners.forEach(SessionListener::assignmentsChanged);
                                },
                                e -> messages.problem(e.getMessage()));
                    case SETTING -> messages.done(WorkWords.of("team.words"));
                    case ATHLETE ->
                        tasks.write(
                                () -> LibraryContent.of(library),
                                Session.this::replace,
                                e -> messages.problem(e.getMessage()));
                }
            });
        }

        @Override
        public void status(TeamStatus now) {
            rights.role(now.role());
            listeners.forEach(l -> l.teamChanged(now));
        }
    }

    /** Who hears of changes from now on. */
    public void listen(SessionListener listener) {
        listeners.add(listener);
        records.listen(listener);
        plans.listen(listener);
        drafts.listen(listener);
    }

    /** May be called from any thread. */
    public Library library() {
        return library;
    }

    /** May be called from any thread. */
    public Clock clock() {
        return clock;
    }

    /** May be called from any thread. */
    public Tasks tasks() {
        return tasks;
    }

    /** May be called from any thread. */
    public Messages messages() {
        return messages;
    }

    /** The lexicon that holds until the library is closed. May be called from any thread. */
    public Lexicon lexicon() {
        return lexicon;
    }

    /** The team's own terms, which hold from the next start on. */
    public TeamLexicon teamLexicon() {
        return teamLexicon;
    }

    /** Where films lie on this machine. */
    public FilmPlaces filmPlaces() {
        return FilmPlaces.of(library.folder(), preferences.beginning(FilmPlaces.setting("")));
    }

    /** Where a film lies on this machine, whether or not it is there. */
    public Path film(FilmRef film) {
        String place = film.sha256() == null
                ? null
                : preferences.get(FilmPlaces.setting(film.sha256())).orElse(null);
        return library.folder().resolve(place == null ? film.file() : place);
    }

    /** What the user has set. */
    public Preferences preferences() {
        return preferences;
    }

    /** The matches and their changes. */
    public Records records() {
        return records;
    }

    /** The assignments and their changes. */
    public Assignments assignments() {
        return assignments;
    }

    /** The plans and their changes. */
    public Plans plans() {
        return plans;
    }

    /** What is proposed about the matches. */
    public Drafts drafts() {
        return drafts;
    }

    /** The rulesets at hand, the team's own first. */
    public Rulesets rulesets() {
        return rulesets;
    }

    /** Keeps a ruleset of the team's own; the rulesets then at hand. */
    public Rulesets keep(Ruleset own) {
        String days = (own.from() == null ? "" : own.from().toString()) + "/" + (own.to() == null ? "" : own.to());
        preferences.set(TeamWords.RULESET + own.code() + " " + days, RulesetReader.write(own));
        TeamWords words = TeamWords.of(preferences.beginning(TeamWords.RULESET));
        words.problems().forEach(messages::problem);
        rulesets = words.rulesets();
        return rulesets;
    }

    /**
     * The facts of all matches as they are shown now; a changed match costs that match. May be called from any thread.
     */
    public LibraryIndex index() {
        synchronized (indexLock) {
            List<MatchRecord> now = records.all();
            Heads.Read read = records.fresh();
            if (now != indexed) {
                boolean begins =
                        index.records().isEmpty() || (read.matches() == now && read.counts() != KeptCounts.NONE);
                index = begins
                        ? LibraryIndex.of(read.matches(), lexicon, read.counts())
                                .with(now)
                        : index.with(now);
                indexed = now;
            }
            return index;
        }
    }

    /**
     * Deletes an athlete for good; what is shown follows.
     *
     * @param done gets the files that could not be deleted
     */
    public void forget(Forgetting f, Consumer<List<Path>> done) {
        tasks.write(() -> library.forget(f), done, e -> messages.problem(e.getMessage()));
        // also after a failure: it may have come after the athlete was out of the library
        tasks.write(() -> LibraryContent.of(library), this::replace, e -> messages.problem(e.getMessage()));
    }

    private void replace(LibraryContent now) {
        assignments.replace(now.assignments());
        plans.replace(now.plans());
        drafts.replace(now.drafts());
        records.replace(now);
        listeners.forEach(SessionListener::replaced);
    }

    /**
     * Notes files that were written outside the library, so that forgetting an athlete finds them. May be called from
     * any thread.
     */
    public void exported(Set<String> athletes, Path... written) {
        if (library.readOnly()) {
            return;
        }
        // not among the writes: a long film takes a while to be summed up, and tags must not wait for it
        tasks.command(
                WorkWords.of("export.name", written[0].getFileName()),
                () -> {
                    for (Path p : written) {
                        library.exported(p, athletes);
                    }
                    return null;
                },
                noted -> {},
                e -> messages.problem(WorkWords.of("export.unnoted", e.getMessage())));
    }

    /**
     * Waits for what was confirmed and frees the library; the second time it does nothing. May be called from any
     * thread.
     */
    @Override
    public synchronized void close() {
        if (!closed) {
            closed = true;
            upkeep.close();
            tasks.close();
            if (team != null) {
                team.close();
            }
            library.close();
        }
    }
}
