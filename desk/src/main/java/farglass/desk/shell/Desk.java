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
import farglass.tendency.LibraryIndex;
import farglass.text.Language;
import farglass.work.publish.Material;
import farglass.work.publish.MomentCaption;
import farglass.work.publish.Publisher;
import farglass.work.session.LibraryContent;
import farglass.work.session.Preferences;
import farglass.work.session.Session;
import farglass.work.session.SessionListener;
import farglass.work.session.TeamLexicon;
import farglass.work.task.Tasks;
import farglass.work.team.TeamStatus;
import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
 * What the stations share: the session as properties to bind to, and what is chosen in the window (assignment, open
 * match, plan, athlete). Belongs to the interface thread but for what says otherwise.
 */
public final class Desk implements AutoCloseable {
    private final Tasks tasks = new Tasks(Platform::runLater);
    private final TaskStatus status = new TaskStatus(tasks);
    private final Notices notices = new Notices();
    private final Session session;
    /** Matches that the likely next tags are learnt from: what many more would add is not worth reading them. */
    private static final int LEARNT = 200;

    private final Publisher publisher;
    private final ClaimWriter claims = new ClaimWriter(Language.locale());
    private final ObservableList<MatchRecord> matches = FXCollections.observableArrayList();
    private final ObservableList<Assignment> assignments = FXCollections.observableArrayList();
    private final ReadOnlyObjectWrapper<Rulesets> rulesets = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Assignment> assignment = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<MatchRecord> open = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Node> cover = new SimpleObjectProperty<>();
    private final ObjectProperty<Plan> plan = new SimpleObjectProperty<>();
    private final ObjectProperty<LikelyNext> likely = new SimpleObjectProperty<>();
    private final StringProperty profiled = new SimpleStringProperty();
    private final ObjectProperty<TeamStatus> team = new SimpleObjectProperty<>();
    private final StringProperty filmArrived = new SimpleStringProperty();
    private final List<Runnable> closing = new ArrayList<>();
    private Consumer<Path> bringBack = backup -> {};
    private Consumer<Path> openLibrary = file -> {};
    private Consumer<String> openTeam = url -> {};
    private Runnable anew = () -> {};
    private Consumer<Path> report = target -> {};
    /** Made when the first chart is drawn. */
    private ChartPlan chartPlan;

    public Desk(LibraryContent content, Clock clock) {
        this.session = new Session(content, clock, tasks, notices, System.getProperty("user.name"));
        this.publisher = new Publisher(session);
        rulesets.set(session.rulesets());
        matches.setAll(session.records().all());
        assignments.setAll(session.assignments().all());
        session.listen(new Following());
        assignment.addListener((o, was, now) -> choosePlan());
        if (!assignments.isEmpty()) {
            assignment.set(assignments.get(0));
        }
        chooseFirst();
        learn();
        open.addListener((o, was, is) -> hereNow());
        team.addListener((o, was, is) -> {
            if (was == null) {
                hereNow();
            }
        });
    }

    /** The team is told which match is looked at. */
    private void hereNow() {
        MatchRecord r = open.get();
        session.team().ifPresent(t -> t.at(r == null ? null : r.id()));
    }

    /** Takes over what changes in the session. */
    private final class Following implements SessionListener {
        @Override
        public void recordChanged(MatchRecord now) {
            for (int i = 0; i < matches.size(); i++) {
                if (matches.get(i).id().equals(now.id())) {
                    matches.set(i, now);
                }
            }
            if (open.get() != null && open.get().id().equals(now.id())) {
                open.set(now);
            }
        }

        @Override
        public void recordsChanged(List<MatchRecord> all) {
            matches.setAll(all);
            MatchRecord before = open.get();
            if (before != null) {
                open.set(match(before.id()).orElse(all.isEmpty() ? null : all.get(0)));
            } else if (team.get() != null) {
                // the first that came from the team
                chooseFirst();
            }
            learn();
        }

        @Override
        public void planChanged(Plan now) {
            if (plan.get() != null && plan.get().id().equals(now.id())) {
                plan.set(now);
            }
        }

