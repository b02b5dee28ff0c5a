package farglass.matchup.fit;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Technique;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Payoffs;
import farglass.matchup.model.StateSpace;
import farglass.matchup.model.Tempo;
import farglass.rules.Ruleset;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import org.jspecify.annotations.Nullable;

/**
 * All ways out of all places for two athletes, as best known and as draws of what may be true.
 *
 * <p>The rate of a family is its usual rate in the place times exp(acting + facing effect) ({@link TwoWayFit}); it is
 * shared among techniques by what is usual there and what he prefers elsewhere. Success is the technique's usual chance
 * moved by the same kind of effects. Both are then updated by the athlete's own record in that place, and by what
 * others did there to the one he faces (ruling M26, {@link LocalRecords}).
 */
public final class TransitionRates {
    /** Athletes whose effects are fitted; the rest count toward what is usual only. */
    private static final int FITTED = 110;
    /** Rounds in which effects and usual rates are fitted in turn. */
    private static final int TURNS = 2;
    /** Rarer than once in half an hour is left out. */
    private static final double RARE = 0.03;
    /** Own tries from which on a rate counts as the athlete's own. */
    private static final double OWN = 3;

    private final StateSpace groups;
    private final Observed observed;
    private final PooledRates usual;
    private final Ruleset rules;
    private final String us;
    private final String them;
    private final Payoffs payoffs;
    private final Map<String, Integer> numbers = new LinkedHashMap<>();
    private final Map<String, TwoWayFit> rates = new TreeMap<>();
    private final Map<String, TwoWayFit> chances = new TreeMap<>();
    private final Map<Boolean, Observed.Book> own = new HashMap<>();
    private final LocalRecords local;
    private final Tempo tempo;
    private final double elasticity;
    private final AttemptHistory history;

    /** Fits the rates of two athletes from all matches that the filter leaves, seen back from a day. */
    public TransitionRates(
            LibraryIndex index,
            String us,
            String them,
            Ruleset rules,
            Filter filter,
            @Nullable LocalDate asOf,
            StateSpace groups,
            Payoffs payoffs) {
        this.groups = groups;
        this.rules = rules;
        this.us = us;
        this.them = them;
        this.payoffs = payoffs;
        this.observed = Observed.of(index, filter, asOf, groups);
        this.usual = new PooledRates(observed, groups);
        this.history = new AttemptHistory(observed, usual.all(), groups);
        own.put(true, observed.whole(us));
        own.put(false, observed.whole(them));
        number();
        usual.weigh((pair, family) -> 1);
        for (int turn = 0; turn < TURNS; turn++) {
            rates.putAll(fitted(this::fitRate));
            usual.weigh((pair, family) ->
                    Math.exp(effect(requireNonNull(rates.get(family)), pair.acting(), pair.facing())));
        }
        chances.putAll(fitted(this::fitChance));
        LocalRecords.Effects effects = new Fitted();
        local = new LocalRecords(observed, usual, effects, us, them);
        tempo = new TempoFit(observed, usual, effects, rules.counts()).tempo(us, them);
        elasticity = Elasticity.of(
                index.facts().stream().filter(f -> filter.accepts(f.record())).toList(), usual, effects, groups);
    }

    /** One fit for every family, side by side. */
    private Map<String, TwoWayFit> fitted(Function<String, TwoWayFit> fit) {
        return usual.families().parallelStream().collect(Collectors.toMap(f -> f, fit));
    }

    private final class Fitted implements LocalRecords.Effects {
        @Override
        public double rate(String family, Observed.Pair pair) {
            return effect(requireNonNull(rates.get(family)), pair.acting(), pair.facing());
        }

        @Override
        public double chance(String family, Observed.Pair pair) {
            return effect(requireNonNull(chances.get(family)), pair.acting(), pair.facing());
        }

        @Override
        public boolean fitted(String athlete) {
            return number(athlete) >= 0;
        }
    }

    /** The two of them and those with most matches. */
    private void number() {
        List<String> order = new ArrayList<>(observed.matches.keySet());
        order.sort((a, b) -> Integer.compare(observed.matches.getOrDefault(b, 0), observed.matches.getOrDefault(a, 0)));
        order.removeAll(List.of(us, them));
        order.addAll(0, List.of(us, them));
        order.stream().filter(observed.matches::containsKey).limit(FITTED).forEach(a -> numbers.put(a, numbers.size()));
    }

    private String athlete(boolean ours) {
        return ours ? us : them;
    }

    private int number(String athlete) {
        return numbers.getOrDefault(athlete, -1);
    }

