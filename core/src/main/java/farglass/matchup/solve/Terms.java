package farglass.matchup.solve;

import farglass.matchup.model.Model;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Some ways out made ready for the programme: a weighted sum of cells, like cells put together. The inner loop takes
 * four at a time, because loads and stores of the sum would otherwise cost more than the sum.
 */
final class Terms {
    private final int[] at;
    private final int[] advantage;
    private final double[] weight;
    private final double won;
    private final double all;
    private final Grid grid;

    private record Cell(int to, int points, int advantages) {}

    private Terms(Grid grid, Map<Cell, Double> cells, double won, double all) {
        this.grid = grid;
        this.won = won;
        this.all = all;
        List<Cell> order = new ArrayList<>(cells.keySet());
        int n = (order.size() + 3) / 4 * 4;
        at = new int[n];
        advantage = new int[n];
        weight = new double[n];
        for (int i = 0; i < n; i++) {
            // filled up with a cell that exists and weighs nothing
            Cell c = order.isEmpty() ? new Cell(0, 0, 0) : order.get(Math.min(i, order.size() - 1));
            at[i] = c.to() * grid.perPlace() + grid.pad + (grid.points == 0 ? 0 : c.points());
            advantage[i] = c.advantages();
            weight[i] = i < order.size() ? cells.get(c) : 0;
        }
    }

    /**
     * @param ways summed, each by its rate
     * @param rates of them, a minute
     * @param phase 0 before points count, 1 after
     */
    static Terms ofRates(Grid grid, List<Model.Way> ways, double[] rates, int phase) {
        return of(grid, ways, rates, phase);
    }

    /** One attempt. */
    static Terms ofOne(Grid grid, Model.Way way, int phase) {
        return of(grid, List.of(way), new double[] {1}, phase);
    }

    private static Terms of(Grid grid, List<Model.Way> ways, double[] weights, int phase) {
        Map<Cell, Double> cells = new LinkedHashMap<>();
        double won = 0;
        double all = 0;
        for (int i = 0; i < weights.length; i++) {
            for (Model.Branch b : ways.get(i).branches()) {
                double w = weights[i] * b.chance();
                all += w;
                if (b.to() == Model.WON) {
                    won += w;
                } else if (b.to() >= 0) {
                    cells.merge(new Cell(b.to(), b.points()[phase], b.advantages()[phase]), w, Double::sum);
                }
            }
        }
        return new Terms(grid, cells, won, all);
    }

    /** Sum of weighted differences from staying, into {@code to}, for a part of a row of points. */
    void into(double[] to, double[] values, double[] stay, int call, int adv, int from, int until) {
        double sum = won;
        double rest = all;
        for (int i = from; i < until; i++) {
            to[i] = sum - rest * stay[i];
        }
        int rows = call * (2 * grid.advantages + 1) + grid.advantages;
        for (int t = 0; t < at.length; t += 4) {
            four(
                    to,
                    values,
                    from,
                    until,
                    offset(t, rows, adv),
                    offset(t + 1, rows, adv),
                    offset(t + 2, rows, adv),
                    offset(t + 3, rows, adv),
                    weight[t],
                    weight[t + 1],
                    weight[t + 2],
                    weight[t + 3]);
        }
    }

    private int offset(int t, int rows, int adv) {
        return at[t] + (rows + Grid.clip(adv + advantage[t], grid.advantages)) * grid.row;
    }

    private static void four(
            double[] to,
            double[] v,
            int from,
            int until,
            int a,
            int b,
            int c,
            int d,
            double wa,
            double wb,
            double wc,
            double wd) {
        for (int i = from; i < until; i++) {
            to[i] += wa * v[a + i] + wb * v[b + i] + wc * v[c + i] + wd * v[d + i];
        }
    }
}
