package farglass.tendency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Patterns of symbols with the exchanges that hold them; a pattern may skip one symbol in all. */
final class ChainTrie {
    private final int alphabet;
    private final Node root = new Node(new int[0]);
    private final List<Node> nodes = new ArrayList<>();
    private int numbered;

    /** A pattern. */
    static final class Node {
        private final int[] pattern;
        /** By symbol; null while there is none, because most patterns are the last of their line. */
        private Node[] next;

        private final List<Node> children = new ArrayList<>();
        private final List<Integer> exchanges = new ArrayList<>();
        private int last = -1;
        private int number;

        private Node(int[] pattern) {
            this.pattern = pattern;
        }

        private Node next(int symbol) {
            return next == null ? null : next[symbol];
        }

        private void grow(Node child, int symbol, int alphabet) {
            if (next == null) {
                next = new Node[alphabet];
            }
            next[symbol] = child;
            children.add(child);
        }

        private void prune(int support) {
            for (Node n : children) {
                if (n.exchanges.size() < support) {
                    next[n.pattern[n.pattern.length - 1]] = null;
                }
            }
            children.removeIf(n -> n.exchanges.size() < support);
            if (children.isEmpty()) {
                next = null;
            }
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

    private ChainTrie(int alphabet) {
        this.alphabet = alphabet;
    }

    /** All patterns of 2 to {@code longest} symbols that at least {@code support} exchanges hold. */
    static ChainTrie frequent(int[][] exchanges, int support, int longest) {
        ChainTrie trie = new ChainTrie(
                1 + Arrays.stream(exchanges).flatMapToInt(Arrays::stream).max().orElse(0));
        // a pattern's prefix is held by at least as many exchanges, so that each length grows on the one before
        for (int length = 1; length <= longest; length++) {
            for (int e = 0; e < exchanges.length; e++) {
                for (int i = 0; i < exchanges[e].length; i++) {
                    trie.grow(trie.root, exchanges[e], i, false, e, length);
                }
            }
            prune(trie.root, support, length);
        }
        trie.collect(trie.root);
        return trie;
    }

    private void grow(Node node, int[] symbols, int at, boolean skipped, int exchange, int depth) {
        if (at >= symbols.length) {
            return;
        }
        int symbol = symbols[at];
        Node child = node.next(symbol);
        if (depth == 1) {
            if (child == null) {
                int[] pattern = Arrays.copyOf(node.pattern, node.pattern.length + 1);
                pattern[pattern.length - 1] = symbol;
                child = new Node(pattern);
                node.grow(child, symbol, alphabet);
            }
            if (child.last != exchange) {
                child.last = exchange;
                child.exchanges.add(exchange);
            }
        } else if (child != null) {
            grow(child, symbols, at + 1, skipped, exchange, depth - 1);
            if (!skipped) {
                grow(child, symbols, at + 2, true, exchange, depth - 1);
            }
        }
    }

    private static void prune(Node node, int support, int depth) {
        if (depth == 1) {
            node.prune(support);
        } else {
            node.children.forEach(n -> prune(n, support, depth - 1));
        }
    }

    private void collect(Node node) {
        node.number = numbered++;
        if (node.pattern.length >= 2) {
            nodes.add(node);
        }
        node.children.forEach(this::collect);
    }

    /** Patterns without a longer one that holds them and is held by the same exchanges. */
    List<Node> closed() {
        Map<List<Integer>, List<Node>> same = new HashMap<>();
        nodes.forEach(
                n -> same.computeIfAbsent(n.exchanges, k -> new ArrayList<>()).add(n));
        return nodes.stream()
                .filter(n -> same.get(n.exchanges).stream()
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
    static int[] places(int[] symbols, int[] pattern) {
        for (int start = 0; start < symbols.length; start++) {
            if (symbols[start] != pattern[0]) {
                continue;
            }
            for (int skipAfter = 0; skipAfter < pattern.length; skipAfter++) {
                int[] at = new int[pattern.length];
                boolean fits = true;
                for (int k = 0; k < pattern.length && fits; k++) {
                    // after the last symbol nothing is skipped: that is the chain without a gap
                    at[k] = start + k + (skipAfter > 0 && k >= skipAfter ? 1 : 0);
                    fits = at[k] < symbols.length && symbols[at[k]] == pattern[k];
                }
                if (fits) {
                    return at;
                }
            }
        }
        return null;
    }
}
