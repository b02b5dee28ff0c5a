package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.solve.ForwardPass;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the opponent does more, or better, than others do in the same places, and what that costs our athlete: the win
 * chance that is lost to first order because its rate and its chance are not the usual ones. The slopes are those of
 * {@link ForwardPass.Leverage}, against the logarithms of rate and chance. Told first is what is both unusual and
 * weighs much, by the geometric mean of the two: of planted weapons those that cost half a point or more were so among
 * the first five more often than by either alone.
 *
 * @param technique that the opponent has shown
 * @param costs win chance lost by what is more than usual; above 0
 * @param tenth win chance that a tenth less of it, in how often and how surely, is worth to us
 * @param exits ways out of a place in which it is tried, those that cost most first
 */
public record Weapon(String technique, double costs, double tenth, List<Exit> exits) {
    private static final int TOLD = 5;
    /** What a coach calls a weapon: to get out or back to guard is none. */
    private static final Set<String> ATTACKS =
            Set.of("takedown", "sweep", "reversal", "pass", "pin-advance", "back-take", "submission");
    /** Tries that must be seen. */
    private static final int SEEN = 2;
    /** A rate or chance is told from the usual one up to this factor's logarithm. */
    private static final double FAR = 2;
    /** Leverage is for a tenth more. */
    private static final double TENTH = Math.log(1.1);

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

    private record Costly(Exit exit, double costs, double tenth) {
        double weight() {
            return Math.sqrt(costs * tenth);
        }
    }

    private record Ranked(Weapon weapon, double weight) {}

    /** The worst first, when both fight their own game. */
    static List<Weapon> of(MeetingSolution solved) {
        Map<String, List<Costly>> all = new LinkedHashMap<>();
        for (ForwardPass.Leverage l : solved.naturalFlow().leverage()) {
            Exit e = l.exit();
            if (!e.ours() && e.technique() != null && ATTACKS.contains(e.family())) {
                double costs = costs(l, solved.meeting());
                if (costs > 0 && !e.basis().tags().isEmpty()) {
                    all.computeIfAbsent(e.technique(), k -> new ArrayList<>())
                            .add(new Costly(e, costs, Bracket.gain(l)));
                }
            }
        }
        return all.entrySet().stream()
                .map(x -> ranked(x.getKey(), x.getValue()))
                .filter(r -> r.weapon().tags().size() >= SEEN && r.weight() > 0)
                .sorted(Comparator.comparingDouble((Ranked r) -> -r.weight()))
                .limit(TOLD)
                .map(Ranked::weapon)
                .toList();
    }

    private static Ranked ranked(String technique, List<Costly> ways) {
        List<Costly> order = new ArrayList<>(ways);
        order.sort(Comparator.comparingDouble((Costly c) -> -c.weight()));
        return new Ranked(
                new Weapon(
                        technique,
                        order.stream().mapToDouble(Costly::costs).sum(),
                        order.stream().mapToDouble(Costly::tenth).sum(),
                        order.stream().map(Costly::exit).toList()),
                order.stream().mapToDouble(Costly::weight).sum());
    }

    /** What is lost because a way out is not as usual, win chance; below 0 where less of it is done. */
    private static double costs(ForwardPass.Leverage l, Meeting meeting) {
        Exit e = l.exit();
        double[] usual = meeting.usual(e.from(), false, String.valueOf(e.technique()));
        double rate = usual == null ? FAR : far(Math.log(e.rate() / usual[0]));
        double chance = usual == null ? 0 : far(Math.log(e.chance() / usual[1]));
        return -(l.rate10() * rate + l.chance10() * chance) / TENTH;
    }

    private static double far(double x) {
        return Math.max(-FAR, Math.min(FAR, x));
    }
}
