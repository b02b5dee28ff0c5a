package farglass.tendency;

import farglass.stats.PoissonCount;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * How many exchanges would hold a chain by chance?
 *
 * <p>Pairs: consecutive tags independent given who acts and in which family of positions. Longer chains: a first-order
 * model of the symbols fitted without the match at hand, as the mean over 200 seeded simulated libraries with the same
 * exchange lengths.
 */
final class ChainModel {
    /** Nothing is expected less often than once in this many simulated libraries. */
    static final double LEAST = 0.5 / 200;

    private static final int LIBRARIES = 200;
    /** Libraries after which plain chance is told. */
    private static final int[] STAGES = {25, 75, LIBRARIES};
    /** Upper tail from which a pattern is plain chance; no false discovery rate comes near it. */
    private static final double PLAIN = 0.3;

    private static final int TRIES = 50;

    private final List<Exchanges.Exchange> exchanges;
    private final int[][] symbols;
    /** By match: its exchanges. */
    private final int[][] ofMatch;

    private final long seed;
    /** Per symbol: what came after it, and in which match; the first is what exchanges begin with. */
    private final Followers[] followers;

    private final Followers everything = new Followers();
    private final Context context;
    private final ChainPairs pairs;

    ChainModel(List<Exchanges.Exchange> exchanges, int[][] symbols, long seed) {
        this.exchanges = exchanges;
        this.symbols = symbols;
        this.seed = seed;
        int most = Arrays.stream(symbols).flatMapToInt(Arrays::stream).max().orElse(0);
        followers = Stream.generate(Followers::new).limit(most + 2L).toArray(Followers[]::new);
        Map<String, Integer> matches = new HashMap<>();
        int[] matchOf = exchanges.stream()
                .mapToInt(e -> matches.computeIfAbsent(e.seen().record().id(), k -> matches.size()))
                .toArray();
        ofMatch = new int[matches.size()][];
        for (int m = 0; m < ofMatch.length; m++) {
            int match = m;
            ofMatch[m] = IntStream.range(0, matchOf.length)
                    .filter(e -> matchOf[e] == match)
                    .toArray();
        }
        for (int e = 0; e < symbols.length; e++) {
            int before = 0;
            for (int s : symbols[e]) {
                followers[before].add(s, matchOf[e]);
                everything.add(s, matchOf[e]);
                before = s + 1;
            }
        }
        context = new Context();
        pairs = new ChainPairs(context.contexts, context.chances);
    }

    /**
     * Expected count of every pattern in every exchange under the model of its length. What is plainly no more than
     * chance after the first libraries is not counted in the others: how far from it a pattern is that nobody will
     * accept does not matter.
     *
     * @param support least number of exchanges of a pattern that is looked at
     */
    double[][] expected(List<ChainTrie.Node> nodes, ChainTrie trie, int support) {
        double[][] result = new double[nodes.size()][];
        List<Integer> longer = IntStream.range(0, result.length)
                .filter(i -> nodes.get(i).pattern().length > 2)
                .boxed()
                .toList();
        IntStream.range(0, result.length)
                .parallel()
                .filter(i -> nodes.get(i).pattern().length == 2)
                .forEach(i -> result[i] = independent(nodes.get(i).pattern()));
        int done = 0;
        for (int stage : STAGES) {
            double[][] counts = simulate(longer.stream().map(nodes::get).toList(), trie, done, stage);
            List<Integer> open = new ArrayList<>();
            for (int k = 0; k < counts.length; k++) {
                int node = longer.get(k);
                result[node] = sum(result[node], counts[k]);
                double mean = Math.max(LEAST, sum(result[node]) / stage);
                int seen = nodes.get(node).exchanges().size();
                if (stage < LIBRARIES && PoissonCount.upperTail(seen, mean, support) < PLAIN) {
                    open.add(node);
                } else {
                    result[node] = over(result[node], stage);
                }
            }
            longer = open;
            done = stage;
        }
        return result;
    }

    private static double[] sum(double[] before, double[] more) {
        if (before == null) {
            return more;
        }
        for (int e = 0; e < before.length; e++) {
            before[e] += more[e];
        }
        return before;
    }

    static double sum(double[] values) {
        double sum = 0;
        for (double v : values) {
            sum += v;
        }
        return sum;
    }

    private static double[] over(double[] counts, int libraries) {
        double[] means = new double[counts.length];
        for (int e = 0; e < means.length; e++) {
            means[e] = counts[e] / libraries;
        }
        return means;
    }

    /** Expected count of a pattern in every exchange, were all tags independent given who acts and where. */
    double[] independent(int[] pattern) {
        if (pattern.length == 2) {
            return pairs.expected(pattern);
        }
        return context.held(pattern);
    }

