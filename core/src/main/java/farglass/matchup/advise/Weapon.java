package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.solve.ForwardPass;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What the opponent does that costs our athlete most.
 *
 * @param technique that the opponent has shown
 * @param costs win chance that a tenth less of it, in how often and how surely, is worth to us
 * @param exits ways out of a place in which it is tried, those that cost most first
 */
public record Weapon(String technique, double costs, List<Exit> exits) {
    private static final int TOLD = 5;
    /** Tries that must be seen. */
    private static final int SEEN = 2;

    public Weapon {
        exits = List.copyOf(exits);
    }

    /** The tries that were seen. */
    public List<TagRef> tags() {
        return exits.stream().flatMap(e -> e.basis().tags().stream()).distinct().toList();
    }

    /** Tries whose outcome was seen, weighted. */
    public double decided() {
        return exits.stream().mapToDouble(e -> e.basis().decided()).sum();
    }

    /** Of those, what worked. */
    public double worked() {
        return exits.stream().mapToDouble(e -> e.basis().worked()).sum();
    }

    /** What costs most first, when both fight their own game. */
    static List<Weapon> of(MeetingSolution solved) {
        Map<String, Double> costs = new LinkedHashMap<>();
        Map<String, List<Exit>> exits = new LinkedHashMap<>();
        solved.naturalFlow().leverage().stream()
                .filter(l -> !l.exit().ours() && l.exit().technique() != null && Bracket.gain(l) > 0)
                .sorted(Comparator.comparingDouble((ForwardPass.Leverage l) -> -Bracket.gain(l)))
                .forEach(l -> {
                    String t = String.valueOf(l.exit().technique());
                    costs.merge(t, Bracket.gain(l), Double::sum);
                    exits.computeIfAbsent(t, k -> new ArrayList<>()).add(l.exit());
                });
        return costs.entrySet().stream()
                .map(e -> new Weapon(e.getKey(), e.getValue(), exits.getOrDefault(e.getKey(), List.of())))
                .filter(w -> w.tags().size() >= SEEN)
                .sorted(Comparator.comparingDouble(Weapon::costs).reversed())
                .limit(TOLD)
                .toList();
    }
}
