package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What our athlete does better not to begin with: to pull guard, or to shoot. While both are neutral the other ways of
 * ours take its place, each in its share; everything else stays the natural game.
 *
 * @param family of techniques that is left out
 * @param worth win chance gained by it, above 0
 * @param range of its worth over draws of what may be true; null before draws were made
 * @param holds share of the draws in which it helps; null before
 * @param draws how many were made; 0 before
 * @param tags our tries of it
 */
public record OpeningChoice(
        String family,
        double worth,
        Uncertainty.@Nullable Range range,
        @Nullable Double holds,
        int draws,
        List<TagRef> tags) {
    private static final List<String> FAMILIES = List.of("guard-pull", "takedown");

    /** As best known, what is worth 0.3 points or more; takes some tenths of a second. */
    public static Optional<OpeningChoice> of(MeetingSolution solved) {
        return choose(solved.meeting(), new double[][] {wins(solved.meeting(), usual(solved.meeting()))}, false);
    }

    /**
     * What is worth 0.3 points or more on average over draws of what may be true and helps in most of them.
     *
     * @param seed every draw has a stream of its own, the same as those of {@link Decisions}
     * @param progress 0..1
     * @param stop asked between draws
     * @return empty when it was stopped, too
     */
    static Optional<OpeningChoice> drawn(
            MeetingSolution solved, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        AtomicInteger done = new AtomicInteger();
        double[][] wins = new double[Decisions.DRAWS][];
        IntStream.range(0, wins.length).parallel().forEach(d -> {
            if (!stop.getAsBoolean()) {
                wins[d] = wins(solved.meeting(), Decisions.draw(solved.meeting(), seed, d));
                progress.accept(done.incrementAndGet() / (double) wins.length);
            }
        });
        return stop.getAsBoolean() ? Optional.empty() : choose(solved.meeting(), wins, true);
    }

    /** @param wins of each draw: with everything, then without each family */
    private static Optional<OpeningChoice> choose(Meeting meeting, double[][] wins, boolean drawn) {
        OpeningChoice best = null;
        for (int f = 0; f < FAMILIES.size(); f++) {
            int without = f + 1;
            double[] worths =
                    Arrays.stream(wins).mapToDouble(w -> w[without] - w[0]).toArray();
            double worth = Arrays.stream(worths).average().orElse(0);
            double holds = Arrays.stream(worths).filter(w -> w > 0).count() / (double) worths.length;
            List<TagRef> tags = tags(meeting, FAMILIES.get(f));
            boolean told = worth >= Decisions.LEAST && holds >= Decisions.LIKELY && !tags.isEmpty();
            if (told && (best == null || worth > best.worth())) {
                best = new OpeningChoice(
                        FAMILIES.get(f),
                        worth,
                        drawn ? Uncertainty.Range.of(worths) : null,
                        drawn ? holds : null,
                        drawn ? worths.length : 0,
                        tags);
            }
        }
        return Optional.ofNullable(best);
    }

    private static double[] wins(Meeting meeting, Model model) {
        double[] wins = new double[FAMILIES.size() + 1];
        wins[0] = win(meeting, model);
        for (int f = 0; f < FAMILIES.size(); f++) {
            Predicate<Exit> left = begins(FAMILIES.get(f));
            boolean other = model.exits().stream()
                    .anyMatch(e -> e.ours() && e.technique() != null && e.from().standing() == 0 && !left.test(e));
            wins[f + 1] = other ? win(meeting, model.without(left)) : wins[0];
        }
        return wins;
    }

    private static Model usual(Meeting meeting) {
        return meeting.model().without(meeting.question().wishes().barred());
    }

    private static double win(Meeting meeting, Model model) {
        return new BackwardInduction(model, meeting.question().settings().coarse()).win(null, Answer.NEVER);
    }

    private static Predicate<Exit> begins(String family) {
        return e -> e.ours() && e.from().standing() == 0 && e.family().equals(family);
    }

    private static List<TagRef> tags(Meeting meeting, String family) {
        List<TagRef> tags = new ArrayList<>();
        meeting.model().exits().stream()
                .filter(begins(family))
                .forEach(e -> tags.addAll(e.basis().tags()));
        return tags.stream().distinct().toList();
    }
}
