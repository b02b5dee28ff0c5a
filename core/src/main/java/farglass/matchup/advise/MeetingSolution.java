package farglass.matchup.advise;

import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;

/**
 * A meeting with its best plan.
 *
 * @param natural both keep to what comes naturally: the headline
 * @param planned our plan, the other keeps to his natural mix
 * @param answered our plan, the other may press or hold while he is behind
 * @param naturalFlow where the match goes without a plan
 * @param flow where it goes with it
 */
public record MeetingSolution(
        Meeting meeting,
        Solution natural,
        Solution planned,
        Solution answered,
        ForwardPass naturalFlow,
        ForwardPass flow) {
    static MeetingSolution of(Meeting meeting) {
        SolverSettings settings = meeting.question().settings();
        Glance fine = Glance.of(meeting, settings);
        Glance coarse = settings.coarse().equals(settings) ? fine : Glance.of(meeting, settings.coarse());
        return new MeetingSolution(
                meeting,
                fine.natural(),
                fine.planned(),
                fine.answered(),
                ForwardPass.of(coarse.natural()),
                ForwardPass.of(coarse.planned()));
    }

    static MeetingSolution of(Meeting meeting, Glance glance) {
        return new MeetingSolution(
                meeting,
                glance.natural(),
                glance.planned(),
                glance.answered(),
                ForwardPass.of(glance.natural()),
                ForwardPass.of(glance.planned()));
    }

    /** Win chance when each answers the other as well as can be: the cautious figure. Takes as long as a solution. */
    public double cautious() {
        BackwardInduction p = planned.programme();
        Constraints wishes = meeting.question().wishes();
        return p.win(p.policy(BackwardInduction.Answer.ALWAYS, wishes), BackwardInduction.Answer.ALWAYS);
    }

    /** Win chances alone, in longer steps: what dials and what-ifs ask for. */
    public record Glance(Solution natural, Solution planned, Solution answered) {
        static Glance of(Meeting meeting, SolverSettings settings) {
            Constraints wishes = meeting.question().wishes();
            Solution natural = new BackwardInduction(meeting.model(), settings).natural();
            BackwardInduction programme = new BackwardInduction(meeting.model().without(wishes.barred()), settings);
            Solution answered = programme.best(BackwardInduction.Answer.BEHIND, wishes);
            Solution planned = programme.worth(answered.policy(), BackwardInduction.Answer.NEVER);
            return new Glance(natural, planned, answered);
        }
    }
}
