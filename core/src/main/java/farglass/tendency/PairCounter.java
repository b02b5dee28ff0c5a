package farglass.tendency;

import java.util.Arrays;

/** Counts in how many exchanges one symbol follows another with at most one between them. */
final class PairCounter {
    private PairCounter() {}

    /**
     * @param exchanges symbols of every exchange, each less than {@code alphabet}
     * @return by first symbol times {@code alphabet} plus the second
     */
    static int[] counts(int[][] exchanges, int alphabet) {
        int[] counts = new int[alphabet * alphabet];
        int[] last = new int[counts.length];
        Arrays.fill(last, -1);
        for (int e = 0; e < exchanges.length; e++) {
            int[] row = exchanges[e];
            for (int i = 0; i < row.length; i++) {
                for (int k = i + 1; k <= i + 2 && k < row.length; k++) {
                    int pair = row[i] * alphabet + row[k];
                    if (last[pair] != e) {
                        last[pair] = e;
                        counts[pair]++;
                    }
                }
            }
        }
        return counts;
    }
}
