package farglass.matchup.solve;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.rules.PenaltyEffect;
import org.jspecify.annotations.Nullable;

/** What a match is worth from every place, at every score and time, under a policy. */
public final class Solution {
    private final BackwardInduction programme;
    private final @Nullable Policy policy;
    private final float[][] values;

    Solution(BackwardInduction programme, @Nullable Policy policy, float[][] values) {
        this.programme = programme;
        this.policy = policy;
        this.values = values;
    }

    /** What was solved. */
    public BackwardInduction programme() {
        return programme;
    }

    /**
     * The options taken.
     *
     * @throws NullPointerException for the natural mix, which takes none
     */
    public Policy policy() {
        return requireNonNull(policy, "the natural mix takes no options");
    }

    /** Whether it takes no options. */
    boolean natural() {
        return policy == null;
    }

    /** The option taken in a cell at a step; 0, the natural mix, when none was chosen. */
    int option(int step, int cell) {
        return policy == null ? 0 : policy.get(step, cell);
    }

    /** Chance to win from the beginning, standing and level; a draw counts one half. */
    public double win() {
        return win(ModelState.START, 0, 0, 0);
    }

    /**
     * Chance to win from here.
     *
     * @param ms match time gone
     * @param points ours minus theirs
     * @param advantages ours minus theirs
     * @throws IllegalArgumentException when the place does not occur
     */
    public double win(ModelState place, long ms, int points, int advantages) {
        return values[stepOf(ms)][cell(place, points, advantages)];
    }

    /** What to do from here. */
    public Option option(ModelState place, long ms, int points, int advantages) {
        int s = indexOf(place);
        return policy == null
                ? Option.NATURAL
                : programme.own[s].options.get(policy.get(programme.stepAt(ms), cell(place, points, advantages)));
    }

    /**
     * What an option brings over the natural mix in one step from here, in win chance; the other keeps to his natural
     * mix.
     *
     * @return null when the place or the option does not occur
     */
    public @Nullable Double gain(ModelState place, long ms, int points, int advantages, Option option) {
        int s = programme.model().indexOf(place);
        int x = s < 0 ? -1 : programme.own[s].indexOf(option);
        if (x < 0) {
            return null;
        }
        int step = programme.stepAt(ms);
        int cell = cell(place, points, advantages);
        double stay = values[step + 1][cell];
        Model m = programme.model();
        int moment = programme.moment(step, points, advantages);
        Options o = programme.options(moment, s);
        Options theirs = programme.answers(moment, s);
        int phase = programme.late(step) ? 1 : 0;
        double own = 0;
        double pressed = 0;
        for (int i = 0; i < m.own(s).size(); i++) {
            double d = difference(m.own(s).get(i), step, points, advantages, phase, stay);
            own += o.natural(i) * d;
            pressed = i == o.way[x] ? d : pressed;
        }
        double their = 0;
        for (int i = 0; i < m.theirs(s).size(); i++) {
            their += theirs.natural(i) * difference(m.theirs(s).get(i), step, points, advantages, phase, stay);
        }
        boolean hold = x > 0 && x == o.hold;
        double now = o.others[x] * own
                + o.gain[x] * pressed
                + (hold ? programme.settings().holdOtherFactor() : 1) * their;
        if (hold) {
            now += programme.calls[s] * (called(s, step, points, advantages) - stay);
        }
        return programme.perRate(s) * (now - own - their);
    }

    private double difference(Model.Way w, int step, int points, int advantages, int phase, double stay) {
        double sum = 0;
        for (Model.Branch b : w.branches()) {
            double after = b.to() == Model.WON
                    ? 1
                    : b.to() == Model.LOST
                            ? 0
                            : values[step + 1][
                                    programme.grid.cell(
                                            b.to(), 0, advantages + b.advantages()[phase], points + b.points()[phase])];
            sum += b.chance() * (after - stay);
        }
        return sum;
    }

    private double called(int s, int step, int points, int advantages) {
        PenaltyEffect effect = programme.grid.nextCall(0);
        if (effect.loses()) {
            return 0;
        }
        int lost = effect.points();
        int advantage = effect.advantages();
        return values[step + 1][
                programme.grid.cell(s, programme.grid.afterCall(0), advantages - advantage, points - lost)];
    }

    private int stepOf(long ms) {
        return (int) Math.max(
                0, Math.min(programme.steps(), ms / programme.settings().stepMs()));
    }

    int cell(ModelState place, int points, int advantages) {
        return programme.grid.cell(indexOf(place), 0, advantages, points);
    }

    private int indexOf(ModelState place) {
        int s = programme.model().indexOf(place);
        if (s < 0) {
            throw new IllegalArgumentException("the place " + place.key() + " does not occur in this match-up");
        }
        return s;
    }

    float[] values(int step) {
        return values[step];
    }
}
