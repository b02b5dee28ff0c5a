package farglass.tendency;

import farglass.stats.CountTail;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How many exchanges would hold a sequence if nothing but the places mattered?
 *
 * <p>Every exchange keeps its path of places: tags that change the place, and entries, stay where they are. The tags
 * that change nothing are permuted among all slots of the same place, role and opponent, because what is done next in a
 * place is exchangeable there when it depends on the place alone (ruling C15). What the rules of the sport force, and
 * what an opponent does more often than others do, is thus never called a habit.
 *
 * <p>Pairs are judged by how seldom the most striking pair of a permuted library is as striking: that holds the chance
 * of a single false habit in a library, however many pairs are looked at. Westfall and Young, Resampling-Based Multiple
 * Testing, 1993, ch. 2.
 */
final class ChainNull {
    private static final int LIBRARIES = 200;
    /** Libraries from which expected counts of single exchanges are taken. */
    private static final int FEW_LIBRARIES = 75;
    /** Nothing is expected less often than once in twice so many libraries. */
    static final double LEAST = 0.5 / LIBRARIES;
    /** A pair less striking than this, in standard deviations, is never the most striking one. */
    private static final double PLAIN = 2;

    private final int[][] symbols;
    private final long seed;
    /** By context: the slots in it, as the exchange and the step one after the other. */
    private final int[][] slots;

    ChainNull(List<Exchanges.Exchange> exchanges, int[][] symbols, long seed) {
        this.symbols = symbols;
        this.seed = seed;
        Map<String, List<Integer>> byContext = new HashMap<>();
        for (int e = 0; e < symbols.length; e++) {
            Exchanges.Exchange exchange = exchanges.get(e);
            String opponent = exchange.seen()
                    .record()
                    .athlete(exchange.seen().corner().other())
                    .id();
            for (int i = 0; i < symbols[e].length; i++) {
                Exchanges.Step step = exchange.steps().get(i);
                if (!step.moves()) {
                    List<Integer> in =
                            byContext.computeIfAbsent(step.where() + '\n' + opponent, k -> new ArrayList<>());
                    in.add(e);
                    in.add(i);
                }
            }
        }
        slots = byContext.values().stream()
                .filter(s -> s.size() > 2)
                .map(s -> s.stream().mapToInt(n -> n).toArray())
                .toArray(int[][]::new);
    }

