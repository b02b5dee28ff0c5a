package farglass.camp;

import farglass.matchup.advise.Meeting;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.solve.Constraints;
import farglass.stats.Estimate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How well a skill stands, from matches and, discounted, from training: Beta(1/2 + successes, 1/2 + failures), each try
 * in training counting as so much of one in a match (a power prior; Ibrahim and Chen 2000).
 *
 * @param worked in matches, of an action of theirs: stopped; weighted
 * @param tries in matches, weighted
 * @param trained successes in training, unweighted
 * @param trainedTries in training, unweighted
 * @param mean share that works, or is stopped
 * @param lo, hi 90 % interval
 */
public record Readiness(double worked, double tries, int trained, int trainedTries, double mean, double lo, double hi) {
    private static final double HALF = 0.5;
    /** Tries that a figure of the model is worth against what training shows. */
    private static final double MODEL_TRIES = 8;

    /** How ready a skill is, by what training has shown. */
    public static Readiness of(Skill skill, Meeting meeting, Camp camp) {
        double worked = 0;
        double tries = 0;
        for (Exit e : meeting.model().exits()) {
            if (e.ours() == skill.ours() && skill.technique().equals(e.technique())) {
                worked += skill.ours()
                        ? e.basis().worked()
                        : e.basis().decided() - e.basis().worked();
                tries += e.basis().decided();
            }
        }
        int[] trained = trained(skill, camp);
        double a = HALF + worked + camp.discount() * trained[0];
        double b = HALF + tries - worked + camp.discount() * (trained[1] - trained[0]);
        BetaDistribution beta = BetaDistribution.of(a, b);
        return new Readiness(
                worked,
                tries,
                trained[0],
                trained[1],
                a / (a + b),
                beta.inverseCumulativeProbability(Estimate.LOWER),
                beta.inverseCumulativeProbability(Estimate.UPPER));
    }

    private static int[] trained(Skill skill, Camp camp) {
        int[] sum = new int[2];
        for (Logged l : camp.log()) {
            if (l.skill().equals(skill.key())) {
                sum[0] += l.successes();
                sum[1] += l.tries();
            }
        }
        return sum;
    }

    /**
     * The wishes of a plan with every success chance that training has spoken to moved toward what it showed. A figure
     * the user set stays his.
     *
     * @param reason why, for the plan's list of figures set by hand
     */
    public static Constraints trained(List<Skill> skills, Meeting meeting, Camp camp, String reason) {
        Constraints w = meeting.question().wishes();
        List<Correction> corrections = new ArrayList<>(w.corrections());
        for (Skill s : skills) {
            int[] n = trained(s, camp);
            if (n[1] == 0) {
                continue;
            }
            double shown = camp.discount() * (s.ours() ? n[0] : n[1] - n[0]);
            double all = camp.discount() * n[1];
            for (Exit e : meeting.model().exits()) {
                boolean same = e.ours() == s.ours() && s.technique().equals(e.technique());
                if (same && corrections.stream().noneMatch(c -> c.exit().equals(e.key()))) {
                    double chance = (e.chance() * MODEL_TRIES + shown) / (MODEL_TRIES + all);
                    corrections.add(new Correction(e.key(), null, chance, reason));
                }
            }
        }
        return new Constraints(w.barred(), w.allowed(), w.fixed(), corrections);
    }
}
