package farglass.stats;

import java.util.Comparator;
import java.util.stream.IntStream;

/** How many of the many things looked at are only chance? Benjamini and Hochberg 1995. */
public final class FalseDiscovery {
    private FalseDiscovery() {}

    /**
     * Adjusted p-values: a test is kept at rate r when its value is at most r.
     *
     * @param p p-values in [0, 1]
     * @return in the same order
     */
    public static double[] adjusted(double[] p) {
        int n = p.length;
        int[] order = IntStream.range(0, n)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> p[i]))
                .mapToInt(i -> i)
                .toArray();
        double[] q = new double[n];
        double least = 1;
        for (int rank = n; rank >= 1; rank--) {
            int i = order[rank - 1];
            least = Math.min(least, p[i] * n / rank);
            q[i] = least;
        }
        return q;
    }
}
