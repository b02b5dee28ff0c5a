package farglass.matchup.advise;

import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.SolverSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * Plans for one meeting held against the first of them. All are valued in the same draws of what the rates may truly
 * be, so that their difference is far surer than either.
 *
 * @param plans in the order given
 */
public record PlanComparison(List<Valued> plans) {
    private static final int DRAWS = 60;

    public PlanComparison {
        plans = List.copyOf(plans);
    }

    /** How a plan is computed. */
    public record Way(SolverSettings settings, Constraints wishes) {}

    /**
     * @param win chance with the plan
     * @param more than the first plan's, draw by draw
     * @param better share of draws in which it is better than the first
     */
    public record Valued(Uncertainty.Range win, Uncertainty.Range more, double better) {}

    /**
     * @param meeting whose corrections every plan is valued under
     * @param ways at least one
     * @return null when it was stopped
     */
    public static @Nullable PlanComparison of(
            Meeting meeting, List<Way> ways, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        List<BackwardInduction> programmes = new ArrayList<>();
        List<Policy> policies = new ArrayList<>();
        for (Way way : ways) {
            BackwardInduction p = new BackwardInduction(
                    meeting.model().without(way.wishes().barred()),
                    meeting.complete(way.settings()).coarse());
            programmes.add(p);
            policies.add(p.policy(BackwardInduction.Answer.BEHIND, way.wishes()));
        }
        double[][] wins = new double[ways.size()][DRAWS];
        java.util.concurrent.atomic.AtomicInteger done = new java.util.concurrent.atomic.AtomicInteger();
        IntStream.range(0, DRAWS).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                Model drawn = meeting.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * d));
                for (int i = 0; i < wins.length; i++) {
                    Way way = ways.get(i);
                    BackwardInduction p = new BackwardInduction(
                            drawn.without(way.wishes().barred()),
                            meeting.complete(way.settings()).coarse());
                    wins[i][d] = p.win(policies.get(i).over(programmes.get(i), p), BackwardInduction.Answer.NEVER);
                }
                progress.accept(done.incrementAndGet() / (double) DRAWS);
            }
        });
        if (stop.getAsBoolean()) {
            return null;
        }
        List<Valued> plans = new ArrayList<>();
        for (double[] win : wins) {
            double[] more = new double[DRAWS];
            Arrays.setAll(more, d -> win[d] - wins[0][d]);
            double better = Arrays.stream(more).filter(x -> x > 0).count() / (double) DRAWS;
            plans.add(new Valued(Uncertainty.Range.of(win), Uncertainty.Range.of(more), better));
        }
        return new PlanComparison(plans);
    }
}