    private double effect(TwoWayFit fit, String acting, String facing) {
        return fit.effect(number(acting), number(facing));
    }

    private TwoWayFit fitRate(String family) {
        List<TwoWayFit.Seen> seen = new ArrayList<>();
        observed.books.forEach((pair, book) -> {
            double expected = 0;
            double y = 0;
            for (Map.Entry<ModelState, Double> e : book.minutes.entrySet()) {
                expected += e.getValue() * usual.rate(e.getKey(), family);
            }
            for (Map<String, Observed.Tries> byName : book.tries.values()) {
                for (Map.Entry<String, Observed.Tries> e : byName.entrySet()) {
                    y += observed.family(e.getKey()).equals(family) ? e.getValue().all : 0;
                }
            }
            if (expected > 0 && number(pair.acting()) >= 0 && number(pair.facing()) >= 0) {
                seen.add(new TwoWayFit.Seen(number(pair.acting()), number(pair.facing()), y, expected, 0));
            }
        });
        return TwoWayFit.of(TwoWayFit.Kind.RATE, numbers.size(), seen);
    }

    private TwoWayFit fitChance(String family) {
        List<TwoWayFit.Seen> seen = new ArrayList<>();
        observed.books.forEach((pair, book) -> {
            Map<String, double[]> sums = new TreeMap<>();
            book.tries
                    .values()
                    .forEach(byName -> byName.forEach((technique, t) -> {
                        if (observed.family(technique).equals(family) && t.decided > 0) {
                            double[] s = sums.computeIfAbsent(technique, k -> new double[2]);
                            s[0] += t.worked;
                            s[1] += t.decided;
                        }
                    }));
            if (number(pair.acting()) >= 0 && number(pair.facing()) >= 0) {
                sums.forEach((technique, s) -> {
                    double[] ab = usual.chance(technique);
                    seen.add(new TwoWayFit.Seen(
                            number(pair.acting()), number(pair.facing()), s[0], s[1], Math.log(ab[0] / ab[1])));
                });
            }
        });
        return TwoWayFit.of(TwoWayFit.Kind.CHANCE, numbers.size(), seen);
    }

    /** How rates change with time and score, as best known. */
    public Tempo tempo() {
        return tempo;
    }

    /** Success of additional tries against usual ones, as the library shows it, 0.3 to 1 (ruling M28). */
    public double elasticity() {
        return elasticity;
    }

    /** Matches that count of one of them. */
    public int matches(boolean ours) {
        return observed.matches.getOrDefault(ours ? us : them, 0);
    }

    /** What others tried against one of the two in a place, as our athlete sees it: worked, decided. */
    public double[] faced(ModelState place, boolean ours, String technique) {
        String facing = ours ? them : us;
        String self = ours ? us : them;
        double[] sum = new double[2];
        observed.books.forEach((pair, book) -> {
            if (pair.facing().equals(facing) && !pair.acting().equals(self)) {
                Observed.Tries t = book.tries
                        .getOrDefault((ours ? place : place.mirrored()).paid(false), Map.of())
                        .get(technique);
                sum[0] += t == null ? 0 : t.worked;
                sum[1] += t == null ? 0 : t.decided;
            }
        });
        return sum;
    }

    /**
     * What is usual of an action in a place, whoever does it.
     *
     * @param ours whether the one who acts stands as our athlete does there
     * @return tries a minute and the chance that one works; null when nobody was seen to try it
     */
    public double @Nullable [] usual(ModelState place, boolean ours, String technique) {
        ModelState acting = (ours ? place : place.mirrored()).paid(false);
        String family = observed.family(technique);
        Double share = usual.shares(acting, family).get(technique);
        if (share == null || share <= 0) {
            return null;
        }
        double[] ab = usual.chance(technique);
        return new double[] {usual.rate(acting, family) * share, ab[0] / (ab[0] + ab[1])};
    }

    /** Weighted minutes of film of everybody in every place, as each sees it. */
    public Map<ModelState, Double> usualMinutes() {
        return Collections.unmodifiableMap(usual.all().minutes);
    }

    /** Weighted minutes of film of one of the two in every place, as that athlete sees it. */
    public Map<ModelState, Double> minutes(boolean ours) {
        return Collections.unmodifiableMap(book(ours).minutes);
    }

    Observed.Book book(boolean ours) {
        return requireNonNull(own.get(ours));
    }

