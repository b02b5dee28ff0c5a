package farglass.matchup.fit;

import farglass.matchup.model.ModelState;
import farglass.matchup.model.Tempo;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How rates change with the third of the match (tiredness) and with who leads (ruling M29): factors by technique family
 * on what is usual where the athletes were, of the whole library, and of one athlete shrunk toward it. Third and score
 * act as a product, as in a log-linear model of main effects, fitted by iterative proportional fitting (Bishop,
 * Fienberg and Holland, Discrete Multivariate Analysis, 1975, ch. 3) with Gamma priors around 1 whose strengths are
 * chosen by marginal likelihood.
 */
final class TempoFit {
    /** Where film is likeliest if nothing changes, nothing does. */
    private static final double NONE = 5120;
    /** Strengths in tries. */
    private static final double[] GRID = {10, 20, 40, 80, 160, 320, 640, 1280, 2560, NONE};
    /** Strength where a library says nothing: nothing changes. */
    private static final double USUAL = 1280;
    /** Tries that a family must be expected at every third and at every score, or its factors stay 1. */
    private static final double ENOUGH = 20;

    /** Smaller changes are left out: they would cost time and tell nothing. */
    private static final double NOTICED = 1.02;

    private static final int ROUNDS = 12;

    /** Tries of a family, counted and expected, by moment. */
    private static final class Cells {
        final double[] tries = new double[Tempo.MOMENTS];
        final double[] expected = new double[Tempo.MOMENTS];

        void add(Cells o) {
            for (int i = 0; i < Tempo.MOMENTS; i++) {
                tries[i] += o.tries[i];
                expected[i] += o.expected[i];
            }
        }

        /** What is expected once the library's factors are known. */
        Cells times(double[] factors) {
            Cells c = new Cells();
            for (int i = 0; i < Tempo.MOMENTS; i++) {
                c.tries[i] = tries[i];
                c.expected[i] = expected[i] * factors[i];
            }
            return c;
        }

        /** Counted and expected by third, or by score. */
        double[][] margin(boolean byThird) {
            double[][] m = new double[2][Tempo.THIRDS];
            for (int i = 0; i < Tempo.MOMENTS; i++) {
                int at = byThird ? i / Tempo.THIRDS : i % Tempo.THIRDS;
                m[0][at] += tries[i];
                m[1][at] += expected[i];
            }
            return m;
        }

        /** Score does not count: everything happens while level. */
        Cells level() {
            Cells c = new Cells();
            for (int i = 0; i < Tempo.MOMENTS; i++) {
                int at = Tempo.moment(i / Tempo.THIRDS, 0);
                c.tries[at] += tries[i];
                c.expected[at] += expected[i];
            }
            return c;
        }
    }

    private final boolean score;
    private final Map<String, Map<String, Cells>> byAthlete = new TreeMap<>();
    private final Map<String, double[]> library = new TreeMap<>();
    private final double[] strengths;

    /**
     * @param score whether points count under the rules of the match-up; without, only the thirds tell
     * @param effects of those who act and face
     */
    TempoFit(Observed observed, PooledRates usual, LocalRecords.Effects effects, boolean score) {
        this.score = score;
        observed.books.forEach((pair, book) -> {
            if (effects.fitted(pair.acting()) && effects.fitted(pair.facing())) {
                for (String family : usual.families()) {
                    Cells c = cells(book, family, usual, Math.exp(effects.rate(family, pair)));
                    byAthlete
                            .computeIfAbsent(pair.acting(), k -> new HashMap<>())
                            .computeIfAbsent(family, k -> new Cells())
                            .add(score ? c : c.level());
                }
            }
        });
        Map<String, Cells> pooled = new TreeMap<>();
        byAthlete
                .values()
                .forEach(m -> m.forEach((family, c) ->
                        pooled.computeIfAbsent(family, k -> new Cells()).add(c)));
        pooled.values().removeIf(c -> !enough(c));
        double[] shared = strengths(List.copyOf(pooled.values()));
        pooled.forEach((family, c) -> library.put(family, factors(c, shared)));
        List<Cells> own = new ArrayList<>();
        byAthlete
                .values()
                .forEach(m -> m.forEach((family, c) -> {
                    if (library.containsKey(family)) {
                        own.add(c.times(library.getOrDefault(family, new double[0])));
                    }
                }));
        this.strengths = strengths(own);
    }

    private static Cells cells(Observed.Book book, String family, PooledRates usual, double effect) {
        Cells c = new Cells();
        double[] tries = book.momentTries.get(family);
        for (int i = 0; tries != null && i < Tempo.MOMENTS; i++) {
            c.tries[i] += tries[i];
        }
        for (Map.Entry<ModelState, double[]> e : book.momentMinutes.entrySet()) {
            double rate = effect * usual.rate(e.getKey(), family);
            for (int i = 0; i < Tempo.MOMENTS; i++) {
                c.expected[i] += rate * e.getValue()[i];
            }
        }
        return c;
    }

