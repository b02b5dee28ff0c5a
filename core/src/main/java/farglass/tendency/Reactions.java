package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Corner;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Estimate;
import farglass.stats.FalseDiscovery;
import farglass.stats.Median;
import farglass.stats.OddsRatio;
import farglass.stats.Proportion;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * When the other does this, what does the athlete do? For every trigger the distribution of the answers
 * (Dirichlet-multinomial, prior from the other athletes' answers to the same trigger), how soon, and how often the
 * trigger worked all the same. Counts and intervals describe; whether an answer belongs to its trigger is inferred: it
 * is more than chance where it follows this trigger more often than the athlete's other triggers, as a log odds ratio
 * at a false discovery rate of 10 % over all answers asked for.
 */
public final class Reactions {
    private static final int TRIGGERS = 3;
    private static final double FALSE = 0.10;
    /** Triggers of one kind, and of all others, below which chance is not asked for. */
    private static final int FAIR = 5;

    private static final String NONE = "none";

    private Reactions() {}

    /**
     * One answer.
     *
     * @param answer a technique, {@code =} and a coded answer, or {@code none}
     * @param share of all triggers; the trials are the triggers
     * @param conceded how often the trigger worked when this was the answer
     * @param moreThanChance whether it belongs to this trigger
     */
    public record Answer(
            String answer,
            Estimate share,
            List<Trial> trials,
            Estimate conceded,
            List<Trial> results,
            boolean moreThanChance) {}

    /**
     * Everything that answered one trigger.
     *
     * @param medianDelayMs over the answers that are actions; NaN without any
     */
    public record Row(String trigger, int count, List<Answer> answers, double medianDelayMs) {}

    private record Seen(Evidence.Seen match, Reaction reaction) {}

    /**
     * @param own true for what the athlete answers to the others' attempts, false for what they answer to the athlete's
     * @param most number of triggers wanted
     * @return triggers seen at least 3 times, most frequent first
     */
    public static List<Row> of(Evidence evidence, boolean own, int most, long seed) {
        Map<String, List<Seen>> byTrigger = new TreeMap<>();
        for (Evidence.Seen seen : evidence.matches()) {
            Corner reacting = own ? seen.corner() : seen.corner().other();
            for (Reaction r : seen.facts().reactions(reacting)) {
                if (seen.counts(r.trigger().action().t())) {
                    byTrigger
                            .computeIfAbsent(r.trigger().action().technique(), k -> new ArrayList<>())
                            .add(new Seen(seen, r));
                }
            }
        }
        double rho = rho(byTrigger.values());
        Map<String, Set<String>> sure = particular(byTrigger, rho);
        return byTrigger.entrySet().stream()
                .filter(e -> e.getValue().size() >= TRIGGERS)
                .sorted(Comparator.comparingInt((Map.Entry<String, List<Seen>> e) ->
                                e.getValue().size())
                        .reversed()
                        .thenComparing(Map.Entry::getKey))
                .limit(most)
                .map(e -> row(evidence, e.getKey(), e.getValue(), sure.getOrDefault(e.getKey(), Set.of()), rho, seed))
                .toList();
    }

    /** How alike the answers of one match are, over all triggers together. */
    private static double rho(Collection<List<Seen>> byTrigger) {
        List<List<BetaPrior.Counts>> groups = new ArrayList<>();
        for (List<Seen> list : byTrigger) {
            groups.addAll(Clustering.categories(
                    list,
                    s -> s.match().record().id(),
                    s -> String.valueOf(s.reaction().answer())));
        }
        return Clustering.rho(groups);
    }

    /**
     * By trigger the answers that follow it more often than the other triggers, beyond chance. Counts are divided by
     * the design effect 1 + (m - 1) rho, m answers to a trigger in a match (Kish 1965).
     */
    private static Map<String, Set<String>> particular(Map<String, List<Seen>> byTrigger, double rho) {
        double effect = 1 + (perMatch(byTrigger.values()) - 1) * rho;
        Map<String, Integer> everywhere = new TreeMap<>();
        byTrigger.values().forEach(list -> list.forEach(s -> everywhere.merge(answer(s), 1, Integer::sum)));
        int all = byTrigger.values().stream().mapToInt(List::size).sum();
        List<Asked> asked = new ArrayList<>();
        byTrigger.forEach((trigger, list) -> {
            int n = list.size();
            if (n >= FAIR && all - n >= FAIR) {
                Map<String, Integer> here = new TreeMap<>();
                list.forEach(s -> here.merge(answer(s), 1, Integer::sum));
                here.remove(NONE);
                here.forEach((answer, x) -> {
                    int elsewhere = requireNonNull(everywhere.get(answer)) - x;
                    asked.add(new Asked(
                            trigger,
                            answer,
                            OddsRatio.of(
                                    x / effect, (n - x) / effect, elsewhere / effect, (all - n - elsewhere) / effect)));
                });
            }
        });
        double[] q = FalseDiscovery.adjusted(
                asked.stream().mapToDouble(a -> a.odds().p()).toArray());
        Map<String, Set<String>> sure = new TreeMap<>();
        for (int i = 0; i < q.length; i++) {
            Asked a = asked.get(i);
            if (q[i] <= FALSE && a.odds().log() > 0) {
                sure.computeIfAbsent(a.trigger(), k -> new TreeSet<>()).add(a.answer());
            }
        }
        return sure;
    }

    /** Answers to one trigger in one match that has any, on average. */
    private static double perMatch(Collection<List<Seen>> byTrigger) {
        long groups = byTrigger.stream()
                .mapToLong(list -> list.stream()
                        .map(s -> s.match().record().id())
                        .distinct()
                        .count())
                .sum();
        return groups == 0
                ? 1
                : (double) byTrigger.stream().mapToInt(List::size).sum() / groups;
    }

    private record Asked(String trigger, String answer, OddsRatio odds) {}

    private static String answer(Seen s) {
        return requireNonNull(s.reaction().answer());
    }

    private static Row row(
            Evidence evidence, String trigger, List<Seen> seen, Set<String> sure, double rho, long seed) {
        Map<String, Integer> counts = new TreeMap<>();
        seen.forEach(s -> counts.merge(s.reaction().answer(), 1, Integer::sum));
        List<String> answers = new ArrayList<>(counts.keySet());
        List<BetaPrior> priors = priors(evidence, trigger, answers);
        List<Answer> rows = new ArrayList<>();
        for (int i = 0; i < answers.size(); i++) {
            String answer = answers.get(i);
            List<Trial> trials = seen.stream()
                    .map(s -> s.match()
                            .trial(
                                    s.reaction().trigger().index(),
                                    requireNonNull(s.reaction().answer()).equals(answer)))
                    .toList();
            List<Trial> results = seen.stream()
                    .filter(s -> requireNonNull(s.reaction().answer()).equals(answer))
                    .filter(s -> Evidence.outcomeSeen(s.reaction().trigger().action()))
                    .map(s -> s.match()
                            .trial(
                                    s.reaction().trigger().index(),
                                    s.reaction().trigger().action().completed()))
                    .toList();
            long stream = seed + (trigger + answer).hashCode();
            rows.add(new Answer(
                    answer,
                    Proportion.of(trials, priors.get(i), rho, stream),
                    trials,
                    Proportion.of(results, BetaPrior.jeffreys(), Clustering.DEFAULT_RHO, stream + 1),
                    results,
                    sure.contains(answer)));
        }
        rows.sort(Comparator.comparingDouble((Answer a) -> a.share().x())
                .reversed()
                .thenComparing(Answer::answer));
        double delay = Median.of(seen.stream()
                .mapToLong(s -> s.reaction().delayMs())
                .filter(d -> d >= 0)
                .toArray());
        return new Row(trigger, seen.size(), rows, delay);
    }

    /** The other athletes' answers to the same trigger, one row of counts each. */
    private static List<BetaPrior> priors(Evidence evidence, String trigger, List<String> answers) {
        if (!evidence.filter().baseline()) {
            return BetaPrior.row(List.of(), answers.size());
        }
        return evidence.index().baseline(evidence.filter()).answers(trigger, answers, evidence.athlete());
    }
}
