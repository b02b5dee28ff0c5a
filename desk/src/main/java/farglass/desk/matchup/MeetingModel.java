package farglass.desk.matchup;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.match.PersonName;
import farglass.matchup.advise.FirstRange;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.fit.KnownGame;
import farglass.matchup.gameplan.GamePageWriter;
import farglass.matchup.gameplan.GamePlan;
import farglass.matchup.model.Exit;
import farglass.matchup.solve.Constraints;
import farglass.plan.Approach;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.text.Language;
import farglass.work.meeting.MeetingService;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * The meeting of the open plan: win chances after a moment, the whole proposal a little later, its intervals last and
 * with progress. A change of the plan, the records or the assignment while a station looks begins it anew; only the
 * newest counts.
 */
public final class MeetingModel {
    private static final int RANGE_DRAWS = 60;
    private static final long SEED = 1;

    private final Desk desk;
    private final ReadOnlyObjectWrapper<MeetingSolution.Glance> glance = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Proposal> proposal = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");
    private Map<Exit.Key, Meeting.Ranges> ranges = Map.of();
    private KnownGame known;
    private Meeting fitted;
    private Asked fittedFor;
    private Asked current;
    private final AtomicLong round = new AtomicLong();
    private boolean watched;

    /** What a meeting depends on. */
    private record Asked(
            List<MatchRecord> records, Assignment assignment, String them, Ruleset rules, Approach approach) {
        boolean sameFit(Asked o) {
            return o != null
                    && records == o.records
                    && assignment.equals(o.assignment)
                    && them.equals(o.them)
                    && rules.equals(o.rules);
        }
    }

    /** A glance, or why there is none. */
    private record First(Meeting meeting, MeetingSolution.Glance glance, Map<Exit.Key, Meeting.Ranges> ranges) {}

    private record Whole(Proposal proposal, KnownGame known, FirstRange first, GamePlan game) {}

    private FirstRange firstRange;
    private GamePlan game;

    private volatile List<MatchRecord> records = List.of();

    public MeetingModel(Desk desk) {
        this.desk = desk;
        this.records = List.copyOf(desk.matches());
        desk.matches().addListener((javafx.collections.ListChangeListener<MatchRecord>) c -> {
            records = List.copyOf(desk.matches());
            changed();
        });
        desk.plan().addListener((o, was, is) -> changed());
        desk.assignment().addListener((o, was, is) -> changed());
    }

    private void changed() {
        if (watched) {
            ask();
        }
    }

    /** A station looks, or looks away; while none does nothing is worked out. */
    public void watch(boolean on) {
        watched = on;
        changed();
    }

    private Asked asked() {
        Assignment a = desk.assignment().get();
        Plan p = desk.plan().get();
        if (a == null || p == null || p.them().isEmpty()) {
            return null;
        }
        Ruleset rules = desk.rulesets().get().orUsual(a.ruleset(), a.date());
        // what was frozen changes nothing of what is worked out
        // nor do the chances to meet somebody else
        return new Asked(
                records, a.unweighted(), p.them(), rules, p.trainedApproach().freeze(List.of()));
    }

    private void ask() {
        Asked now = asked();
        if (now == null) {
            current = null;
            glance.set(null);
            proposal.set(null);
            state.set(Words.of("meeting.none"));
            return;
        }
        if (now.equals(current)) {
            return;
        }
        boolean other = current == null || !now.sameFit(current);
        current = now;
        long mine = round.incrementAndGet();
        if (other) {
            glance.set(null);
            proposal.set(null);
        }
        state.set(Words.of("meeting.working"));
        desk.tasks().query("meeting", () -> first(now), f -> firstDone(f, mine), this::failed);
    }

    private First first(Asked a) {
        Meeting m = meeting(a);
        return m.enough() ? new First(m, m.glance(), m.ranges(RANGE_DRAWS, SEED)) : new First(m, null, Map.of());
    }

    private synchronized Meeting meeting(Asked a) {
        if (!a.sameFit(fittedFor)) {
            fitted = fitted(a);
            fittedFor = a;
        }
        return fitted.under(a.approach().settings().coarse(), a.approach().wishes());
    }

    /** A first interval of the open proposal, until its draws are made; null before. */
    FirstRange firstRange() {
        return firstRange;
    }

