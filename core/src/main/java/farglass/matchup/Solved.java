package farglass.matchup;

/**
 * A meeting with its best plan.
 *
 * @param natural both keep to what comes naturally: the headline
 * @param planned our plan, the other keeps to his natural mix
 * @param answered our plan, the other may press or hold while he is behind
 * @param naturalFlow where the match goes without a plan
 * @param flow where it goes with it
 */
public record Solved(
        Meeting meeting, Solution natural, Solution planned, Solution answered, Flow naturalFlow, Flow flow) {
    static Solved of(Meeting meeting) {
        Settings settings = meeting.question().settings();
        Glance fine = Glance.of(meeting, settings);
        Glance coarse = settings.coarse().equals(settings) ? fine : Glance.of(meeting, settings.coarse());
        return new Solved(
                meeting,
                fine.natural(),
                fine.planned(),
                fine.answered(),
                Flow.of(coarse.natural()),
                Flow.of(coarse.planned()));
    }

    static Solved of(Meeting meeting, Glance glance) {
        return new Solved(
                meeting,
                glance.natural(),
                glance.planned(),
                glance.answered(),
                Flow.of(glance.natural()),
                Flow.of(glance.planned()));
    }

    /** Win chance when each answers the other as well as can be: the cautious figure. Takes as long as a solution. */
    public double cautious() {
        Programme p = planned.programme();
        Wishes wishes = meeting.question().wishes();
        return p.win(p.policy(Programme.Answer.ALWAYS, wishes), Programme.Answer.ALWAYS);
    }

    /** Win chances alone, in longer steps: what dials and what-ifs ask for. */
    public record Glance(Solution natural, Solution planned, Solution answered) {
        static Glance of(Meeting meeting, Settings settings) {
            Wishes wishes = meeting.question().wishes();
            Solution natural = new Programme(meeting.model(), settings).natural();
            Programme programme = new Programme(meeting.model().without(wishes.barred()), settings);
            Solution answered = programme.best(Programme.Answer.BEHIND, wishes);
            Solution planned = programme.worth(answered.policy(), Programme.Answer.NEVER);
            return new Glance(natural, planned, answered);
        }
    }
}
