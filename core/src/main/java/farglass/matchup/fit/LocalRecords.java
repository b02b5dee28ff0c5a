package farglass.matchup.fit;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What athletes did, and let others do, in every place, against what the fit of the whole library expects there: one
 * effect for all places would give an athlete sweeps from a place where he never swept, and hide a hole that he has in
 * one place only (ruling M26). How far a record frees itself from what is expected is fitted to the library.
 */
final class LocalRecords {
    private static final double[] RATE_GRID = {0.35, 0.5, 0.7, 1, 1.4, 2, 2.8, 4, 5.6, 8, 16, 32};
    private static final double[] CHANCE_GRID = {1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 23, 32, 64};
    /** Strengths where a library says nothing: tries, and decided tries. */
    private static final double OWN_RATE = 1;

    private static final double OWN_CHANCE = 4;
    private static final double FACED_RATE = 16;
    private static final double FACED_CHANCE = 24;
    /** Tries that an athlete's liking for a technique is held back by. */
    private static final double LIKING = 2;
    /** An expected share of successes is kept off 0 and 1. */
    private static final double CERTAIN = 1e-3;

    private final Observed observed;
    private final PooledRates usual;
    private final Effects effects;
    private final Map<String, Map<String, Double>> likings = new HashMap<>();
    private final Map<Action, Local> acting = new HashMap<>();
    private final Map<Action, Local> facing = new HashMap<>();
    private final PriorStrength ownRate;
    private final PriorStrength ownChance;
    private final PriorStrength facedRate;
    private final PriorStrength facedChance;

    /** What the fit says of one athlete against another. */
    interface Effects {
        /** In log rate. */
        double rate(String family, Observed.Pair pair);

        /** In log odds. */
        double chance(String family, Observed.Pair pair);

        /** Whether the athlete is one of those that the fit knows. */
        boolean fitted(String athlete);
    }

    /** What one athlete does, by technique, or lets others do, by technique family, in a place. */
    private record Action(String athlete, ModelState place, String what) {}

    /**
     * Weighted counts against what the fit expects; hoped are the tries expected to work. Of those expected and
     * decided, some were against the very opponent at hand.
     */
    static final class Local {
        static final Local NONE = new Local();
        double tries;
        double expected;
        double expectedMet;
        double decided;
        double decidedMet;
        double worked;
        double hoped;

        /** Tries expected when the opponent at hand lets so much more be tried than the fit says. */
        double expected(double let) {
            return expected + (let - 1) * expectedMet;
        }

        /** Share of decided tries that were against the opponent at hand. */
        double met() {
            return decided <= 0 ? 0 : decidedMet / decided;
        }

        /** Share of decided tries that the fit expects to work; one half where none was decided. */
        double share() {
            return decided <= 0 ? 0.5 : Math.max(CERTAIN, Math.min(1 - CERTAIN, hoped / decided));
        }
    }

    /**
     * @param us our athlete, whose own tries against the opponent are no part of what others did to him
     * @param them the opponent
     */
    LocalRecords(Observed observed, PooledRates usual, Effects effects, String us, String them) {
        this.observed = observed;
        this.usual = usual;
        this.effects = effects;
        for (String athlete : observed.matches.keySet()) {
            if (effects.fitted(athlete)) {
                likings.put(athlete, liking(observed.whole(athlete)));
            }
        }
        observed.books.forEach((pair, book) -> {
            boolean met = (pair.acting().equals(us) && pair.facing().equals(them))
                    || (pair.acting().equals(them) && pair.facing().equals(us));
            if (effects.fitted(pair.acting()) && effects.fitted(pair.facing())) {
                book.minutes.forEach((place, minutes) -> expect(pair, place, minutes, met));
                book.tries.forEach((place, byName) ->
                        byName.forEach((technique, tries) -> count(pair, place, technique, tries, met)));
            }
        });
        ownRate = PriorStrength.ofRates(rates(acting), RATE_GRID, OWN_RATE);
        ownChance = PriorStrength.ofChances(chances(acting), CHANCE_GRID, OWN_CHANCE);
        facedRate = PriorStrength.ofRates(rates(facing), RATE_GRID, FACED_RATE);
        facedChance = PriorStrength.ofChances(chances(facing), CHANCE_GRID, FACED_CHANCE);
    }

