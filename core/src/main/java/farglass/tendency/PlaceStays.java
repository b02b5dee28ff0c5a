package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Span;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is tried in a place: the stays of an athlete there, one after the other, each with the techniques tried in it. A
 * submission that is locked and escaped is part of the stay it began in.
 */
public final class PlaceStays {
    /** Stands for the stays themselves where techniques are counted. */
    static final String ALL = "";

    private PlaceStays() {}

    /**
     * One stay.
     *
     * @param tag the tag that began it
     * @param tried own techniques tried in it
     */
    public record Stay(Situation at, Span first, int tag, Set<String> tried) {}

    /** A stay with the match it is of. */
    public record SeenStay(Evidence.Seen seen, Stay stay) {}

    /** All that count, in the order of matches and time. */
    public static List<SeenStay> of(Evidence evidence) {
        List<SeenStay> found = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            for (Stay s : seen.facts().stays(seen.corner())) {
                if (seen.counts(s.first().from())) {
                    found.add(new SeenStay(seen, s));
                }
            }
        }
        return found;
    }

    static List<Stay> of(MatchFacts facts, Corner me) {
        IdentityHashMap<Span, Set<String>> tries = new IdentityHashMap<>();
        for (MatchFacts.Act act : facts.acts()) {
            if (act.action().by() == me && act.span() != null) {
                tries.computeIfAbsent(act.span(), k -> new HashSet<>())
                        .add(act.action().technique());
            }
        }
        List<Stay> stays = new ArrayList<>();
        Situation before = null;
        Set<String> tried = new HashSet<>();
        for (Span s : facts.line().spans()) {
            Situation at = new Situation(s.place(), Role.of(s, me));
            if (!at.equals(before)) {
                tried = new HashSet<>();
                stays.add(new Stay(at, s, s.tag(), tried));
            }
            tried.addAll(tries.getOrDefault(s, Set.of()));
            before = s.censored() ? null : at;
        }
        return stays;
    }

    /** By place and role: the number of stays under {@link #ALL}, and of those in which each technique was tried. */
    static Map<Situation, Map<String, Integer>> counts(List<Stay> stays) {
        Map<Situation, Map<String, Integer>> counts = new HashMap<>();
        for (Stay s : stays) {
            Map<String, Integer> sum = counts.computeIfAbsent(s.at(), k -> new HashMap<>());
            sum.merge(ALL, 1, Integer::sum);
            s.tried().forEach(t -> sum.merge(t, 1, Integer::sum));
        }
        return counts;
    }
}
