package farglass.matchup.fit;

import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Tag;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.phrase.Arrival;
import farglass.time.MatchTime;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/** What anybody's attempts at a technique came to: how far those went that failed, and where those led that worked. */
final class AttemptHistory {
    private final Observed observed;
    private final Observed.Book usual;
    private final StateSpace groups;
    private final Map<String, double[]> near = new ConcurrentHashMap<>();
    private final Map<String, Map<ModelState, Double>> targets = new ConcurrentHashMap<>();

    /** @param usual attempts of all athletes together */
    AttemptHistory(Observed observed, Observed.Book usual, StateSpace groups) {
        this.observed = observed;
        this.usual = usual;
        this.groups = groups;
    }

    /**
     * [near, not near] of the attempts that failed.
     *
     * @param from rung of the ladder from which on a failed attempt was near
     */
    double[] near(String technique, int from) {
        return near.computeIfAbsent(technique, t -> countNear(t, from));
    }

    /** Where anybody's success led, by the weight of a few tries. */
    Map<ModelState, Double> targets(String technique) {
        return targets.computeIfAbsent(technique, this::countTargets);
    }

    private double[] countNear(String technique, int from) {
        double[] n = new double[2];
        for (Map<String, Observed.Tries> byName : usual.tries.values()) {
            Observed.Tries t = byName.get(technique);
            for (int level = 0; t != null && level < t.failedAt.length; level++) {
                n[level >= from ? 0 : 1] += t.failedAt[level];
            }
        }
        return n;
    }

    private Map<ModelState, Double> countTargets(String technique) {
        Map<ModelState, Double> sum = new TreeMap<>();
        observed.reached
                .values()
                .forEach(byTechnique ->
                        byTechnique.getOrDefault(technique, Map.of()).forEach((p, n) -> sum.merge(p, n, Double::sum)));
        if (sum.isEmpty()) {
            return byLexicon(technique);
        }
        double total = sum.values().stream().mapToDouble(x -> x).sum();
        sum.replaceAll((p, n) -> PooledRates.TRIES * n / total);
        return sum;
    }

    /** Where a technique that nobody was seen to complete usually leads, most usual first. */
    private Map<ModelState, Double> byLexicon(String technique) {
        Map<ModelState, Double> to = new TreeMap<>();
        groups.lexicon().technique(technique).ifPresent(t -> {
            double weight = PooledRates.TRIES;
            for (String code : t.to()) {
                Position target = groups.lexicon().position(code).orElseThrow();
                Tag.Position there = Arrival.of(MatchTime.ZERO, t, Corner.A, target);
                Corner ahead = there.guard() != null ? there.guard().other() : there.holder();
                int standing = ahead == null ? 0 : ahead == Corner.A ? 1 : -1;
                to.put(ModelState.of(groups.of(code), standing), weight);
                weight /= 2;
            }
        });
        return to;
    }
}
