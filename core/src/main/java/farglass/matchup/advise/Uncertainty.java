package farglass.matchup.advise;

import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Choice;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;
import farglass.stats.Estimate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.apache.commons.statistics.descriptive.Quantile;
import org.jspecify.annotations.Nullable;

/**
 * How sure a plan is: the match solved and valued under many draws of what the rates may truly be. The plan shown is
 * fixed; it is not tuned anew to every draw, which would promise too much. Advice that helps in less than four draws of
 * five is taken back.
 *
 * @param natural win chance without a plan
 * @param planned win chance with the plan
 * @param gain of the plan, draw by draw
 * @param advice every choice with how it fared
 * @param policy the plan without the advice that was taken back
 * @param draws that were valued
 */
public record Uncertainty(Range natural, Range planned, Range gain, List<Advice> advice, Policy policy, int draws) {
    /** Draws that are valued. */
    public static final int DRAWS = 200;
    /** Draws that are solved anew, to see whether the advice stays. */
    public static final int SOLVED = 40;
    /** Share of draws in which advice must help. */
    public static final double HELPS = 0.8;

    public Uncertainty {
        advice = List.copyOf(advice);
    }

    /** Mean and the middle nine tenths. */
    public record Range(double mean, double lo, double hi) {
        private static final Quantile QUANTILES = Quantile.withDefaults().with(Quantile.EstimationMethod.HF7);

        /** The middle nine tenths of draws. */
        public static Range of(double[] values) {
            double[] ends = QUANTILES.evaluate(values.clone(), Estimate.LOWER, Estimate.UPPER);
            return new Range(Arrays.stream(values).average().orElse(Double.NaN), ends[0], ends[1]);
        }
    }

    /**
     * @param gain in win chance, of one step at the moment of the choice, as best known
     * @param stays share of draws in which it is the best option
     * @param helps share of draws in which it beats the natural mix
     */
    public record Advice(Choice choice, double gain, double stays, double helps) {
        /** Whether it is recommended. */
        public boolean kept() {
            return helps >= HELPS;
        }
    }

    /**
     * @param seed every draw has a stream of its own
     * @param progress 0..1
     * @param stop asked between draws
     * @return null when it was stopped
     */
    public static @Nullable Uncertainty of(Meeting meeting, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        return of(meeting, DRAWS, SOLVED, seed, progress, stop);
    }

    static @Nullable Uncertainty of(
            Meeting meeting, int draws, int solved, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        SolverSettings coarse = meeting.question().settings().coarse();
        Constraints wishes = meeting.question().wishes();
        BackwardInduction programme = new BackwardInduction(meeting.model().without(wishes.barred()), coarse);
        Solution best = programme.best(BackwardInduction.Answer.BEHIND, wishes);
        List<Choice> choices = ForwardPass.of(best).choices();
        int[][] stays = new int[solved][choices.size()];
        int[][] helps = new int[solved][choices.size()];
        AtomicInteger done = new AtomicInteger();
        // a solution weighs about three valuations
        double all = 3.0 * solved + draws;
        IntStream.range(0, solved).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                Solution s = new BackwardInduction(draw(meeting, seed, d), coarse)
                        .best(BackwardInduction.Answer.BEHIND, wishes);
                for (int c = 0; c < choices.size(); c++) {
                    judge(s, choices.get(c), stays[d], helps[d], c);
                }
                progress.accept(done.addAndGet(3) / all);
            }
        });
        List<Advice> advice = new ArrayList<>();
        for (int c = 0; c < choices.size(); c++) {
            Choice x = choices.get(c);
            int i = c;
            double share = Arrays.stream(stays).mapToInt(r -> r[i]).sum() / (double) solved;
            double good = Arrays.stream(helps).mapToInt(r -> r[i]).sum() / (double) solved;
            Double gain = best.gain(x.place(), x.ms(), x.points(), x.advantages(), x.option());
            advice.add(new Advice(x, gain == null ? 0 : gain, share, good));
        }
        Policy kept = kept(programme, best.policy(), advice, wishes);
        double[] natural = new double[draws];
        double[] planned = new double[draws];
        IntStream.range(0, draws).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                Model m = draw(meeting, seed, d);
                natural[d] = new BackwardInduction(m, coarse).win(null, BackwardInduction.Answer.NEVER);
                planned[d] = worth(new BackwardInduction(m.without(wishes.barred()), coarse), programme, kept);
                progress.accept(Math.min(1, done.incrementAndGet() / all));
            }
        });
        if (stop.getAsBoolean()) {
            return null;
        }
        double[] gain = new double[draws];
        Arrays.setAll(gain, d -> planned[d] - natural[d]);
        return new Uncertainty(Range.of(natural), Range.of(planned), Range.of(gain), advice, kept, draws);
    }

    private static Model draw(Meeting meeting, long seed, int d) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * d);
        return meeting.draw(rng);
    }

    private static void judge(Solution s, Choice c, int[] stays, int[] helps, int at) {
        Double gain = s.gain(c.place(), c.ms(), c.points(), c.advantages(), c.option());
        if (gain != null) {
            stays[at] = s.option(c.place(), c.ms(), c.points(), c.advantages()).equals(c.option()) ? 1 : 0;
            helps[at] = gain > 0 ? 1 : 0;
        }
    }

    /** The policy with the natural mix where advice was taken back; what the user fixed stays. */
    private static Policy kept(BackwardInduction p, Policy policy, List<Advice> advice, Constraints wishes) {
        Policy kept = policy.copy();
        for (Advice a : advice) {
            boolean fixed =
                    wishes.fixed().containsKey(a.choice().place().paid(false).key());
            if (!a.kept() && !fixed) {
                kept.clear(p, a.choice());
            }
        }
        return kept;
    }

    /** A drawn match may number its places and options otherwise: the plan is carried over by name. */
    private static double worth(BackwardInduction drawn, BackwardInduction known, Policy plan) {
        return drawn.win(plan.over(known, drawn), BackwardInduction.Answer.NEVER);
    }
}
