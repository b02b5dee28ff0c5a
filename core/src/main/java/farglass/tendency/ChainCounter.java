package farglass.tendency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Counts some patterns of a trie in made-up exchanges. It is asked millions of times: the rows of all nodes, mostly empty, are
 * laid over each other in one flat table that stays in the processor's cache (row displacement, Tarjan and Yao 1979).
 */
final class ChainCounter {
    private final int patterns;
    /** Where a node's row begins in the table. */
    private final int[] row;
    /** Whose row a place of the table belongs to, -1 for nobody's. */
    private final int[] owner;
    /** Child of a node by symbol, where the place is the node's. */
    private final int[] child;
    /** Number of the pattern that ends at a node, -1 where none is counted. */
    private final int[] number;

    /** @param counted the patterns to count, in the order of their counts */
    ChainCounter(ChainTrie trie, List<ChainTrie.Node> counted) {
        this.patterns = counted.size();
        int[] patternOf = new int[trie.size()];
        Arrays.fill(patternOf, -1);
        for (int i = 0; i < patterns; i++) {
            patternOf[counted.get(i).number()] = i;
        }
        List<ChainTrie.Node> kept = new ArrayList<>();
        leads(trie.root(), patternOf, kept);
        // of a node: its place among those that are kept, 0 for the root and for all that are not
        int[] places = new int[trie.size()];
        int free = 1;
        for (ChainTrie.Node n : kept) {
            places[n.number()] = n == trie.root() ? 0 : free++;
        }
        number = new int[free];
        row = new int[free];
        number[0] = -1;
        // full rows first, single children fit into what they leave free
        kept.sort(Comparator.comparingInt(n -> -n.children().size()));
        Table table = new Table(trie.alphabet());
        for (ChainTrie.Node node : kept) {
            int at = places[node.number()];
            number[at] = patternOf[node.number()];
            row[at] = table.lay(at, node.children(), places);
        }
        owner = table.owner;
        child = table.child;
    }

    private static boolean leads(ChainTrie.Node node, int[] patternOf, List<ChainTrie.Node> kept) {
        boolean leads = patternOf[node.number()] >= 0;
        for (ChainTrie.Node child : node.children()) {
            leads |= leads(child, patternOf, kept);
        }
        if (leads) {
            kept.add(node);
        }
        return leads;
    }

    private static final class Table {
        private final int alphabet;
        private int[] owner;
        private int[] child;
        /** No place before it is free. */
        private int full;

        Table(int alphabet) {
            this.alphabet = alphabet;
            owner = new int[2 * alphabet];
            child = new int[2 * alphabet];
            Arrays.fill(owner, -1);
        }

        /** Where a node's row begins: the first place at which none of its children meets another's. */
        int lay(int node, List<ChainTrie.Node> children, int[] places) {
            int[] symbols = new int[children.size()];
            int[] to = new int[symbols.length];
            int counted = 0;
            for (ChainTrie.Node n : children) {
                int place = places[n.number()];
                if (place != 0) {
                    symbols[counted] = n.pattern()[n.pattern().length - 1];
                    to[counted++] = place;
                }
            }
            symbols = Arrays.copyOf(symbols, counted);
            while (full < owner.length && owner[full] >= 0) {
                full++;
            }
            int begin = Math.max(0, full - alphabet);
            while (!fits(begin, symbols)) {
                begin++;
            }
            for (int i = 0; i < symbols.length; i++) {
                owner[begin + symbols[i]] = node;
                child[begin + symbols[i]] = to[i];
            }
            return begin;
        }

        private boolean fits(int begin, int[] symbols) {
            if (begin + alphabet > owner.length) {
                int had = owner.length;
                owner = Arrays.copyOf(owner, 2 * had);
                child = Arrays.copyOf(child, 2 * had);
                Arrays.fill(owner, had, owner.length, -1);
            }
            for (int s : symbols) {
                if (owner[begin + s] >= 0) {
                    return false;
                }
            }
            return true;
        }
    }

    /** The child of a node by a symbol, 0 where none leads to a counted pattern. */
    private int next(int node, int symbol) {
        int at = row[node] + symbol;
        return owner[at] == node ? child[at] : 0;
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
                int first = next(0, symbols[i]);
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
            if (at + 1 < symbols.length) {
                int after = next(node, symbols[at + 1]);
                if (after != 0) {
                    walk(after, at + 1, skipped);
                }
            }
            if (!skipped && at + 2 < symbols.length) {
                int after = next(node, symbols[at + 2]);
                if (after != 0) {
                    walk(after, at + 2, true);
                }
            }
        }
    }
}
