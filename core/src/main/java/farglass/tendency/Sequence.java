package farglass.tendency;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Tags that an athlete shows one after the other, whether or not that is more than chance.
 *
 * @param steps two to six, in order; between two of them at most one other tag was skipped, once in the whole sequence
 * @param exchanges exchanges that hold it
 * @param matches matches that hold it
 * @param share of the exchanges that hold the first step, those that go on to the last; prior from the other athletes
 * @param departure how many times as often as usual the athlete goes on from the first step to the last, shrunk
 * @param onward by step from the second: of the exchanges that got to the one before, those that went on
 * @param points exchanges that hold it in which a step from the second on took a better place
 * @param finished exchanges that hold it in which the athlete finished the match
 * @param side to which side its last own step with a side went, null when fewer than three had one
 * @param moreThanChance whether it holds what {@link Chains} accepts
 * @param trials one per exchange that holds its first step, where that step is; those that went on to the last worked
 */
public record Sequence(
        List<Exchanges.Step> steps,
        int exchanges,
        int matches,
        Estimate share,
        double departure,
        List<Onward> onward,
        int points,
        int finished,
        @Nullable SideBias side,
        boolean moreThanChance,
        List<Trial> trials) {
    public Sequence {
        steps = List.copyOf(steps);
        onward = List.copyOf(onward);
        trials = List.copyOf(trials);
    }

    /**
     * From one step to the next.
     *
     * @param x exchanges that went on
     * @param n exchanges that got so far
     * @param average the others' share, NaN where they never got so far
     */
    public record Onward(int x, int n, double average) {}

    /** Its symbols, which name it across libraries. */
    public List<String> symbols() {
        return steps.stream().map(Exchanges.Step::symbol).toList();
    }

    /** How sure its share is. */
    public Grade grade() {
        return share.grade();
    }

    /**
     * Count times departure on the log scale, the first time not counted, since it is what made one look; what is usual
     * is worth nothing.
     */
    public double weight() {
        return (exchanges - 1) * Math.log(departure);
    }
}
