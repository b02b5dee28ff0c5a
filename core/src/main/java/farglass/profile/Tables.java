package farglass.profile;

import farglass.stats.Curve;
import farglass.stats.ExitCurves;
import farglass.tendency.Chain;
import farglass.tendency.Chains;
import farglass.tendency.Dilemmas;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import farglass.tendency.Stays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The tables behind a profile in full, where its pages show the part worth reading.
 *
 * @param answers what the athlete answers
 * @param answered what answers the athlete
 * @param dwell how long every place lasts and what follows, for places with at least 3 stays
 */
public record Tables(
        List<Reactions.Row> answers,
        List<Reactions.Row> answered,
        List<Dilemmas.Row> dilemmas,
        List<Chain> chains,
        List<Dwell> dwell) {
    private static final int STAYS = 3;
    private static final int EXITS = 6;

    /**
     * One place in one role.
     *
     * @param held the share still there
     * @param exits by the place that follows, most frequent first; the cause of each is its code and the athlete's role there
     */
    public record Dwell(String position, String role, int stays, Curve held, List<Curve> exits) {}

    public static Tables of(Profile profile, long seed) {
        Evidence e = profile.evidence();
        Inquiry q = Profile.inquiry(e.index(), profile.athlete(), e.filter(), seed);
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
                dwell(q));
    }

    private static List<Dwell> dwell(Inquiry q) {
        Map<String, List<Evidence.Place>> stands = new TreeMap<>();
        for (Evidence.Place p : q.evidence().places()) {
            stands.computeIfAbsent(p.span().place() + " " + p.role(), k -> new ArrayList<>())
                    .add(p);
        }
        return stands.entrySet().parallelStream()
                .flatMap(e -> dwell(q, e.getKey(), e.getValue().get(0)).stream())
                .toList();
    }

    /** At a place like this one; empty with too few stays. */
    private static Optional<Dwell> dwell(Inquiry q, String key, Evidence.Place like) {
        String position = like.span().place();
        String role = like.role();
        List<Stays.Stay> stays = Stays.of(
                q.evidence(),
                p -> p.span().place().equals(position) && p.role().equals(role),
                (left, next) -> next.span().place() + " " + next.role());
        if (stays.size() < STAYS) {
            return Optional.empty();
        }
        List<Curve> curves =
                ExitCurves.of(stays.stream().map(Stays.Stay::spell).toList(), exits(stays), q.stream("dwell." + key));
        return Optional.of(new Dwell(position, role, stays.size(), curves.get(0), curves.subList(1, curves.size())));
    }

    private static List<String> exits(List<Stays.Stay> stays) {
        Map<String, Long> counts = stays.stream()
                .filter(s -> s.cause() != null)
                .collect(Collectors.groupingBy(Stays.Stay::cause, TreeMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder()))
                .limit(EXITS)
                .map(Map.Entry::getKey)
                .toList();
    }
}
