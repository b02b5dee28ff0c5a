package farglass.matchup.solve;

import farglass.matchup.model.Ending;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.rules.PenaltyEffect;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where a match goes under a policy: one pass forward from the beginning. It gives the time spent everywhere, how
 * matches end, and the leverage of every rate and chance: by the envelope theorem the derivative of the win chance
 * under the best policy is that of the step probabilities alone, weighted by how often the step is reached.
 */
public final class ForwardPass {
    /** Cells reached less often than this are not followed. */
    private static final double LEAST = 1e-9;

    private static final double MORE = 0.1;
    /** A choice that is met for less than half a second of an average match is not told. */
    private static final double NOTICED_MINUTES = 0.008;

    private final Solution solution;
    private final BackwardInduction programme;
    private final Model model;
    private final Grid grid;
    private final double[] minutes;
    /** By place and way: derivatives by rate and by chance. */
    private final double[][][] ownSlopes;

    private final double[][][] theirSlopes;
    private final double[] finished = new double[2];
    private double disqualified;
    private final Map<Ending, Double> endings = new EnumMap<>(Ending.class);
    /** By place and option: how much of the time there it is taken. */
    private final double[][] taken;

    /** By place, then region and option: time, and the cell and step where most of it is spent. */
    private final double[][] regionMinutes;

    private final double[][] most;
    private final int[][] mostStep;
    private final int[][] mostLead;
    /** What options would bring over the natural mix; gathered only where nothing else is chosen. */
    private final FirstOrderWorth worth;

    private double clipped;
    /** Chances now and one step later; made when the pass begins. */
    @SuppressWarnings("NullAway.Init")
    private double[] mass;

    @SuppressWarnings("NullAway.Init")
    private double[] next;

    /**
     * What a change of one figure does to the win chance.
     *
     * @param rate10 gain when attempts become a tenth more frequent
     * @param chance10 gain when their chance to work grows by a tenth of itself
     */
    public record Leverage(Exit exit, double rate10, double chance10) {
        /** The greatest leverage of any figure. */
        public double most() {
            return Math.max(Math.abs(rate10), Math.abs(chance10));
        }
    }

    private ForwardPass(Solution solution) {
        this.solution = solution;
        this.programme = solution.programme();
        this.model = programme.model();
        this.grid = programme.grid;
        int n = model.states().size();
        this.minutes = new double[n];
        this.ownSlopes = new double[n][][];
        this.theirSlopes = new double[n][][];
        this.taken = new double[n][];
        this.regionMinutes = new double[n][];
        this.most = new double[n][];
        this.mostStep = new int[n][];
        this.mostLead = new int[n][];
        this.worth = new FirstOrderWorth(programme);
        for (int s = 0; s < n; s++) {
            ownSlopes[s] = new double[model.own(s).size()][2];
            theirSlopes[s] = new double[model.theirs(s).size()][2];
            taken[s] = new double[programme.own[s].size()];
            regionMinutes[s] = new double[Region.COUNT * taken[s].length];
            most[s] = new double[regionMinutes[s].length];
            mostStep[s] = new int[regionMinutes[s].length];
            mostLead[s] = new int[regionMinutes[s].length];
        }
    }

    /** @param solution with the values of all times */
    public static ForwardPass of(Solution solution) {
        ForwardPass f = new ForwardPass(solution);
        f.run();
        return f;
    }

    private void run() {
        int cells = model.states().size() * grid.perPlace();
        mass = new double[cells];
        next = new double[cells];
        mass[grid.cell(0, 0, 0, 0)] = 1;
        for (int step = 0; step < programme.steps(); step++) {
            java.util.Arrays.fill(next, 0);
            for (int s = 0; s < minutes.length; s++) {
                for (int k = 0; k < grid.calls; k++) {
                    for (int a = -grid.advantages; a <= grid.advantages; a++) {
                        row(step, s, k, a);
                    }
                }
            }
            fold();
            double[] swap = mass;
            mass = next;
            next = swap;
        }
        end();
    }

