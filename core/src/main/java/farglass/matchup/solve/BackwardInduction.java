package farglass.matchup.solve;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Tempo;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The finite-horizon dynamic programme (Puterman, Markov Decision Processes, 1994, ch. 4) over place, time, points,
 * advantages and our stalling calls. Value is the chance to win, a draw counts one half. In a step of dt at most one
 * event happens, each with chance rate times dt; attempts that change nothing are no events. So as many events are
 * expected as in truth, and the result differs from an event-driven run by less than 0.001, at steps of 10 s too; 1 -
 * exp(-R dt) shared over all attempts lost 15 % of the finishes.
 *
 * <p>One solution is one thread. Rates are a minute.
 */
public final class BackwardInduction {
    private static final double MINUTE_MS = 60_000;
    /** Chance of any event in a step at the most. */
    private static final double MOST = 0.95;
    /** Stalling calls a minute while holding, in a pin and elsewhere. */
    static final double CALLS_IN_PINS = 0.5;

    static final double CALLS_ELSEWHERE = 1;

    private final Model model;
    private final SolverSettings settings;
    final Grid grid;
    private final int steps;
    private final double dt;
    final Options[] own;
    final Options[] their;
    private final int moments;
    private final boolean byScore;
    /** By moment and place. */
    private final Options[][] ownAt;

    private final Options[][] theirAt;
    private final double[] perRate;
    final double[] calls;

    /** What the other athlete may do. */
    public enum Answer {
        /** He keeps to his natural mix. */
        NEVER,
        /** He presses or holds while he is behind. */
        BEHIND,
        /** He presses or holds whenever it helps him. */
        ALWAYS
    }

    /** Lays out states, score and steps; nothing is solved yet. */
    public BackwardInduction(Model model, SolverSettings settings) {
        this.model = model;
        this.settings = settings;
        this.grid = new Grid(model.rules(), model.largestPay() + 1);
        this.steps = (int) Math.max(1, Math.round(model.horizonMs() / (double) settings.stepMs()));
        this.dt = settings.stepMs() / MINUTE_MS;
        int n = model.states().size();
        own = new Options[n];
        their = new Options[n];
        byScore = model.tempo().byScore() && grid.points > 0;
        moments = model.tempo().even() ? 1 : byScore ? Tempo.MOMENTS : Tempo.THIRDS;
        ownAt = new Options[moments][n];
        theirAt = new Options[moments][n];
        perRate = new double[n];
        calls = new double[n];
        for (int s = 0; s < n; s++) {
            ModelState p = model.states().get(s);
            own[s] = Options.of(model.own(s), Options.mayHold(p, true), settings);
            their[s] = Options.of(model.theirs(s), Options.mayHold(p, false), settings);
            for (int moment = 0; moment < moments; moment++) {
                ownAt[moment][s] = moments == 1 ? own[s] : own[s].at(rates(model.own(s), moment), settings);
                theirAt[moment][s] = moments == 1 ? their[s] : their[s].at(rates(model.theirs(s), moment), settings);
            }
            perRate[s] = Math.min(dt, MOST / Math.max(1e-9, settings.pressFactor() * model.pace(s) + CALLS_ELSEWHERE));
            calls[s] = model.groups().controlled(p.group()) ? CALLS_IN_PINS : CALLS_ELSEWHERE;
        }
    }

    private double[] rates(List<Model.Way> ways, int moment) {
        return ways.stream().mapToDouble(w -> w.rate() * factor(w, moment)).toArray();
    }

    /** Moments at which rates differ: one, three where only the clock tells, or nine. */
    public int moments() {
        return moments;
    }

    /** Whether who leads makes a difference to what is done. */
    boolean byScore() {
        return byScore;
    }

    /** How much more often than on average a way out is taken at a moment. */
    public double factor(Model.Way w, int moment) {
        return moments == 1 ? 1 : model.tempo().factor(w.exit(), byScore ? moment : Tempo.moment(moment, 0));
    }

    /** Which moment a step is when ours is ahead by so much. */
    int moment(int step, int lead) {
        if (moments == 1) {
            return 0;
        }
        int third = model.third(step * settings.stepMs());
        return byScore ? Tempo.moment(third, lead) : third;
    }

    /** Which moment a step is at a score, ours minus theirs; what does not count under the rules is no lead. */
    public int moment(int step, int points, int advantages) {
        int counted = grid.points == 0 ? 0 : points;
        return moment(step, counted != 0 || grid.advantages == 0 ? counted : advantages);
    }

    /** What is solved. */
    public Model model() {
        return model;
    }

    /** How it is solved. */
    public SolverSettings settings() {
        return settings;
    }

    /** Steps from the beginning to the end. */
    public int steps() {
        return steps;
    }

    /** The step that goes on at a match time, ms. */
    public int stepAt(long ms) {
        return (int) Math.max(0, Math.min(steps - 1, ms / settings.stepMs()));
    }

    /** Whether a step lies in the last two minutes. */
    public boolean late(int step) {
        return step * settings.stepMs() >= model.pointsFromMs();
    }

    /** What a rate is multiplied with to be the chance of its event in a step: the step, unless events crowd there. */
    double perRate(int place) {
        return perRate[place];
    }

    /** Length of a step, minutes. */
    public double stepMinutes() {
        return dt;
    }

    /** Which part of the match a step lies in. */
    Region.Part partOf(int step) {
        long ms = step * settings.stepMs();
        if (ms >= model.horizonMs() - Region.LAST_MS) {
            return Region.Part.LAST;
        }
        return ms < model.horizonMs() / 2 ? Region.Part.FIRST : Region.Part.SECOND;
    }

    /** Everybody keeps to the natural mix. */
    public Solution natural() {
        return new BackwardPass(this, null, Answer.NEVER, null, true).run();
    }

    /** The best options against an opponent who may answer so. */
    public Solution best(Answer answer) {
        return best(answer, Constraints.NONE);
    }

    /**
     * The best options where the user has fixed some; its values are win chances, without the price of leaving one's
     * habits.
     */
    public Solution best(Answer answer, Constraints wishes) {
        BackwardPass pass = new BackwardPass(this, null, answer, wishes, settings.price() == 0);
        Solution s = pass.run();
        return settings.price() == 0 ? s : worth(s.policy(), answer);
    }

    /** What a fixed policy is worth against an opponent who may answer so. */
    public Solution worth(Policy policy, Answer answer) {
        return new BackwardPass(this, policy, answer, null, true).run();
    }

    /**
     * The win chance from the beginning alone, without the memory that values of all times take; null for the natural
     * mix.
     */
    public double win(@Nullable Policy policy, Answer answer) {
        return new BackwardPass(this, policy, answer, null, false).run().win();
    }

    /** The best policy alone; its values are only those of the beginning and hold the price of leaving one's habits. */
    public Policy policy(Answer answer, Constraints wishes) {
        return new BackwardPass(this, null, answer, wishes, false).run().policy();
    }

    /** Where score, calls and place lie in a step's table. */
    public Grid grid() {
        return grid;
    }

    /** What our athlete can do in a state, at average rates; the options are the same at every moment. */
    public Options options(int state) {
        return own[state];
    }

    /** What our athlete can do in a state at a moment. */
    public Options options(int moment, int state) {
        return ownAt[moment][state];
    }

    /** What the opponent can do in a state at a moment. */
    Options answers(int moment, int state) {
        return theirAt[moment][state];
    }

    /** Calls against our athlete per minute in a state, while holding. */
    public double calls(int state) {
        return calls[state];
    }
}
