package farglass.agreement;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * How far two records of one match agree; the first is the reference.
 *
 * @param overall of the position line, sampled every second
 * @param perPosition of each place against all others, by its label (code and holder)
 * @param attempts of the attempts
 * @param precision share of the second's attempts that the first has; NaN when the second has none
 * @param recall share of the first's attempts that the second has; NaN when the first has none
 * @param f1 harmonic mean of the two; NaN when neither has any
 */
public record Agreement(
        Kappa overall, Map<String, Kappa> perPosition, Matching attempts, double precision, double recall, double f1) {
    /** The usual tolerance between two stamps of one attempt, ms. */
    public static final long TOLERANCE_MS = 2000;

    private static final long STEP_MS = 1000;
    private static final int BLOCK = 30;

    /**
     * How far two records of one match agree; times within the tolerance count as the same. The seed is that of the
     * bootstrap.
     */
    public static Agreement of(MatchRecord first, MatchRecord second, long toleranceMs, Lexicon lexicon, long seed) {
        PositionLine a = PositionLine.of(first.withFilms(List.of()), lexicon);
        PositionLine b = PositionLine.of(second.withFilms(List.of()), lexicon);
        List<String> labelsA = new ArrayList<>();
        List<String> labelsB = new ArrayList<>();
        long end = Math.min(first.end().ms(), second.end().ms());
        for (long t = 0; t < end; t += STEP_MS) {
            Optional<Span> x = a.at(MatchTime.ofMs(t));
            Optional<Span> y = b.at(MatchTime.ofMs(t));
            if (x.isPresent() && y.isPresent()) {
                labelsA.add(label(x.get()));
                labelsB.add(label(y.get()));
            }
        }
        Map<String, Kappa> each = new LinkedHashMap<>();
        TreeSet<String> labels = new TreeSet<>(labelsA);
        labels.addAll(labelsB);
        for (String l : labels) {
            each.put(l, Kappa.of(against(labelsA, l), against(labelsB, l), BLOCK, seed));
        }
        Matching m = Matching.ofAttempts(first, second, toleranceMs, lexicon);
        int mine = m.pairs().size() + m.onlyFirst().size();
        int theirs = m.pairs().size() + m.onlySecond().size();
        double precision = theirs == 0 ? Double.NaN : (double) m.pairs().size() / theirs;
        double recall = mine == 0 ? Double.NaN : (double) m.pairs().size() / mine;
        double f1 = mine + theirs == 0 ? Double.NaN : 2.0 * m.pairs().size() / (mine + theirs);
        return new Agreement(Kappa.of(labelsA, labelsB, BLOCK, seed), each, m, precision, recall, f1);
    }

    private static String label(Span s) {
        return s.position() + (s.holder() == null ? "" : " " + s.holder().code());
    }

    private static List<String> against(List<String> labels, String one) {
        return labels.stream().map(l -> l.equals(one) ? one : "other").toList();
    }
}
