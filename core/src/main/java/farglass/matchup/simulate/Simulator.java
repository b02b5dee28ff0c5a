package farglass.matchup.simulate;

import farglass.matchup.model.Ending;
import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Grid;
import farglass.matchup.solve.Options;
import farglass.matchup.solve.Policy;
import farglass.rules.PenaltyEffect;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * Plays the model as a race of exponential clocks: event by event, without the programme's steps, so that each checks
 * the other. Attempts that change nothing are not drawn at all (thinning). Points are given at once, as the programme
 * gives them.
 */
public final class Simulator {
    private static final int CHUNK = 10_000;

    private final BackwardInduction programme;
    private final Model model;
    private final Grid grid;
    private final @Nullable Policy policy;
    /** By phase, moment, place and option. */
    private final Race[][][][] races;

    /** All that can happen in a place under an option. */
    private static final class Race {
        /** Marks a stalling call. */
        private static final int CALL = -3;

        /** Running sums of rates, the last of them the total. */
        private final double[] until;

        private final int[] to;
        private final int[] points;
        private final int[] advantages;

        Race(int ways) {
            until = new double[ways];
            to = new int[ways];
            points = new int[ways];
            advantages = new int[ways];
        }
    }

    /** @param policy null for the natural mix */
    public Simulator(BackwardInduction programme, @Nullable Policy policy) {
        this.programme = programme;
        this.model = programme.model();
        this.grid = programme.grid();
        this.policy = policy;
        this.races = new Race[2][programme.moments()][model.states().size()][];
        for (int phase = 0; phase < 2; phase++) {
            for (int moment = 0; moment < programme.moments(); moment++) {
                for (int s = 0; s < model.states().size(); s++) {
                    Race[] here = new Race[programme.options(s).size()];
                    for (int x = 0; x < here.length; x++) {
                        here[x] = race(s, x, phase, moment);
                    }
                    races[phase][moment][s] = here;
                }
            }
        }
    }

