package farglass.agreement;

import static java.util.Objects.requireNonNull;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * Cohen's kappa of two sequences of labels, with its large-sample standard error (Cohen 1960; Fleiss, Cohen and Everitt
 * 1969, the non-null form) and one from a moving-block bootstrap, since neighbouring seconds are not independent.
 *
 * @param kappa 1 for complete agreement, 0 for what chance would give; NaN where chance alone gives complete agreement
 * @param se standard error for independent items; NaN with kappa
 * @param seBlock bootstrap standard error of blocks; NaN with kappa or fewer than two blocks
 * @param items how many pairs
 * @param observed share of pairs that agree
 */
public record Kappa(double kappa, double se, double seBlock, int items, double observed) {
    private static final int DRAWS = 400;

    /** The larger of the two errors: the one to show. */
    public double error() {
        return Double.isNaN(seBlock) ? se : Math.max(se, seBlock);
    }

    /**
     * @param block length of a block, items
     * @throws IllegalArgumentException when the sequences differ in length
     */
    public static Kappa of(List<String> first, List<String> second, int block, long seed) {
        if (first.size() != second.size()) {
            throw new IllegalArgumentException("sequences differ in length: " + first.size() + " and " + second.size());
        }
        double[][] table = table(first, second);
        int n = first.size();
        double kappa = kappa(table);
        double se = Double.isNaN(kappa) ? Double.NaN : standardError(table, n, kappa);
        double seBlock = Double.isNaN(kappa) ? Double.NaN : blocks(first, second, block, seed);
        double observed = 0;
        for (int i = 0; i < table.length; i++) {
            observed += table[i][i];
        }
        return new Kappa(kappa, se, seBlock, n, n == 0 ? Double.NaN : observed);
    }

    /** Shares of pairs by the two labels. */
    static double[][] table(List<String> first, List<String> second) {
        Map<String, Integer> index = new TreeMap<>();
        first.forEach(l -> index.putIfAbsent(l, 0));
        second.forEach(l -> index.putIfAbsent(l, 0));
        int k = 0;
        for (Map.Entry<String, Integer> e : index.entrySet()) {
            e.setValue(k++);
        }
        double[][] table = new double[k][k];
        for (int i = 0; i < first.size(); i++) {
            table[requireNonNull(index.get(first.get(i)))][requireNonNull(index.get(second.get(i)))]++;
        }
        for (double[] row : table) {
            for (int j = 0; j < k; j++) {
                row[j] /= first.size();
            }
        }
        return table;
    }

    static double kappa(double[][] p) {
        double observed = 0;
        double expected = 0;
        for (int i = 0; i < p.length; i++) {
            observed += p[i][i];
            expected += row(p, i) * column(p, i);
        }
        return p.length == 0 || 1 - expected < 1e-12 ? Double.NaN : (observed - expected) / (1 - expected);
    }

    /** Fleiss, Cohen and Everitt 1969, formula 13. */
    static double standardError(double[][] p, int n, double kappa) {
        double expected = 0;
        for (int i = 0; i < p.length; i++) {
            expected += row(p, i) * column(p, i);
        }
        double a = 0;
        double b = 0;
        for (int i = 0; i < p.length; i++) {
            double own = 1 - (row(p, i) + column(p, i)) * (1 - kappa);
            a += p[i][i] * own * own;
            for (int j = 0; j < p.length; j++) {
                if (i != j) {
                    double both = column(p, i) + row(p, j);
                    b += p[i][j] * both * both;
                }
            }
        }
        double c = kappa - expected * (1 - kappa);
        double variance = (a + (1 - kappa) * (1 - kappa) * b - c * c) / ((1 - expected) * (1 - expected) * n);
        return Math.sqrt(Math.max(0, variance));
    }

    private static double row(double[][] p, int i) {
        double sum = 0;
        for (double x : p[i]) {
            sum += x;
        }
        return sum;
    }

    private static double column(double[][] p, int j) {
        double sum = 0;
        for (double[] r : p) {
            sum += r[j];
        }
        return sum;
    }

    /** Draws the sequence anew from overlapping blocks of neighbours (Künsch 1989). */
    private static double blocks(List<String> first, List<String> second, int block, long seed) {
        int n = first.size();
        if (n < 2 * block) {
            return Double.NaN;
        }
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double sum = 0;
        double squares = 0;
        int used = 0;
        for (int d = 0; d < DRAWS; d++) {
            List<String> a = new java.util.ArrayList<>(n);
            List<String> b = new java.util.ArrayList<>(n);
            while (a.size() < n) {
                int from = rng.nextInt(n - block + 1);
                for (int i = from; i < from + block && a.size() < n; i++) {
                    a.add(first.get(i));
                    b.add(second.get(i));
                }
            }
            double k = kappa(table(a, b));
            if (!Double.isNaN(k)) {
                sum += k;
                squares += k * k;
                used++;
            }
        }
        return used < 2 ? Double.NaN : Math.sqrt(Math.max(0, (squares - sum * sum / used) / (used - 1)));
    }
}