    private void expect(Observed.Pair pair, ModelState place, double minutes, boolean met) {
        for (String family : usual.families()) {
            Map<String, Double> shares = usual.shares(place, family);
            if (shares.isEmpty()) {
                continue;
            }
            double tries = minutes * usual.rate(place, family) * Math.exp(effects.rate(family, pair));
            mix(pair.acting(), shares).forEach((technique, share) -> {
                Local own = of(acting, pair.acting(), place, technique);
                own.expected += tries * share;
                own.expectedMet += met ? tries * share : 0;
            });
            if (!met) {
                of(facing, pair.facing(), place, family).expected += tries;
            }
        }
    }

    private void count(Observed.Pair pair, ModelState place, String technique, Observed.Tries t, boolean met) {
        String family = observed.family(technique);
        double[] ab = usual.chance(technique);
        double odds = Math.log(ab[0] / ab[1]) + effects.chance(family, pair);
        double hoped = t.decided / (1 + Math.exp(-odds));
        Local own = of(acting, pair.acting(), place, technique);
        add(own, t, hoped);
        own.decidedMet += met ? t.decided : 0;
        if (!met) {
            add(of(facing, pair.facing(), place, family), t, hoped);
        }
    }

    private static void add(Local to, Observed.Tries t, double hoped) {
        to.tries += t.all;
        to.decided += t.decided;
        to.worked += t.worked;
        to.hoped += hoped;
    }

    private static Local of(Map<Action, Local> book, String athlete, ModelState place, String what) {
        return book.computeIfAbsent(new Action(athlete, place, what), k -> new Local());
    }

    private static List<PriorStrength.Counts> rates(Map<Action, Local> book) {
        List<PriorStrength.Counts> counts = new ArrayList<>();
        for (Local l : book.values()) {
            if (l.expected > 0) {
                counts.add(new PriorStrength.Counts(l.tries, l.expected, 0));
            }
        }
        return counts;
    }

    private static List<PriorStrength.Counts> chances(Map<Action, Local> book) {
        List<PriorStrength.Counts> counts = new ArrayList<>();
        for (Local l : book.values()) {
            if (l.decided > 0) {
                counts.add(new PriorStrength.Counts(l.worked, l.share(), l.decided));
            }
        }
        return counts;
    }

    /** By technique, how much more often an athlete chooses it within its family than is usual where he was. */
    private Map<String, Double> liking(Observed.Book book) {
        Map<String, Double> expected = new TreeMap<>();
        Map<String, Double> counted = new TreeMap<>();
        book.tries.forEach((place, byName) -> {
            Map<String, Double> ofFamily = new TreeMap<>();
            byName.forEach((technique, t) -> {
                ofFamily.merge(observed.family(technique), t.all, Double::sum);
                counted.merge(technique, t.all, Double::sum);
            });
            ofFamily.forEach((family, n) ->
                    usual.shares(place, family).forEach((t, share) -> expected.merge(t, n * share, Double::sum)));
        });
        Map<String, Double> liked = new TreeMap<>();
        expected.forEach((t, e) -> liked.put(t, (counted.getOrDefault(t, 0.0) + LIKING) / (e + LIKING)));
        return liked;
    }

    /** What the fit expects an athlete's shares of the techniques of a family to be in a place, from the usual ones. */
    Map<String, Double> mix(String athlete, Map<String, Double> shares) {
        Map<String, Double> liked = likings.getOrDefault(athlete, Map.of());
        Map<String, Double> prior = new TreeMap<>();
        double sum = 0;
        for (Map.Entry<String, Double> e : shares.entrySet()) {
            double x = e.getValue() * liked.getOrDefault(e.getKey(), 1.0);
            prior.put(e.getKey(), x);
            sum += x;
        }
        double total = sum;
        prior.replaceAll((t, x) -> x / total);
        return prior;
    }

    /** What an athlete did of a technique in a place. */
    Local did(String athlete, ModelState place, String technique) {
        return known(acting.get(new Action(athlete, place, technique)));
    }

    /** What others than the one at hand did of a technique family against an athlete in a place, as they see it. */
    Local faced(String athlete, ModelState place, String family) {
        return known(facing.get(new Action(athlete, place, family)));
    }

    private static Local known(@Nullable Local l) {
        return l == null ? Local.NONE : requireNonNull(l);
    }

    /** Tries for which what the fit expects of an athlete's own rate in a place is taken. */
    PriorStrength ownRate() {
        return ownRate;
    }

    /** Decided tries for which the success that the fit expects of him there is taken. */
    PriorStrength ownChance() {
        return ownChance;
    }

    /** Tries for which what the fit expects others to try against him there is taken. */
    PriorStrength facedRate() {
        return facedRate;
    }

    /** Decided tries for which the success that it expects of them there is taken. */
    PriorStrength facedChance() {
        return facedChance;
    }
}
