package farglass.matchup.advise;

import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Policy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * The few decisions that carry a plan. The best policy has thousands of cells; what it does is looked at as options in
 * places, scores and parts of the match that can be said ({@link DecisionSearch}), and each is valued by what the win
 * chance loses when it alone is left out, both solved backward. The least are dropped until all that are left are worth
 * naming. Elsewhere our athlete keeps to the natural mix.
 *
 * @param valued what is worth the most first
 * @param natural win chance without any
 * @param carried gain of these decisions and nothing else
 * @param whole gain of the whole policy
 * @param draws in which they were valued; 0 before draws were made
 */
public record Decisions(List<Valued> valued, double natural, double carried, double whole, int draws) {
    /** So many can be held in mind. */
    public static final int MOST = 7;
    /** What a decision must be worth, win chance: 0.3 points. */
    public static final double LEAST = 0.003;
    /**
     * Of a plan that brings little, a decision need bring no more than this share: plans bring 0.2 to 3 points in all,
     * and those decisions alone that are worth 0.3 or more carried 46 % of them.
     */
    private static final double SHARE = 0.03;
    /** What is less is shown as nothing: a twentieth of a point. */
    private static final double SHOWN = 0.0005;
    /** Share of draws in which a decision must help to be sure. */
    public static final double HOLDS = 0.8;
    /**
     * Share of draws in which one must help that is kept as likely: decisions that help in four of five draws alone
     * keep 79 % of the gain of the whole policy in the truth.
     */
    public static final double LIKELY = 0.65;
    /** Draws in which decisions are valued. */
    public static final int DRAWS = 40;

    public Decisions {
        valued = List.copyOf(valued);
    }

    /**
     * A decision and what it is worth.
     *
     * @param worth what the win chance loses when it alone is left out
     * @param answered the same against an opponent who presses or holds while behind
     * @param range of its worth over draws of what may be true; null before draws were made
     * @param holds share of the draws in which it helps; null before
     */
    public record Valued(
            Decision decision,
            double worth,
            double answered,
            Uncertainty.@Nullable Range range,
            @Nullable Double holds) {
        /** Whether it helps in at least four of five draws; before draws are made nothing is sure. */
        public boolean sure() {
            return holds != null && holds >= HOLDS;
        }
    }

    /** How a decision fared in draws. */
    private record Fared(Uncertainty.Range range, double holds) {}

    /** What a decision needs to be worth, of a plan that gains so much. */
    static double least(double whole) {
        return Math.max(SHOWN, Math.min(LEAST, SHARE * whole));
    }

    /** The decisions of a solved meeting as best known; takes about a second. */
    public static Decisions of(MeetingSolution solved) {
        DecisionSearch search = new DecisionSearch(solved);
        return of(solved, search, search.candidates(), Map.of(), 0);
    }

    /**
     * The decisions of a solved meeting of which each helps in most draws of what may be true; takes about a third of
     * {@link Uncertainty}.
     *
     * @param seed every draw has a stream of its own, the same as those of {@link Uncertainty}
     * @param progress 0..1
     * @param stop asked between draws
     * @return null when it was stopped
     */
    public static @Nullable Decisions drawn(
            MeetingSolution solved, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        return drawn(solved, DRAWS, seed, progress, stop);
    }

    static @Nullable Decisions drawn(
            MeetingSolution solved, int draws, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        AtomicInteger done = new AtomicInteger();
        DecisionSearch search = new DecisionSearch(solved);
        List<Decision> all = search.candidates();
        double[][] wins = new double[draws][];
        IntStream.range(0, draws).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                BackwardInduction p = drawn(solved.meeting(), seed, d);
                wins[d] = DecisionSearch.leftOut(p, all, BackwardInduction.Answer.NEVER);
                progress.accept(done.incrementAndGet() / (double) draws);
            }
        });
        if (stop.getAsBoolean()) {
            return null;
        }
        Map<Decision, Fared> fared = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            int without = i + 1;
            double[] worths =
                    Arrays.stream(wins).mapToDouble(w -> w[0] - w[without]).toArray();
            double holds = Arrays.stream(worths).filter(w -> w > 0).count() / (double) draws;
            if (holds >= LIKELY || search.fixed(all.get(i))) {
                fared.put(all.get(i), new Fared(Uncertainty.Range.of(worths), holds));
            }
        }
        return of(solved, search, all.stream().filter(fared::containsKey).toList(), fared, draws);
    }

    /** The programme of a draw. */
    private static BackwardInduction drawn(Meeting meeting, long seed, int draw) {
        return new BackwardInduction(
                draw(meeting, seed, draw), meeting.question().settings().coarse());
    }

    /** The model of a draw, without what the user barred. */
    static Model draw(Meeting meeting, long seed, int draw) {
        return meeting.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * draw))
                .without(meeting.question().wishes().barred());
    }

    private static Decisions of(
            MeetingSolution solved,
            DecisionSearch search,
            List<Decision> candidates,
            Map<Decision, Fared> fared,
            int draws) {
        double natural = search.natural();
        double whole = solved.planned().win() - solved.natural().win();
        List<Decision> all = search.worthwhile(candidates, MOST, least(whole));
        double[] wins = search.leftOut(all, BackwardInduction.Answer.NEVER);
        double[] answered = search.leftOut(all, BackwardInduction.Answer.BEHIND);
        List<Valued> valued = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Fared f = fared.get(all.get(i));
            valued.add(new Valued(
                    all.get(i),
                    wins[0] - wins[i + 1],
                    answered[0] - answered[i + 1],
                    f == null ? null : f.range(),
                    f == null ? null : f.holds()));
        }
        valued.sort(Comparator.comparingDouble(Valued::worth).reversed());
        return new Decisions(valued, natural, wins[0] - natural, whole, draws);
    }

    /** The natural mix but for these decisions; of two about the same moment the one about fewer counts. */
    public static Policy policy(BackwardInduction p, List<Decision> decisions) {
        Policy policy = Policy.natural(p);
        List<Decision> narrow = new ArrayList<>(decisions);
        narrow.sort(Comparator.comparingInt(d -> d.regions().size()));
        for (Decision d : narrow) {
            d.places().forEach(place -> policy.take(p, place, d.option(), d.regions()));
        }
        return policy;
    }
}