    /**
     * Our athlete against somebody of the assignment, by the usual settings; takes a moment. May be called from any
     * thread.
     */
    Meeting against(String them) {
        Assignment a = desk.assignment().get();
        Ruleset rules = desk.rulesets().get().orUsual(a.ruleset(), a.date());
        Asked asked = new Asked(records, a.unweighted(), them, rules, Approach.USUAL);
        return fitted(asked);
    }

    private Meeting fitted(Asked a) {
        return MeetingService.meeting(
                desk.index(),
                new MeetingService.Ask(
                        a.assignment().us(),
                        a.them(),
                        a.rules(),
                        a.assignment().attire(),
                        a.assignment().date(),
                        a.assignment().minutes() * 60_000L),
                a.approach().settings().coarse(),
                Constraints.NONE);
    }

    private void firstDone(First f, long mine) {
        if (mine != round.get()) {
            return;
        }
        if (f.glance() == null) {
            glance.set(null);
            proposal.set(null);
            state.set(writer().missing(f.meeting()));
            return;
        }
        ranges = f.ranges();
        glance.set(f.glance());
        state.set(Words.of("meeting.solving"));
        desk.tasks()
                .query(
                        "meeting-whole",
                        () -> {
                            MeetingSolution solved = f.meeting().solve(f.glance());
                            Proposal p = Proposal.of(solved);
                            return new Whole(
                                    p,
                                    KnownGame.of(
                                            desk.index(),
                                            f.meeting().question().us(),
                                            f.meeting().question().filter()),
                                    FirstRange.of(solved, SEED),
                                    GamePlan.of(p, desk.index()));
                        },
                        whole -> wholeDone(whole, mine),
                        this::failed);
    }

    private void wholeDone(Whole whole, long mine) {
        if (mine != round.get()) {
            return;
        }
        Proposal p = whole.proposal();
        known = whole.known();
        firstRange = whole.first();
        game = whole.game();
        proposal.set(p);
        state.set(Words.of("meeting.drawing"));
        desk.tasks().longTask(Words.of("meeting.draws"), (progress, cancelled) -> {
            Proposal sure = mine != round.get()
                    ? null
                    : Proposal.drawn(p.solved(), SEED, progress, () -> cancelled.getAsBoolean() || mine != round.get());
            Platform.runLater(() -> {
                if (mine == round.get()) {
                    proposal.set(sure == null ? p : sure);
                    state.set(sure == null ? Words.of("meeting.stopped") : "");
                    // what was stopped is begun anew when a station looks again
                    current = sure == null ? null : current;
                }
            });
        });
    }

    private void failed(Exception e) {
        current = null;
        state.set(Words.of("meeting.failed", String.valueOf(e.getMessage())));
    }

    /** Win chances; null until they are there. */
    public ReadOnlyObjectProperty<MeetingSolution.Glance> glance() {
        return glance.getReadOnlyProperty();
    }

    /** The whole of it, at first without intervals; null until it is there. */
    public ReadOnlyObjectProperty<Proposal> proposal() {
        return proposal.getReadOnlyProperty();
    }

    /** What is going on or missing, in words; empty when all is there. */
    public ReadOnlyStringProperty state() {
        return state.getReadOnlyProperty();
    }

    /** How well a figure is known; null when it is not known yet. */
    public Meeting.Ranges ranges(Exit e) {
        return ranges.get(e.key());
    }

    /** What film that anybody can watch shows of our athlete; null until there is a proposal. */
    public KnownGame known() {
        return known;
    }

    /** How both begin, where to be, what helps against their weapons; null until there is a proposal. */
    public GamePlan game() {
        return game;
    }

    /** Lays the page of the game plan with the first names of the two. */
    public GamePageWriter pages() {
        Assignment a = desk.assignment().get();
        Plan p = desk.plan().get();
        return new GamePageWriter(Language.locale(), desk.lexicon(), first(a.us()), first(p.them()));
    }

    /** Words with the first names of the two. */
    public MeetingWriter writer() {
        Assignment a = desk.assignment().get();
        Plan p = desk.plan().get();
        return new MeetingWriter(Language.locale(), desk.lexicon(), first(a.us()), first(p.them()));
    }

    private String first(String id) {
        return PersonName.first(desk.nameOf(id));
    }
}
