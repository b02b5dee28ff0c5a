package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.stats.FalseDiscovery;
import farglass.stats.Grade;
import farglass.stats.PoissonCount;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which tags follow each other more often than chance? Exchanges are short, so that every subsequence of 2 to 6 tags
 * with at most one skipped tag in all is counted exactly, once per exchange; closed ones with 3 exchanges in 3 matches
 * are judged.
 *
 * <p>Pairs are held against independence of consecutive tags given who acts and where, longer chains against a
 * first-order model of the other matches ({@link ChainModel}); Poisson upper tail given that the least support was
 * reached, false discovery rate 10 % (Benjamini and Hochberg 1995). An accepted pair that mostly occurs within a longer
 * row is told as that row, held against independence too, because a first-order model explains a row that its pairs
 * explain.
 *
 * <p>Accepted greedily, longer chains before pairs because a pair is judged against a weaker model: a candidate that
 * shares two tags in order with an accepted chain is its shadow, unless it still passes without the exchanges that hold
 * that chain.
 */
public final class Chains {
    static final int LONGEST = 6;
    private static final int EXCHANGES = 3;
    /** What is held by less than one exchange in so many is no habit, however surely it is no chance. */
    private static final int RARE = 50;

    private static final int MATCHES = 3;
    private static final double RATE = 0.10;
    /** A row stands for its pairs when it holds at least this share of their exchanges. */
    private static final double MOST = 0.6;

    private final List<Exchanges.Exchange> exchanges;
    private final int[][] symbols;
    private final ChainTrie trie;
    private final ChainModel model;
    /** Least number of exchanges of a pattern that is looked at. */
    private final int support;

    private Chains(List<Exchanges.Exchange> exchanges, long seed) {
        this.exchanges = exchanges;
        Map<String, Integer> numbers = new HashMap<>();
        symbols = new int[exchanges.size()][];
        for (int e = 0; e < symbols.length; e++) {
            symbols[e] = exchanges.get(e).steps().stream()
                    .mapToInt(s -> numbers.computeIfAbsent(s.symbol(), k -> numbers.size()))
                    .toArray();
        }
        support = Math.max(EXCHANGES, (symbols.length + RARE - 1) / RARE);
        trie = ChainTrie.frequent(symbols, support, LONGEST);
        model = new ChainModel(exchanges, symbols, seed);
    }

    /**
     * What a search gave.
     *
     * @param symbols numbers of the steps of every exchange, as the patterns tell them
     */
    record Found(List<Exchanges.Exchange> exchanges, int[][] symbols, List<Candidate> accepted) {}

    /**
     * A counted pattern.
     *
     * @param againstIndependence whether it was held against independence, as all pairs are, or against what follows
     * what
     */
    record Candidate(
            int[] pattern,
            List<Integer> in,
            double[] expectedIn,
            double expected,
            double p,
            double q,
            int matches,
            boolean againstIndependence) {
        Candidate adjusted(double value) {
            return new Candidate(pattern, in, expectedIn, expected, p, value, matches, againstIndependence);
        }

        BitSet exchanges() {
            BitSet set = new BitSet();
            in.forEach(set::set);
            return set;
        }
    }

    /**
     * @param seed of the simulated libraries
     * @return strongest evidence first, then by the lower bound of the lift
     */
    public static List<Chain> of(Evidence evidence, long seed) {
        List<Exchanges.Exchange> exchanges = Exchanges.of(evidence);
        if (exchanges.size() < EXCHANGES) {
            return List.of();
        }
        Found found = evidence.index()
                .chains()
                .of(new ChainMemory.Asked(evidence.athlete(), evidence.filter(), seed), exchanges, () -> {
                    Chains search = new Chains(exchanges, seed);
                    return new Found(exchanges, search.symbols, search.accepted());
                });
        return found.accepted().stream()
                .map(c -> chain(c, found.symbols(), exchanges))
                .sorted(Comparator.comparing(Chain::grade)
                        .thenComparing(Comparator.comparingDouble(Chain::liftLo).reversed())
                        .thenComparing(c -> c.symbols().toString()))
                .toList();
    }