    /** What was pushed past the end of a row counts at its end. */
    private void fold() {
        for (int row = 0; row < next.length; row += grid.row) {
            int first = row + grid.pad;
            int last = first + grid.width - 1;
            for (int i = 1; i <= grid.pad; i++) {
                next[first] += next[first - i];
                next[last] += next[last + i];
                next[first - i] = 0;
                next[last + i] = 0;
            }
        }
    }

    private void end() {
        endings.put(Ending.WON_BY_SUBMISSION, finished[0]);
        endings.put(Ending.LOST_BY_SUBMISSION, finished[1]);
        if (disqualified > 0) {
            endings.put(Ending.LOST_BY_DISQUALIFICATION, disqualified);
        }
        for (int s = 0; s < minutes.length; s++) {
            for (int k = 0; k < grid.calls; k++) {
                for (int a = -grid.advantages; a <= grid.advantages; a++) {
                    for (int p = -grid.points; p <= grid.points; p++) {
                        double m = mass[grid.cell(s, k, a, p)];
                        double v = grid.atTheEnd(p, a, k);
                        if (m > 0) {
                            endings.merge(
                                    v == 0.5 ? Ending.DRAW : v > 0.5 ? Ending.WON_ON_SCORE : Ending.LOST_ON_SCORE,
                                    m,
                                    Double::sum);
                            clipped += grid.points > 0 && Math.abs(p) == grid.points ? m : 0;
                        }
                    }
                }
            }
        }
    }

    /** Cells of a row in which anything happens, and what is chosen there; all rows are worked out this way. */
    private void row(int step, int s, int k, int a) {
        int base = grid.rowAt(s, k, a) + grid.pad;
        int lo = 0;
        int hi = grid.width;
        while (lo < hi && mass[base + lo] <= LEAST) {
            lo++;
        }
        while (hi > lo && mass[base + hi - 1] <= LEAST) {
            hi--;
        }
        if (lo == hi) {
            return;
        }
        if (!programme.byScore()) {
            part(step, s, k, a, programme.moment(step, 0), lo, hi);
            return;
        }
        for (int lead = -1; lead <= 1; lead++) {
            int from = Math.max(lo, grid.leads(lead, a));
            int until = Math.min(hi, grid.leads(lead + 1, a));
            if (from < until) {
                part(step, s, k, a, programme.moment(step, lead), from, until);
            }
        }
    }

    /** Cells of a row at one moment of the match. */
    private void part(int step, int s, int k, int a, int moment, int lo, int hi) {
        int base = grid.rowAt(s, k, a) + grid.pad;
        Options o = programme.options(moment, s);
        Options theirs = programme.answers(moment, s);
        int phase = programme.late(step) ? 1 : 0;
        float[] values = solution.values(step + 1);
        double[][] gains = differences(model.own(s), values, base, lo, hi, k, a, phase, false);
        double[][] chances = differences(model.own(s), values, base, lo, hi, k, a, phase, true);
        double[][] losses = differences(model.theirs(s), values, base, lo, hi, k, a, phase, false);
        double[][] theirChances = differences(model.theirs(s), values, base, lo, hi, k, a, phase, true);
        double[] taking = new double[hi - lo];
        long done = 0;
        for (int i = lo; i < hi; i++) {
            int x = option(step, base + i);
            if ((done >> x & 1) == 1) {
                continue;
            }
            done |= 1L << x;
            double sum = 0;
            for (int j = lo; j < hi; j++) {
                taking[j - lo] = mass[base + j] > LEAST && option(step, base + j) == x ? mass[base + j] : 0;
                sum += taking[j - lo];
            }
            time(step, s, k, a, x, lo, taking, sum);
            boolean hold = x > 0 && x == o.hold;
            own(s, moment, x, hold, taking, gains, chances);
            if (solution.natural()) {
                worth.gather(new FirstOrderWorth.Row(step, s, moment, k, a, lo, taking), gains, losses, values);
            }
            double factor = hold ? programme.settings().holdOtherFactor() : 1;
            double f = programme.perRate(s);
            for (int j = 0; j < losses.length; j++) {
                double rate = factor * theirs.natural(j);
                double tempo = programme.factor(model.theirs(s).get(j), moment);
                theirSlopes[s][j][0] += f * factor * tempo * dot(taking, losses[j]);
                theirSlopes[s][j][1] += f * rate * dot(taking, theirChances[j]);
            }
            push(s, moment, k, a, x, hold, base, lo, phase, taking);
        }
    }

