package farglass.work.debrief;

import farglass.debrief.Debrief;
import farglass.debrief.DecisionKind;
import farglass.debrief.Season;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.tendency.LibraryIndex;
import farglass.work.meeting.MeetingService;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** Looks back at a match that was planned for. */
public final class DebriefService {
    private DebriefService() {}

    /**
     * The debrief of a match; surprise is judged by the model that the plan was made with, by what was known before the
     * match. Takes seconds. May be called from any thread.
     *
     * @param index all matches, this one among them
     */
    public static Debrief debrief(Plan p, Assignment a, MatchRecord match, Ruleset rules, LibraryIndex index) {
        LibraryIndex before = index.with(
                index.records().stream().filter(r -> knownBefore(r, match)).toList());
        MeetingService.Ask ask = new MeetingService.Ask(
                p.us(), p.them(), rules, a.attire(), match.details().date(), a.minutes() * 60_000L);
        Meeting m = MeetingService.meeting(
                before,
                ask,
                p.approach().settings().coarse(),
                p.trainedApproach().wishes());
        return Debrief.of(p, match, index, rules, m.enough() ? m : null);
    }

    /**
     * How kinds of decision fared in all plans that were fought; takes seconds for each. May be called from any thread.
     *
     * @param index all matches
     * @param progress 0..1
     * @param stop asked between matches
     * @return null when it was stopped
     */
    public static @Nullable List<DecisionKind> kinds(
            Season season, Rulesets rulesets, LibraryIndex index, DoubleConsumer progress, BooleanSupplier stop) {
        List<Season.Row> rows = season.rows().stream()
                .filter(r -> r.plan() != null && r.match() != null)
                .toList();
        List<DecisionKind.Fought> fought = new ArrayList<>();
        for (Season.Row r : rows) {
            if (stop.getAsBoolean()) {
                return null;
            }
            Assignment a = r.assignment();
            Plan plan = Objects.requireNonNull(r.plan());
            MatchRecord match = Objects.requireNonNull(r.match());
            Debrief d = debrief(plan, a, match, rulesets.orUsual(a.ruleset(), a.date()), index);
            fought.add(new DecisionKind.Fought(match, d.decisions()));
            progress.accept(fought.size() / (double) rows.size());
        }
        return DecisionKind.of(fought, index.lexicon());
    }

    /** Neither this match nor any later one; what has no date counts as known. */
    private static boolean knownBefore(MatchRecord r, MatchRecord match) {
        LocalDate day = r.details().date();
        LocalDate of = match.details().date();
        return !r.id().equals(match.id()) && (day == null || of == null || day.isBefore(of));
    }
}