        @Override
        public void assignmentsChanged() {
            Assignment before = assignment.get();
            assignments.setAll(session.assignments().all());
            String id = before == null ? "" : before.id();
            assignment.set(assignments.stream()
                    .filter(a -> a.id().equals(id))
                    .findFirst()
                    .orElse(assignments.isEmpty() ? null : assignments.get(0)));
        }

        @Override
        public void teamChanged(TeamStatus now) {
            team.set(now);
        }

        @Override
        public void replaced() {
            if (profiled.get() != null && !athletes().containsKey(profiled.get())) {
                profiled.set(athletes().keySet().stream().findFirst().orElse(null));
            }
            plan.set(null);
            assignments.setAll(session.assignments().all());
            assignment.set(null);
            assignment.set(assignments.isEmpty() ? null : assignments.get(0));
        }
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
        openPlan(a.opponents().isEmpty() ? "" : a.opponents().get(0));
    }

    /** Opens the plan against an opponent of the assignment; an empty one is made when there is none. */
    public void openPlan(String them) {
        Assignment a = assignment.get();
        String id = planId(a, them);
        plan.set(session.plans()
                .plan(id)
                .orElseGet(() -> Plan.empty(id, WorkWords.of("plan.title", nameOf(them)), a.us(), them)));
    }

    /** How the library stands to its team's; null for one of one's own. */
    public ReadOnlyObjectProperty<TeamStatus> team() {
        return team;
    }

    /** What the window shows. */
    public Session session() {
        return session;
    }

    /** May be called from any thread. */
    public Library library() {
        return session.library();
    }

    /** The facts of all matches as they are shown now. May be called from any thread. */
    public LibraryIndex index() {
        return session.index();
    }

    /** Deletes an athlete for good, in the background; what is shown follows. See {@link Session#forget}. */
    public void forget(Forgetting f, Consumer<List<Path>> done) {
        session.forget(f, done);
    }

    /** All plans that have been kept. */
    public List<Plan> plans() {
        return session.plans().all();
    }

    /** Writes what is for others. */
    public Publisher publisher() {
        return publisher;
    }

