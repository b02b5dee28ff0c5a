package farglass.matchup.solve;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.Model;
import farglass.rules.PenaltyEffect;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One run of the programme from the end to the beginning. */
final class BackwardPass {
    /** A gain must be more than rounding. */
    private static final double NOTICED = 1e-12;

    private final BackwardInduction programme;
    private final Model model;
    private final SolverSettings settings;
    private final Grid grid;
    private final @Nullable Policy given;
    private final BackwardInduction.Answer answer;
    private final boolean choose;
    private final boolean keep;
    private final int @Nullable [] fixed;
    private final double price;
    /** Without options nobody is called for stalling. */
    private final int callsSeen;

    private final int width;
    private final @Nullable Policy policy;
    private final float[][] values;
    /** By phase, moment and place. */
    private final Sums[][][] sums;

    private double[] next;
    private double[] now;

    private final double[] stay;
    private final double[] own;
    private final double[] best;
    private final double[] their;
    private final double[] worst;
    private final double[] drift;
    private final double[] call;
    private final double[] one;
    private final double[] free;
    private final double[] held;
    private final byte[] press;

    /** What leaves a place, and what can be done about it. */
    private record Sums(
            Terms own,
            Terms their,
            Terms drift,
            Terms[] ownPressed,
            Terms[] theirPressed,
            Options options,
            Options answers) {}

    /** Part of a row of points in which the same one leads: the part of a match that rates and options are of. */
    private int from;

    private int until;

    /**
     * @param given the policy to value; null to choose one, or, without wishes, for the natural mix
     * @param wishes null unless a policy is to be chosen
     * @param keep whether the values of all steps are wanted
     */
    BackwardPass(
            BackwardInduction programme,
            @Nullable Policy given,
            BackwardInduction.Answer answer,
            @Nullable Constraints wishes,
            boolean keep) {
        this.programme = programme;
        this.model = programme.model();
        this.settings = programme.settings();
        this.grid = programme.grid;
        this.given = given;
        this.answer = answer;
        this.choose = wishes != null;
        this.keep = keep;
        this.price = choose ? settings.price() : 0;
        this.fixed = choose ? requireNonNull(wishes).options(programme) : null;
        this.callsSeen = given == null && wishes == null ? 1 : grid.calls;
        this.policy = choose ? new Policy(programme) : given;
        this.values = new float[programme.steps() + 1][];
        this.width = grid.width;
        int cells = model.states().size() * grid.perPlace();
        next = new double[cells];
        now = new double[cells];
        stay = new double[width];
        own = new double[width];
        best = new double[width];
        their = new double[width];
        worst = new double[width];
        drift = new double[width];
        call = new double[width];
        one = new double[width];
        free = new double[width];
        held = new double[width];
        press = new byte[width];
        sums = new Sums[2][programme.moments()][model.states().size()];
        for (int phase = 0; phase < 2; phase++) {
            for (int s = 0; s < model.states().size(); s++) {
                Terms[] ours = pressed(model.own(s), programme.own[s], phase);
                Terms[] theirs = pressed(model.theirs(s), programme.their[s], phase);
                Terms still = rates(model.drift(s), 0, phase);
                for (int moment = 0; moment < programme.moments(); moment++) {
                    sums[phase][moment][s] = new Sums(
                            rates(model.own(s), moment, phase),
                            rates(model.theirs(s), moment, phase),
                            still,
                            ours,
                            theirs,
                            programme.options(moment, s),
                            programme.answers(moment, s));
                }
            }
        }
    }

    private Terms rates(List<Model.Way> ways, int moment, int phase) {
        double[] rates = ways.stream()
                .mapToDouble(w -> w.rate() * programme.factor(w, moment))
                .toArray();
        return Terms.ofRates(grid, ways, rates, phase);
    }

    private Terms[] pressed(List<Model.Way> ways, Options options, int phase) {
        Terms[] terms = new Terms[options.size()];
        for (int x = 0; x < terms.length; x++) {
            terms[x] = options.way[x] < 0 ? null : Terms.ofOne(grid, ways.get(options.way[x]), phase);
        }
        return terms;
    }

