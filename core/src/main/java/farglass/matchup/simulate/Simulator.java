package farglass.matchup.simulate;

import farglass.matchup.model.Ending;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
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
        /** Whose doing it is; null for a call. */
        private final @Nullable Exit[] by;

        Race(int ways) {
            until = new double[ways];
            to = new int[ways];
            points = new int[ways];
            advantages = new int[ways];
            by = new Exit[ways];
        }
    }

    /** One thing that can happen. */
    private record Happening(
            double rate,
            int to,
            int points,
            int advantages,
            @Nullable Exit by) {}

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
        List<Happening> rows = new ArrayList<>();
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
            rows.add(new Happening(programme.calls(s), Race.CALL, 0, 0, null));
        }
        // the most frequent first, because a search begins there
        rows.sort((a, b) -> Double.compare(b.rate(), a.rate()));
        Race r = new Race(rows.size());
        double sum = 0;
        for (int i = 0; i < rows.size(); i++) {
            Happening h = rows.get(i);
            sum += h.rate();
            r.until[i] = sum;
            r.to[i] = h.to();
            r.points[i] = h.points();
            r.advantages[i] = h.advantages();
            r.by[i] = h.by();
        }
        return r;
    }

    private static void rows(List<Happening> rows, Model.Way w, double rate, int phase) {
        for (Model.Branch b : w.branches()) {
            rows.add(new Happening(rate * b.chance(), b.to(), b.points()[phase], b.advantages()[phase], w.exit()));
        }
    }

    /** Sees matches as they are played, one after the other. */
    public interface Follower {
        /**
         * Another place is reached.
         *
         * @param by what led there
         * @param minutes since the start
         * @param lead points, ours minus theirs
         */
        void moved(Exit by, ModelState to, double minutes, int lead);

        /** @param by the submission that ended it; null when the time did, or a call */
        void ended(@Nullable Exit by, Ending how, double minutes, int lead);
    }

    /** Plays matches one after the other under somebody's eyes. */
    public void follow(int n, long seed, Follower follower) {
        new Worker(seed, follower).play(n);
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
                .mapToObj(c -> stop.getAsBoolean()
                        ? null
                        : new Worker(seed + c, null).play(Math.min(CHUNK, n - (long) c * CHUNK)))
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
        private final @Nullable Follower follower;
        private int ours;
        private int theirs;
        /** What ended the match that is played. */
        private @Nullable Exit finisher;
        /** Minutes at which it did. */
        private double over;

        Worker(long seed, @Nullable Follower follower) {
            this.follower = follower;
            rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
            exponential = ZigguratSampler.Exponential.of(rng);
            Arrays.fill(visitedIn, -1);
        }

        Outcomes play(long n) {
            for (long i = 0; i < n; i++) {
                finisher = null;
                Ending how = match(i);
                if (follower != null) {
                    follower.ended(finisher, how, over, ours - theirs);
                }
                endings.merge(how, 1L, Long::sum);
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
                        over = end;
                        minutes[s] += end - begin;
                        return atTheEnd(advantages, k);
                    }
                    race = race(step, s, k, advantages);
                }
                minutes[s] += t - begin;
                over = t;
                double pick = rng.nextDouble() * race.until[race.until.length - 1];
                int e = 0;
                while (e < race.until.length - 1 && race.until[e] <= pick) {
                    e++;
                }
                Exit by = race.by[e];
                finisher = race.to[e] == Model.WON || race.to[e] == Model.LOST ? by : null;
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
                    // an advantage for coming near leads nowhere else
                    if (follower != null && by != null && race.to[e] != s) {
                        follower.moved(by, model.states().get(race.to[e]), t, ours - theirs);
                    }
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
