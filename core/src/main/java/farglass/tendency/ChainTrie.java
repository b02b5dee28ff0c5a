package farglass.tendency;

import static java.util.Objects.requireNonNull;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Patterns of symbols with the exchanges that hold them; a pattern may skip one symbol in all. Each grows from the
 * places where the one before it ended, so that nothing is looked at twice; all places are kept, because under a limit
 * on skips the first alone would miss patterns.
 */
final class ChainTrie {
    /** Stands twice after every exchange, so that the next two symbols may always be asked for. */
    private static final int OVER = -1;

    private final int alphabet;
    private final int support;
    private final int longest;
    /** All exchanges, one after the other. */
    private final int[] row;

    /** By place in the row. */
    private final int[] exchangeOf;
    /** By place and whether a symbol was skipped before it: the last growth that came there. */
    private final int[] reached;

    private int growths;
    /**
     * While a node's children are told apart, by symbol: places, exchanges, the last exchange, and the places
     * themselves.
     */
    private final int[] ends;

    private final int[] in;
    private final int[] last;
    private final int[][] room;
    private final Node root = new Node(new int[0], List.of(), null);
    private final List<Node> nodes = new ArrayList<>();
    private int numbered;

    /** A pattern. */
    static final class Node {
        private final int[] pattern;
        private final List<Node> children = new ArrayList<>();
        private final List<Integer> exchanges;
        private int number;

        /** Null for the root. */
        private final @Nullable Node before;

        private Node(int[] pattern, List<Integer> exchanges, @Nullable Node before) {
            this.pattern = pattern;
            this.exchanges = exchanges;
            this.before = before;
        }

        /** By length from 1: exchanges that hold so much of the pattern. */
        int[] reached() {
            int[] reached = new int[pattern.length];
            for (Node n = this; n != null && n.pattern.length > 0; n = n.before) {
                reached[n.pattern.length - 1] = n.exchanges.size();
            }
            return reached;
        }

        private void grow(int symbol, List<Integer> heldBy) {
            int[] longer = Arrays.copyOf(pattern, pattern.length + 1);
            longer[pattern.length] = symbol;
            children.add(new Node(longer, heldBy, this));
        }

        /** From 0, the root's; parents before their children. */
        int number() {
            return number;
        }

        int[] pattern() {
            return pattern;
        }

        List<Node> children() {
            return children;
        }

        /** Exchanges that hold it, ascending. */
        List<Integer> exchanges() {
            return exchanges;
        }
    }

    private ChainTrie(int[][] exchanges, int support, int longest) {
        this.support = support;
        this.longest = longest;
        alphabet =
                1 + Arrays.stream(exchanges).flatMapToInt(Arrays::stream).max().orElse(0);
        ends = new int[alphabet];
        in = new int[alphabet];
        last = new int[alphabet];
        room = new int[alphabet][];
        row = new int[Arrays.stream(exchanges).mapToInt(e -> e.length + 2).sum()];
        exchangeOf = new int[row.length];
        reached = new int[2 * row.length];
        int at = 0;
        for (int e = 0; e < exchanges.length; e++) {
            System.arraycopy(exchanges[e], 0, row, at, exchanges[e].length);
            Arrays.fill(exchangeOf, at, at + exchanges[e].length, e);
            at += exchanges[e].length;
            row[at++] = OVER;
            row[at++] = OVER;
        }
    }

    /** All patterns of 2 to {@code longest} symbols that at least {@code support} exchanges hold. */
    static ChainTrie frequent(int[][] exchanges, int support, int longest) {
        ChainTrie trie = new ChainTrie(exchanges, support, longest);
        int[] begins = IntStream.range(0, trie.row.length)
                .filter(p -> trie.row[p] != OVER)
                .map(p -> 2 * p)
                .toArray();
        trie.grow(trie.root, begins, begins.length);
        trie.collect(trie.root);
        return trie;
    }