    /** One library: the free tags of every context in another order. */
    private int[][] permuted(long stream) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed + stream);
        int[][] made = new int[symbols.length][];
        for (int e = 0; e < made.length; e++) {
            made[e] = symbols[e].clone();
        }
        for (int[] s : slots) {
            for (int k = s.length / 2 - 1; k > 0; k--) {
                int other = rng.nextInt(k + 1);
                int kept = made[s[2 * k]][s[2 * k + 1]];
                made[s[2 * k]][s[2 * k + 1]] = made[s[2 * other]][s[2 * other + 1]];
                made[s[2 * other]][s[2 * other + 1]] = kept;
            }
        }
        return made;
    }

    /**
     * Every pair that enough exchanges hold, with how likely it is that the most striking pair of a library without any
     * habit is as striking, 0..1.
     *
     * @param support least number of exchanges
     */
    List<Pair> pairs(int support) {
        int alphabet =
                1 + Arrays.stream(symbols).flatMapToInt(Arrays::stream).max().orElse(0);
        int[] seen = PairCounter.counts(symbols, alphabet);
        int[][] made = IntStream.range(0, LIBRARIES)
                .parallel()
                .mapToObj(d -> PairCounter.counts(permuted(d), alphabet))
                .toArray(int[][]::new);
        double[] sums = new double[seen.length];
        double[] squares = new double[seen.length];
        for (int[] library : made) {
            for (int i = 0; i < library.length; i++) {
                sums[i] += library[i];
                squares[i] += (double) library[i] * library[i];
            }
        }
        // each library is judged by the others, as the one at hand is judged by all of them
        double[] least = Arrays.stream(made)
                .parallel()
                .mapToDouble(library -> {
                    double p = 1;
                    for (int i = 0; i < library.length; i++) {
                        double n = library[i];
                        if (n > support && n > sums[i] / LIBRARIES) {
                            CountTail others = tail(sums[i] - n, squares[i] - n * n, LIBRARIES - 1);
                            p = striking(library[i], others) ? Math.min(p, others.atLeast(library[i], support)) : p;
                        }
                    }
                    return p;
                })
                .sorted()
                .toArray();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < seen.length; i++) {
            CountTail all = tail(sums[i], squares[i], LIBRARIES);
            if (seen[i] >= support && striking(seen[i], all)) {
                double p = all.atLeast(seen[i], support);
                int asStriking = 0;
                while (asStriking < least.length && least[asStriking] <= p) {
                    asStriking++;
                }
                pairs.add(new Pair(i / alphabet, i % alphabet, all.mean(), p, (1.0 + asStriking) / (1 + LIBRARIES)));
            }
        }
        return pairs;
    }

    private static boolean striking(int count, CountTail t) {
        return count > t.mean() + PLAIN * Math.sqrt(t.variance());
    }

    /**
     * Two symbols in order.
     *
     * @param expected exchanges that would hold it
     * @param p upper tail of the count
     * @param adjusted the same for all pairs looked at
     */
    record Pair(int first, int second, double expected, double p, double adjusted) {}

    /** Mean and variance of the number of exchanges that hold each of some rows. */
    List<CountTail> expected(List<ChainTrie.Node> nodes, ChainTrie trie) {
        double[][] sums = counts(nodes, trie);
        return IntStream.range(0, nodes.size())
                .mapToObj(n -> tail(sums[0][n], sums[1][n], LIBRARIES))
                .toList();
    }

    private static CountTail tail(double sum, double squares, int libraries) {
        double mean = sum / libraries;
        double variance = Math.max(0, squares - sum * mean) / (libraries - 1);
        return mean < LEAST ? new CountTail(LEAST, LEAST) : new CountTail(mean, variance);
    }

    /** By pattern the sum over the libraries, and the sum of squares. */
    private double[][] counts(List<ChainTrie.Node> nodes, ChainTrie trie) {
        if (nodes.isEmpty()) {
            return new double[2][0];
        }
        ChainCounter counter = new ChainCounter(trie, nodes);
        return IntStream.range(0, LIBRARIES)
                .parallel()
                .mapToObj(d -> {
                    ChainCounter.Run run = counter.new Run();
                    for (int[] exchange : permuted(d)) {
                        run.count(exchange);
                    }
                    double[] held = run.counts();
                    return new double[][] {
                        held, Arrays.stream(held).map(n -> n * n).toArray()
                    };
                })
                .reduce(new double[2][nodes.size()], (x, y) -> new double[][] {sum(x[0], y[0]), sum(x[1], y[1])});
    }

    /** Expected number in every exchange, of few patterns. */
    double[][] perExchange(List<ChainTrie.Node> nodes, ChainTrie trie) {
        if (nodes.isEmpty()) {
            return new double[0][];
        }
        ChainCounter counter = new ChainCounter(trie, nodes);
        float[][] sums = new float[symbols.length][nodes.size()];
        for (int d = 0; d < FEW_LIBRARIES; d++) {
            int[][] library = permuted(d);
            IntStream.range(0, library.length).parallel().forEach(e -> {
                ChainCounter.Run run = counter.new Run();
                run.count(library[e]);
                double[] held = run.counts();
                for (int n = 0; n < held.length; n++) {
                    sums[e][n] += (float) held[n];
                }
            });
        }
        double[][] means = new double[nodes.size()][symbols.length];
        for (int n = 0; n < means.length; n++) {
            for (int e = 0; e < symbols.length; e++) {
                means[n][e] = sums[e][n] / FEW_LIBRARIES;
            }
        }
        return means;
    }

    private static double[] sum(double[] a, double[] b) {
        double[] sum = Arrays.copyOf(a, a.length);
        for (int i = 0; i < sum.length; i++) {
            sum[i] += b[i];
        }
        return sum;
    }
}