    Solution run() {
        end();
        if (keep) {
            values[programme.steps()] = floats();
        }
        for (int step = programme.steps() - 1; step >= 0; step--) {
            for (int s = 0; s < model.states().size(); s++) {
                for (int k = 0; k < callsSeen; k++) {
                    for (int a = -grid.advantages; a <= grid.advantages; a++) {
                        row(s, step, k, a);
                    }
                }
            }
            double[] swap = next;
            next = now;
            now = swap;
            if (keep || step == 0) {
                values[step] = floats();
            }
        }
        return new Solution(programme, policy, values);
    }

    /** Kept as floats: half the memory, seven digits. */
    private float[] floats() {
        float[] f = new float[next.length];
        for (int i = 0; i < f.length; i++) {
            f[i] = (float) next[i];
        }
        return f;
    }

    private void end() {
        for (int s = 0; s < model.states().size(); s++) {
            for (int k = 0; k < grid.calls; k++) {
                for (int a = -grid.advantages; a <= grid.advantages; a++) {
                    int row = grid.rowAt(s, k, a);
                    for (int p = -grid.points; p <= grid.points; p++) {
                        next[row + grid.pad + grid.points + p] = grid.atTheEnd(p, a, k);
                    }
                    grid.pad(next, row);
                }
            }
        }
    }

    private void row(int s, int step, int k, int a) {
        int base = grid.rowAt(s, k, a) + grid.pad;
        System.arraycopy(next, base, stay, 0, width);
        Sums[][] here = sums[programme.late(step) ? 1 : 0];
        here[0][s].drift().into(drift, next, stay, k, a, 0, width);
        called(s, k, a);
        if (!programme.byScore()) {
            part(s, here[programme.moment(step, 0)][s], step, k, a, base, 0, width);
        } else {
            for (int lead = -1; lead <= 1; lead++) {
                int begin = grid.leads(lead, a);
                int end = grid.leads(lead + 1, a);
                if (begin < end) {
                    part(s, here[programme.moment(step, lead)][s], step, k, a, base, begin, end);
                }
            }
        }
        grid.pad(now, base - grid.pad);
    }

    private void part(int s, Sums sum, int step, int k, int a, int base, int begin, int end) {
        from = begin;
        until = end;
        sum.own().into(own, next, stay, k, a, from, until);
        sum.their().into(their, next, stay, k, a, from, until);
        int answers = Math.max(from, Math.min(until, answersFrom(a)));
        answered(sum, k, a, answers);
        if (choose) {
            choose(s, sum, step, k, a, base, answers);
        } else if (given == null) {
            mix(s, own, answers, false, free);
            System.arraycopy(free, from, now, base + from, until - from);
        } else {
            follow(s, sum, step, k, a, base, answers);
        }
    }

    /** First cell of a row in which the other may answer; the row's width when he may not at all. */
    private int answersFrom(int a) {
        return switch (answer) {
            case NEVER -> width;
            case ALWAYS -> 0;
            case BEHIND -> grid.points + (a > 0 ? 0 : 1);
        };
    }

    /** What a stalling call against us brings. */
    private void called(int s, int k, int a) {
        if (programme.own[s].hold < 0 || (callsSeen == 1 && !choose && given == null)) {
            return;
        }
        PenaltyEffect effect = grid.nextCall(k);
        boolean loss = effect.loses();
        int points = grid.points > 0 ? effect.points() : 0;
        int advantage = effect.advantages();
        int from = grid.rowAt(s, grid.afterCall(k), a - advantage) + grid.pad - points;
        double rate = programme.calls[s];
        for (int i = 0; i < width; i++) {
            call[i] = rate * ((loss ? 0 : next[from + i]) - stay[i]);
        }
    }