    /**
     * Adds the children of a node, and theirs.
     *
     * @param next where a symbol may go on, ascending by exchange: twice the place, and one when a symbol has been
     * skipped
     * @param count how many of them
     */
    private void grow(Node node, int[] next, int count) {
        int[] met = new int[Math.min(count, alphabet)];
        int symbols = 0;
        for (int i = 0; i < count; i++) {
            int symbol = row[next[i] >> 1];
            int exchange = exchangeOf[next[i] >> 1];
            if (ends[symbol] == 0) {
                met[symbols++] = symbol;
                last[symbol] = -1;
            }
            ends[symbol]++;
            in[symbol] += last[symbol] == exchange ? 0 : 1;
            last[symbol] = exchange;
        }
        int[][] endsOf = new int[symbols][];
        for (int k = 0; k < symbols; k++) {
            endsOf[k] = in[met[k]] >= support ? new int[ends[met[k]]] : null;
            room[met[k]] = endsOf[k];
            ends[met[k]] = 0;
        }
        for (int i = 0; i < count; i++) {
            int symbol = row[next[i] >> 1];
            if (room[symbol] != null) {
                room[symbol][ends[symbol]++] = next[i];
            }
        }
        for (int k = 0; k < symbols; k++) {
            if (endsOf[k] != null) {
                node.grow(met[k], held(endsOf[k], in[met[k]]));
            }
            ends[met[k]] = 0;
            in[met[k]] = 0;
        }
        for (int k = 0, child = 0; k < symbols; k++) {
            if (endsOf[k] != null) {
                goOn(node.children.get(child++), endsOf[k]);
            }
        }
    }

    /** Exchanges of some places, each once. */
    private List<Integer> held(int[] places, int count) {
        Integer[] held = new Integer[count];
        int found = 0;
        for (int place : places) {
            int exchange = exchangeOf[place >> 1];
            if (found == 0 || held[found - 1] != exchange) {
                held[found++] = exchange;
            }
        }
        return Arrays.asList(held);
    }

    private void goOn(Node node, int[] from) {
        if (node.pattern.length == longest) {
            return;
        }
        int[] next = new int[2 * from.length];
        int count = 0;
        growths++;
        for (int end : from) {
            int after = end + 2;
            if (reaches(after)) {
                next[count++] = after;
            }
            // the one after next, and from there on one is skipped
            int skipping = end + 5;
            if (end % 2 == 0 && row[after >> 1] != OVER && reaches(skipping)) {
                next[count++] = skipping;
            }
        }
        grow(node, next, count);
    }

    /**
     * Whether a symbol stands there that this growth has not come to yet: patterns that end in one place go on alike.
     */
    private boolean reaches(int place) {
        boolean there = row[place >> 1] != OVER && reached[place] != growths;
        reached[place] = growths;
        return there;
    }

    private void collect(Node node) {
        node.number = numbered++;
        if (node.pattern.length >= 2) {
            nodes.add(node);
        }
        node.children.forEach(this::collect);
    }

    /** All patterns of two symbols. */
    List<Node> pairs() {
        return nodes.stream().filter(n -> n.pattern.length == 2).toList();
    }

    /** Patterns without a longer one that holds them and is held by the same exchanges. */
    List<Node> closed() {
        Map<List<Integer>, List<Node>> same = new HashMap<>();
        nodes.forEach(
                n -> same.computeIfAbsent(n.exchanges, k -> new ArrayList<>()).add(n));
        return nodes.stream()
                .filter(n -> requireNonNull(same.get(n.exchanges)).stream()
                        .noneMatch(m -> m.pattern.length > n.pattern.length && within(n.pattern, m.pattern)))
                .toList();
    }

    /** Whether a longer pattern holds all symbols of a shorter one in order. */
    static boolean within(int[] shorter, int[] longer) {
        int found = 0;
        for (int i = 0; i < longer.length && found < shorter.length; i++) {
            found += longer[i] == shorter[found] ? 1 : 0;
        }
        return found == shorter.length;
    }

    /** Number of nodes, the root with them. */
    int size() {
        return numbered;
    }

    Node root() {
        return root;
    }

    /** Symbols are less than this. */
    int alphabet() {
        return alphabet;
    }

    /** Where an exchange first holds a pattern, with at most one symbol skipped; null when it does not. */
    static int @Nullable [] places(int[] symbols, int[] pattern) {
        for (int start = 0; start + pattern.length <= symbols.length; start++) {
            if (symbols[start] != pattern[0]) {
                continue;
            }
            // after the last symbol nothing is skipped: that is the chain without a gap
            for (int skipAfter = pattern.length; skipAfter > 0; skipAfter--) {
                if (fits(symbols, pattern, start, skipAfter)) {
                    int[] at = new int[pattern.length];
                    for (int k = 0; k < at.length; k++) {
                        at[k] = start + k + (k >= skipAfter ? 1 : 0);
                    }
                    return at;
                }
            }
        }
        return null;
    }

    private static boolean fits(int[] symbols, int[] pattern, int start, int skipAfter) {
        for (int k = 0; k < pattern.length; k++) {
            int at = start + k + (k >= skipAfter ? 1 : 0);
            if (at >= symbols.length || symbols[at] != pattern[k]) {
                return false;
            }
        }
        return true;
    }
}
