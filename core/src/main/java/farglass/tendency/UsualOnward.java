package farglass.tendency;

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
    private static final int AHEAD = 2;
    /** Steps that the share in a place is worth where little else was seen there. */
    private static final double STRENGTH = 2;

    private final int[][] symbols;
    private final int[][] places;
    private final int placeCount;
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
        placeCount = numbers.size();
    }

    /** Chance that {@code next} stands within two steps after {@code step}, 0..1. */
    double chance(int step, int next) {
        return known.computeIfAbsent(((long) step << 32) | next, k -> worked(step, next));
    }

    private double worked(int step, int next) {
        double[] elsewhere = new double[placeCount];
        double[] slots = new double[placeCount];
        double[] all = new double[placeCount];
        double[] met = new double[placeCount];
        for (int e = 0; e < symbols.length; e++) {
            for (int i = 0; i < symbols[e].length; i++) {
                int at = places[e][i];
                int is = symbols[e][i] == next ? 1 : 0;
                all[at]++;
                met[at] += is;
                if (!follows(symbols[e], i, step)) {
                    slots[at]++;
                    elsewhere[at] += is;
                }
            }
        }
        double sum = 0;
        int occurrences = 0;
        for (int e = 0; e < symbols.length; e++) {
            for (int i = 0; i < symbols[e].length; i++) {
                if (symbols[e][i] == step) {
                    double none = 1;
                    for (int j = i + 1; j <= i + AHEAD && j < symbols[e].length; j++) {
                        int at = places[e][j];
                        none *= 1 - (elsewhere[at] + STRENGTH * met[at] / all[at]) / (slots[at] + STRENGTH);
                    }
                    sum += 1 - none;
                    occurrences++;
                }
            }
        }
        return occurrences == 0 ? 0 : sum / occurrences;
    }

    private static boolean follows(int[] exchange, int i, int step) {
        for (int j = Math.max(0, i - AHEAD); j < i; j++) {
            if (exchange[j] == step) {
                return true;
            }
        }
        return false;
    }
}
