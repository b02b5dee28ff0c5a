package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.matchup.solve.SolverSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * What a coach's own plan is worth: its intents are followed where they are meant, everything else is done as it
 * comes. It is solved backward against an opponent who keeps to his natural mix, like {@link Decisions}, and in the
 * same draws.
 *
 * @param valued in the order given
 * @param win chance with the plan
 * @param natural win chance when both fight their own game
 * @param proposed win chance with the computed decisions and nothing else
 * @param ranges over draws of what may be true; null before draws were made
 * @param draws 0 before
 */
public record OwnPlan(
        List<Valued> valued,
        double win,
        double natural,
        double proposed,
        @Nullable Ranges ranges,
        int draws) {
    public OwnPlan {
        valued = List.copyOf(valued);
    }

    /**
     * @param worth what the win chance loses when it alone is left out; null when film cannot tell
     * @param range of the worth over draws; null before draws were made
     * @param holds share of draws in which it helps; null before
     */
    public record Valued(
            Intent intent,
            @Nullable Double worth,
            Uncertainty.@Nullable Range range,
            @Nullable Double holds) {}

    /**
     * Win chances over draws. Their means differ a little from what is best known, as those of the headline do.
     *
     * @param win with the plan
     * @param natural when both fight their own game
     * @param proposed with the computed decisions
     * @param overNatural win chance more than both fighting their own game, draw by draw
     * @param overProposed more than with the computed decisions, draw by draw
     */
    public record Ranges(
            Uncertainty.Range win,
            Uncertainty.Range natural,
            Uncertainty.Range proposed,
            Uncertainty.Range overNatural,
            Uncertainty.Range overProposed) {
        private static Ranges of(Wins[] wins) {
            return new Ranges(
                    range(wins, Wins::all),
                    range(wins, Wins::natural),
                    range(wins, Wins::proposed),
                    range(wins, w -> w.all() - w.natural()),
                    range(wins, w -> w.all() - w.proposed()));
        }

        private static Uncertainty.Range range(Wins[] wins, ToDoubleFunction<Wins> of) {
            return Uncertainty.Range.of(Arrays.stream(wins).mapToDouble(of).toArray());
        }
    }

    /** The plan as best known; takes about a second. */
    public static OwnPlan of(MeetingSolution solved, List<Intent> intents, Decisions proposed) {
        Wins w = Wins.of(solved, solved.meeting().model(), intents, proposed);
        List<Valued> valued = new ArrayList<>();
        for (int i = 0; i < intents.size(); i++) {
            Double worth = intents.get(i).unvalued() == null ? Double.valueOf(w.all() - w.without()[i]) : null;
            valued.add(new Valued(intents.get(i), worth, null, null));
        }
        return new OwnPlan(valued, w.all(), w.natural(), w.proposed(), null, 0);
    }

    /**
     * The plan with its intervals; takes about as long as {@link Decisions#drawn}.
     *
     * @param seed every draw has a stream of its own, the same as those of {@link Decisions}
     * @param progress 0..1
     * @param stop asked between draws
     * @return null when it was stopped
     */
    public static @Nullable OwnPlan drawn(
            MeetingSolution solved,
            List<Intent> intents,
            Decisions proposed,
            int draws,
            long seed,
            DoubleConsumer progress,
            BooleanSupplier stop) {
        AtomicInteger done = new AtomicInteger();
        Wins[] wins = new Wins[draws];
        IntStream.range(0, draws).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                Model m = solved.meeting().draw(RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * d));
                wins[d] = Wins.of(solved, m, intents, proposed);
                progress.accept(done.incrementAndGet() / (double) draws);
            }
        });
        if (stop.getAsBoolean()) {
            return null;
        }
        OwnPlan known = of(solved, intents, proposed);
        List<Valued> valued = new ArrayList<>();
        for (int i = 0; i < intents.size(); i++) {
            int left = i;
            Valued v = known.valued.get(i);
            double[] worths = Arrays.stream(wins)
                    .mapToDouble(w -> w.all() - w.without()[left])
                    .toArray();
            double holds = Arrays.stream(worths).filter(x -> x > 0).count() / (double) draws;
            valued.add(v.worth() == null ? v : new Valued(v.intent(), v.worth(), Uncertainty.Range.of(worths), holds));
        }
        return new OwnPlan(valued, known.win, known.natural, known.proposed, Ranges.of(wins), draws);
    }

    /** The computed decisions that the plan has not. */
    public static List<Decision> left(List<Intent> intents, Decisions proposed) {
        List<Decision> own =
                intents.stream().flatMap(i -> i.decisions().stream()).toList();
        return proposed.valued().stream()
                .map(Decisions.Valued::decision)
                .filter(d -> own.stream().noneMatch(o -> alike(o, d)))
                .toList();
    }

    /** Whether two decisions are the same option somewhere at the same time. */
    private static boolean alike(Decision a, Decision b) {
        return a.option().equals(b.option())
                && a.places().stream().anyMatch(b.places()::contains)
                && a.regions().stream().anyMatch(b.regions()::contains);
    }

    /**
     * Win chances in one match as it may be.
     *
     * @param without each intent in turn
     */
    private record Wins(double all, double[] without, double natural, double proposed) {
        static Wins of(MeetingSolution solved, Model model, List<Intent> intents, Decisions proposed) {
            Meeting.Question q = solved.meeting().question();
            Solving own = new Solving(model, q.settings().coarse());
            double all = own.win(intents);
            double[] without = new double[intents.size()];
            for (int i = 0; i < without.length; i++) {
                List<Intent> others = new ArrayList<>(intents);
                others.remove(i);
                without[i] = intents.get(i).unvalued() == null ? own.win(others) : all;
            }
            Model allowed = model.without(q.wishes().barred());
            BackwardInduction best = new BackwardInduction(allowed, q.settings().coarse());
            List<Decision> decisions =
                    proposed.valued().stream().map(Decisions.Valued::decision).toList();
            return new Wins(
                    all, without, own.win(List.of()), best.win(Decisions.policy(best, decisions), Answer.NEVER));
        }
    }

    /** One match, with programmes by what is barred in it. */
    private static final class Solving {
        private final Model model;
        private final SolverSettings settings;
        private final Map<Set<Exit.Key>, BackwardInduction> programmes = new HashMap<>();

        Solving(Model model, SolverSettings settings) {
            this.model = model;
            this.settings = settings;
        }

        double win(List<Intent> intents) {
            Set<Exit.Key> barred =
                    intents.stream().flatMap(i -> i.barred().stream()).collect(Collectors.toSet());
            BackwardInduction p = programmes.computeIfAbsent(barred, this::without);
            List<Decision> decisions =
                    intents.stream().flatMap(i -> i.decisions().stream()).toList();
            return p.win(Decisions.policy(p, decisions), Answer.NEVER);
        }

        private BackwardInduction without(Set<Exit.Key> barred) {
            Model m = barred.isEmpty() ? model : model.without(e -> barred.contains(e.key()));
            return new BackwardInduction(m, settings);
        }
    }
}