    /** One trial per exchange: does it hold the chain? */
    public static List<Trial> trials(List<Exchanges.Exchange> exchanges, List<String> chain) {
        Map<String, Integer> numbers = new HashMap<>();
        int[] pattern = chain.stream()
                .mapToInt(s -> numbers.computeIfAbsent(s, k -> numbers.size()))
                .toArray();
        List<Trial> trials = new ArrayList<>();
        for (Exchanges.Exchange e : exchanges) {
            int[] symbols = e.steps().stream()
                    .mapToInt(s -> numbers.getOrDefault(s.symbol(), -1))
                    .toArray();
            int[] at = ChainTrie.places(symbols, pattern);
            trials.add(e.seen().trial(e.steps().get(at == null ? 0 : at[0]).tag(), at != null));
        }
        return trials;
    }

    /** In how many exchanges each chain is held. */
    public static int[] held(List<Exchanges.Exchange> exchanges, List<Chain> chains) {
        Map<String, Integer> numbers = new HashMap<>();
        int[][] patterns = chains.stream()
                .map(c -> c.symbols().stream()
                        .mapToInt(s -> numbers.computeIfAbsent(s, k -> numbers.size()))
                        .toArray())
                .toArray(int[][]::new);
        int[] held = new int[patterns.length];
        for (Exchanges.Exchange e : exchanges) {
            int[] symbols = e.steps().stream()
                    .mapToInt(s -> numbers.getOrDefault(s.symbol(), -1))
                    .toArray();
            boolean[] there = new boolean[numbers.size()];
            for (int s : symbols) {
                if (s >= 0) {
                    there[s] = true;
                }
            }
            for (int c = 0; c < patterns.length; c++) {
                held[c] += all(there, patterns[c]) && ChainTrie.places(symbols, patterns[c]) != null ? 1 : 0;
            }
        }
        return held;
    }

    private static boolean all(boolean[] there, int[] pattern) {
        for (int s : pattern) {
            if (!there[s]) {
                return false;
            }
        }
        return true;
    }

    private List<Candidate> accepted() {
        List<ChainTrie.Node> nodes = trie.closed().stream()
                .filter(n -> matches(n.exchanges()) >= MATCHES)
                .toList();
        double[][] expected = model.expected(nodes, trie, support);
        List<Candidate> judged = new ArrayList<>();
        for (int i = 0; i < nodes.size(); i++) {
            judged.add(judge(nodes.get(i), expected[i], nodes.get(i).pattern().length == 2));
        }
        double[] q = FalseDiscovery.adjusted(
                judged.stream().mapToDouble(Candidate::p).toArray());
        List<Candidate> kept = new ArrayList<>();
        double limit = 0;
        for (int i = 0; i < q.length; i++) {
            if (q[i] <= RATE) {
                kept.add(judged.get(i).adjusted(q[i]));
                limit = Math.max(limit, judged.get(i).p());
            }
        }
        kept.addAll(rows(nodes, kept));
        return withoutShadows(kept, limit);
    }

    private Candidate judge(ChainTrie.Node n, double[] expectedIn, boolean againstIndependence) {
        double mean = Math.max(ChainModel.LEAST, ChainModel.sum(expectedIn));
        double p = PoissonCount.upperTail(n.exchanges().size(), mean, support);
        return new Candidate(
                n.pattern(), n.exchanges(), expectedIn, mean, p, 1, matches(n.exchanges()), againstIndependence);
    }

    /** Longer rows that hold most of the exchanges of an accepted pair. */
    private List<Candidate> rows(List<ChainTrie.Node> nodes, List<Candidate> kept) {
        Set<int[]> accepted = Collections.newSetFromMap(new IdentityHashMap<>());
        kept.forEach(c -> accepted.add(c.pattern()));
        List<Candidate> pairs =
                kept.stream().filter(c -> c.pattern().length == 2).toList();
        return nodes.parallelStream()
                .filter(n -> n.pattern().length > 2 && !accepted.contains(n.pattern()))
                .flatMap(n -> pairs.stream()
                        .filter(c -> n.exchanges().size() >= MOST * c.in().size())
                        .filter(c -> ChainTrie.within(c.pattern(), n.pattern()))
                        .max(Comparator.comparingDouble(Candidate::q))
                        .map(c -> judge(n, model.independent(n.pattern()), true).adjusted(c.q()))
                        .stream())
                .toList();
    }