    /**
     * Counts in the simulated libraries from one to another. The exchanges of a match follow one model: one row as long
     * as the longest is made, and the others are its begin, as a row that is broken off is one of the model too. Only
     * means are taken of the counts, so that it does not matter that these rows are alike. Every match has a stream of
     * its own.
     */
    private double[][] simulate(List<ChainTrie.Node> nodes, ChainTrie trie, int from, int to) {
        ChainCounter counter = new ChainCounter(trie, nodes);
        double[][] perExchange = new double[symbols.length][];
        IntStream.range(0, ofMatch.length).parallel().forEach(m -> {
            UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * m + ((long) from << 40));
            int[] lengths =
                    Arrays.stream(ofMatch[m]).map(e -> symbols[e].length).toArray();
            int[] made = new int[Arrays.stream(lengths).max().orElse(0)];
            ChainCounter.Run run = counter.new Run(made, lengths);
            for (int d = from; d < to && !nodes.isEmpty(); d++) {
                int before = 0;
                for (int i = 0; i < made.length; i++) {
                    made[i] = draw(before, m, rng);
                    before = made[i] + 1;
                }
                run.count();
            }
            for (int i = 0; i < lengths.length; i++) {
                perExchange[ofMatch[m][i]] = run.counts()[i];
            }
        });
        double[][] byNode = new double[nodes.size()][symbols.length];
        for (int n = 0; n < byNode.length; n++) {
            for (int e = 0; e < symbols.length; e++) {
                byNode[n][e] = perExchange[e][n];
            }
        }
        return byNode;
    }

    /** The next symbol by what followed in the other matches; where nothing did, any of their symbols. */
    private int draw(int before, int match, UniformRandomProvider rng) {
        int found = followers[before].draw(match, rng);
        found = found < 0 ? everything.draw(match, rng) : found;
        // one match alone: its own symbols
        return found < 0 ? everything.symbols[rng.nextInt(everything.size)] : found;
    }

    /** Symbols with the matches they come from. */
    private static final class Followers {
        private int[] symbols = new int[8];
        private int[] matches = new int[8];
        private int size;

        void add(int symbol, int match) {
            if (size == symbols.length) {
                symbols = Arrays.copyOf(symbols, 2 * size);
                matches = Arrays.copyOf(matches, 2 * size);
            }
            symbols[size] = symbol;
            matches[size++] = match;
        }

        /** One of another match than this; -1 when none is found. */
        int draw(int match, UniformRandomProvider rng) {
            for (int i = 0; i < TRIES && size > 0; i++) {
                int at = rng.nextInt(size);
                if (matches[at] != match) {
                    return symbols[at];
                }
            }
            return -1;
        }
    }

    /** Frequencies of symbols given who acts and where. */
    private final class Context {
        private final int[][] contexts = new int[symbols.length][];
        /** By context, then symbol. */
        private final double[][] chances;
        /** By symbol, then context: a pattern looks at few symbols in many contexts. */
        private final double[][] bySymbol;
        /**
         * By exchange: contexts that occur in it, one bit each; of more than 64 some share theirs, which misses
         * nothing.
         */
        private final long[] occurring = new long[symbols.length];
        /** By symbol: contexts in which it occurs anywhere, told in the same way. */
        private final long[] possible;

        Context() {
            Map<String, Integer> places = new HashMap<>();
            for (int e = 0; e < symbols.length; e++) {
                contexts[e] = exchanges.get(e).steps().stream()
                        .mapToInt(s -> 2 * places.computeIfAbsent(s.place(), k -> places.size()) + (s.own() ? 1 : 0))
                        .toArray();
            }
            chances = new double[2 * places.size()][followers.length];
            double[] totals = new double[chances.length];
            for (int e = 0; e < symbols.length; e++) {
                for (int i = 0; i < symbols[e].length; i++) {
                    chances[contexts[e][i]][symbols[e][i]]++;
                    totals[contexts[e][i]]++;
                }
            }
            for (int c = 0; c < totals.length; c++) {
                for (int s = 0; s < chances[c].length && totals[c] > 0; s++) {
                    chances[c][s] /= totals[c];
                }
            }
            bySymbol = new double[followers.length][totals.length];
            possible = new long[followers.length];
            for (int s = 0; s < bySymbol.length; s++) {
                for (int c = 0; c < totals.length; c++) {
                    bySymbol[s][c] = chances[c][s];
                    possible[s] |= chances[c][s] > 0 ? 1L << c : 0;
                }
            }
            for (int e = 0; e < symbols.length; e++) {
                for (int c : contexts[e]) {
                    occurring[e] |= 1L << c;
                }
            }
        }

        /** Chance that each exchange holds a pattern with at most one tag skipped in all. */
        double[] held(int[] pattern) {
            double[][] chance = new double[pattern.length][];
            for (int k = 0; k < chance.length; k++) {
                chance[k] = bySymbol[pattern[k]];
            }
            double[] before = new double[chance.length + 1];
            before[0] = 1;
            double[] held = new double[symbols.length];
            for (int e = 0; e < held.length; e++) {
                held[e] = possible(e, pattern) ? holds(contexts[e], chance, before) : 0;
            }
            return held;
        }

        private boolean possible(int e, int[] pattern) {
            for (int s : pattern) {
                if ((possible[s] & occurring[e]) == 0) {
                    return false;
                }
            }
            return contexts[e].length >= pattern.length;
        }

        /**
         * @param here contexts of the tags of an exchange
         * @param chance of each symbol of the pattern, by context
         * @param before 1, and room for the chances of the pattern's begins
         */
        private static double holds(int[] here, double[][] chance, double[] before) {
            int length = chance.length;
            double none = 1;
            for (int start = 0; start + length <= here.length; start++) {
                int k = 0;
                double all = 1;
                while (k < length && all > 0) {
                    all *= chance[k][here[start + k]];
                    before[++k] = all;
                }
                if (k == 1 && all == 0) {
                    continue;
                }
                none *= 1 - (k == length ? all : 0);
                // the tail one further on, and what stands before the tag that is skipped
                double tail = 1;
                for (int from = length - 1; from > 0 && tail > 0; from--) {
                    int at = start + from + 1;
                    tail *= at < here.length ? chance[from][here[at]] : 0;
                    none *= 1 - (from <= k ? before[from] : 0) * tail;
                }
            }
            return 1 - none;
        }
    }
}
