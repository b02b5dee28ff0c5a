package farglass.tendency;

import farglass.stats.Estimate;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import java.util.List;

/**
 * One sentence about an athlete with the evidence behind it.
 *
 * @param id stable for athlete, kind and subject, so that a pinned claim is found again when the numbers change
 * @param topic which question it answers
 * @param template key of the sentence in the bundle {@code Claims}
 * @param args words for the sentence
 * @param estimate its number; for {@link Topic#NOT_SEEN} the interval is [0, upper bound]
 * @param side for side claims, else null
 * @param trials one per dot, in match order
 * @param withoutUnsure the mean without unsure tags, or null when there are none
 * @param hidden occurrences left out because what matters was not visible
 */
public record Claim(
        String id,
        Topic topic,
        String template,
        List<String> args,
        Estimate estimate,
        SideBias side,
        List<Trial> trials,
        Double withoutUnsure,
        int hidden) {
    /** The questions of a profile, in the order in which a match asks them. */
    public enum Topic {
        OPENING,
        PLACE,
        GUARD,
        SIDE,
        TECHNIQUE,
        FINISH,
        NOT_SEEN
    }

    public Claim {
        args = List.copyOf(args);
        trials = List.copyOf(trials);
    }

    /** Distance by which the interval clears the library's average; 0 when it contains it or there is none. */
    public double departure() {
        double b = estimate.baseline();
        if (Double.isNaN(b) || b >= estimate.lo() && b <= estimate.hi()) {
            return 0;
        }
        return b < estimate.lo() ? estimate.lo() - b : b - estimate.hi();
    }

    public boolean oneMatch() {
        return estimate.matches() == 1;
    }
}
