package farglass.matchup.advise;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.ModelState;
import farglass.matchup.solve.ForwardPass;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * Several likely opponents at once: what helps against all of them, each weighted by the chance to meet him, and what
 * is only for one.
 *
 * @param skills by what they bring in all, the most first
 */
public record Bracket(List<Opponent> opponents, List<Skill> skills) {
    /** A skill of which one opponent makes so much of the worth is his alone. */
    private static final double ALONE = 0.8;

    public Bracket {
        opponents = List.copyOf(opponents);
        skills = List.copyOf(skills);
    }

    /**
     * @param chance to meet him, 0..1
     * @param solved null when there is too little film
     * @param range of the win chance with the plan; null before draws were made
     */
    public record Opponent(
            String id, double chance, @Nullable MeetingSolution solved, Uncertainty.@Nullable Range range) {}

    /**
     * Something that can be trained: doing a technique of ours a tenth more often and a tenth more surely, or letting a
     * technique of theirs be done a tenth less.
     *
     * @param ours whether it is our attempt; else it is what we defend
     * @param worth win chance that it brings, summed over the opponents by their chances
     * @param against win chance that it brings against each, by id, before it is weighted
     * @param alone id of the only opponent it is for; null when it serves several
     * @param places where it is used, the most valuable first
     */
    public record Skill(
            String technique,
            boolean ours,
            double worth,
            Map<String, Double> against,
            @Nullable String alone,
            List<ModelState> places) {
        public Skill {
            against = Map.copyOf(against);
            places = List.copyOf(places);
        }
    }

    /** What is trained, ours before theirs. */
    private record Kind(boolean ours, String technique) implements Comparable<Kind> {
        @Override
        public int compareTo(Kind other) {
            int byWhose = Boolean.compare(other.ours, ours);
            return byWhose != 0 ? byWhose : technique.compareTo(other.technique);
        }
    }

    /** What serves against all likely opponents, weighed by the chance to meet them. */
    public static Bracket of(List<Opponent> opponents) {
        Map<Kind, Map<String, Double>> worths = new TreeMap<>();
        Map<Kind, Map<ModelState, Double>> places = new TreeMap<>();
        for (Opponent o : opponents) {
            if (o.solved() == null) {
                continue;
            }
            for (ForwardPass.Leverage l : o.solved().flow().leverage()) {
                double worth = gain(l);
                Kind key = new Kind(l.exit().ours(), String.valueOf(l.exit().technique()));
                worths.computeIfAbsent(key, k -> new LinkedHashMap<>()).merge(o.id(), worth, Double::sum);
                places.computeIfAbsent(key, k -> new LinkedHashMap<>())
                        .merge(l.exit().from().paid(false), o.chance() * worth, Double::sum);
            }
        }
        List<Skill> skills = new ArrayList<>();
        for (Map.Entry<Kind, Map<String, Double>> e : worths.entrySet()) {
            Skill s = skill(e.getKey(), e.getValue(), requireNonNull(places.get(e.getKey())), opponents);
            if (s.worth() > 0) {
                skills.add(s);
            }
        }
        skills.sort(Comparator.comparingDouble((Skill s) -> -s.worth()));
        return new Bracket(opponents, skills);
    }

    /** What a tenth more of ours, or a tenth less of theirs, brings; what would harm is simply not trained. */
    public static double gain(ForwardPass.Leverage l) {
        double sign = l.exit().ours() ? 1 : -1;
        return Math.max(0, sign * l.rate10()) + Math.max(0, sign * l.chance10());
    }

    private static Skill skill(
            Kind key, Map<String, Double> against, Map<ModelState, Double> places, List<Opponent> opponents) {
        double sum = 0;
        double most = 0;
        String best = null;
        for (Opponent o : opponents) {
            double worth = o.chance() * against.getOrDefault(o.id(), 0.0);
            sum += worth;
            if (worth > most) {
                most = worth;
                best = o.id();
            }
        }
        boolean several = opponents.stream().filter(o -> o.solved() != null).count() > 1;
        List<ModelState> where = places.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .sorted(Map.Entry.<ModelState, Double>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        return new Skill(
                key.technique(), key.ours(), sum, against, several && most >= ALONE * sum ? best : null, where);
    }

    /**
     * How well the chance to win whoever comes with the plan is known, as if all that is not known of one opponent were
     * not known of the others alike: the widest it can be. NaN when nobody can be judged.
     */
    public Uncertainty.Range range() {
        double lo = 0;
        double hi = 0;
        double chances = 0;
        for (Opponent o : opponents) {
            if (o.range() != null) {
                lo += o.chance() * o.range().lo();
                hi += o.chance() * o.range().hi();
                chances += o.chance();
            }
        }
        return new Uncertainty.Range(win(true), lo / chances, hi / chances);
    }

    /** Chance to win whoever comes, of those who can be judged; NaN when nobody can. */
    public double win(boolean planned) {
        double sum = 0;
        double chances = 0;
        for (Opponent o : opponents) {
            if (o.solved() != null) {
                sum += o.chance()
                        * (planned
                                ? o.solved().planned().win()
                                : o.solved().natural().win());
                chances += o.chance();
            }
        }
        return chances == 0 ? Double.NaN : sum / chances;
    }
}
