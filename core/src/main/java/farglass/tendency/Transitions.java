package farglass.tendency;

import farglass.match.Span;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Estimate;
import farglass.stats.Proportion;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What comes next: for every place and role, where the span ended and by what. Each category's posterior is the marginal of
 * a Dirichlet-multinomial with strength 4 spread evenly over the categories seen (Gelman et al., Bayesian Data Analysis).
 * Censored spans are left out.
 */
public final class Transitions {
    private static final double STRENGTH = 4;

    private Transitions() {}

    /**
     * @param by {@code self}, {@code other}, or null when no action was tagged
     * @param technique null when no action was tagged
     * @param estimate share among all uncensored exits from this place and role
     */
    public record Row(String from, String role, String to, String by, String technique, Estimate estimate) {}

    private record Exit(Evidence.Place place, String to, String by, String technique) {
        String category() {
            return to + "|" + by + "|" + technique;
        }
    }

    public static List<Row> of(Evidence evidence) {
        Map<String, List<Exit>> exits = new TreeMap<>();
        for (Evidence.Seen seen : evidence.matches()) {
            List<Span> spans = seen.line().spans();
            for (int i = 0; i + 1 < spans.size(); i++) {
                if (!spans.get(i).censored()) {
                    Evidence.Place place = new Evidence.Place(seen, spans.get(i));
                    exits.computeIfAbsent(spans.get(i).place() + " " + place.role(), k -> new ArrayList<>())
                            .add(exit(place, spans.get(i + 1)));
                }
            }
        }
        List<Row> rows = new ArrayList<>();
        exits.forEach((key, list) -> rows.addAll(rows(key, list)));
        return rows;
    }

    private static Exit exit(Evidence.Place place, Span next) {
        String by = null;
        String technique = null;
        if (next.byAction() >= 0 && place.seen().record().tags().get(next.byAction()) instanceof Tag.Action a) {
            by = a.by() == place.seen().corner() ? "self" : "other";
            technique = a.technique();
        }
        return new Exit(place, next.position(), by, technique);
    }

    private static List<Row> rows(String key, List<Exit> exits) {
        String[] parts = key.split(" ");
        Set<String> categories = new LinkedHashSet<>();
        exits.forEach(e -> categories.add(e.category()));
        BetaPrior prior = BetaPrior.fixed(1.0 / (categories.size() + 1), STRENGTH, "spread evenly over what was seen");
        List<Row> rows = new ArrayList<>();
        for (String category : categories) {
            Exit example = exits.stream()
                    .filter(e -> e.category().equals(category))
                    .findFirst()
                    .orElseThrow();
            List<Trial> trials = exits.stream()
                    .map(e -> e.place().trial(e.category().equals(category)))
                    .toList();
            rows.add(new Row(
                    parts[0],
                    parts[1],
                    example.to(),
                    example.by(),
                    example.technique(),
                    Proportion.of(trials, prior, Clustering.DEFAULT_RHO, category.hashCode())));
        }
        return rows;
    }
}
