package farglass.stats;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * How alike the occurrences of one match are: the intra-class correlation rho and the design effect it causes.
 *
 * <p>Analysis-of-variance estimate over matches within athletes, so that differences between athletes do not count as
 * likeness within a match; floor 0; 0.15 when fewer than 10 matches have two occurrences or more. Donner 1986.
 */
public final class Clustering {
    public static final double DEFAULT_RHO = 0.15;
    private static final int CLUSTERS_TO_FIT = 10;

    private Clustering() {}

    /**
     * @param athletes per athlete, per match: successes and attempts of one family
     * @return rho in [0, 1]
     */
    public static double rho(Collection<List<BetaPrior.Counts>> athletes) {
        double between = 0;
        double within = 0;
        double dfBetween = 0;
        double dfWithin = 0;
        double sizeSum = 0;
        int usable = 0;
        for (List<BetaPrior.Counts> matches : athletes) {
            double n = matches.stream().mapToDouble(BetaPrior.Counts::n).sum();
            double x = matches.stream().mapToDouble(BetaPrior.Counts::x).sum();
            double squares = 0;
            if (matches.size() < 2 || n == 0) {
                continue;
            }
            for (BetaPrior.Counts c : matches) {
                double p = c.n() == 0 ? 0 : c.x() / c.n();
                between += c.n() * (p - x / n) * (p - x / n);
                within += c.n() * p * (1 - p);
                squares += c.n() * c.n();
                usable += c.n() >= 2 ? 1 : 0;
            }
            dfBetween += matches.size() - 1;
            dfWithin += n - matches.size();
            sizeSum += n - squares / n;
        }
        if (usable < CLUSTERS_TO_FIT || dfWithin <= 0 || dfBetween <= 0) {
            return DEFAULT_RHO;
        }
        double size = sizeSum / dfBetween;
        double msb = between / dfBetween;
        double msw = within / dfWithin;
        double denominator = msb + (size - 1) * msw;
        return denominator <= 0 ? 0 : Math.min(1, Math.max(0, (msb - msw) / denominator));
    }

    /**
     * Counts of every category by match, to be put together with others: what one match holds of it, and how much there
     * is of all.
     *
     * @param match of an occurrence
     * @param category of an occurrence
     */
    public static <T> List<List<BetaPrior.Counts>> categories(
            List<T> occurrences, Function<T, String> match, Function<T, String> category) {
        Map<String, Map<String, Integer>> byMatch = new LinkedHashMap<>();
        Set<String> all = new LinkedHashSet<>();
        for (T o : occurrences) {
            byMatch.computeIfAbsent(match.apply(o), k -> new HashMap<>()).merge(category.apply(o), 1, Integer::sum);
            all.add(category.apply(o));
        }
        List<List<BetaPrior.Counts>> groups = new ArrayList<>();
        for (String c : all) {
            groups.add(byMatch.values().stream()
                    .map(m -> new BetaPrior.Counts(
                            m.getOrDefault(c, 0),
                            m.values().stream().mapToInt(n -> n).sum()))
                    .toList());
        }
        return groups;
    }

    /** 1 + (m - 1) rho, at least 1, with m the mean number of occurrences per match. */
    public static double designEffect(double perMatch, double rho) {
        return Math.max(1, 1 + (perMatch - 1) * rho);
    }
}
