package farglass.camp;

import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Proposal;
import farglass.matchup.advise.Weapon;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Something to train: an action of ours, or stopping one of theirs.
 *
 * @param worth win chance that a tenth more of ours, or a tenth less of theirs, brings; of a decision at least what the
 * plan loses without it
 * @param places where it is used, the most valuable first
 * @param serves the decision of the plan that needs it, or the weapon that it is to stop, in words; empty for neither
 */
public record Skill(String technique, boolean ours, double worth, List<ModelState> places, String serves) {
    public Skill {
        places = List.copyOf(places);
    }

    /** One that no line of the plan names. */
    public Skill(String technique, boolean ours, double worth, List<ModelState> places) {
        this(technique, ours, worth, places, "");
    }

    static Skill of(Bracket.Skill s) {
        return new Skill(s.technique(), s.ours(), s.worth(), s.places());
    }

    /** The skills of a bracket, the most valuable first. */
    public static List<Skill> of(Bracket b, int most) {
        return b.skills().stream().limit(most).map(Skill::of).toList();
    }

    /** The skills of one match-up: what the plan decides and the weapons it meets before all others. */
    public static List<Skill> of(Proposal p, DecisionWriter words, int most) {
        String them = p.solved().meeting().question().them();
        Bracket bracket = Bracket.of(List.of(new Bracket.Opponent(them, 1, p.solved(), null)));
        Map<String, Skill> named = new LinkedHashMap<>();
        for (Decisions.Valued v : p.decisions().valued()) {
            Decision d = v.decision();
            if (d.option().kind() == Option.Kind.PRESS) {
                named(
                        named,
                        new Skill(
                                String.valueOf(d.option().technique()),
                                true,
                                v.worth(),
                                d.places(),
                                words.sentence(d)));
            }
        }
        for (Weapon w : p.weapons()) {
            List<ModelState> from =
                    w.exits().stream().map(Exit::from).distinct().toList();
            named(named, new Skill(w.technique(), false, w.tenth(), from, words.threat(w)));
        }
        List<Skill> all = new ArrayList<>();
        for (Bracket.Skill b : bracket.skills()) {
            Skill s = of(b);
            Skill line = named.remove(s.key());
            all.add(line == null ? s : line.with(s));
        }
        all.addAll(named.values());
        all.sort(Comparator.comparing((Skill s) -> s.serves().isEmpty())
                .thenComparing(Skill::worth, Comparator.reverseOrder()));
        List<Skill> kept = new ArrayList<>(all.subList(0, Math.min(most, all.size())));
        kept.sort(Comparator.comparingDouble(Skill::worth).reversed());
        return List.copyOf(kept);
    }

    /** Of two decisions that need the same the one that brings more names it. */
    private static void named(Map<String, Skill> all, Skill s) {
        all.merge(s.key(), s, (a, b) -> a.worth() >= b.worth() ? a : b);
    }

    /** The same with what leverage says of it, which may be more and in other places too. */
    private Skill with(Skill bracket) {
        return new Skill(
                technique,
                ours,
                Math.max(worth, bracket.worth),
                Stream.concat(places.stream(), bracket.places.stream())
                        .distinct()
                        .toList(),
                serves);
    }

    /** {@code +} and the technique for ours, {@code -} for stopping theirs. */
    public String key() {
        return (ours ? "+" : "-") + technique;
    }
}
