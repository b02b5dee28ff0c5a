package farglass.tendency;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Expected counts of pairs, were all tags independent given who acts and where: what {@link ChainModel} works out
 * position by position for rows of any length, for pairs by the pairs of contexts that stand next to each other or one
 * apart.
 */
final class ChainPairs {
    private static final int[] NOWHERE = {};

    private final double[][] chances;
    private final int exchanges;
    /** By first context times their number plus second: exchange and how often, one after the other. */
    private final Map<Integer, int[]> places = new HashMap<>();

    /**
     * @param contexts of every tag of every exchange
     * @param chances of every symbol, by context
     */
    ChainPairs(int[][] contexts, double[][] chances) {
        this.chances = chances;
        this.exchanges = contexts.length;
        Map<Integer, List<int[]>> found = new HashMap<>();
        for (int e = 0; e < contexts.length; e++) {
            int[] here = contexts[e];
            for (int i = 0; i + 1 < here.length; i++) {
                add(found, here[i], here[i + 1], e);
                if (i + 2 < here.length) {
                    add(found, here[i], here[i + 2], e);
                }
            }
        }
        found.forEach((key, list) -> places.put(
                key, list.stream().flatMapToInt(java.util.Arrays::stream).toArray()));
    }

    private void add(Map<Integer, List<int[]>> found, int first, int second, int exchange) {
        List<int[]> list = found.computeIfAbsent(first * chances.length + second, k -> new ArrayList<>());
        if (!list.isEmpty() && list.get(list.size() - 1)[0] == exchange) {
            list.get(list.size() - 1)[1]++;
        } else {
            list.add(new int[] {exchange, 1});
        }
    }

    /** Chance that each exchange holds a pair with at most one tag between. */
    double[] expected(int[] pair) {
        double[] none = new double[exchanges];
        for (int u = 0; u < chances.length; u++) {
            double a = chances[u][pair[0]];
            for (int v = 0; v < chances.length && a > 0; v++) {
                double both = a * chances[v][pair[1]];
                int[] there = both > 0 ? places.getOrDefault(u * chances.length + v, NOWHERE) : NOWHERE;
                double log = Math.log1p(-both);
                for (int i = 0; i < there.length; i += 2) {
                    // a context that always shows a symbol leaves no chance of none: 0 times minus infinity does not
                    // occur
                    none[there[i]] += there[i + 1] * log;
                }
            }
        }
        for (int e = 0; e < exchanges; e++) {
            none[e] = -Math.expm1(none[e]);
        }
        return none;
    }
}
