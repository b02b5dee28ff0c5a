package farglass.tendency;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How often one step would follow another if it did not matter what was tried before: for every place and role the
 * athlete's share of a step there when the other step does not stand within the two before it, laid over the places in
 * which the steps after the other one really fell.
 */
final class UsualOnward {
    /** As far ahead as a sequence may look when it skips one tag. */
    static final int AHEAD = 2;
    /** Steps that the share in a place is worth where little else was seen there. */
    private static final double STRENGTH = 2;

    private final int[][] symbols;
    private final int[][] places;
    /** Steps by place. */
    private final double[] slots;
    /** By symbol, then place. */
    private final Map<Integer, double[]> met = new HashMap<>();
    /** By symbol, where it stands: the exchange and the step one after the other. */
    private final Map<Integer, List<int[]>> where = new HashMap<>();

    private final Map<Long, Double> known = new HashMap<>();

    /** @param symbols of the steps, by exchange */
    UsualOnward(List<Exchanges.Exchange> exchanges, int[][] symbols) {
        this.symbols = symbols;
        places = new int[symbols.length][];
        Map<String, Integer> numbers = new HashMap<>();
        for (int e = 0; e < symbols.length; e++) {
            places[e] = exchanges.get(e).steps().stream()
                    .mapToInt(s -> numbers.computeIfAbsent(s.where(), k -> numbers.size()))
                    .toArray();
        }
        slots = new double[numbers.size()];
        for (int e = 0; e < symbols.length; e++) {
            for (int i = 0; i < symbols[e].length; i++) {
                slots[places[e][i]]++;
                met.computeIfAbsent(symbols[e][i], k -> new double[slots.length])[places[e][i]]++;
                where.computeIfAbsent(symbols[e][i], k -> new ArrayList<>()).add(new int[] {e, i});
            }
        }
    }

    /** Chance that {@code next} stands within two steps after {@code step}, 0..1. */
    double chance(int step, int next) {
        return known.computeIfAbsent(((long) step << 32) | next, k -> worked(step, next));
    }

    private double worked(int step, int next) {
        List<int[]> occurrences = where.getOrDefault(step, List.of());
        double[] all = met.getOrDefault(next, new double[slots.length]);
        // without the slots that follow the step, each counted once
        double[] elsewhere = all.clone();
        double[] others = slots.clone();
        for (int o = 0; o < occurrences.size(); o++) {
            int e = occurrences.get(o)[0];
            int from = occurrences.get(o)[1] + 1;
            boolean again = o > 0 && occurrences.get(o - 1)[0] == e;
            int first = again ? Math.max(from, occurrences.get(o - 1)[1] + AHEAD + 1) : from;
            for (int j = first; j < from + AHEAD && j < symbols[e].length; j++) {
                others[places[e][j]]--;
                elsewhere[places[e][j]] -= symbols[e][j] == next ? 1 : 0;
            }
        }
        double sum = 0;
        for (int[] o : occurrences) {
            double none = 1;
            for (int j = o[1] + 1; j <= o[1] + AHEAD && j < symbols[o[0]].length; j++) {
                int at = places[o[0]][j];
                none *= 1 - (elsewhere[at] + STRENGTH * all[at] / slots[at]) / (others[at] + STRENGTH);
            }
            sum += 1 - none;
        }
        return occurrences.isEmpty() ? 0 : sum / occurrences.size();
    }
}