    /** The worst that pressing of theirs can do. */
    private void answered(Sums sum, int k, int a, int answers) {
        System.arraycopy(their, from, worst, from, until - from);
        if (answers >= until) {
            return;
        }
        Options o = sum.answers();
        for (int x = 1; x < o.size(); x++) {
            if (o.way[x] < 0) {
                continue;
            }
            sum.theirPressed()[x].into(one, next, stay, k, a, answers, until);
            for (int i = answers; i < until; i++) {
                worst[i] = Math.min(worst[i], o.others[x] * their[i] + o.gain[x] * one[i]);
            }
        }
    }

    /** The value of a row when our sum is this, holding or not, and the other answers as he may. */
    private void mix(int s, double[] ours, int answers, boolean holding, double[] to) {
        double mine = holding ? settings.holdOwnFactor() : 1;
        double theirs = holding ? settings.holdOtherFactor() : 1;
        double calls = holding ? 1 : 0;
        double f = programme.perRate(s);
        for (int i = from; i < until; i++) {
            to[i] = stay[i] + f * (mine * ours[i] + theirs * worst[i] + drift[i] + calls * call[i]);
        }
        if (answers < until && programme.their[s].hold >= 0) {
            double m = mine * settings.holdOtherFactor();
            double h = theirs * settings.holdOwnFactor();
            for (int i = answers; i < until; i++) {
                double v = stay[i] + f * (m * ours[i] + h * their[i] + drift[i] + calls * call[i]);
                to[i] = Math.min(to[i], v);
            }
        }
    }

    private void choose(int s, Sums sum, int step, int k, int a, int base, int answers) {
        Options o = sum.options();
        System.arraycopy(own, from, best, from, until - from);
        Arrays.fill(press, from, until, (byte) 0);
        // what a nat a minute costs, in the units of the sums that perRate() turns into a step
        double nat = price * programme.stepMinutes() / programme.perRate(s);
        for (int x = 1; x < o.size(); x++) {
            if (o.way[x] < 0 || (requireNonNull(fixed)[s] >= 0 && fixed[s] != x)) {
                continue;
            }
            sum.ownPressed()[x].into(one, next, stay, k, a, from, until);
            double cost = nat * o.cost[x];
            boolean forced = fixed[s] == x;
            for (int i = from; i < until; i++) {
                double v = o.others[x] * own[i] + o.gain[x] * one[i] - cost;
                if (forced || v > best[i] + NOTICED) {
                    best[i] = v;
                    press[i] = (byte) x;
                }
            }
        }
        mix(s, best, answers, false, free);
        boolean mayHold = o.hold >= 0 && (requireNonNull(fixed)[s] < 0 || fixed[s] == o.hold);
        if (mayHold) {
            mix(s, own, answers, true, held);
        }
        double cost = mayHold ? price * programme.stepMinutes() * o.cost[o.hold] : 0;
        boolean forced = mayHold && requireNonNull(fixed)[s] == o.hold;
        for (int i = from; i < until; i++) {
            boolean hold = forced || (mayHold && held[i] - cost > free[i] + NOTICED);
            now[base + i] = hold ? held[i] - cost : free[i];
            requireNonNull(policy).set(step, base + i, hold ? (byte) o.hold : press[i]);
        }
    }

    /** Every cell as the given policy says; each option that occurs in the row is worked out once for all of it. */
    private void follow(int s, Sums sum, int step, int k, int a, int base, int answers) {
        Options o = sum.options();
        long done = 0;
        for (int i = from; i < until; i++) {
            int x = requireNonNull(given).get(step, base + i);
            if ((done >> x & 1) == 1) {
                continue;
            }
            done |= 1L << x;
            if (x == 0) {
                mix(s, own, answers, false, free);
            } else if (x == o.hold) {
                mix(s, own, answers, true, free);
            } else {
                sum.ownPressed()[x].into(one, next, stay, k, a, from, until);
                for (int j = from; j < until; j++) {
                    best[j] = o.others[x] * own[j] + o.gain[x] * one[j];
                }
                mix(s, best, answers, false, free);
            }
            for (int j = i; j < until; j++) {
                if (given.get(step, base + j) == x) {
                    now[base + j] = free[j];
                }
            }
        }
    }
}
