package farglass.desk.shell;

import farglass.chart.ChartPlan;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.phrase.LikelyNext;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.profile.ClaimWriter;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.store.Forgetting;
import farglass.store.Library;
import farglass.store.LibraryException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.paint.Color;

/**
 * What the stations share: the library's content as the interface thread sees it, and the changes that may be made to it.
 *
 * <p>A change is shown at once and written in order by the library's own thread; when the write fails, what is shown goes
 * back to what is kept, with a notice.
 */
public final class Desk implements AutoCloseable {
    private final Library library;
    private final Clock clock;
    private final OwnLexicon ownLexicon;
    private final Lexicon lexicon;
    private final ClaimWriter claims = new ClaimWriter(Locale.ENGLISH);
    private final Background background = new Background();
    private final Settings settings;
    private final Notices notices = new Notices();
    private final Shelf shelf = new Shelf();
    private final ObservableList<MatchRecord> matches = shelf.matches();
    private final ObservableList<Assignment> assignments = FXCollections.observableArrayList();
    private final ObjectProperty<Assignment> assignment = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<MatchRecord> open = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Node> cover = new SimpleObjectProperty<>();
    private final ObjectProperty<Plan> plan = new SimpleObjectProperty<>();
    private final ObjectProperty<LikelyNext> likely = new SimpleObjectProperty<>();
    private final StringProperty profiled = new SimpleStringProperty();
    private final OwnRules rules;
    private final StringProperty filmArrived = new SimpleStringProperty();
    private final Deque<Assignment> earlier = new ArrayDeque<>();
    private boolean stepping;
    /** Edits made while an undo is on its way to the disk: they are made for what comes after it. */
    private final Deque<Edit> afterStep = new ArrayDeque<>();

    private final List<Runnable> closing = new ArrayList<>();
    private boolean closed;
    private Consumer<Path> bringBack = backup -> {};
    private Consumer<Path> report = target -> {};
    /** Made when the first chart is drawn. */
    private ChartPlan chartPlan;

    /** A library and what was read of it. */
    public record Content(
            Library library, List<MatchRecord> matches, List<Assignment> assignments, Map<String, String> settings) {
        /** Reads a library; closes it when it cannot be read. */
        public static Content orClosed(Library library) throws LibraryException {
            try {
                return of(library);
            } catch (LibraryException | RuntimeException e) {
                library.close();
                throw e;
            }
        }

        public static Content of(Library library) throws LibraryException {
            return new Content(library, library.matches(), library.assignments(), library.settings());
        }
    }

    public Desk(Content content, Clock clock) {
        this.library = content.library();
        this.clock = clock;
        this.settings = new Settings(content.settings(), library, background, notices);
        library.author(settings.get(Settings.NAME).orElse(System.getProperty("user.name")));
        library.onWarning(notices::problem);
        background.onStopped(name -> notices.problem(Words.of("export.stopped", name)));
        this.rules = new OwnRules(settings, notices);
        this.ownLexicon = new OwnLexicon(settings, notices);
        this.lexicon = ownLexicon.inUse();
        matches.setAll(content.matches());
        assignments.setAll(content.assignments());
        assignment.addListener((o, was, now) -> choosePlan());
        if (!assignments.isEmpty()) {
            assignment.set(assignments.get(0));
        }
        chooseFirst();
        learn();
    }

    private void chooseFirst() {
        Assignment a = assignment.get();
        if (a != null && !a.opponents().isEmpty()) {
            profiled.set(a.opponents().get(0));
        }
        matches.stream()
                .filter(r -> !r.films().isEmpty() && profiled.get() != null)
                .filter(r -> r.cornerOf(profiled.get()).isPresent())
                .findFirst()
                .or(() -> matches.stream().findFirst())
                .ifPresent(open::set);
    }

    private static String planId(Assignment a, String them) {
        return a.id() + "." + them;
    }

    private void choosePlan() {
        Assignment a = assignment.get();
        if (a == null) {
            plan.set(null);
            return;
        }
        Plan now = plan.get();
        if (now != null && a.opponents().contains(now.them()) && now.id().equals(planId(a, now.them()))) {
            return;
        }
        String them = a.opponents().isEmpty() ? "" : a.opponents().get(0);
        openPlan(them);
    }

