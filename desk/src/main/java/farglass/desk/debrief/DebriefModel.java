package farglass.desk.debrief;

import farglass.debrief.Debrief;
import farglass.debrief.Season;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.work.debrief.DebriefService;
import java.time.LocalDate;
import java.util.List;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;

/** The debrief of the open plan and the season, worked out in the background while the station is looked at. */
final class DebriefModel {
    private final Desk desk;
    private final ObjectProperty<MatchRecord> match = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<Debrief> debrief = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Season> season = new ReadOnlyObjectWrapper<>();
    private boolean watched;
    private String planOf = "";

    DebriefModel(Desk desk) {
        this.desk = desk;
        desk.matches().addListener((ListChangeListener<MatchRecord>) c -> changed());
        desk.plan().addListener((o, was, is) -> changed());
        desk.assignments().addListener((ListChangeListener<Assignment>) c -> changed());
        match.addListener((o, was, is) -> work());
    }

    void watch(boolean on) {
        watched = on;
        changed();
    }

    private void changed() {
        if (!watched) {
            return;
        }
        seasonChanged();
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        if (p == null || a == null) {
            match.set(null);
            debrief.set(null);
            return;
        }
        // a match that was chosen stays while the plan does; its record may have changed
        MatchRecord kept = match.get() != null && p.id().equals(planOf)
                ? desk.match(match.get().id()).orElse(null)
                : null;
        planOf = p.id();
        MatchRecord next = kept != null ? kept : Season.match(a, p.them(), desk.matches());
        if (next == match.get()) {
            work();
        } else {
            match.set(next);
        }
    }

    private void work() {
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        MatchRecord r = match.get();
        if (!watched || p == null || a == null || r == null) {
            debrief.set(null);
            return;
        }
        Ruleset rules = desk.rulesets().get().orUsual(a.ruleset(), a.date());
        desk.tasks()
                .query(
                        "debrief",
                        () -> DebriefService.debrief(p, a, r, rules, desk.index()),
                        debrief::set,
                        e -> desk.notices().problem(Words.of("debrief.failed", String.valueOf(e.getMessage()))));
    }

    private void seasonChanged() {
        List<Assignment> assignments = List.copyOf(desk.assignments());
        List<MatchRecord> records = desk.session().records().all();
        List<Plan> plans = desk.plans();
        Rulesets rulesets = desk.rulesets().get();
        LocalDate today = LocalDate.now(desk.clock());
        desk.tasks()
                .query(
                        "season",
                        () -> Season.of(assignments, plans, records, rulesets, desk.lexicon(), today),
                        season::set,
                        e -> desk.notices().problem(Words.of("debrief.failed", String.valueOf(e.getMessage()))));
    }

    /** The match that is looked back at; null while there is none. */
    ObjectProperty<MatchRecord> match() {
        return match;
    }

    ReadOnlyObjectProperty<Debrief> debrief() {
        return debrief.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Season> season() {
        return season.getReadOnlyProperty();
    }
}
