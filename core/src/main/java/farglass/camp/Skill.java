package farglass.camp;

import farglass.matchup.advise.Bracket;
import farglass.matchup.model.ModelState;
import java.util.List;

/**
 * Something to train: an action of ours, or stopping one of theirs.
 *
 * @param worth win chance that a tenth more of ours, or a tenth less of theirs, brings
 * @param places where it is used, the most valuable first
 */
public record Skill(String technique, boolean ours, double worth, List<ModelState> places) {
    public Skill {
        places = List.copyOf(places);
    }

    static Skill of(Bracket.Skill s) {
        return new Skill(s.technique(), s.ours(), s.worth(), s.places());
    }

    /** The skills of a bracket, the most valuable first. */
    public static List<Skill> of(Bracket b, int most) {
        return b.skills().stream().limit(most).map(Skill::of).toList();
    }

    /** {@code +} and the technique for ours, {@code -} for stopping theirs. */
    public String key() {
        return (ours ? "+" : "-") + technique;
    }
}