    /**
     * Deletes an athlete for good, in the background; what is shown follows.
     *
     * @param done gets the files that could not be deleted
     */
    public void forget(Forgetting f, Consumer<List<Path>> done) {
        background.write(
                () -> library.forget(f),
                left -> {
                    matches.removeIf(r -> f.matches().contains(r.id()));
                    if (open.get() != null && f.matches().contains(open.get().id())) {
                        open.set(matches.isEmpty() ? null : matches.get(0));
                    }
                    if (f.athlete().equals(profiled.get())) {
                        profiled.set(athletes().keySet().stream().findFirst().orElse(null));
                    }
                    List<Assignment> kept = new ArrayList<>();
                    for (Assignment a : assignments) {
                        if (!f.assignments().contains(a.id())) {
                            kept.add(a.without(f.athlete()));
                        }
                    }
                    earlier.clear();
                    assignments.setAll(kept);
                    plan.set(null);
                    assignment.set(null);
                    assignment.set(kept.isEmpty() ? null : kept.get(0));
                    done.accept(left);
                },
                e -> notices.problem(e.getMessage()));
    }

    /** All plans that have been kept. May be called from any thread. */
    public List<Plan> plans() throws LibraryException {
        return library.plans();
    }

    /** Opens the plan against an opponent of the assignment; an empty one is made when there is none. */
    public void openPlan(String them) {
        Assignment a = assignment.get();
        String id = planId(a, them);
        try {
            plan.set(library.plans().stream()
                    .filter(p -> p.id().equals(id))
                    .findFirst()
                    .orElseGet(() -> Plan.empty(id, Words.of("plan.title", nameOf(them)), a.us(), them)));
        } catch (LibraryException e) {
            notices.problem(e.getMessage());
        }
    }

    public Library library() {
        return library;
    }

    /** Notes files that were written outside the library, so that forgetting an athlete finds them. May be called from any thread. */
    public void exported(Set<String> athletes, Path... written) {
        if (library.readOnly()) {
            return;
        }
        // not among the writes: a long film takes a while to be summed up, and tags must not wait for it
        background.command(
                Words.of("export.name", written[0].getFileName()),
                () -> {
                    for (Path p : written) {
                        library.exported(p, athletes);
                    }
                    return null;
                },
                noted -> {},
                e -> notices.problem(Words.of("export.unnoted", e.getMessage())));
    }

    /** What must be brought to an end before the window closes. */
    public void onClosing(Runnable action) {
        closing.add(action);
    }

    /** The window is about to close. */
    public void closing() {
        closing.forEach(Runnable::run);
        closing.clear();
    }

    /** Who closes the library, brings a backup back in its place and opens it anew. */
    public void onBringBack(Consumer<Path> action) {
        bringBack = action;
    }

    /** Brings the whole library back from a backup; the window opens anew on it. */
    public void bringBack(Path backup) {
        bringBack.accept(backup);
    }

    /** Who writes the report file to a path. */
    public void onReport(Consumer<Path> action) {
        report = action;
    }

    public void report(Path target) {
        report.accept(target);
    }

    /** Reads all matches anew after the library was changed from outside the stations. */
    public void readAnew() {
        background.write(
                library::matches,
                all -> {
                    matches.setAll(all);
                    if (open.get() != null) {
                        openMatch(open.get().id());
                    }
                    learn();
                },
                e -> notices.problem(e.getMessage()));
    }

    public Clock clock() {
        return clock;
    }

    public Lexicon lexicon() {
        return lexicon;
    }

    /** Where places stand on every chart. */
    public ChartPlan chartPlan() {
        if (chartPlan == null) {
            chartPlan = new ChartPlan(lexicon);
        }
        return chartPlan;
    }

    /** The team's own terms, which hold from the next start on. */
    public OwnLexicon ownLexicon() {
        return ownLexicon;
    }

    public ClaimWriter claimWriter() {
        return claims;
    }

    public Background background() {
        return background;
    }

    /** The rulesets at hand, the user's own first. */
    public ReadOnlyObjectProperty<Rulesets> rulesets() {
        return rules.all();
    }

    /** Keeps a ruleset of the user's own. */
    public void keep(Ruleset own) {
        rules.keep(own);
    }