    /** Exchanges ascend, and those of a match stand together. */
    private int matches(List<Integer> in) {
        int matches = 0;
        Evidence.Seen before = null;
        for (int e : in) {
            Evidence.Seen seen = exchanges.get(e).seen();
            matches += seen == before ? 0 : 1;
            before = seen;
        }
        return matches;
    }

    private List<Candidate> withoutShadows(List<Candidate> kept, double limit) {
        List<Candidate> order = new ArrayList<>(kept);
        double[] tails =
                kept.parallelStream().mapToDouble(this::againstIndependence).toArray();
        IdentityHashMap<Candidate, Double> alone = new IdentityHashMap<>();
        for (int i = 0; i < tails.length; i++) {
            alone.put(kept.get(i), tails[i]);
        }
        order.sort(Comparator.comparing((Candidate c) -> c.pattern().length == 2)
                .thenComparingDouble(alone::get)
                .thenComparing(
                        Comparator.comparingInt((Candidate c) -> c.in().size()).reversed())
                .thenComparing(c -> Arrays.toString(c.pattern())));
        List<Candidate> accepted = new ArrayList<>();
        IdentityHashMap<Candidate, BitSet> holding = new IdentityHashMap<>();
        for (Candidate c : order) {
            boolean stands = accepted.stream()
                    .allMatch(a -> !shareTwo(a.pattern(), c.pattern()) || standsWithout(c, holding.get(a), limit));
            if (stands) {
                accepted.add(c);
                holding.put(c, c.exchanges());
            }
        }
        return accepted;
    }

    /** Rows of all lengths are put in order by the same measure. */
    private double againstIndependence(Candidate c) {
        if (c.againstIndependence()) {
            return c.p();
        }
        double mean = ChainModel.sum(model.independent(c.pattern()));
        return PoissonCount.upperTail(c.in().size(), Math.max(ChainModel.LEAST, mean), support);
    }

    /** Whether it still passes without some exchanges. */
    private boolean standsWithout(Candidate c, @Nullable BitSet without, double limit) {
        int rest = 0;
        int matches = 0;
        Evidence.Seen before = null;
        for (int e : c.in()) {
            if (!requireNonNull(without).get(e)) {
                Evidence.Seen seen = exchanges.get(e).seen();
                matches += seen == before ? 0 : 1;
                before = seen;
                rest++;
            }
        }
        if (rest < support || matches < MATCHES) {
            return false;
        }
        double mean = 0;
        for (int e = 0; e < symbols.length; e++) {
            mean += requireNonNull(without).get(e) ? 0 : c.expectedIn()[e];
        }
        return PoissonCount.upperTail(rest, Math.max(ChainModel.LEAST, mean), support) <= limit;
    }

    /** Whether both hold some two symbols in the same order. */
    static boolean shareTwo(int[] a, int[] b) {
        for (int i = 0; i + 1 < a.length; i++) {
            int at = 0;
            while (at < b.length && b[at] != a[i]) {
                at++;
            }
            for (int j = i + 1; j < a.length; j++) {
                for (int k = at + 1; k < b.length; k++) {
                    if (a[j] == b[k]) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private static Chain chain(Candidate c, int[][] symbols, List<Exchanges.Exchange> exchanges) {
        List<Trial> trials = new ArrayList<>();
        List<Exchanges.Step> steps = List.of();
        double w = 0;
        double ww = 0;
        for (int e : c.in()) {
            int[] at = ChainTrie.places(symbols[e], c.pattern());
            Exchanges.Exchange exchange = exchanges.get(e);
            if (steps.isEmpty()) {
                steps = Arrays.stream(at).mapToObj(i -> exchange.steps().get(i)).toList();
            }
            trials.add(exchange.seen()
                    .trial(exchange.steps().get(requireNonNull(at)[0]).tag(), true));
            double weight = exchange.seen().weight();
            w += weight;
            ww += weight * weight;
        }
        int n = c.in().size();
        return new Chain(
                steps,
                n,
                c.matches(),
                c.expected(),
                n / c.expected(),
                PoissonCount.lower(n) / c.expected(),
                c.p(),
                c.q(),
                Grade.of(Math.min(w * w / ww, w), c.matches(), 0),
                trials);
    }
}
