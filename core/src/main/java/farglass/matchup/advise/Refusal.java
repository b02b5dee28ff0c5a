package farglass.matchup.advise;

import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Solution;
import java.util.Comparator;
import java.util.List;

/**
 * A place not to be accepted: it costs our athlete, and the opponent gets there more than others do. What holds against
 * anybody is none.
 *
 * @param worth win chance there less that of standing, level at half time; below 0
 * @param minutes of an average match spent there when both fight their own game
 * @param share of the opponent's time spent there, 0..1
 * @param usual the same of the other athletes
 */
public record Refusal(ModelState place, double worth, double minutes, double share, double usual) {
    private static final int TOLD = 3;
    /** Times as much as others that is more than chance and noise. */
    private static final double MORE = 1.3;
    /** Minutes of film that must be seen of it. */
    private static final double SEEN = 1;
    /** A place must cost so much, win chance. */
    private static final double COSTS = 0.01;

    /** What costs most over an average match first. */
    static List<Refusal> of(MeetingSolution solved) {
        Solution s = solved.planned();
        Meeting meeting = solved.meeting();
        long half = s.programme().model().horizonMs() / 2;
        double standing = s.win(ModelState.START, half, 0, 0);
        return s.programme().model().states().stream()
                .filter(p -> !p.paid() && !p.equals(ModelState.START))
                .map(p -> new Refusal(
                        p,
                        s.win(p, half, 0, 0) - standing,
                        solved.naturalFlow().minutes(p),
                        meeting.share(p, false),
                        meeting.usualShare(p)))
                .filter(r -> r.worth() < -COSTS && r.share() > MORE * r.usual())
                .filter(r -> meeting.minutes(r.place(), false) >= SEEN)
                .sorted(Comparator.comparingDouble(r -> r.worth() * r.minutes()))
                .limit(TOLD)
                .toList();
    }
}
