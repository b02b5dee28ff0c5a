package farglass.matchup.fit;

import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The places that something mostly leads to. */
final class LikelyPlaces {
    /** Places that are told apart; the rest is shared among them. */
    private static final int MOST = 3;

    private LikelyPlaces() {}

    /** Shares of the most frequent places, which sum to 1; empty for none. */
    static Map<ModelState, Double> of(Map<ModelState, Double> seen) {
        List<ModelState> order = new ArrayList<>(seen.keySet());
        order.sort((a, b) -> Double.compare(seen.getOrDefault(b, 0.0), seen.getOrDefault(a, 0.0)));
        List<ModelState> first = order.subList(0, Math.min(MOST, order.size()));
        double sum = 0;
        for (ModelState p : first) {
            sum += seen.getOrDefault(p, 0.0);
        }
        Map<ModelState, Double> kept = new TreeMap<>();
        for (ModelState p : first) {
            kept.put(p, seen.getOrDefault(p, 0.0) / sum);
        }
        return kept;
    }
}
