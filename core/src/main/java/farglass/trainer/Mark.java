package farglass.trainer;

import farglass.agreement.Agreement;
import farglass.agreement.Matching;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a learner's record is worth against the truth.
 *
 * @param agreement the truth first
 * @param delayMs median of the learner's stamps less the true moments, over matched attempts; negative for early; NaN
 * without any
 * @param confusions places taken for each other, most seconds first
 */
public record Mark(Agreement agreement, double delayMs, List<Confusion> confusions) {
    private static final long STEP_MS = 500;
    private static final int MOST = 4;
    /** Shorter confusions are the edges of places, tagged a little early or late. */
    private static final long LEAST_MS = 1500;
    /** Stamps this far apart are still of the same attempt: a learner may be slow. */
    private static final long TOLERANCE_MS = 3000;

    /**
     * One place taken for another.
     *
     * @param truth position code
     * @param taken position code the learner tagged
     * @param t a moment at which it was so
     */
    public record Confusion(String truth, String taken, long ms, MatchTime t) {}

    /** How well a learner's record meets the truth. */
    public static Mark of(MatchRecord truth, MatchRecord learner, Lexicon lexicon) {
        Agreement a = Agreement.of(truth, learner, TOLERANCE_MS, lexicon, 1);
        List<Long> delays = new ArrayList<>();
        for (Matching.Pair p : a.attempts().pairs()) {
            Tag mine = learner.tags().get(p.second());
            delays.add(mine.t().since(truth.tags().get(p.first()).t()));
        }
        delays.sort(Comparator.naturalOrder());
        int n = delays.size();
        double median = n == 0 ? Double.NaN : (delays.get((n - 1) / 2) + delays.get(n / 2)) / 2.0;
        return new Mark(a, median, confusions(truth, learner, lexicon));
    }

    private static List<Confusion> confusions(MatchRecord truth, MatchRecord learner, Lexicon lexicon) {
        PositionLine right = PositionLine.of(truth.withFilms(List.of()), lexicon);
        PositionLine seen = PositionLine.of(learner.withFilms(List.of()), lexicon);
        Map<String, Confusion> found = new LinkedHashMap<>();
        long end = Math.min(truth.end().ms(), learner.end().ms());
        for (long t = 0; t < end; t += STEP_MS) {
            MatchTime at = MatchTime.ofMs(t);
            Optional<Span> x = right.at(at);
            Optional<Span> y = seen.at(at);
            if (x.isPresent()
                    && y.isPresent()
                    && !x.get().place().equals(y.get().place())) {
                String key = x.get().place() + " " + y.get().place();
                Confusion before = found.get(key);
                found.put(
                        key,
                        new Confusion(
                                x.get().place(),
                                y.get().place(),
                                (before == null ? 0 : before.ms()) + STEP_MS,
                                before == null ? at : before.t()));
            }
        }
        return found.values().stream()
                .filter(c -> c.ms() >= LEAST_MS)
                .sorted(Comparator.comparingLong(Confusion::ms).reversed())
                .limit(MOST)
                .toList();
    }

    /** The reaction delay that would have put the learner's stamps right, when they were made with another one. */
    public long reaction(long usedMs) {
        return Double.isNaN(delayMs) ? usedMs : Math.max(0, usedMs + Math.round(delayMs));
    }
}
