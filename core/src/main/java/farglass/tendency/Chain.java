package farglass.tendency;

import farglass.stats.Grade;
import farglass.stats.Trial;
import java.util.List;

/**
 * Tags that follow each other more often than chance.
 *
 * @param steps in order; between two of them at most one other tag was skipped, once in the whole chain
 * @param exchanges exchanges that hold it
 * @param matches matches that hold it
 * @param expected exchanges expected to hold it by chance
 * @param lift exchanges / expected
 * @param liftLo exact lower 95 % bound of the lift
 * @param p upper tail of the count
 * @param q chance that the most striking pair of a library without habits is as striking (Westfall and Young)
 * @param trials where it begins, one per exchange
 */
public record Chain(
        List<Exchanges.Step> steps,
        int exchanges,
        int matches,
        double expected,
        double lift,
        double liftLo,
        double p,
        double q,
        Grade grade,
        List<Trial> trials) {
    public Chain {
        steps = List.copyOf(steps);
        trials = List.copyOf(trials);
    }

    /** Its symbols, which name it across libraries. */
    public List<String> symbols() {
        return steps.stream().map(Exchanges.Step::symbol).toList();
    }
}