    private int option(int step, int cell) {
        return solution.option(step, cell);
    }

    private void time(int step, int s, int k, int a, int x, int lo, double[] taking, double sum) {
        minutes[s] += sum * programme.stepMinutes();
        taken[s][x] += sum;
        int options = programme.own[s].size();
        for (int i = 0; i < taking.length; i++) {
            double m = taking[i];
            if (m > 0) {
                int p = lo + i - grid.points;
                int region = Region.index(p, a, programme.partOf(step)) * options + x;
                regionMinutes[s][region] += m * programme.stepMinutes();
                if (k == 0 && m > most[s][region]) {
                    most[s][region] = m;
                    mostStep[s][region] = step;
                    mostLead[s][region] = 100 * p + a;
                }
            }
        }
    }

    private void own(int s, int moment, int x, boolean hold, double[] taking, double[][] gains, double[][] chances) {
        Options o = programme.options(moment, s);
        List<Model.Way> mine = model.own(s);
        double f = programme.perRate(s);
        double[] dots = new double[gains.length];
        double plain = 0;
        for (int i = 0; i < dots.length; i++) {
            dots[i] = dot(taking, gains[i]);
            plain += o.natural(i) * dots[i];
        }
        for (int i = 0; i < dots.length; i++) {
            double perRate = hold ? o.others[x] * dots[i] : ownSlope(o, x, i, dots, plain);
            ownSlopes[s][i][0] += f * programme.factor(mine.get(i), moment) * perRate;
            ownSlopes[s][i][1] += f * o.rate(x, i) * dot(taking, chances[i]);
        }
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    /** For every way and cell what it brings, or how that changes with its chance. */
    private double[][] differences(
            List<Model.Way> ways, float[] values, int base, int lo, int hi, int k, int a, int phase, boolean byChance) {
        double[][] all = new double[ways.size()][hi - lo];
        for (int w = 0; w < all.length; w++) {
            double chance = ways.get(w).exit().chance();
            for (Model.Branch b : ways.get(w).branches()) {
                double c = !byChance ? b.chance() : b.success() ? b.chance() / chance : -b.chance() / (1 - chance);
                double[] to = all[w];
                if (b.to() < 0) {
                    double end = b.to() == Model.WON ? 1 : 0;
                    for (int i = 0; i < to.length; i++) {
                        to[i] += c * (end - values[base + lo + i]);
                    }
                    continue;
                }
                int from = target(b, k, a, phase) + lo;
                for (int i = 0; i < to.length; i++) {
                    to[i] += c * (values[from + i] - values[base + lo + i]);
                }
            }
        }
        return all;
    }

    /** Where the row of a branch's target begins, shifted by what it earns. */
    private int target(Model.Branch b, int k, int a, int phase) {
        return grid.rowAt(b.to(), k, a + b.advantages()[phase]) + grid.pad + (grid.points == 0 ? 0 : b.points()[phase]);
    }

    private void push(
            int s, int moment, int k, int a, int x, boolean hold, int base, int lo, int phase, double[] taking) {
        Options o = programme.options(moment, s);
        double f = programme.perRate(s);
        double gone = 0;
        List<Model.Way> mine = model.own(s);
        for (int i = 0; i < mine.size(); i++) {
            gone += push(mine.get(i), f * o.rate(x, i), k, a, lo, phase, taking);
        }
        Options theirs = programme.answers(moment, s);
        double slowed = hold ? programme.settings().holdOtherFactor() : 1;
        for (int i = 0; i < model.theirs(s).size(); i++) {
            gone += push(model.theirs(s).get(i), f * slowed * theirs.natural(i), k, a, lo, phase, taking);
        }
        for (Model.Way w : model.drift(s)) {
            gone += push(w, f * w.rate(), k, a, lo, phase, taking);
        }
        gone += hold ? called(s, k, a, lo, f * programme.calls[s], taking) : 0;
        for (int i = 0; i < taking.length; i++) {
            next[base + lo + i] += (1 - gone) * taking[i];
        }
    }

    /** Moves mass along the branches of a way; returns the share that leaves. */
    private double push(Model.Way w, double rate, int k, int a, int lo, int phase, double[] taking) {
        double gone = 0;
        for (Model.Branch b : w.branches()) {
            double c = rate * b.chance();
            gone += c;
            if (b.to() < 0) {
                double sum = 0;
                for (double m : taking) {
                    sum += m;
                }
                finished[b.to() == Model.WON ? 0 : 1] += c * sum;
                continue;
            }
            int to = target(b, k, a, phase) + lo;
            for (int i = 0; i < taking.length; i++) {
                next[to + i] += c * taking[i];
            }
        }
        return gone;
    }

    private double called(int s, int k, int a, int lo, double rate, double[] taking) {
        PenaltyEffect effect = grid.nextCall(k);
        if (effect.loses()) {
            for (double m : taking) {
                disqualified += rate * m;
            }
            return rate;
        }
        int points = grid.points > 0 ? effect.points() : 0;
        int to = grid.rowAt(s, grid.afterCall(k), a - effect.advantages()) + grid.pad - points + lo;
        for (int i = 0; i < taking.length; i++) {
            next[to + i] += rate * taking[i];
        }
        return rate;
    }

    /** How the sum of own gains changes with the natural rate of one way, pressing included. */
    private double ownSlope(Options o, int x, int i, double[] gains, double plain) {
        int j = o.way[x];
        if (j < 0) {
            return gains[i];
        }
        double r = o.natural(j);
        double rest = o.total - r;
        double others = plain - r * gains[j];
        double b = programme.settings().pressFactor();
        boolean capped = b * r > Options.MOST * o.total;
        double pressed = capped ? Options.MOST * o.total : b * r;
        double left = (o.total - pressed) / rest;
        double dPressed = capped ? Options.MOST : i == j ? b : 0;
        // left = (rest + r - pressed) / rest
        double dLeft = i == j ? (1 - dPressed) / rest : (1 - dPressed) / rest - left / rest;
        double e = programme.settings().extraSuccess();
        double dFruitful = (i == j ? 1 - e : 0) + e * dPressed;
        return dFruitful * gains[j] + dLeft * others + (i == j ? 0 : left * gains[i]);
    }

    /** Expected minutes in a place, its already-paid copy included. */
    public double minutes(ModelState p) {
        int plain = model.indexOf(p.paid(false));
        int paid = model.indexOf(p.paid(true));
        return (plain < 0 ? 0 : minutes[plain]) + (paid < 0 ? 0 : minutes[paid]);
    }

    /**
     * Win chance that an option would bring over the natural mix in a place and a region, to first order: how often
     * each moment is met times what the option brings there (performance difference; Kakade and Langford, ICML 2002).
     * Only of a pass under the natural mix; 0 of others, and where the option does not occur.
     */
    public double worth(ModelState p, Region region, Option option) {
        return worth.of(p, region, option);
    }

    /** Share of the time in a place and a region in which an option is taken; 0 where no time is spent. */
    public double taken(ModelState p, Region region, Option option) {
        double all = 0;
        double so = 0;
        for (boolean paid : new boolean[] {false, true}) {
            int s = model.indexOf(p.paid(paid));
            int options = s < 0 ? 0 : taken[s].length;
            for (int x = 0; x < options; x++) {
                double m = regionMinutes[s][region.index() * options + x];
                all += m;
                so += programme.own[s].options.get(x).equals(option) ? m : 0;
            }
        }
        return all <= 0 ? 0 : so / all;
    }

    /** Places without their already-paid copies. */
    public List<ModelState> states() {
        return model.states().stream().filter(p -> !p.paid()).toList();
    }

    /**
     * Chances of the ways a match ends: us:submission, us:score, draw, them:score, them:submission, them:disqualified.
     */
    public Map<Ending, Double> endings() {
        return endings;
    }

    /** Chance that a match ends outside the scores that are told apart. */
    public double clipped() {
        return clipped;
    }

    /** Shares of the time in a place in which each option is taken. */
    public Map<Option, Double> taken(ModelState p) {
        Map<Option, Double> shares = new LinkedHashMap<>();
        int s = model.indexOf(p);
        double all = s < 0 ? 0 : java.util.Arrays.stream(taken[s]).sum();
        for (int x = 0; all > 0 && x < taken[s].length; x++) {
            if (taken[s][x] > 0) {
                shares.put(programme.own[s].options.get(x), taken[s][x] / all);
            }
        }
        return shares;
    }

    /**
     * What is chosen other than the natural mix, by place, lead and part of the match, where most time is spent first.
     * What is chosen only once a penalty has been called is left out: advice speaks of a match without calls.
     */
    public List<Choice> choices() {
        List<Choice> found = new ArrayList<>();
        for (int s = 0; s < taken.length; s++) {
            int options = taken[s].length;
            for (int r = 0; r < regionMinutes[s].length; r++) {
                if (r % options > 0 && regionMinutes[s][r] >= NOTICED_MINUTES && most[s][r] > 0) {
                    int points = Math.floorDiv(mostLead[s][r] + 50, 100);
                    found.add(new Choice(
                            model.states().get(s),
                            Region.of(r / options),
                            programme.own[s].options.get(r % options),
                            regionMinutes[s][r],
                            mostStep[s][r] * programme.settings().stepMs(),
                            points,
                            mostLead[s][r] - 100 * points));
                }
            }
        }
        found.sort(Comparator.comparingDouble(Choice::minutes).reversed());
        return found;
    }

    /** Derivatives of the win chance by rate (a minute) and by chance, by way out; already-paid copies included. */
    Map<Exit.Key, double[]> slopes() {
        Map<Exit.Key, double[]> slopes = new HashMap<>();
        for (int s = 0; s < minutes.length; s++) {
            sum(slopes, model.own(s), ownSlopes[s]);
            sum(slopes, model.theirs(s), theirSlopes[s]);
        }
        return slopes;
    }

    private static void sum(Map<Exit.Key, double[]> slopes, List<Model.Way> ways, double[][] of) {
        for (int i = 0; i < of.length; i++) {
            double[] d = slopes.computeIfAbsent(ways.get(i).exit().key(), q -> new double[2]);
            d[0] += of[i][0];
            d[1] += of[i][1];
        }
    }

    /** All ways out, those that matter most first. */
    public List<Leverage> leverage() {
        Map<Exit.Key, double[]> slopes = slopes();
        List<Leverage> all = new ArrayList<>();
        for (Exit e : model.exits()) {
            if (e.technique() != null) {
                double[] s = slopes.getOrDefault(e.key(), new double[2]);
                all.add(new Leverage(e, MORE * e.rate() * s[0], MORE * e.chance() * s[1]));
            }
        }
        all.sort(Comparator.comparingDouble(Leverage::most).reversed());
        return all;
    }
}
