package farglass.camp;

import java.util.List;

/**
 * Everything two people need to know for a round of one skill.
 *
 * @param start where it begins, and who is where
 * @param grips the opponent's usual grips there
 * @param goal of our athlete
 * @param partnerGoal of the partner
 * @param brief how to imitate the opponent, from film
 * @param check a question to ask oneself after the round
 * @param wrong the usual wrong version
 * @param danger joint or neck in danger, and how
 * @param stop when to stop
 * @param log what to write down
 */
public record Card(
        Skill skill,
        String title,
        String start,
        String grips,
        String goal,
        String partnerGoal,
        String brief,
        List<Step> steps,
        String check,
        String wrong,
        String danger,
        String stop,
        String log) {
    public Card {
        steps = List.copyOf(steps);
    }

    /** What to do, and why. */
    public record Step(String what, String why) {}
}
