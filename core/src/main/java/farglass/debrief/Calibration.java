package farglass.debrief;

import java.util.ArrayList;
import java.util.List;

/**
 * How far forecasts can be believed: of what was given so much chance, how much happened. The Brier score is split into
 * reliability, resolution and uncertainty (Murphy 1973), exactly when all forecasts of a bin are the same; what is left
 * over otherwise is {@link #within}.
 *
 * @param bins from low chances to high, those without a forecast left out
 * @param n forecasts
 * @param brier mean score
 * @param log mean logarithmic score
 */
public record Calibration(List<Bin> bins, int n, double brier, double log) {
    private static final int BINS = 10;

    public Calibration {
        bins = List.copyOf(bins);
    }

    /**
     * @param mean of the chances given
     * @param happened share that happened
     */
    public record Bin(int n, double mean, double happened) {}

    /** How well stated chances held, by tenths. */
    public static Calibration of(List<Scored> scored) {
        List<List<Scored>> parts = new ArrayList<>();
        for (int i = 0; i < BINS; i++) {
            parts.add(new ArrayList<>());
        }
        for (Scored s : scored) {
            parts.get(Math.min(BINS - 1, (int) (BINS * s.forecast().p()))).add(s);
        }
        List<Bin> bins = new ArrayList<>();
        for (List<Scored> part : parts) {
            if (!part.isEmpty()) {
                bins.add(new Bin(
                        part.size(),
                        part.stream()
                                .mapToDouble(s -> s.forecast().p())
                                .average()
                                .orElseThrow(),
                        part.stream().mapToDouble(Scored::outcome).average().orElseThrow()));
            }
        }
        return new Calibration(
                bins,
                scored.size(),
                scored.stream().mapToDouble(Scored::brier).average().orElse(Double.NaN),
                scored.stream().mapToDouble(Scored::log).average().orElse(Double.NaN));
    }

    /** Share of all that happened. */
    public double base() {
        return bins.stream().mapToDouble(b -> b.n() * b.happened()).sum() / n;
    }

    /** 0 best: mean squared distance of what was given from what happened. */
    public double reliability() {
        return bins.stream()
                        .mapToDouble(b -> b.n() * (b.mean() - b.happened()) * (b.mean() - b.happened()))
                        .sum()
                / n;
    }

    /** The more the better: how far what happened differs from bin to bin. */
    public double resolution() {
        double base = base();
        return bins.stream()
                        .mapToDouble(b -> b.n() * (b.happened() - base) * (b.happened() - base))
                        .sum()
                / n;
    }

    /** What nobody can change: base (1 - base). */
    public double uncertainty() {
        return base() * (1 - base());
    }

    /** What the split leaves over: forecasts that differ within a bin. */
    public double within() {
        return brier - (reliability() - resolution() + uncertainty());
    }
}
