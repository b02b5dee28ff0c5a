package farglass.matchup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Where a match goes under a policy: one pass forward from the beginning. It gives the time spent everywhere, how matches end, and
 * the leverage of every rate and chance: by the envelope theorem the derivative of the win chance under the best policy is that
 * of the step probabilities alone, weighted by how often the step is reached.
 */
public final class Flow {
    /** Cells reached less often than this are not followed. */
    private static final double LEAST = 1e-7;

    private static final double MORE = 0.1;
    /** A choice that is met for less than half a second of an average match is not told. */
    private static final double NOTICED_MINUTES = 0.008;

    private final Solution solution;
    private final Programme programme;
    private final Model model;
    private final Grid grid;
    private final double[] minutes;
    /** By place and way: derivatives by rate and by chance. */
    private final double[][][] ownSlopes;

    private final double[][][] theirSlopes;
    private final double[] finished = new double[2];
    private double disqualified;
    private final Map<String, Double> endings = new TreeMap<>();
    /** By place and option: how much of the time there it is taken. */
    private final double[][] taken;

    /** By place, then region and option: time, and the cell and step where most of it is spent. */
    private final double[][] regionMinutes;

    private final double[][] most;
    private final int[][] mostStep;
    private final int[][] mostLead;
    private double clipped;
    private double[] mass;
    private double[] next;

    /**
     * What a change of one figure does to the win chance.
     *
     * @param rate10 gain when attempts become a tenth more frequent
     * @param chance10 gain when their chance to work grows by a tenth of itself
     */
    public record Leverage(Exit exit, double rate10, double chance10) {
        public double most() {
            return Math.max(Math.abs(rate10), Math.abs(chance10));
        }
    }

