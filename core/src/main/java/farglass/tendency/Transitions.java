package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Estimate;
import farglass.stats.Proportion;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What comes next: for every place and role, where the span led and by what. Each category's posterior is the marginal
 * of a Dirichlet-multinomial whose prior is the other athletes' row (Gelman et al., Bayesian Data Analysis, ch. 5).
 * Censored spans are left out.
 */
public final class Transitions {
    private Transitions() {}

    /**
     * @param by {@code self}, {@code other}, or null when no action was tagged
     * @param technique null when no action was tagged
     * @param toRole the athlete's role there
     * @param estimate share among all uncensored exits from this place and role
     * @param trials one per exit; those that led here worked
     */
    public record Row(
            String from,
            Role role,
            String to,
            Role toRole,
            @Nullable String by,
            @Nullable String technique,
            Estimate estimate,
            List<Trial> trials) {}

    private record Exit(Evidence.Seen seen, Transition transition) {}

    /** One row for every situation and what came next. */
    public static List<Row> of(Evidence evidence) {
        Map<Situation, List<Exit>> exits = new TreeMap<>();
        for (Evidence.Seen seen : evidence.matches()) {
            seen.facts().transitions(seen.corner()).forEach((stand, list) -> {
                for (Transition t : list) {
                    if (seen.counts(t.span().from())) {
                        exits.computeIfAbsent(stand, k -> new ArrayList<>()).add(new Exit(seen, t));
                    }
                }
            });
        }
        double rho = rho(exits.values());
        return exits.entrySet().parallelStream()
                .flatMap(e -> rows(evidence, e.getKey(), e.getValue(), rho).stream())
                .toList();
    }

    /** How alike the exits of one match are, over all places together. */
    private static double rho(Collection<List<Exit>> exits) {
        List<List<BetaPrior.Counts>> groups = new ArrayList<>();
        for (List<Exit> list : exits) {
            groups.addAll(Clustering.categories(
                    list, e -> e.seen().record().id(), e -> e.transition().category()));
        }
        return Clustering.rho(groups);
    }

    private static List<Row> rows(Evidence evidence, Situation stand, List<Exit> exits, double rho) {
        Map<String, Exit> categories = new LinkedHashMap<>();
        exits.forEach(e -> categories.putIfAbsent(e.transition().category(), e));
        List<String> names = new ArrayList<>(categories.keySet());
        List<BetaPrior> priors = priors(evidence, stand, names);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            String category = names.get(i);
            Exit example = categories.get(category);
            List<Trial> trials = exits.stream()
                    .map(e -> e.seen()
                            .trial(
                                    e.transition().span().tag(),
                                    e.transition().category().equals(category)))
                    .toList();
            rows.add(new Row(
                    stand.position(),
                    stand.role(),
                    requireNonNull(example).transition().to(),
                    example.transition().toRole(),
                    example.transition().by(),
                    example.transition().technique(),
                    Proportion.of(trials, priors.get(i), rho, category.hashCode()),
                    trials));
        }
        return rows;
    }

    private static List<BetaPrior> priors(Evidence evidence, Situation stand, List<String> categories) {
        if (!evidence.filter().baseline()) {
            return BetaPrior.row(List.of(), categories.size());
        }
        return evidence.index().baseline(evidence.filter()).exits(stand, categories, evidence.athlete());
    }
}