    /** What the user has set. */
    public Settings settings() {
        return settings;
    }

    public Notices notices() {
        return notices;
    }

    /** All records, oldest first. Changed on the interface thread only. */
    public ObservableList<MatchRecord> matches() {
        return matches;
    }

    public ObservableList<Assignment> assignments() {
        return assignments;
    }

    /** What lies over the whole window, such as a briefing that is shown; null for nothing. */
    public ObjectProperty<Node> cover() {
        return cover;
    }

    public ObjectProperty<Assignment> assignment() {
        return assignment;
    }

    /** The record the film station works on; null when there is none. */
    public ReadOnlyObjectProperty<MatchRecord> openRecord() {
        return open.getReadOnlyProperty();
    }

    public ObjectProperty<Plan> plan() {
        return plan;
    }

    /** The model of likely next tags; null until it has been learned. */
    public ObjectProperty<LikelyNext> likely() {
        return likely;
    }

    /** Id of the athlete whose profile is shown. */
    public StringProperty profiled() {
        return profiled;
    }

    /** Id of the match whose film was made last. */
    public StringProperty filmArrivedProperty() {
        return filmArrived;
    }

    /** May be called from any thread. */
    public void filmArrived(String match) {
        Platform.runLater(() -> {
            filmArrived.set(null);
            filmArrived.set(match);
        });
    }

    public void openMatch(String id) {
        match(id).ifPresent(open::set);
    }

    public Optional<MatchRecord> match(String id) {
        return shelf.match(id);
    }

    /** Where the first film of a record lies. */
    public Path filmPath(MatchRecord r) {
        return library.folder().resolve(r.films().get(0).file());
    }

    /** Where a film lies. */
    public Path filmPath(FilmRef film) {
        return library.folder().resolve(film.file());
    }

    /** Changes a record that need not be the open one: shown at once, written in order. */
    public void edit(String match, Edit edit) {
        if (open.get() != null && open.get().id().equals(match)) {
            edit(edit);
            return;
        }
        match(match).ifPresent(r -> {
            show(edit.apply(r));
            background.write(() -> library.apply(match, edit), kept -> {}, e -> wentWrong(match, e));
        });
    }

    /** Athletes of the library by id, with their names. */
    public Map<String, String> athletes() {
        return shelf.athletes();
    }

    public String nameOf(String athlete) {
        return athletes().getOrDefault(athlete, athlete);
    }

    /**
     * The corner drawn amber. Ours is amber and the opponent under study teal; where neither of the two fights, or only the
     * opponent does, whoever stands in our athlete's place is amber.
     */
    public Corner amber(MatchRecord r) {
        Assignment a = assignment.get();
        if (a != null) {
            Optional<Corner> ours = r.cornerOf(a.us());
            if (ours.isPresent()) {
                return ours.get();
            }
            for (String opponent : a.opponents()) {
                Optional<Corner> theirs = r.cornerOf(opponent);
                if (theirs.isPresent()) {
                    return theirs.get().other();
                }
            }
        }
        return Corner.A;
    }

    public Color colour(MatchRecord r, Corner c) {
        return c == amber(r) ? Look.OURS : Look.THEIRS;
    }

    /** Colour of an athlete whose profile or claim is shown. */
    public Color colourOf(String athlete) {
        Assignment a = assignment.get();
        return a != null && a.us().equals(athlete) ? Look.OURS : Look.THEIRS;
    }

    /** Changes the open record: shown at once, written in order. */
    public void edit(Edit edit) {
        if (stepping) {
            afterStep.add(edit);
            return;
        }
        MatchRecord record = open.get();
        MatchRecord after;
        try {
            after = edit.apply(record);
        } catch (IllegalStateException e) {
            // made for a version that an undo has taken back meanwhile
            notices.problem(Words.of("edit.failed", e.getMessage()));
            return;
        }
        show(after);
        background.write(() -> library.apply(record.id(), edit), kept -> {}, e -> wentWrong(record.id(), e));
    }

    public void undo() {
        step(true);
    }

    public void redo() {
        step(false);
    }

