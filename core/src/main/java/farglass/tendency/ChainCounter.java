package farglass.tendency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Counts some patterns of a trie in made-up exchanges. It is asked millions of times: the rows of all nodes, mostly
 * empty, are laid over each other in one flat table that stays in the processor's cache (row displacement, Tarjan and
 * Yao 1979).
 */
final class ChainCounter {
    private static final int OWNER = 0;
    private static final int CHILD = 1;
    private static final int CHILD_ROW = 2;
    private static final int PATTERN = 3;
    private static final int WIDE = 4;

    private final int patterns;
    /**
     * Four numbers a place: the node whose row it belongs to (-1 for nobody's), the child, where the child's row
     * begins, and the number of the pattern that ends at the child (-1 where none is counted). What is asked for
     * together lies together.
     */
    private final int[] table;
    /** Where the root's row begins. */
    private final int rootRow;

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
        int[] number = new int[free];
        int[] row = new int[free];
        // full rows first, single children fit into what they leave free
        kept.sort(Comparator.comparingInt(n -> -n.children().size()));
        Rows rows = new Rows(trie.alphabet());
        for (ChainTrie.Node node : kept) {
            int at = places[node.number()];
            number[at] = patternOf[node.number()];
            row[at] = rows.lay(at, node.children(), places);
        }
        rootRow = row[0];
        table = new int[WIDE * rows.owner.length];
        for (int i = 0; i < rows.owner.length; i++) {
            int child = rows.child[i];
            table[WIDE * i + OWNER] = rows.owner[i];
            table[WIDE * i + CHILD] = child;
            table[WIDE * i + CHILD_ROW] = row[child];
            table[WIDE * i + PATTERN] = number[child];
        }
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

    private static final class Rows {
        private final int alphabet;
        private int[] owner;
        private int[] child;
        /** No place before it is free. */
        private int full;

        Rows(int alphabet) {
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
            int least = alphabet;
            for (ChainTrie.Node n : children) {
                int place = places[n.number()];
                if (place != 0) {
                    symbols[counted] = n.pattern()[n.pattern().length - 1];
                    least = Math.min(least, symbols[counted]);
                    to[counted++] = place;
                }
            }
            while (full < owner.length && owner[full] >= 0) {
                full++;
            }
            int begin = Math.max(0, full - least);
            while (!fits(begin, symbols, counted)) {
                begin++;
            }
            for (int i = 0; i < counted; i++) {
                owner[begin + symbols[i]] = node;
                child[begin + symbols[i]] = to[i];
            }
            return begin;
        }

        private boolean fits(int begin, int[] symbols, int counted) {
            if (begin + alphabet > owner.length) {
                int had = owner.length;
                owner = Arrays.copyOf(owner, 2 * had);
                child = Arrays.copyOf(child, 2 * had);
                Arrays.fill(owner, had, owner.length, -1);
            }
            for (int i = 0; i < counted; i++) {
                if (owner[begin + symbols[i]] >= 0) {
                    return false;
                }
            }
            return true;
        }
    }

    /** Exchanges one after the other. */
    final class Run {
        private int[] symbols = new int[0];
        private final double[] counts = new double[patterns];
        /** By pattern: the last exchange that held it. */
        private final int[] stamp = new int[patterns];

        private int mark;

        /** By pattern, how many of the exchanges held it. */
        double[] counts() {
            return counts;
        }

        /** Adds one to every pattern that an exchange holds. */
        void count(int[] exchange) {
            symbols = exchange;
            mark++;
            for (int i = 0; i < symbols.length; i++) {
                step(0, rootRow, i, false);
            }
        }

        /** From a node over the symbol at a place; does nothing where no counted pattern goes on so. */
        private void step(int node, int row, int at, boolean skipped) {
            int place = WIDE * (row + symbols[at]);
            if (table[place + OWNER] != node) {
                return;
            }
            int n = table[place + PATTERN];
            if (n >= 0 && stamp[n] != mark) {
                stamp[n] = mark;
                counts[n]++;
            }
            int child = table[place + CHILD];
            int childRow = table[place + CHILD_ROW];
            if (at + 1 < symbols.length) {
                step(child, childRow, at + 1, skipped);
                if (!skipped && at + 2 < symbols.length) {
                    step(child, childRow, at + 2, true);
                }
            }
        }
    }
}