    /** What publications are made of, as it is now. */
    public Material material() {
        return new Material(
                session.records().all(), session.filmPlaces(), lexicon(), assignment.get(), LocalDate.now(clock()));
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

    /** Who opens the window anew on the same library. */
    public void onAnew(Runnable action) {
        anew = action;
    }

    /** What was set shapes the whole window: it opens anew, at the same station and match. */
    public void anew() {
        anew.run();
    }

    /** Who leaves this library and opens another one, made when it is not there. */
    public void onOpenLibrary(Consumer<Path> action) {
        openLibrary = action;
    }

    /** Leaves this library; the window opens anew on another one. */
    public void openLibrary(Path file) {
        openLibrary.accept(file);
    }

    /** Who leaves this library and opens the mirror of a team's, made when it is not there. */
    public void onOpenTeam(Consumer<String> action) {
        openTeam = action;
    }

    /** Leaves this library; the window opens anew on the mirror of a team's at an address. */
    public void openTeam(String url) {
        openTeam.accept(url);
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

    public Clock clock() {
        return session.clock();
    }

    public Lexicon lexicon() {
        return session.lexicon();
    }

    /** Where places stand on every chart; takes a moment the first time, so it is better asked for beside a query. */
    public synchronized ChartPlan chartPlan() {
        if (chartPlan == null) {
            chartPlan = new ChartPlan(lexicon());
        }
        return chartPlan;
    }

    /** The team's own terms, which hold from the next start on. */
    public TeamLexicon teamLexicon() {
        return session.teamLexicon();
    }

    public ClaimWriter claimWriter() {
        return claims;
    }

    public Tasks tasks() {
        return tasks;
    }

    /** The long task that runs. */
    public TaskStatus status() {
        return status;
    }

    /** The rulesets at hand, the user's own first. */
    public ReadOnlyObjectProperty<Rulesets> rulesets() {
        return rulesets.getReadOnlyProperty();
    }

    /** Displayed name of a ruleset as it held on a day; the code of one that is not known, "" for none. */
    public String rulesName(String code, LocalDate day) {
        return rulesets.get().name(code, day);
    }

    /** Keeps a ruleset of the user's own. */
    public void keep(Ruleset own) {
        rulesets.set(session.keep(own));
    }

    /** What the user has set. */
    public Preferences preferences() {
        return session.preferences();
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
        return session.records().match(id);
    }

    /** Where the first film of a record lies. */
    public Path filmPath(MatchRecord r) {
        return filmPath(r.films().get(0));
    }

    /** Where a film lies. */
    public Path filmPath(FilmRef film) {
        return session.film(film);
    }

    /** Changes a record that need not be the open one: shown at once, written in order. */
    public void edit(String match, Edit edit) {
        session.records().edit(match, edit);
    }

    /** Athletes of the library by id, with their names. */
    public Map<String, String> athletes() {
        return session.records().athletes();
    }

    public String nameOf(String athlete) {
        return athletes().getOrDefault(athlete, athlete);
    }

    /** The corner drawn amber. See {@link Material#amber(Assignment, MatchRecord)}. */
    public Corner amber(MatchRecord r) {
        return Material.amber(assignment.get(), r);
    }

    /** A moment of a match in one line: who, when and what. */
    public String describe(MatchRecord r, int tag) {
        return MomentCaption.of(r, tag, lexicon());
    }

    public Color colour(MatchRecord r, Corner c) {
        return c == amber(r) ? Look.ours() : Look.theirs();
    }

    /** Colour of an athlete whose profile or claim is shown. */
    public Color colourOf(String athlete) {
        Assignment a = assignment.get();
        return a != null && a.us().equals(athlete) ? Look.ours() : Look.theirs();
    }

    /** Changes the open record: shown at once, written in order. */
    public void edit(Edit edit) {
        session.records().edit(open.get().id(), edit);
    }

    public void undo() {
        if (open.get() != null) {
            session.records().undo(open.get().id());
        }
    }

    public void redo() {
        if (open.get() != null) {
            session.records().redo(open.get().id());
        }
    }

    /** Reads all matches anew after the library was changed from outside the stations. */
    public void readAnew() {
        session.records().readAnew();
    }

    /** Takes in new records; all of them or, with a notice, none. */
    public void addMatches(List<MatchRecord> records, Runnable added) {
        session.records().add(records, added);
    }

    /** Takes a match out of the list, or back in. */
    public void setRemoved(String id, boolean removed) {
        session.records().setRemoved(id, removed);
    }

    /** Changes the plan that is open: shown at once, kept as a new version. */
    public void changePlan(UnaryOperator<Plan> change) {
        Plan before = plan.get();
        Plan next = change.apply(before);
        if (!next.equals(before)) {
            session.plans().change(before, next);
        }
    }

    /** One version of the plan back (-1) or forward (1). */
    public void stepPlan(int by) {
        session.plans().step(plan.get().id(), by);
    }

    /** Keeps an assignment; what it was before can be brought back while the window is open. */
    public void save(Assignment a) {
        session.assignments().save(a);
        choose(a);
    }

    /** Takes back the last change of an assignment. */
    public void undoAssignment() {
        session.assignments().undo().ifPresent(this::choose);
    }

    private void choose(Assignment a) {
        assignments.setAll(session.assignments().all());
        // as it was kept, which may be otherwise than it was wanted
        assignment.set(assignments.stream()
                .filter(kept -> kept.id().equals(a.id()))
                .findFirst()
                .orElse(assignment.get()));
    }

    /** Learns the likely next tags from the newest records, in the background. */
    public void learn() {
        List<MatchRecord> known = session.records().all();
        List<MatchRecord> all = known.subList(Math.max(0, known.size() - LEARNT), known.size());
        tasks.query("likely", () -> LikelyNext.of(all, lexicon()), likely::set, e -> {});
    }

    /**
     * Waits for what was confirmed and frees the library; the second time it does nothing. May be called from any
     * thread.
     */
    @Override
    public void close() {
        if (Platform.isFxApplicationThread()) {
            closing();
        }
        session.close();
    }
}