    private void step(boolean back) {
        MatchRecord record = open.get();
        if (record == null || stepping) {
            return;
        }
        stepping = true;
        background.write(
                () -> back ? library.undo(record.id()) : library.redo(record.id()),
                kept -> {
                    kept.ifPresentOrElse(this::show, () -> notices.done(Words.of(back ? "undo.none" : "redo.none")));
                    stepped();
                },
                e -> {
                    wentWrong(record.id(), e);
                    stepped();
                });
    }

    private void stepped() {
        stepping = false;
        while (!afterStep.isEmpty() && !stepping) {
            edit(afterStep.remove());
        }
    }

    private void wentWrong(String match, Exception e) {
        notices.problem(e instanceof LibraryException ? e.getMessage() : Words.of("edit.failed", e.getMessage()));
        background.write(
                () -> library.match(match), kept -> kept.ifPresent(this::show), x -> notices.problem(x.getMessage()));
    }

    private void show(MatchRecord record) {
        for (int i = 0; i < matches.size(); i++) {
            if (matches.get(i).id().equals(record.id())) {
                matches.set(i, record);
            }
        }
        if (open.get() != null && open.get().id().equals(record.id())) {
            open.set(record);
        }
    }

    /** Takes in new records; all of them or, with a notice, none. */
    public void addMatches(List<MatchRecord> records, Runnable added) {
        background.write(
                () -> {
                    library.addAll(records);
                    return library.matches();
                },
                all -> {
                    matches.setAll(all);
                    learn();
                    added.run();
                },
                e -> notices.problem(e.getMessage()));
    }

    /** Takes a match out of the list, or back in. */
    public void setRemoved(String id, boolean removed) {
        background.write(
                () -> {
                    library.setRemoved(id, removed);
                    return library.matches();
                },
                all -> {
                    matches.setAll(all);
                    if (open.get() != null && match(open.get().id()).isEmpty()) {
                        open.set(all.isEmpty() ? null : all.get(0));
                    }
                },
                e -> notices.problem(e.getMessage()));
    }

    /** Changes the plan that is open: shown at once, kept as a new version. */
    public void changePlan(UnaryOperator<Plan> change) {
        Plan before = plan.get();
        Plan next = change.apply(before);
        if (next.equals(before)) {
            return;
        }
        plan.set(next);
        background.write(
                () -> {
                    library.save(before, next);
                    return next;
                },
                kept -> {},
                e -> notices.problem(e.getMessage()));
    }

    /** One version of the plan back (-1) or forward (1). */
    public void stepPlan(int by) {
        Plan now = plan.get();
        background.write(
                () -> library.stepPlan(now.id(), by),
                kept -> kept.ifPresentOrElse(
                        plan::set, () -> notices.done(Words.of(by < 0 ? "undo.none" : "redo.none"))),
                e -> notices.problem(e.getMessage()));
    }

    /** Keeps an assignment; what it was before can be brought back while the window is open. */
    public void save(Assignment a) {
        assignments.stream()
                .filter(x -> x.id().equals(a.id()) && !x.equals(a))
                .findFirst()
                .ifPresent(earlier::push);
        keep(a);
    }

    /** Takes back the last change of an assignment. */
    public void undoAssignment() {
        if (earlier.isEmpty()) {
            notices.done(Words.of("undo.none"));
        } else {
            keep(earlier.pop());
        }
    }

    private void keep(Assignment a) {
        List<Assignment> list = new ArrayList<>(assignments);
        list.removeIf(x -> x.id().equals(a.id()));
        int at = (int)
                assignments.stream().takeWhile(x -> !x.id().equals(a.id())).count();
        list.add(Math.min(at, list.size()), a);
        assignments.setAll(list);
        assignment.set(a);
        background.write(
                () -> {
                    library.save(a);
                    return a;
                },
                kept -> {},
                e -> notices.problem(e.getMessage()));
    }

    /** Learns the likely next tags from all records, in the background. */
    public void learn() {
        List<MatchRecord> all = List.copyOf(matches);
        background.query("likely", () -> LikelyNext.of(all, lexicon), likely::set, e -> {});
    }

    /** Waits for what was confirmed and frees the library; the second time it does nothing. */
    @Override
    public synchronized void close() {
        if (closed) {
            return;
        }
        closed = true;
        if (Platform.isFxApplicationThread()) {
            closing();
        }
        background.close();
        library.close();
    }
}