    private boolean enough(Cells c) {
        boolean thirds = Arrays.stream(c.margin(true)[1]).allMatch(e -> e >= ENOUGH);
        boolean scores = !score || Arrays.stream(c.margin(false)[1]).allMatch(e -> e >= ENOUGH);
        return thirds && scores;
    }

    /** Strengths for thirds and for scores that make these counts likeliest. */
    private static double[] strengths(List<Cells> cells) {
        double[] s = new double[2];
        for (int kind = 0; kind < 2; kind++) {
            List<PriorStrength.Counts> counts = new ArrayList<>();
            for (Cells c : cells) {
                double[][] m = c.margin(kind == 0);
                double all = Arrays.stream(m[1]).sum();
                double level = all <= 0 ? 1 : Arrays.stream(m[0]).sum() / all;
                for (int i = 0; i < Tempo.THIRDS; i++) {
                    if (m[1][i] > 0 && m[1][i] < all) {
                        counts.add(new PriorStrength.Counts(m[0][i], level * m[1][i], 0));
                    }
                }
            }
            s[kind] = PriorStrength.ofRates(counts, GRID, USUAL).likeliest();
        }
        return s;
    }

    /** Factors of all moments; on average over the film they are 1. */
    private static double[] factors(Cells c, double[] strengths) {
        double[][] f = new double[2][Tempo.THIRDS];
        Arrays.fill(f[0], 1);
        Arrays.fill(f[1], 1);
        double tries = Arrays.stream(c.tries).sum();
        double expected = Arrays.stream(c.expected).sum();
        double[] product = new double[Tempo.MOMENTS];
        Arrays.fill(product, 1);
        if (tries <= 0 || expected <= 0) {
            return product;
        }
        for (int round = 0; round < ROUNDS; round++) {
            for (int kind = 0; kind < 2; kind++) {
                if (strengths[kind] >= NONE) {
                    continue;
                }
                double[] given = new double[Tempo.MOMENTS];
                for (int i = 0; i < Tempo.MOMENTS; i++) {
                    given[i] = kind == 0 ? f[1][i % Tempo.THIRDS] : f[0][i / Tempo.THIRDS];
                }
                double[][] m = c.times(given).margin(kind == 0);
                double level = tries / Arrays.stream(m[1]).sum();
                for (int i = 0; i < Tempo.THIRDS; i++) {
                    f[kind][i] = (strengths[kind] + m[0][i]) / (strengths[kind] + level * m[1][i]);
                }
            }
        }
        for (double[] kind : f) {
            if (Arrays.stream(kind).max().orElse(1)
                    < NOTICED * Arrays.stream(kind).min().orElse(1)) {
                Arrays.fill(kind, 1);
            }
        }
        double sum = 0;
        for (int i = 0; i < Tempo.MOMENTS; i++) {
            product[i] = f[0][i / Tempo.THIRDS] * f[1][i % Tempo.THIRDS];
            sum += product[i] * c.expected[i];
        }
        double average = sum / expected;
        return Arrays.stream(product).map(x -> x / average).toArray();
    }

    /**
     * The factors of an athlete by family, for each moment as that athlete sees the score; families without are even.
     */
    Map<String, double[]> of(String athlete) {
        Map<String, double[]> found = new TreeMap<>();
        Map<String, Cells> own = byAthlete.getOrDefault(athlete, Map.of());
        library.forEach((family, shared) -> {
            Cells c = own.getOrDefault(family, new Cells());
            double[] departs = factors(c.times(shared), strengths);
            double[] f = new double[Tempo.MOMENTS];
            double sum = 0;
            double all = 0;
            for (int i = 0; i < f.length; i++) {
                f[i] = shared[i] * departs[i];
                sum += f[i] * c.expected[i];
                all += c.expected[i];
            }
            double average = all > 0 ? sum / all : 1;
            found.put(family, Arrays.stream(f).map(x -> x / average).toArray());
        });
        return found;
    }

    /** The factors of a match-up; those of the opponent turned to how ours sees the score. */
    Tempo tempo(String us, String them) {
        Map<String, double[]> theirs = new TreeMap<>();
        of(them).forEach((family, f) -> {
            double[] turned = new double[Tempo.MOMENTS];
            for (int i = 0; i < turned.length; i++) {
                turned[i] = f[Tempo.moment(i / Tempo.THIRDS, 1 - i % Tempo.THIRDS)];
            }
            theirs.put(family, turned);
        });
        return new Tempo(of(us), theirs);
    }
}
