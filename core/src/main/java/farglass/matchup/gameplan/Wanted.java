package farglass.matchup.gameplan;

import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.ForwardPass;
import farglass.stats.TagRef;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A place where our athlete wants to be.
 *
 * @param worth win chance there less that of standing, level at half time; above 0
 * @param minutes of an average match spent there under the plan
 * @param ours what is usual for us there
 * @param theirs what is usual for them there
 * @param staySeconds how long a stay lasts on average
 * @param answer what they try there most; empty when no film shows any
 * @param entries our ways into it that bring us there most often, at most two
 * @param attacks what more of would bring most from there, the second for when the first is denied
 */
public record Wanted(
        ModelState place,
        double worth,
        double minutes,
        Model.Prospect ours,
        Model.Prospect theirs,
        double staySeconds,
        Optional<Exit> answer,
        List<Exit> entries,
        List<Exit> attacks) {
    private static final int TOLD = 3;
    private static final int EACH = 2;
    /** Minutes of film that our athlete must have there, and tries of theirs with an outcome. */
    private static final double SEEN = 0.5;
    /** A way in that brings us there less often than this in ten matches is none. */
    private static final double OFTEN = 0.05;

    public Wanted {
        entries = List.copyOf(entries);
        attacks = List.copyOf(attacks);
    }

    /** The tries that its lines rest on. */
    public List<TagRef> tags() {
        return Stream.concat(Stream.concat(entries.stream(), attacks.stream()), answer.stream())
                .flatMap(e -> e.basis().tags().stream())
                .distinct()
                .toList();
    }

    /** The places that bring most over an average match, the most first. */
    static List<Wanted> of(Proposal p) {
        MeetingSolution solved = p.solved();
        Map<Exit.Key, Double> gains = new HashMap<>();
        solved.flow().leverage().forEach(l -> gains.put(l.exit().key(), Bracket.gain(l)));
        return p.seek().stream()
                .filter(w -> w.place().standing() != 0 && solved.meeting().minutes(w.place(), true) >= SEEN)
                .sorted(Comparator.comparingDouble((Proposal.Worth w) -> -w.worth() * w.minutes()))
                .limit(TOLD)
                .map(w -> one(solved, w, gains))
                .toList();
    }

    private static Wanted one(MeetingSolution solved, Proposal.Worth w, Map<Exit.Key, Double> gains) {
        Model m = solved.planned().programme().model();
        ModelState place = w.place();
        return new Wanted(
                place,
                w.worth(),
                w.minutes(),
                m.prospect(place, true),
                m.prospect(place, false),
                60 * m.stayMinutes(place),
                m.exits(place, false).stream()
                        .filter(e -> e.technique() != null && e.basis().decided() >= SEEN)
                        .findFirst(),
                entries(m, solved.flow(), place),
                attacks(m, place, gains));
    }

    private static List<Exit> entries(Model m, ForwardPass flow, ModelState place) {
        Map<Exit, Double> often = new HashMap<>();
        for (Exit e : m.exits()) {
            boolean known =
                    e.ours() && e.technique() != null && !e.basis().tags().isEmpty();
            double share = e.to().entrySet().stream()
                    .filter(t -> t.getKey().paid(false).equals(place))
                    .mapToDouble(Map.Entry::getValue)
                    .sum();
            double comings = flow.minutes(e.from()) * e.rate() * e.chance() * share;
            if (known && !e.from().equals(place) && comings >= OFTEN) {
                often.put(e, comings);
            }
        }
        return often.entrySet().stream()
                .sorted(Map.Entry.<Exit, Double>comparingByValue().reversed())
                .limit(EACH)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static List<Exit> attacks(Model m, ModelState place, Map<Exit.Key, Double> gains) {
        return m.exits(place, true).stream()
                .filter(Exit::ownAction)
                .filter(e -> e.technique() != null && gains.getOrDefault(e.key(), 0.0) > 0)
                .sorted(Comparator.comparingDouble((Exit e) -> -gains.getOrDefault(e.key(), 0.0)))
                .limit(EACH)
                .toList();
    }
}