    /** Places by how long anybody was in them, those of the two weighing more; as our athlete sees them. */
    public List<ModelState> places(int most) {
        Map<ModelState, Double> weight = new TreeMap<>();
        double all = Math.max(
                1e-9, usual.all().minutes.values().stream().mapToDouble(m -> m).sum());
        usual.all().minutes.forEach((p, m) -> weight.merge(p, m / all, Double::sum));
        for (boolean ours : new boolean[] {true, false}) {
            Observed.Book b = book(ours);
            double sum = Math.max(
                    1e-9, b.minutes.values().stream().mapToDouble(x -> x).sum());
            b.minutes.forEach((p, m) -> weight.merge(ours ? p : p.mirrored(), m / sum, Double::sum));
        }
        List<ModelState> order = new ArrayList<>(weight.keySet());
        order.removeIf(ModelState.START::equals);
        order.sort((a, b) -> Double.compare(weight.getOrDefault(b, 0.0), weight.getOrDefault(a, 0.0)));
        List<ModelState> kept = new ArrayList<>(List.of(ModelState.START));
        order.stream().limit(most - 1L).forEach(kept::add);
        return kept;
    }

    /** The ways out as best known. */
    public List<Exit> exits(List<ModelState> places) {
        return new Drawing(null).exits(places);
    }

    /** The ways out as they may truly be: one draw from what is known. */
    public List<Exit> draw(List<ModelState> places, UniformRandomProvider rng) {
        return new Drawing(rng).exits(places);
    }

    /** One reading of all figures; without a source of chance every figure is its mean. */
    private final class Drawing {
        private final Posterior known;
        private final ZigguratSampler.@Nullable NormalizedGaussian normal;
        private final Map<String, double[]> rateEffects = new HashMap<>();
        private final Map<String, double[]> chanceEffects = new HashMap<>();
        private final Map<String, Double> usualChance = new HashMap<>();
        private final Map<String, Double> held = new HashMap<>();

        Drawing(@Nullable UniformRandomProvider rng) {
            this.known = new Posterior(rng);
            this.normal = rng == null ? null : ZigguratSampler.NormalizedGaussian.of(rng);
            for (String f : usual.families()) {
                rateEffects.put(f, effects(requireNonNull(rates.get(f))));
                chanceEffects.put(f, effects(requireNonNull(chances.get(f))));
                double[] h = observed.held.getOrDefault(f, new double[2]);
                held.put(f, known.beta(h[0] + 3, h[1] - h[0] + 1));
            }
        }

        /** Effects of ours against theirs and of theirs against ours, drawn together. */
        private double[] effects(TwoWayFit fit) {
            int a = number(us);
            int b = number(them);
            double[] mean = {fit.effect(a, b), fit.effect(b, a)};
            if (normal == null) {
                return mean;
            }
            double[] v = fit.covariance(a, b, b, a);
            double[] z = new Cholesky(new double[][] {{v[0] + 1e-12, v[1]}, {v[1], v[2] + 1e-12}}).times(new double[] {
                normal.sample(), normal.sample()
            });
            return new double[] {mean[0] + z[0], mean[1] + z[1]};
        }

        List<Exit> exits(List<ModelState> places) {
            List<Exit> found = new ArrayList<>();
            for (ModelState p : places) {
                for (String family : usual.families()) {
                    found.addAll(exits(p, true, family));
                    found.addAll(exits(p, false, family));
                }
                drift(p, found);
            }
            return found;
        }

        private List<Exit> exits(ModelState place, boolean ours, String family) {
            ModelState acting = ours ? place : place.mirrored();
            Map<String, Double> shares = usual.shares(acting, family);
            if (shares.isEmpty()) {
                return List.of();
            }
            double lent = PooledRates.MINUTES * usual.familyRate(acting, family);
            double base = known.gamma(
                    usual.tries(acting, family) + lent, usual.minutes(acting, family) + PooledRates.MINUTES);
            double effect = requireNonNull(rateEffects.get(family))[ours ? 0 : 1];
            double rate = base * Math.exp(effect);
            // what is drawn above its mean leaves less for the own record to explain
            double drawn = rate / (usual.rate(acting, family) * Math.exp(mean(rates, family, ours)));
            LocalRecords.Local faced = local.faced(ours ? them : us, acting, family);
            double let = known.factor(local.facedRate(), faced.tries, faced.expected);
            List<Exit> exits = new ArrayList<>();
            local.mix(athlete(ours), shares).forEach((technique, share) -> {
                LocalRecords.Local did = local.did(athlete(ours), acting, technique);
                double here = rate * share * let * known.factor(local.ownRate(), did.tries, drawn * did.expected(let));
                if (!rules.restricted().contains(technique) && here >= RARE) {
                    exits.add(exit(place, acting, ours, technique, family, here, did, faced));
                }
            });
            return exits;
        }

