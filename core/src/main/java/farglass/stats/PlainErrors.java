package farglass.stats;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Standard errors of exit curves when every spell counts as independent: Greenwood 1926 for the share still there,
 * Marubini and Valsecchi 1995 (section 10.3) for the incidence of a cause. Unequal weights count through Kish's size.
 */
final class PlainErrors {
    private final List<Spell> spells;
    private final List<String> causes;
    private final long[] shown;

    /** @param spells by length, events before censorings */
    PlainErrors(List<Spell> spells, List<String> causes, long[] shown) {
        this.spells = spells;
        this.causes = causes;
        this.shown = shown;
    }

    /** Standard errors of log(-log(1 - value)); row 0 the share gone, row c + 1 the incidence of cause c. */
    double[][] logLog(double[][] values) {
        double[][] errors = new double[values.length][shown.length];
        for (int c = 0; c < values.length; c++) {
            for (int k = 0; k < shown.length; k++) {
                double still = 1 - values[c][k];
                double variance = c == 0 ? still * still * greenwood(shown[k]) : incidence(c - 1, k, values[c][k]);
                errors[c][k] = still <= 0 || still >= 1 ? 0 : Math.sqrt(variance) / (still * -Math.log(still));
            }
        }
        return errors;
    }

    private double kish() {
        double w = spells.stream().mapToDouble(Spell::weight).sum();
        return w / spells.stream().mapToDouble(s -> s.weight() * s.weight()).sum();
    }

    private double risk(long ms) {
        return kish()
                * spells.stream()
                        .filter(s -> s.ms() >= ms)
                        .mapToDouble(Spell::weight)
                        .sum();
    }

    private double events(long ms, @Nullable String cause) {
        return kish()
                * spells.stream()
                        .filter(s -> s.ms() == ms
                                && s.cause() != null
                                && (cause == null || s.cause().equals(cause)))
                        .mapToDouble(Spell::weight)
                        .sum();
    }

    private long[] times(long until) {
        return spells.stream()
                .filter(s -> s.cause() != null && s.ms() <= until)
                .mapToLong(Spell::ms)
                .distinct()
                .toArray();
    }

    private double greenwood(long until) {
        double sum = 0;
        for (long t : times(until)) {
            double n = risk(t);
            double d = events(t, null);
            sum += n > d ? d / (n * (n - d)) : 0;
        }
        return sum;
    }

    private double incidence(int cause, int k, double end) {
        double variance = 0;
        double held = 1;
        double so = 0;
        for (long t : times(shown[k])) {
            double n = risk(t);
            double d = events(t, null);
            double own = events(t, causes.get(cause));
            so += held * own / n;
            double rest = end - so;
            variance += n > d ? rest * rest * d / (n * (n - d)) : 0;
            variance += held * held * (n - own) / n * own / (n * n);
            variance -= 2 * rest * held * own / (n * n);
            held *= 1 - d / n;
        }
        return Math.max(0, variance);
    }
}
