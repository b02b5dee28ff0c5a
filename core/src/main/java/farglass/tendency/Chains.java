package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.stats.CountTail;
import farglass.stats.Grade;
import farglass.stats.PoissonCount;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Which tags follow each other more often than the places force? Pairs, with at most one tag skipped, are counted once
 * per exchange and held against permuted libraries ({@link ChainNull}); one that occurs in 3 exchanges of 3 matches and
 * is more striking than the most striking pair of 93 % of the permuted libraries is accepted. Exchanges are short, so
 * that every subsequence of 2 to 6 tags with at most one skipped tag in all is counted exactly: a pair that mostly
 * occurs within a longer row is told as that row.
 *
 * <p>Accepted greedily, longer rows first, then by how unlikely they are: a candidate that shares a tag with an
 * accepted one is its shadow, unless it still passes without the exchanges that hold that one.
 */
public final class Chains {
    static final int LONGEST = 6;
    private static final int EXCHANGES = 3;
    /** What is held by less than one exchange in so many is no habit, however surely it is no chance. */
    private static final int RARE = 50;

    private static final int MATCHES = 3;
    /** Chance of a false habit in a library that has none. */
    private static final double RATE = 0.07;
    /** A row stands for its pairs when it holds at least this share of their exchanges. */
    private static final double MOST = 0.6;

    private final List<Exchanges.Exchange> exchanges;
    private final int[][] symbols;
    private final ChainTrie trie;
    private final ChainNull model;
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
        model = new ChainNull(exchanges, symbols, seed);
    }

    /**
     * What a search gave.
     *
     * @param symbols numbers of the steps of every exchange, as the patterns tell them
     */
    record Found(List<Exchanges.Exchange> exchanges, int[][] symbols, List<Candidate> accepted) {}

    /** A counted pattern. */
    record Candidate(ChainTrie.Node node, double expected, double p, double q, int matches) {
        int[] pattern() {
            return node.pattern();
        }

        List<Integer> in() {
            return node.exchanges();
        }

        BitSet exchanges() {
            BitSet set = new BitSet();
            in().forEach(set::set);
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
        Map<List<Integer>, ChainNull.Pair> striking = new HashMap<>();
        double limit = 0;
        for (ChainNull.Pair pair : model.pairs(support)) {
            if (pair.adjusted() <= RATE) {
                striking.put(List.of(pair.first(), pair.second()), pair);
                limit = Math.max(limit, pair.p());
            }
        }
        List<ChainTrie.Node> nodes = trie.closed().stream()
                .filter(n -> matches(n.exchanges()) >= MATCHES)
                .toList();
        List<Candidate> pairs = new ArrayList<>();
        for (ChainTrie.Node n : trie.pairs()) {
            ChainNull.Pair pair = striking.get(List.of(n.pattern()[0], n.pattern()[1]));
            if (pair != null && matches(n.exchanges()) >= MATCHES) {
                pairs.add(new Candidate(n, pair.expected(), pair.p(), pair.adjusted(), matches(n.exchanges())));
            }
        }
        return withoutShadows(wholeRows(nodes, pairs), limit);
    }

    /** With the longest row that holds most of the exchanges of an accepted pair in its place. */
    private List<Candidate> wholeRows(List<ChainTrie.Node> nodes, List<Candidate> pairs) {
        Map<ChainTrie.Node, Candidate> rows = new LinkedHashMap<>();
        List<Candidate> all = new ArrayList<>();
        for (Candidate c : pairs) {
            nodes.stream()
                    .filter(n -> n.pattern().length > 2)
                    .filter(n -> n.exchanges().size() >= MOST * c.in().size())
                    .filter(n -> ChainTrie.within(c.pattern(), n.pattern()))
                    .max(Comparator.comparingInt((ChainTrie.Node n) -> n.pattern().length)
                            .thenComparingInt(n -> n.exchanges().size()))
                    .ifPresentOrElse(n -> rows.merge(n, c, (x, y) -> x.p() <= y.p() ? x : y), () -> all.add(c));
        }
        List<ChainTrie.Node> longer = List.copyOf(rows.keySet());
        List<CountTail> expected = model.expected(longer, trie);
        for (int i = 0; i < longer.size(); i++) {
            ChainTrie.Node n = longer.get(i);
            double p = expected.get(i).atLeast(n.exchanges().size(), support);
            double q = requireNonNull(rows.get(n)).q();
            all.add(new Candidate(n, expected.get(i).mean(), p, q, matches(n.exchanges())));
        }
        return all;
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
        order.sort(Comparator.comparing((Candidate c) -> c.pattern().length == 2)
                .thenComparingDouble(Candidate::p)
                .thenComparing(
                        Comparator.comparingInt((Candidate c) -> c.in().size()).reversed())
                .thenComparing(c -> Arrays.toString(c.pattern())));
        double[][] expected =
                model.perExchange(order.stream().map(Candidate::node).toList(), trie);
        List<Candidate> accepted = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            Candidate c = order.get(i);
            double[] mean = expected[i];
            boolean stands = accepted.stream()
                    .allMatch(a -> !share(a.pattern(), c.pattern()) || standsWithout(c, mean, a.exchanges(), limit));
            if (stands) {
                accepted.add(c);
            }
        }
        return accepted;
    }

    /** Whether it still passes without some exchanges. */
    private boolean standsWithout(Candidate c, double[] expected, BitSet without, double limit) {
        int rest = 0;
        int matches = 0;
        Evidence.Seen before = null;
        for (int e : c.in()) {
            if (!without.get(e)) {
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
            mean += without.get(e) ? 0 : expected[e];
        }
        return PoissonCount.upperTail(rest, Math.max(ChainNull.LEAST, mean), support) <= limit;
    }

    /** Whether both hold some symbol. */
    private static boolean share(int[] a, int[] b) {
        return Arrays.stream(a).anyMatch(x -> Arrays.stream(b).anyMatch(y -> x == y));
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