    private Race race(int s, int x, int phase, int moment) {
        Options o = programme.options(moment, s);
        boolean hold = x > 0 && x == o.hold();
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i < model.own(s).size(); i++) {
            rows(rows, model.own(s).get(i), o.rate(x, i), phase);
        }
        for (Model.Way w : model.theirs(s)) {
            rows(
                    rows,
                    w,
                    (hold ? programme.settings().holdOtherFactor() : 1) * w.rate() * programme.factor(w, moment),
                    phase);
        }
        for (Model.Way w : model.drift(s)) {
            rows(rows, w, w.rate(), phase);
        }
        if (hold) {
            rows.add(new double[] {programme.calls(s), Race.CALL, 0, 0});
        }
        // the most frequent first, because a search begins there
        rows.sort((a, b) -> Double.compare(b[0], a[0]));
        Race r = new Race(rows.size());
        double sum = 0;
        for (int i = 0; i < rows.size(); i++) {
            sum += rows.get(i)[0];
            r.until[i] = sum;
            r.to[i] = (int) rows.get(i)[1];
            r.points[i] = (int) rows.get(i)[2];
            r.advantages[i] = (int) rows.get(i)[3];
        }
        return r;
    }

    private static void rows(List<double[]> rows, Model.Way w, double rate, int phase) {
        for (Model.Branch b : w.branches()) {
            rows.add(new double[] {rate * b.chance(), b.to(), b.points()[phase], b.advantages()[phase]});
        }
    }

    /**
     * @param n matches, positive
     * @param seed every chunk of matches has a stream of its own, so that the number of cores changes nothing
     * @param stop asked now and then; what was played until then is returned
     */
    public Outcomes run(long n, long seed, BooleanSupplier stop) {
        int chunks = (int) ((n + CHUNK - 1) / CHUNK);
        List<Outcomes> parts = IntStream.range(0, chunks)
                .parallel()
                .mapToObj(c ->
                        stop.getAsBoolean() ? null : new Worker(seed + c).play(Math.min(CHUNK, n - (long) c * CHUNK)))
                .filter(java.util.Objects::nonNull)
                .toList();
        return Outcomes.sum(parts);
    }

    private final class Worker {
        private final UniformRandomProvider rng;
        private final ZigguratSampler.Exponential exponential;
        private final Map<Ending, Long> endings = new EnumMap<>(Ending.class);
        private final Map<FinalScore, Long> scores = new TreeMap<>();
        private final long[] visits = new long[model.states().size()];
        private final long[] visitedIn = new long[model.states().size()];
        private final double[] minutes = new double[model.states().size()];
        private int ours;
        private int theirs;

        Worker(long seed) {
            rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
            exponential = ZigguratSampler.Exponential.of(rng);
            Arrays.fill(visitedIn, -1);
        }

        Outcomes play(long n) {
            for (long i = 0; i < n; i++) {
                endings.merge(match(i), 1L, Long::sum);
                scores.merge(new FinalScore(ours, theirs), 1L, Long::sum);
            }
            Map<String, Double> seen = new TreeMap<>();
            Map<String, Double> time = new TreeMap<>();
            for (int s = 0; s < visits.length; s++) {
                String key = model.states().get(s).key();
                seen.put(key, visits[s] / (double) n);
                time.put(key, minutes[s] / n);
            }
            return new Outcomes(n, endings, scores, seen, time);
        }

        private Ending match(long number) {
            int s = 0;
            int k = 0;
            int advantages = 0;
            double t = 0;
            double dt = programme.stepMinutes();
            int steps = programme.steps();
            double end = steps * dt;
            int step = 0;
            ours = 0;
            theirs = 0;
            visit(0, number);
            while (true) {
                double left = exponential.sample();
                double begin = t;
                Race race = race(step, s, k, advantages);
                // the clock runs through the steps, in each at the pace of what is chosen there
                while (true) {
                    double total = race.until.length == 0 ? 0 : race.until[race.until.length - 1];
                    double boundary = (step + 1) * dt;
                    if (left < total * (boundary - t)) {
                        t += left / total;
                        break;
                    }
                    left -= total * (boundary - t);
                    t = boundary;
                    step++;
                    if (step >= steps) {
                        minutes[s] += end - begin;
                        return atTheEnd(advantages, k);
                    }
                    race = race(step, s, k, advantages);
                }
                minutes[s] += t - begin;
                double pick = rng.nextDouble() * race.until[race.until.length - 1];
                int e = 0;
                while (e < race.until.length - 1 && race.until[e] <= pick) {
                    e++;
                }
                if (race.to[e] == Model.WON) {
                    return Ending.WON_BY_SUBMISSION;
                } else if (race.to[e] == Model.LOST) {
                    return Ending.LOST_BY_SUBMISSION;
                } else if (race.to[e] == Race.CALL) {
                    PenaltyEffect effect = grid.nextCall(k);
                    if (effect.loses()) {
                        return Ending.LOST_BY_DISQUALIFICATION;
                    }
                    advantages -= grid.advantages() > 0 ? effect.advantages() : 0;
                    theirs += effect.points();
                    k = grid.afterCall(k);
                } else {
                    if (race.points[e] > 0) {
                        ours += race.points[e];
                    } else {
                        theirs -= race.points[e];
                    }
                    advantages += race.advantages[e];
                    s = race.to[e];
                    visit(s, number);
                }
            }
        }

        private void visit(int s, long number) {
            if (visitedIn[s] != number) {
                visitedIn[s] = number;
                visits[s]++;
            }
        }

        private Race race(int step, int s, int k, int advantages) {
            int x = policy == null ? 0 : policy.get(step, grid.cell(s, k, advantages, ours - theirs));
            int moment = programme.moment(step, ours - theirs, advantages);
            return races[programme.late(step) ? 1 : 0][moment][s][x];
        }

        private Ending atTheEnd(int advantages, int k) {
            int lead = ours - theirs;
            double v = grid.atTheEnd(lead, advantages, k);
            if (v == 0.5) {
                return Ending.DRAW;
            }
            boolean won = v > 0.5;
            if (lead != 0) {
                return won ? Ending.WON_BY_POINTS : Ending.LOST_BY_POINTS;
            }
            if (advantages != 0 && grid.advantages() > 0) {
                return won ? Ending.WON_BY_ADVANTAGES : Ending.LOST_BY_ADVANTAGES;
            }
            return Ending.LOST_BY_PENALTIES;
        }
    }
}
