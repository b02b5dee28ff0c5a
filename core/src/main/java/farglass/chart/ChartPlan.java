package farglass.chart;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where every place stands on the chart: across is the distance between the athletes, height the standing value for the one it is
 * drawn for. The same place always stands at the same spot, whatever was seen, so that the chart is learned once.
 */
public final class ChartPlan {
    private static final double APART_X = 0.075;
    private static final double APART_Y = 0.034;
    private static final int ROUNDS = 400;

    private final Map<String, double[]> spots = new LinkedHashMap<>();

    /** The plan of the lexicon that was asked for last: every chart asks for the same. */
    private static volatile Made last;

    private record Made(Lexicon lexicon, ChartPlan plan) {}

    public static ChartPlan of(Lexicon lexicon) {
        Made known = last;
        if (known == null || known.lexicon() != lexicon) {
            known = new Made(lexicon, new ChartPlan(lexicon));
            last = known;
        }
        return known.plan();
    }

    private ChartPlan(Lexicon lexicon) {
        for (Position p : lexicon.positions()) {
            if (p.neutral()) {
                spots.put(key(p.code(), "neutral"), spot(p, 0));
            }
            if (p.holder() || p.guard()) {
                spots.put(key(p.code(), "holder"), spot(p, above(p)));
                spots.put(key(p.code(), p.guard() ? "guard" : "under"), spot(p, -above(p)));
            }
        }
        spread();
    }

    /** Guards of equal standing lie a little below the middle for the one who plays them. */
    private static double above(Position p) {
        return p.guard() ? Math.max(0.12, p.value() + 0.12) : Math.max(0.06, p.value());
    }

    static String key(String position, String role) {
        return position + " " + role;
    }

    private static double[] spot(Position p, double value) {
        return new double[] {p.across(), (1 - value) / 2};
    }

    /** Pushes spots that would cover one another apart, the same way every time. */
    private void spread() {
        List<double[]> all = new ArrayList<>(spots.values());
        for (int round = 0; round < ROUNDS; round++) {
            boolean moved = false;
            for (int i = 0; i < all.size(); i++) {
                for (int j = i + 1; j < all.size(); j++) {
                    moved |= apart(all.get(i), all.get(j));
                }
            }
            if (!moved) {
                return;
            }
        }
    }

    private static boolean apart(double[] a, double[] b) {
        double dx = b[0] - a[0];
        double dy = b[1] - a[1];
        if (Math.abs(dx) >= APART_X || Math.abs(dy) >= APART_Y) {
            return false;
        }
        double push = (APART_Y - Math.abs(dy)) / 2 + 1e-4;
        double way = dy >= 0 ? push : -push;
        a[1] = Math.max(0.01, Math.min(0.99, a[1] - way));
        b[1] = Math.max(0.01, Math.min(0.99, b[1] + way));
        double aside = dx >= 0 ? 0.002 : -0.002;
        a[0] = Math.max(0, Math.min(1, a[0] - aside));
        b[0] = Math.max(0, Math.min(1, b[0] + aside));
        return true;
    }

    /** Across and down, each 0 to 1; the middle for a place the lexicon does not know. */
    public double[] at(String position, String role) {
        double[] spot = spots.get(key(position, role));
        if (spot == null && role.equals("under")) {
            spot = spots.get(key(position, "guard"));
        }
        return spot == null ? new double[] {0.5, 0.5} : spot;
    }
}
