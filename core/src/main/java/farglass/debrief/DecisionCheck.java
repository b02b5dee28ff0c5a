package farglass.debrief;

import farglass.match.Corner;
import farglass.match.PersonName;
import farglass.match.Span;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import farglass.plan.ForkIntents;
import farglass.plan.Plan;
import farglass.tendency.LibraryIndex;
import farglass.tendency.MatchFacts;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * One decision of the plan in the match: whether its occasion came, whether it was done, and what came of it against
 * what was expected in the time that was spent there.
 *
 * @param own whether it is our own plan's, not the computed one's
 * @param minutes spent in its places at its scores and times
 * @param occasions indices of the tags that began those stays
 * @param done indices of our tries; empty for keeping what is
 * @param worked how many of them did
 * @param expectedTries in those minutes, with the decision followed; NaN for keeping what is
 * @param expectedWorked of them
 */
public record DecisionCheck(
        Decision decision,
        String text,
        boolean own,
        double minutes,
        List<Integer> occasions,
        List<Integer> done,
        int worked,
        double expectedTries,
        double expectedWorked) {
    private static final double MINUTE_MS = 60_000;

    public DecisionCheck {
        occasions = List.copyOf(occasions);
        done = List.copyOf(done);
    }

    /** Whether its occasion came. */
    public boolean came() {
        return !occasions.isEmpty();
    }

    /**
     * Those of our own plan where it names any, whether film can value them or not, else the computed ones; by what was
     * known before the match.
     *
     * @param meeting with film enough of both
     */
    static List<DecisionCheck> of(Plan plan, MatchFacts facts, Corner us, LibraryIndex index, Meeting meeting) {
        MeetingSolution solved = meeting.solve();
        MeetingWriter writer = new MeetingWriter(
                Language.locale(), index.lexicon(), first(index, plan.us()), first(index, plan.them()));
        Map<Decision, String> laid = new LinkedHashMap<>();
        for (ForkIntents.Read r : ForkIntents.of(plan.openings(), writer.reader(solved))) {
            r.intent().meant().forEach(d -> laid.putIfAbsent(d, writer.own().sentence(r.intent(), d)));
        }
        boolean own = !laid.isEmpty();
        if (!own) {
            Decisions.of(solved)
                    .valued()
                    .forEach(v -> laid.put(v.decision(), writer.decisions().sentence(v.decision())));
        }
        return laid.entrySet().stream()
                .map(e -> of(e.getKey(), e.getValue(), own, facts, us, meeting))
                .toList();
    }

    private static String first(LibraryIndex index, String athlete) {
        return PersonName.first(index.name(athlete));
    }

    private static DecisionCheck of(
            Decision d, String text, boolean own, MatchFacts facts, Corner us, Meeting meeting) {
        Model m = meeting.model();
        List<Integer> occasions = new ArrayList<>();
        double minutes = 0;
        double tries = 0;
        double works = 0;
        for (Span s : facts.line().spans()) {
            ModelState place = m.groups().place(s, us);
            if (place == null || !d.places().contains(place)) {
                continue;
            }
            Region.Lead lead = lead(facts.standing(s.from(), us));
            double there =
                    d.leads().contains(lead) ? minutes(s, d, meeting.question().lengthMs()) : 0;
            if (there > 0) {
                occasions.add(s.tag());
                minutes += there;
                for (Exit e : m.exits(place, true)) {
                    if (Objects.equals(e.technique(), d.option().technique())) {
                        double n = meeting.question().settings().pressFactor() * e.rate() * there;
                        tries += n;
                        works += n * e.chance();
                    }
                }
            }
        }
        boolean hold = d.option().kind() == Option.Kind.HOLD;
        List<Integer> done = new ArrayList<>();
        int worked = 0;
        for (MatchFacts.Act act : hold ? List.<MatchFacts.Act>of() : facts.acts()) {
            if (act.action().by() == us && meant(d, act, facts, us, meeting)) {
                done.add(act.index());
                worked += act.action().completed() ? 1 : 0;
            }
        }
        return new DecisionCheck(
                d, text, own, minutes, occasions, done, worked, hold ? Double.NaN : tries, hold ? Double.NaN : works);
    }

    private static boolean meant(Decision d, MatchFacts.Act act, MatchFacts facts, Corner us, Meeting meeting) {
        ModelState place = act.span() == null ? null : meeting.model().groups().place(act.span(), us);
        return place != null
                && d.places().contains(place)
                && act.action().technique().equals(d.option().technique())
                && d.leads().contains(lead(facts.standing(act.action().t(), us)))
                && d.parts()
                        .contains(part(act.action().t().ms(), meeting.question().lengthMs()));
    }

    private static Region.Lead lead(int standing) {
        return Region.Lead.of(standing, 0);
    }

    private static Region.Part part(long ms, long length) {
        return ms >= length - Region.LAST_MS
                ? Region.Part.LAST
                : ms >= length / 2 ? Region.Part.SECOND : Region.Part.FIRST;
    }

    /** The part of a stay that falls into the times that are meant. */
    private static double minutes(Span s, Decision d, long length) {
        long[] ends = {0, Math.min(length / 2, length - Region.LAST_MS), length - Region.LAST_MS, Long.MAX_VALUE};
        double sum = 0;
        for (Region.Part p : Region.Part.values()) {
            int i = List.of(Region.Part.values()).indexOf(p);
            if (d.parts().contains(p)) {
                sum += Math.max(
                        0,
                        Math.min(s.to().ms(), ends[i + 1]) - Math.max(s.from().ms(), ends[i]));
            }
        }
        return sum / MINUTE_MS;
    }
}