    private Flow(Solution solution) {
        this.solution = solution;
        this.programme = solution.programme();
        this.model = programme.model();
        this.grid = programme.grid;
        int n = model.places().size();
        this.minutes = new double[n];
        this.ownSlopes = new double[n][][];
        this.theirSlopes = new double[n][][];
        this.taken = new double[n][];
        this.regionMinutes = new double[n][];
        this.most = new double[n][];
        this.mostStep = new int[n][];
        this.mostLead = new int[n][];
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
    public static Flow of(Solution solution) {
        Flow f = new Flow(solution);
        f.run();
        return f;
    }

    private void run() {
        int cells = model.places().size() * grid.perPlace();
        mass = new double[cells];
        next = new double[cells];
        mass[grid.cell(0, 0, 0, 0)] = 1;
        for (int step = 0; step < programme.steps(); step++) {
            java.util.Arrays.fill(next, 0);
            for (int s = 0; s < minutes.length; s++) {
                for (int k = 0; k < grid.calls; k++) {
                    for (int a = -grid.advantages; a <= grid.advantages; a++) {
                        for (int p = -grid.points; p <= grid.points; p++) {
                            int cell = grid.cell(s, k, a, p);
                            if (mass[cell] > LEAST) {
                                step(step, s, k, a, p, cell);
                            }
                        }
                    }
                }
            }
            double[] swap = mass;
            mass = next;
            next = swap;
        }
        end();
    }

    private void end() {
        endings.put("us:submission", finished[0]);
        endings.put("them:submission", finished[1]);
        if (disqualified > 0) {
            endings.put("them:disqualified", disqualified);
        }
        for (int s = 0; s < minutes.length; s++) {
            for (int k = 0; k < grid.calls; k++) {
                for (int a = -grid.advantages; a <= grid.advantages; a++) {
                    for (int p = -grid.points; p <= grid.points; p++) {
                        double m = mass[grid.cell(s, k, a, p)];
                        double v = grid.atTheEnd(p, a, k);
                        if (m > 0) {
                            endings.merge(v == 0.5 ? "draw" : v > 0.5 ? "us:score" : "them:score", m, Double::sum);
                            clipped += grid.points > 0 && Math.abs(p) == grid.points ? m : 0;
                        }
                    }
                }
            }
        }
    }

    private void step(int step, int s, int k, int a, int p, int cell) {
        double m = mass[cell];
        int phase = programme.late(step) ? 1 : 0;
        Options o = programme.own[s];
        int x = solution.policy() == null ? 0 : solution.policy().get(step, cell);
        boolean hold = x > 0 && x == o.hold;
        minutes[s] += m * programme.stepMinutes();
        taken[s][x] += m;
        int region = Region.index(p, a, programme.partOf(step)) * o.size() + x;
        regionMinutes[s][region] += m * programme.stepMinutes();
        if (m > most[s][region]) {
            most[s][region] = m;
            mostStep[s][region] = step;
            mostLead[s][region] = 100 * p + a;
        }
        double others = o.others[x];
        double theirs = hold ? programme.settings().h2() : 1;
        double calls = hold ? programme.calls[s] : 0;
        double f = programme.perRate(s);
        double stay = solution.value(step + 1, cell);
        List<Model.Way> mine = model.own(s);
        double[] gains = new double[mine.size()];
        double plain = 0;
        double gone = 0;
        for (int i = 0; i < gains.length; i++) {
            double rate = others * mine.get(i).rate() + (i == o.way[x] ? o.gain[x] : 0);
            gains[i] = gain(mine.get(i), step, k, a, p, phase, stay);
            plain += mine.get(i).rate() * gains[i];
            gone += spread(mine.get(i), m * f * rate, k, a, p, phase);
        }
        List<Model.Way> their = model.theirs(s);
        double[] losses = new double[their.size()];
        for (int i = 0; i < losses.length; i++) {
            losses[i] = gain(their.get(i), step, k, a, p, phase, stay);
            gone += spread(their.get(i), m * f * theirs * their.get(i).rate(), k, a, p, phase);
        }
        for (Model.Way w : model.drift(s)) {
            gone += spread(w, m * f * w.rate(), k, a, p, phase);
        }
        if (calls > 0) {
            gone += called(s, k, a, p, m * f * calls);
        }
        next[cell] += m - gone;
        for (int i = 0; i < gains.length; i++) {
            double rate = others * mine.get(i).rate() + (i == o.way[x] ? o.gain[x] : 0);
            double perRate = hold ? others * gains[i] : ownSlope(o, x, i, mine, gains, plain);
            ownSlopes[s][i][0] += m * f * perRate;
            ownSlopes[s][i][1] += m * f * rate * chanceSlope(mine.get(i), step, k, a, p, phase, stay);
        }
        for (int i = 0; i < losses.length; i++) {
            double rate = theirs * their.get(i).rate();
            theirSlopes[s][i][0] += m * f * theirs * losses[i];
            theirSlopes[s][i][1] += m * f * rate * chanceSlope(their.get(i), step, k, a, p, phase, stay);
        }
    }

    /** How the sum of own gains changes with the natural rate of one way, pressing included. */
    private double ownSlope(Options o, int x, int i, List<Model.Way> mine, double[] gains, double plain) {
        int j = o.way[x];
        if (j < 0) {
            return gains[i];
        }
        double r = mine.get(j).rate();
        double rest = o.total - r;
        double others = plain - r * gains[j];
        double b = programme.settings().b();
        boolean capped = b * r > Options.MOST * o.total;
        double pressed = capped ? Options.MOST * o.total : b * r;
        double left = (o.total - pressed) / rest;
        double dPressed = capped ? Options.MOST : i == j ? b : 0;
        // left = (rest + r - pressed) / rest
        double dLeft = i == j ? (1 - dPressed) / rest : (1 - dPressed) / rest - left / rest;
        return dPressed * gains[j] + dLeft * others + (i == j ? 0 : left * gains[i]);
    }

    private double gain(Model.Way w, int step, int k, int a, int p, int phase, double stay) {
        double sum = 0;
        for (Model.Branch b : w.branches()) {
            sum += b.chance() * (after(b, step, k, a, p, phase) - stay);
        }
        return sum;
    }

    private double after(Model.Branch b, int step, int k, int a, int p, int phase) {
        if (b.to() < 0) {
            return b.to() == Model.WON ? 1 : 0;
        }
        return solution.value(step + 1, grid.cell(b.to(), k, a + b.advantages()[phase], p + b.points()[phase]));
    }

    private double chanceSlope(Model.Way w, int step, int k, int a, int p, int phase, double stay) {
        double chance = w.exit().chance();
        double sum = 0;
        for (Model.Branch b : w.branches()) {
            double d = b.success() ? b.chance() / chance : -b.chance() / (1 - chance);
            sum += d * (after(b, step, k, a, p, phase) - stay);
        }
        return sum;
    }

    private double spread(Model.Way w, double m, int k, int a, int p, int phase) {
        double gone = 0;
        for (Model.Branch b : w.branches()) {
            double x = m * b.chance();
            gone += x;
            if (b.to() < 0) {
                finished[b.to() == Model.WON ? 0 : 1] += x;
            } else {
                next[grid.cell(b.to(), k, a + b.advantages()[phase], p + b.points()[phase])] += x;
            }
        }
        return gone;
    }

    private double called(int s, int k, int a, int p, double m) {
        String effect = grid.nextCall(k);
        if (effect.equals("loss")) {
            disqualified += m;
            return m;
        }
        int points = effect.startsWith("points:") ? Integer.parseInt(effect.substring(7)) : 0;
        next[grid.cell(s, grid.afterCall(k), a - (effect.equals("advantage") ? 1 : 0), p - points)] += m;
        return m;
    }

    /** Expected minutes in a place, its already-paid copy included. */
    public double minutes(Place p) {
        int plain = model.indexOf(p.paid(false));
        int paid = model.indexOf(p.paid(true));
        return (plain < 0 ? 0 : minutes[plain]) + (paid < 0 ? 0 : minutes[paid]);
    }

    /** Chances of the ways a match ends: us:submission, us:score, draw, them:score, them:submission, them:disqualified. */
    public Map<String, Double> endings() {
        return endings;
    }

    /** Chance that a match ends outside the scores that are told apart. */
    public double clipped() {
        return clipped;
    }

    /** Shares of the time in a place in which each option is taken. */
    public Map<Option, Double> taken(Place p) {
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

    /** What is chosen other than the natural mix, by place, lead and part of the match, where most time is spent first. */
    public List<Choice> choices() {
        List<Choice> found = new ArrayList<>();
        for (int s = 0; s < taken.length; s++) {
            int options = taken[s].length;
            for (int r = 0; r < regionMinutes[s].length; r++) {
                if (r % options > 0 && regionMinutes[s][r] >= NOTICED_MINUTES) {
                    int points = Math.floorDiv(mostLead[s][r] + 50, 100);
                    found.add(new Choice(
                            model.places().get(s),
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
