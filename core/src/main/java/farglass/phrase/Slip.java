package farglass.phrase;

import java.util.Collection;
import java.util.Optional;

/** Slips of the fingers: a letter too many, too few, wrong, or two in the wrong order. */
final class Slip {
    /** Shorter words are too near to each other to guess. */
    static final int SHORTEST = 5;

    private static final int LONG = 9;

    private Slip() {}

    /**
     * The one word that is meant; empty when two are equally near, none is near enough, or a longer one begins with
     * what was typed, which then is still being typed.
     */
    static Optional<String> meant(String typed, Collection<String> words) {
        int most = typed.length() >= LONG ? 2 : 1;
        String best = null;
        int least = most + 1;
        boolean tie = false;
        for (String w : words) {
            if (w.startsWith(typed)) {
                return Optional.empty();
            }
            if (Math.abs(w.length() - typed.length()) > most || w.length() < SHORTEST) {
                continue;
            }
            int d = distance(typed, w);
            if (d < least) {
                least = d;
                best = w;
                tie = false;
            } else if (d == least) {
                tie = true;
            }
        }
        return best == null || tie ? Optional.empty() : Optional.of(best);
    }

    /** Optimal string alignment distance: insertions, deletions, substitutions, swaps of neighbours. */
    static int distance(String a, String b) {
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int i = 0; i <= a.length(); i++) {
            for (int j = 0; j <= b.length(); j++) {
                if (i == 0 || j == 0) {
                    d[i][j] = i + j;
                    continue;
                }
                int same = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                d[i][j] = Math.min(Math.min(d[i - 1][j], d[i][j - 1]) + 1, d[i - 1][j - 1] + same);
                boolean swapped =
                        i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1);
                if (swapped) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d[a.length()][b.length()];
    }
}
