package farglass.matchup.fit;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What is usual in the library: how often a family is tried in a place, by which techniques, how often they work and
 * where they lead. Every place leans on the places of its family, by the weight of a few minutes or tries.
 */
final class PooledRates {
    /** Minutes of the family's places that a place is given beside its own. */
    static final double MINUTES = 2;
    /** Tries that a share or a chance is given beside its own. */
    static final double TRIES = 4;
    /** Chance of an attempt of a family in which nothing was ever decided. */
    private static final double UNKNOWN_CHANCE = 0.3;

    private final Observed observed;
    private final StateSpace groups;
    private final Observed.Book all;
    /** By place family, then technique: tries. */
    private final Map<String, Map<String, Double>> familyTries = new TreeMap<>();
    /** Minutes by place and technique family, each athlete's by how much he does more than is usual. */
    private final Map<ModelState, Map<String, Double>> minutes = new HashMap<>();

    private final Map<String, Map<String, Double>> familyMinutes = new HashMap<>();
    private final Map<Where, Double> rates = new ConcurrentHashMap<>();
    private final Map<Where, Map<String, Double>> shares = new ConcurrentHashMap<>();
    private final Map<String, double[]> byTechnique = new TreeMap<>();
    private final Map<String, double[]> byFamily = new TreeMap<>();

    PooledRates(Observed observed, StateSpace groups) {
        this.observed = observed;
        this.groups = groups;
        this.all = observed.all();
        all.tries.forEach((place, byName) -> byName.forEach((technique, t) -> {
            familyTries
                    .computeIfAbsent(groups.family(place), k -> new TreeMap<>())
                    .merge(technique, t.all, Double::sum);
            add(byTechnique, technique, t.worked, t.decided);
            add(byFamily, observed.family(technique), t.worked, t.decided);
        }));
    }

    private static void add(Map<String, double[]> sums, String key, double worked, double decided) {
        double[] s = sums.computeIfAbsent(key, k -> new double[2]);
        s[0] += worked;
        s[1] += decided;
    }

    /** How much an athlete does of a family against another, as a factor on what is usual. */
    interface Factor {
        double of(Observed.Pair pair, String family);
    }

    /** Counts the minutes anew under these factors. */
    void weigh(Factor factor) {
        minutes.clear();
        rates.clear();
        familyMinutes.clear();
        TreeSet<String> families = new TreeSet<>(byFamily.keySet());
        observed.books.forEach((pair, book) -> {
            for (String f : families) {
                double x = factor.of(pair, f);
                book.minutes.forEach((place, m) -> {
                    minutes.computeIfAbsent(place, k -> new HashMap<>()).merge(f, x * m, Double::sum);
                    familyMinutes
                            .computeIfAbsent(groups.family(place), k -> new HashMap<>())
                            .merge(f, x * m, Double::sum);
                });
            }
        });
    }

    Observed.Book all() {
        return all;
    }

    /** Technique families that occur. */
    Set<String> families() {
        return byFamily.keySet();
    }

    double tries(ModelState place, String family) {
        return sum(all.tries.getOrDefault(place, Map.of()), family);
    }

    private double sum(Map<String, Observed.Tries> byName, String family) {
        double sum = 0;
        for (Map.Entry<String, Observed.Tries> e : byName.entrySet()) {
            sum += observed.family(e.getKey()).equals(family) ? e.getValue().all : 0;
        }
        return sum;
    }

    double minutes(ModelState place, String family) {
        return minutes.getOrDefault(place, Map.of()).getOrDefault(family, 0.0);
    }

    /** Tries a minute in the places of the same family. */
    double familyRate(ModelState place, String family) {
        String where = groups.family(place);
        double tries = 0;
        for (Map.Entry<String, Double> e :
                familyTries.getOrDefault(where, Map.of()).entrySet()) {
            tries += observed.family(e.getKey()).equals(family) ? e.getValue() : 0;
        }
        double m = familyMinutes.getOrDefault(where, Map.of()).getOrDefault(family, 0.0);
        return m <= 0 ? 0 : tries / m;
    }

    /** Tries a minute, leaning on the family of the place. */
    double rate(ModelState place, String family) {
        return rates.computeIfAbsent(new Where(place, family), w -> rateOf(place, family));
    }

    private double rateOf(ModelState place, String family) {
        return (tries(place, family) + MINUTES * familyRate(place, family)) / (minutes(place, family) + MINUTES);
    }

    /** Shares of the techniques of a family that anybody tried in a place; they sum to 1. */
    Map<String, Double> shares(ModelState place, String family) {
        return shares.computeIfAbsent(new Where(place, family), w -> sharesOf(place, family));
    }

    private record Where(ModelState place, String family) {}

    private Map<String, Double> sharesOf(ModelState place, String family) {
        Map<String, Observed.Tries> here = all.tries.getOrDefault(place, Map.of());
        Map<String, Double> wide = familyTries.getOrDefault(groups.family(place), Map.of());
        Map<String, Double> found = new TreeMap<>();
        double total = 0;
        for (String technique : here.keySet()) {
            if (observed.family(technique).equals(family)) {
                found.put(technique, wide.getOrDefault(technique, 0.0));
                total += wide.getOrDefault(technique, 0.0);
            }
        }
        double all = Math.max(1e-9, total);
        double n = sum(here, family);
        found.replaceAll((technique, w) -> (requireNonNull(here.get(technique)).all + TRIES * w / all) / (n + TRIES));
        return found;
    }

    /** [worked, did not], both with what the family lends. */
    double[] chance(String technique) {
        double[] family = byFamily.getOrDefault(observed.family(technique), new double[2]);
        double mean = (family[0] + UNKNOWN_CHANCE) / (family[1] + 1);
        double[] own = byTechnique.getOrDefault(technique, new double[2]);
        return new double[] {own[0] + TRIES * mean, own[1] - own[0] + TRIES * (1 - mean)};
    }
}
