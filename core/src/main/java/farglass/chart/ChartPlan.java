package farglass.chart;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Role;
import farglass.match.Situation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where every place stands on the chart: across is the distance between the athletes, height the standing value for the
 * one it is drawn for. The same place always stands at the same spot, whatever was seen, so that the chart is learned
 * once.
 */
public final class ChartPlan {
    private static final double APART_X = 0.075;
    private static final double APART_Y = 0.034;
    private static final int ROUNDS = 400;

    private final Map<Situation, double[]> spots = new LinkedHashMap<>();

    /** Places every position of a lexicon. */
    public ChartPlan(Lexicon lexicon) {
        for (Position p : lexicon.positions()) {
            if (p.neutral()) {
                spots.put(new Situation(p.code(), Role.NEUTRAL), spot(p, 0));
            }
            if (p.holder() || p.guard()) {
                spots.put(new Situation(p.code(), Role.HOLDER), spot(p, above(p)));
                spots.put(new Situation(p.code(), p.guard() ? Role.GUARD : Role.UNDER), spot(p, -above(p)));
            }
        }
        spread();
    }

    /** Guards of equal standing lie a little below the middle for the one who plays them. */
    private static double above(Position p) {
        return p.guard() ? Math.max(0.12, p.value() + 0.12) : Math.max(0.06, p.value());
    }

    private static double[] spot(Position p, double value) {
        return new double[] {p.across(), (1 - value) / 2};
    }

    /**
     * Pushes spots that would cover one another apart, the same way every time; by numbers alone, as it is asked
     * millions of times.
     */
    private void spread() {
        List<double[]> all = new ArrayList<>(spots.values());
        double[] xs = all.stream().mapToDouble(p -> p[0]).toArray();
        double[] ys = all.stream().mapToDouble(p -> p[1]).toArray();
        boolean moved = true;
        for (int round = 0; round < ROUNDS && moved; round++) {
            moved = false;
            for (int i = 0; i < xs.length; i++) {
                moved |= pushOthers(i, xs, ys);
            }
        }
        for (int i = 0; i < xs.length; i++) {
            all.get(i)[0] = xs[i];
            all.get(i)[1] = ys[i];
        }
    }

    /** Pushes one spot and those after it apart. */
    private static boolean pushOthers(int i, double[] xs, double[] ys) {
        boolean moved = false;
        for (int j = i + 1; j < xs.length; j++) {
            double dx = xs[j] - xs[i];
            double dy = ys[j] - ys[i];
            if (Math.abs(dx) >= APART_X || Math.abs(dy) >= APART_Y) {
                continue;
            }
            double push = (APART_Y - Math.abs(dy)) / 2 + 1e-4;
            double way = dy >= 0 ? push : -push;
            ys[i] = Math.max(0.01, Math.min(0.99, ys[i] - way));
            ys[j] = Math.max(0.01, Math.min(0.99, ys[j] + way));
            double aside = dx >= 0 ? 0.002 : -0.002;
            xs[i] = Math.max(0, Math.min(1, xs[i] - aside));
            xs[j] = Math.max(0, Math.min(1, xs[j] + aside));
            moved = true;
        }
        return moved;
    }

    /** Across and down, each 0 to 1; the middle for a place the lexicon does not know. */
    public double[] at(String position, Role role) {
        double[] spot = spots.get(new Situation(position, role));
        if (spot == null && role == Role.UNDER) {
            spot = spots.get(new Situation(position, Role.GUARD));
        }
        return spot == null ? new double[] {0.5, 0.5} : spot;
    }
}
