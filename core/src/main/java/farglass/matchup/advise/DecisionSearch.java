package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Looks for the decisions of one meeting. What the best policy does somewhere is laid out by what it brings to first
 * order ({@link farglass.matchup.solve.ForwardPass#worth}), the most first; a later one may overrule an earlier one at
 * some scores and times. What is found so is valued exactly, by solving the match with and without it.
 */
final class DecisionSearch {
    /** Decisions that are valued exactly. */
    private static final int LOOKED_AT = 10;
    /** What is worth less than this share of what is needed is dropped at once. */
    private static final double FAR = 0.5;

    /** Tries of which none worked: no coach would decide on that. */
    private static final double NEVER = 4;

    private static final double MOSTLY = 0.5;

    private final MeetingSolution solved;
    private final BackwardInduction programme;
    private final Set<String> fixed;

    DecisionSearch(MeetingSolution solved) {
        this.solved = solved;
        Constraints wishes = solved.meeting().question().wishes();
        this.programme = new BackwardInduction(
                solved.meeting().model().without(wishes.barred()),
                solved.meeting().question().settings().coarse());
        this.fixed = wishes.fixed().keySet();
    }

    private record Moment(ModelState place, Region region) {}

    /** Win chance without a decision. */
    double natural() {
        return programme.win(null, Answer.NEVER);
    }

    /** Whether the user wants it so. */
    boolean fixed(Decision d) {
        return d.places().stream().anyMatch(place -> fixed.contains(place.key()));
    }

    /** What may be worth a decision, the most promising first. */
    List<Decision> candidates() {
        List<Decision> all = new ArrayList<>();
        Map<Option, List<ModelState>> taken = new LinkedHashMap<>();
        for (ModelState place : solved.flow().states()) {
            for (Option o : solved.flow().taken(place).keySet()) {
                if (o.kind() == Option.Kind.NATURAL || !works(place, o)) {
                    continue;
                }
                if (fixed.contains(place.key())) {
                    all.add(Decision.always(place, o));
                } else {
                    taken.computeIfAbsent(o, k -> new ArrayList<>()).add(place);
                }
            }
        }
        Map<Moment, Double> now = new HashMap<>();
        while (all.size() < LOOKED_AT) {
            Decision best = best(taken, now);
            if (best == null) {
                break;
            }
            best.places()
                    .forEach(p -> best.regions().forEach(r -> now.put(new Moment(p, r), first(p, r, best.option()))));
            all.add(best);
            taken.remove(best.option());
        }
        return all;
    }

    /** Whether film does not speak against it: tried there by us and by others against them, and never worked. */
    private boolean works(ModelState place, Option o) {
        if (o.kind() != Option.Kind.PRESS || fixed.contains(place.key())) {
            return true;
        }
        Meeting meeting = solved.meeting();
        double[] sum = meeting.faced(place.paid(false), true, String.valueOf(o.technique()));
        for (Exit e : meeting.model().exits(place.paid(false), true)) {
            if (Objects.equals(e.technique(), o.technique())) {
                sum[0] += e.basis().worked();
                sum[1] += e.basis().decided();
            }
        }
        return sum[0] > 0 || sum[1] < NEVER;
    }

    /**
     * What brings the most beside what is decided already; null when nothing brings anything.
     *
     * @param taken where the policy takes an option
     * @param now what is decided brings
     */
    private @Nullable Decision best(Map<Option, List<ModelState>> taken, Map<Moment, Double> now) {
        Decision best = null;
        double most = 0;
        for (Map.Entry<Option, List<ModelState>> e : taken.entrySet()) {
            Option o = e.getKey();
            DecisionShape.Worth more = (p, r) -> first(p, r, o) - now.getOrDefault(new Moment(p, r), 0.0);
            Decision d = DecisionShape.of(e.getValue(), o, more);
            double sum = d.places().stream()
                    .mapToDouble(p ->
                            d.regions().stream().mapToDouble(r -> more.of(p, r)).sum())
                    .sum();
            if (sum > most) {
                most = sum;
                best = d;
            }
        }
        return best;
    }

    /** Where the policy mostly does something else, no good is expected of it. */
    private double first(ModelState place, Region r, Option o) {
        double worth = solved.naturalFlow().worth(place, r, o);
        return solved.flow().taken(place, r, o) >= MOSTLY ? worth : Math.min(0, worth);
    }

    /** At most so many, each worth so much beside the others, also against an opponent who answers. */
    List<Decision> worthwhile(List<Decision> candidates, int most, double least) {
        List<Decision> all = dropped(candidates, most, least);
        double[] answered = leftOut(all, Answer.BEHIND);
        List<Decision> robust = IntStream.range(0, all.size())
                .filter(i -> answered[0] > answered[i + 1] || fixed(all.get(i)))
                .mapToObj(all::get)
                .toList();
        return robust.size() == all.size() ? all : dropped(robust, most, least);
    }

    private List<Decision> dropped(List<Decision> candidates, int most, double least) {
        List<Decision> all = candidates;
        while (true) {
            List<Decision> kept = kept(all, leftOut(all, Answer.NEVER), most, least);
            if (kept.size() == all.size()) {
                return all;
            }
            all = kept;
        }
    }

    /**
     * Without those that are worth too little, in one go where they are far below: what is left out makes others worth
     * more, seldom by as much again. What the user fixed stays.
     */
    private List<Decision> kept(List<Decision> all, double[] wins, int most, double least) {
        List<Integer> order = IntStream.range(0, all.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> wins[i + 1]))
                .toList();
        double worst = order.isEmpty() ? 0 : wins[0] - wins[order.get(order.size() - 1) + 1];
        double limit = worst < FAR * least ? FAR * least : least;
        Set<Decision> kept = new HashSet<>();
        for (int i : order) {
            boolean wanted = kept.size() < most && wins[0] - wins[i + 1] >= limit;
            if (wanted || fixed(all.get(i))) {
                kept.add(all.get(i));
            }
        }
        return all.stream().filter(kept::contains).toList();
    }

    /** The win chance with all decisions, then without each of them. */
    double[] leftOut(List<Decision> all, Answer answer) {
        return leftOut(programme, all, answer);
    }

    static double[] leftOut(BackwardInduction p, List<Decision> all, Answer answer) {
        return IntStream.rangeClosed(0, all.size())
                .parallel()
                .mapToDouble(i -> {
                    List<Decision> others = new ArrayList<>(all);
                    if (i > 0) {
                        others.remove(i - 1);
                    }
                    return p.win(Decisions.policy(p, others), answer);
                })
                .toArray();
    }
}
