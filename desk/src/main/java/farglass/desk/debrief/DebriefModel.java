package farglass.desk.debrief;

import farglass.debrief.Debrief;
import farglass.debrief.Season;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.matchup.Meeting;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.tendency.LibraryIndex;
import farglass.work.meeting.MeetingService;
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
    private LibraryIndex index;
    private boolean watched;
    private String planOf = "";

    DebriefModel(Desk desk) {
        this.desk = desk;
        this.index = LibraryIndex.empty(desk.lexicon());
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
        List<MatchRecord> all = List.copyOf(desk.matches());
        desk.background()
                .query(
                        "debrief",
                        () -> debrief(p, a, r, rules, all),
                        debrief::set,
                        e -> desk.notices().problem(Words.of("debrief.failed", String.valueOf(e.getMessage()))));
    }

    private synchronized Debrief debrief(Plan p, Assignment a, MatchRecord r, Ruleset rules, List<MatchRecord> all) {
        index = index.with(all);
        // what could be known before: neither this match nor any later one
        LibraryIndex before = index.with(all.stream()
                .filter(x -> !x.id().equals(r.id()))
                .filter(x -> x.details().date() == null
                        || r.details().date() == null
                        || x.details().date().isBefore(r.details().date()))
                .toList());
        // the model that the plan was made with, by what was known then
        Meeting m = MeetingService.meeting(
                before,
                new MeetingService.Ask(
                        p.us(), p.them(), rules, a.attire(), r.details().date(), a.minutes() * 60_000L),
                p.approach().settings().coarse(),
                p.approach().wishes());
        return Debrief.of(p, r, index, rules, m.enough() ? m : null);
    }

    private void seasonChanged() {
        List<Assignment> assignments = List.copyOf(desk.assignments());
        List<MatchRecord> records = List.copyOf(desk.matches());
        Rulesets rulesets = desk.rulesets().get();
        LocalDate today = LocalDate.now(desk.clock());
        desk.background()
                .query(
                        "season",
                        () -> Season.of(assignments, desk.plans(), records, rulesets, desk.lexicon(), today),
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
