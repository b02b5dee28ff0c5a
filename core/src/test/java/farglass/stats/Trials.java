package farglass.stats;

import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;

/** Occurrences for tests. */
final class Trials {
    private Trials() {}

    /** {@code x} of {@code n} worked, all in one match, with weight 1. */
    static List<Trial> inOneMatch(String match, int x, int n) {
        return weighted(match, x, n, 1);
    }

    static List<Trial> weighted(String match, int x, int n, double weight) {
        List<Trial> list = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            list.add(new Trial(new TagRef(match, "t" + i), i, MatchTime.ZERO, i < x, weight, false));
        }
        return list;
    }

    /** One per match. */
    static List<Trial> apart(int x, int n) {
        List<Trial> list = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            list.addAll(inOneMatch("m" + i, i < x ? 1 : 0, 1));
        }
        return list;
    }
}
