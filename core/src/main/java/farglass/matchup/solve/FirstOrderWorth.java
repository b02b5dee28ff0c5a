package farglass.matchup.solve;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.rules.PenaltyEffect;

/**
 * What options would bring over the natural mix, to first order: how often each moment is met times what the option
 * brings there (performance difference; Kakade and Langford, ICML 2002). Gathered in a pass under the natural mix.
 */
final class FirstOrderWorth {
    private final BackwardInduction programme;
    private final Model model;
    private final Grid grid;
    /** By place, then region and option; win chance. */
    private final double[][] worth;

    FirstOrderWorth(BackwardInduction programme) {
        this.programme = programme;
        this.model = programme.model();
        this.grid = programme.grid;
        this.worth = new double[model.states().size()][];
        for (int s = 0; s < worth.length; s++) {
            worth[s] = new double[Region.COUNT * programme.own[s].size()];
        }
    }

    /**
     * Cells of a row of points.
     *
     * @param lo number of the first of them in the row
     * @param mass chance of each to be met
     */
    record Row(int step, int place, int moment, int calls, int advantages, int lo, double[] mass) {}

    /**
     * Adds what each option would bring in these cells, lead by lead.
     *
     * @param gains by own way and cell, what one success or failure brings on average
     * @param losses the same of the other's ways
     * @param values win chances a step later
     */
    void gather(Row row, double[][] gains, double[][] losses, float[] values) {
        for (int lead = -1; lead <= 1; lead++) {
            int from = Math.max(0, grid.leads(lead, row.advantages()) - row.lo());
            int until = Math.min(row.mass().length, grid.leads(lead + 1, row.advantages()) - row.lo());
            if (from < until) {
                gather(row, gains, losses, values, from, until);
            }
        }
    }

    private void gather(Row row, double[][] gains, double[][] losses, float[] values, int from, int until) {
        int s = row.place();
        Options o = programme.options(row.moment(), s);
        double f = programme.perRate(s);
        int points = from + row.lo() - grid.points;
        int region = Region.index(points, row.advantages(), programme.partOf(row.step())) * o.size();
        double[] brings = new double[gains.length];
        double own = 0;
        for (int i = 0; i < brings.length; i++) {
            brings[i] = dot(row.mass(), gains[i], from, until);
            own += o.natural(i) * brings[i];
        }
        for (int x = 1; x < o.size(); x++) {
            if (o.way[x] >= 0) {
                worth[s][region + x] += f * ((o.others[x] - 1) * own + o.gain[x] * brings[o.way[x]]);
            }
        }
        if (o.hold > 0) {
            Options theirs = programme.answers(row.moment(), s);
            double their = 0;
            for (int i = 0; i < losses.length; i++) {
                their += theirs.natural(i) * dot(row.mass(), losses[i], from, until);
            }
            double call = programme.calls[s] * called(row, values, from, until);
            double held = (o.others[o.hold] - 1) * own + (programme.settings().holdOtherFactor() - 1) * their;
            worth[s][region + o.hold] += f * (held + call);
        }
    }

    /** What a stalling call in these cells changes at once; the natural mix knows of no further ones. */
    private double called(Row row, float[] values, int from, int until) {
        PenaltyEffect effect = grid.nextCall(row.calls());
        int points = grid.points > 0 ? effect.points() : 0;
        int inner = grid.pad + row.lo();
        int here = grid.rowAt(row.place(), row.calls(), row.advantages()) + inner;
        int there = grid.rowAt(row.place(), row.calls(), row.advantages() - effect.advantages()) + inner - points;
        double sum = 0;
        for (int i = from; i < until; i++) {
            sum += row.mass()[i] * ((effect.loses() ? 0 : values[there + i]) - values[here + i]);
        }
        return sum;
    }

    private static double dot(double[] a, double[] b, int from, int until) {
        double sum = 0;
        for (int i = from; i < until; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    /** Of a place, its already-paid copy included; 0 where the option does not occur. */
    double of(ModelState p, Region region, Option option) {
        double sum = 0;
        for (boolean paid : new boolean[] {false, true}) {
            int s = model.indexOf(p.paid(paid));
            int x = s < 0 ? -1 : programme.own[s].indexOf(option);
            sum += x < 0 ? 0 : worth[s][region.index() * programme.own[s].size() + x];
        }
        return sum;
    }
}
