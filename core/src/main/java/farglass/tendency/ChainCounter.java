package farglass.tendency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** Counts some patterns of a trie in made-up exchanges; flat tables, because it is asked millions of times. */
final class ChainCounter {
    private final int alphabet;
    private final int patterns;
    /** Child of a node by symbol, 0 where none leads to a counted pattern. */
    private final int[] next;
    /** Number of the pattern that ends at a node, -1 where none is counted. */
    private final int[] number;

    /** @param counted the patterns to count, in the order of their counts */
    ChainCounter(ChainTrie trie, List<ChainTrie.Node> counted) {
        this.alphabet = trie.alphabet();
        this.patterns = counted.size();
        Map<ChainTrie.Node, Integer> numbers = new IdentityHashMap<>();
        for (int i = 0; i < patterns; i++) {
            numbers.put(counted.get(i), i);
        }
        List<ChainTrie.Node> kept = new ArrayList<>();
        leads(trie.root(), numbers, kept);
        Map<ChainTrie.Node, Integer> places = new IdentityHashMap<>();
        places.put(trie.root(), 0);
        kept.forEach(n -> places.putIfAbsent(n, places.size()));
        next = new int[places.size() * alphabet];
        number = new int[places.size()];
        Arrays.fill(number, -1);
        places.forEach((node, at) -> {
            number[at] = numbers.getOrDefault(node, -1);
            for (ChainTrie.Node child : node.children()) {
                int[] pattern = child.pattern();
                next[at * alphabet + pattern[pattern.length - 1]] = places.getOrDefault(child, 0);
            }
        });
    }

    private static boolean leads(ChainTrie.Node node, Map<ChainTrie.Node, Integer> numbers, List<ChainTrie.Node> kept) {
        boolean leads = numbers.containsKey(node);
        for (ChainTrie.Node child : node.children()) {
            leads |= leads(child, numbers, kept);
        }
        if (leads) {
            kept.add(node);
        }
        return leads;
    }

    /** One exchange in as many libraries as wanted. */
    final class Run {
        private final int[] symbols;
        private final double[] counts = new double[patterns];
        private final int[] stamp = new int[patterns];
        private int mark;

        /** @param symbols of the exchange, written anew for every library */
        Run(int[] symbols) {
            this.symbols = symbols;
        }

        double[] counts() {
            return counts;
        }

        /** Adds one to every pattern that the exchange holds now. */
        void count() {
            mark++;
            for (int i = 0; i < symbols.length; i++) {
                int first = next[symbols[i]];
                if (first != 0) {
                    walk(first, i, false);
                }
            }
        }

        private void walk(int node, int at, boolean skipped) {
            int n = number[node];
            if (n >= 0 && stamp[n] != mark) {
                stamp[n] = mark;
                counts[n]++;
            }
            int row = node * alphabet;
            if (at + 1 < symbols.length) {
                int child = next[row + symbols[at + 1]];
                if (child != 0) {
                    walk(child, at + 1, skipped);
                }
            }
            if (!skipped && at + 2 < symbols.length) {
                int child = next[row + symbols[at + 2]];
                if (child != 0) {
                    walk(child, at + 2, true);
                }
            }
        }
    }
}