        private Observed.@Nullable Tries tries(ModelState acting, boolean ours, String technique) {
            return book(ours).tries.getOrDefault(acting, Map.of()).get(technique);
        }

        private double mean(Map<String, TwoWayFit> fits, String family, boolean ours) {
            return effect(requireNonNull(fits.get(family)), athlete(ours), athlete(!ours));
        }

        private Exit exit(
                ModelState place,
                ModelState acting,
                boolean ours,
                String technique,
                String family,
                double rate,
                LocalRecords.Local did,
                LocalRecords.Local faced) {
            double usually = usualChance.computeIfAbsent(technique, t -> {
                double[] ab = usual.chance(t);
                return known.beta(ab[0], ab[1]);
            });
            double kept = Posterior.within(usually);
            double usualOdds = Posterior.logit(kept);
            double[] ab = usual.chance(technique);
            Observed.Book book = book(ours);
            Observed.Tries seen = tries(acting, ours, technique);
            double effect = requireNonNull(chanceEffects.get(family))[ours ? 0 : 1];
            double expected = Math.log(ab[0] / ab[1]) + mean(chances, family, ours);
            double drawn = usualOdds + effect - expected;
            double stops = known.odds(local.facedChance(), faced, expected, 0);
            double odds = usualOdds
                    + effect
                    + known.odds(local.ownChance(), did, expected, drawn + did.met() * stops)
                    + stops;
            Exit.Basis basis = seen == null
                    ? new Exit.Basis(book.minutes.getOrDefault(acting, 0.0), 0, 0, 0, List.of())
                    : new Exit.Basis(
                            book.minutes.getOrDefault(acting, 0.0), seen.all, seen.decided, seen.worked, seen.tags);
            return new Exit(
                    place,
                    ours,
                    technique,
                    family,
                    rate,
                    1 / (1 + Math.exp(-odds)),
                    requireNonNull(held.get(family)),
                    near(technique, family),
                    family.equals("submission") ? Map.of() : targets(acting, ours, technique),
                    source(ours, family, basis),
                    basis);
        }

        private Exit.Source source(boolean ours, String family, Exit.Basis basis) {
            if (basis.tries() >= OWN) {
                return Exit.Source.OWN;
            }
            boolean elsewhere = book(ours).tries.values().stream()
                    .anyMatch(m ->
                            m.keySet().stream().anyMatch(t -> observed.family(t).equals(family)));
            return elsewhere ? Exit.Source.FAMILY : Exit.Source.LIBRARY;
        }

        private double near(String technique, String family) {
            if (payoffs.nearFrom(family) > 4) {
                return 0;
            }
            double[] n = history.near(technique, payoffs.nearFrom(family));
            return known.beta(n[0] + 0.5, n[1] + 2);
        }

        /** Places reached: the athlete's own, and what is usual by the weight of a few. */
        private Map<ModelState, Double> targets(ModelState acting, boolean ours, String technique) {
            Map<ModelState, Double> sum = new TreeMap<>(history.targets(technique));
            observed.reached
                    .getOrDefault(ours ? us : them, Map.of())
                    .getOrDefault(technique, Map.of())
                    .forEach((p, n) -> sum.merge(p, n, Double::sum));
            sum.remove(acting);
            Map<ModelState, Double> seen = new TreeMap<>();
            // Dirichlet: shares of gammas
            sum.forEach((p, n) -> seen.put(ours ? p : p.mirrored(), known.gamma(n, 1)));
            return LikelyPlaces.of(seen);
        }

        private void drift(ModelState place, List<Exit> found) {
            Map<ModelState, Double> to = new TreeMap<>(observed.drift.getOrDefault(place, Map.of()));
            double n = to.values().stream().mapToDouble(x -> x).sum();
            double m = usual.all().minutes.getOrDefault(place, 0.0);
            if (n > 0 && m > 0) {
                found.add(new Exit(
                        place,
                        false,
                        null,
                        "",
                        known.gamma(n, m + PooledRates.MINUTES / 2),
                        1,
                        1,
                        0,
                        LikelyPlaces.of(to),
                        Exit.Source.LIBRARY,
                        Exit.Basis.NONE));
            }
        }
    }

    /** Techniques a ruleset does not allow that the two were seen to use. */
    public Set<String> forbidden() {
        Set<String> found = new TreeSet<>();
        own.values()
                .forEach(b -> b.tries
                        .values()
                        .forEach(byName -> byName.keySet().stream()
                                .filter(rules.restricted()::contains)
                                .map(t -> groups.lexicon()
                                        .technique(t)
                                        .map(Technique::name)
                                        .orElse(t))
                                .forEach(found::add)));
        return found;
    }
}
