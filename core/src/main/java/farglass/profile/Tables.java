package farglass.profile;

import farglass.match.Situation;
import farglass.stats.Curve;
import farglass.stats.ExitCurves;
import farglass.tendency.Chain;
import farglass.tendency.Chains;
import farglass.tendency.Dilemmas;
import farglass.tendency.DwellTimes;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import farglass.tendency.Sequence;
import farglass.tendency.Sequences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The tables behind a profile in full, where its pages show the part worth reading.
 *
 * @param answers what the athlete answers
 * @param answered what answers the athlete
 * @param dwell how long every place lasts and what follows, for places with at least 3 stays
 * @param sequences favourite sequences, whether or not they are more than chance
 */
public record Tables(
        List<Reactions.Row> answers,
        List<Reactions.Row> answered,
        List<Dilemmas.Row> dilemmas,
        List<Chain> chains,
        List<Dwell> dwell,
        List<Sequence> sequences) {
    private static final int STAYS = 3;
    private static final int EXITS = 6;

    /**
     * One place in one role.
     *
     * @param held the share still there
     * @param exits by the place that follows, most frequent first; the cause of each is its code and the athlete's role
     * there
     */
    public record Dwell(Situation at, int stays, Curve held, List<Exit> exits) {}

    /**
     * How often stays end by going somewhere.
     *
     * @param to null for all that are too rare to be told apart
     */
    public record Exit(@Nullable Situation to, Curve curve) {}

    /** In full what the pages show in part. */
    public static Tables of(Profile profile, long seed) {
        Evidence e = profile.evidence();
        ClaimFactory q = Profile.inquiry(e.index(), profile.athlete(), e.filter(), seed);
        List<List<Reactions.Row>> reactions = Stream.of(true, false)
                .parallel()
                .map(own ->
                        Reactions.of(e, own, Integer.MAX_VALUE, q.stream(own ? "reactions.own" : "reactions.others")))
                .toList();
        return new Tables(
                reactions.get(0),
                reactions.get(1),
                ReactionsPage.dilemmas(q),
                Chains.of(e, q.stream("chains")),
                dwell(q),
                Sequences.of(e, q.stream("chains")));
    }

    private static List<Dwell> dwell(ClaimFactory q) {
        Map<Situation, List<Evidence.Visit>> stands = new TreeMap<>();
        for (Evidence.Visit p : q.evidence().visits()) {
            stands.computeIfAbsent(new Situation(p.span().place(), p.role()), k -> new ArrayList<>())
                    .add(p);
        }
        return stands.entrySet().parallelStream()
                .flatMap(e -> dwell(q, e.getKey()).stream())
                .toList();
    }

    /** At a place like this one; empty with too few stays. */
    private static Optional<Dwell> dwell(ClaimFactory q, Situation at) {
        Map<String, Situation> ends = new HashMap<>();
        List<DwellTimes.Stay> stays = DwellTimes.of(
                q.evidence(), p -> at.equals(new Situation(p.span().place(), p.role())), (left, next) -> {
                    Situation to = new Situation(next.span().place(), next.role());
                    ends.put(to.toString(), to);
                    return to.toString();
                });
        if (stays.size() < STAYS) {
            return Optional.empty();
        }
        List<Curve> curves = ExitCurves.of(
                stays.stream().map(DwellTimes.Stay::spell).toList(), exits(stays), q.stream("dwell." + at));
        List<Exit> exits = curves.stream()
                .skip(1)
                .map(c -> new Exit(ends.get(c.cause()), c))
                .toList();
        return Optional.of(new Dwell(at, stays.size(), curves.get(0), exits));
    }

    private static List<String> exits(List<DwellTimes.Stay> stays) {
        Map<String, Long> counts = stays.stream()
                .filter(s -> s.cause() != null)
                .collect(Collectors.groupingBy(DwellTimes.Stay::cause, TreeMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder()))
                .limit(EXITS)
                .map(Map.Entry::getKey)
                .toList();
    }
}
