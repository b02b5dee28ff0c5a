package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.BetaPrior;
import farglass.stats.BetaPrior.Counts;
import farglass.stats.Clustering;
import farglass.stats.GammaPrior;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiPredicate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The library's average, always without the athlete in question: success per technique, rate per exposure, shares of
 * time.
 *
 * <p>A technique's own baseline needs 20 attempts by 3 other athletes; else its family's, from 3 athletes; else all
 * techniques together. Whom the athlete met and which part of a match is asked for is not asked of the others.
 */
public final class Baseline {
    private static final double TECHNIQUE_ATTEMPTS = 20;
    /** Others from whom an average is fitted. */
    static final int ATHLETES = 3;

    private static final double MS_PER_MINUTE = 60_000;
    private static final String LANDED = "landed ";

    private final Lexicon lexicon;
    private final Map<String, AthleteSums> athletes;
    private final Map<String, Double> rhos = new ConcurrentHashMap<>();
    private final Map<Asked, BetaPrior> priors = new ConcurrentHashMap<>();
    /** Which of the priors a technique gets; asked anew when anything has changed. */
    private final Map<Asked, BetaPrior> successes = new ConcurrentHashMap<>();

    private final Map<Asked, GammaPrior> rates = new ConcurrentHashMap<>();
    private final Map<String, Map<Situation, Long>> times = new ConcurrentHashMap<>();

    private final Map<Row, List<BetaPrior>> rows = new ConcurrentHashMap<>();
    /** Null until asked for. */
    private @Nullable FollowCounts follows;

    /**
     * A whole row of shares that was fitted.
     *
     * @param of a trigger, or a place and role
     */
    private record Row(Object of, List<String> categories, String athlete) {}

    /** What is tried in the stays in a place. */
    private record Stays(Situation at) {}

    /** What was fitted, and for whom, who is left out. */
    private record Asked(String key, String athlete) {}

    private Baseline(Lexicon lexicon, Map<String, AthleteSums> athletes) {
        this.lexicon = lexicon;
        this.athletes = athletes;
    }

    /** The filter's half-life does not apply to the baseline. */
    public static Baseline of(LibraryIndex index, Filter filter) {
        return index.baseline(filter);
    }

    static Baseline made(LibraryIndex index, Filter wide) {
        Map<String, AthleteSums> athletes = new LinkedHashMap<>();
        index.athletes().parallelStream()
                .map(who -> sums(index, wide, who))
                .filter(Objects::nonNull)
                .forEachOrdered(sums -> athletes.put(sums.athlete(), sums));
        return new Baseline(index.lexicon(), athletes);
    }

    private static @Nullable AthleteSums sums(LibraryIndex index, Filter wide, String who) {
        Collection<AthleteCounts> counted = index.counted(who, wide);
        if (counted != null) {
            return counted.isEmpty() ? null : new AthleteSums(who, counted);
        }
        List<MatchFacts> theirs = index.of(who, wide::accepts);
        return theirs.isEmpty() ? null : new AthleteSums(who, theirs);
    }

    /**
     * The same for an index in which some athletes' matches have changed. What does not depend on the change stays
     * fitted, so that a changed tag costs the fits of what it is about.
     */
    Baseline changed(LibraryIndex next, Filter wide, Set<String> whose) {
        Map<String, AthleteSums> sums = new LinkedHashMap<>();
        for (String who : next.athletes()) {
            AthleteSums now = whose.contains(who) ? sums(next, wide, who) : athletes.get(who);
            if (now != null) {
                sums.put(who, now);
            }
        }
        Baseline b = new Baseline(lexicon, sums);
        Map<String, Set<String>> tries = new HashMap<>();
        Set<String> times = new HashSet<>();
        Set<String> anyone = new HashSet<>();
        for (String who : whose) {
            tries.put(who, AthleteSums.changedTries(athletes.get(who), sums.get(who)));
            anyone.addAll(tries.get(who));
            if (!AthleteSums.sameTime(athletes.get(who), sums.get(who))) {
                times.add(who);
            }
        }
        rhos.forEach((key, rho) -> {
            if (!anyone.contains(key)) {
                b.rhos.put(key, rho);
            }
        });
        priors.forEach((asked, prior) -> {
            if (whose.stream()
                    .allMatch(w -> w.equals(asked.athlete())
                            || !requireNonNull(tries.get(w)).contains(asked.key()))) {
                b.priors.put(asked, prior);
            }
        });
        rates.forEach((asked, prior) -> {
            if (whose.stream()
                    .allMatch(w -> w.equals(asked.athlete())
                            || (!times.contains(w)
                                    && !requireNonNull(tries.get(w))
                                            .contains(asked.key().replace(LANDED, ""))))) {
                b.rates.put(asked, prior);
            }
        });
        rows.forEach((row, prior) -> {
            if (whose.stream().allMatch(w -> w.equals(row.athlete()) || same(row.of(), athletes.get(w), sums.get(w)))) {
                b.rows.put(row, prior);
            }
        });
        return b;
    }

    private static boolean same(Object of, @Nullable AthleteSums was, @Nullable AthleteSums is) {
        return was != null && is != null && sameCounts(of, was, is);
    }

    private static boolean sameCounts(Object of, AthleteSums was, AthleteSums is) {
        if (of instanceof Stays s) {
            return was.stays(s.at()).equals(is.stays(s.at()));
        }
        return of instanceof Situation stand
                ? was.exits(stand).equals(is.exits(stand))
                : was.answers((String) of).equals(is.answers((String) of));
    }

    private List<Counts> others(String key, String athlete) {
        List<Counts> list = new ArrayList<>();
        athletes.forEach((who, sums) -> {
            int[] n = sums.tries(key);
            if (!who.equals(athlete) && n != null && n[1] > 0) {
                list.add(new Counts(n[0], n[1]));
            }
        });
        return list;
    }

    /** Prior of the success of a technique for one athlete. */
    public BetaPrior success(String technique, String athlete) {
        return successes.computeIfAbsent(new Asked(technique, athlete), k -> ownOrFamily(technique, athlete));
    }

    private BetaPrior ownOrFamily(String technique, String athlete) {
        int seen = 0;
        double attempts = 0;
        for (Map.Entry<String, AthleteSums> e : athletes.entrySet()) {
            int[] n = e.getValue().tries(technique);
            if (!e.getKey().equals(athlete) && n != null && n[1] > 0) {
                seen++;
                attempts += n[1];
            }
        }
        return seen >= ATHLETES && attempts >= TECHNIQUE_ATTEMPTS
                ? fitted(technique, athlete, CoreWords.of("prior.technique", seen))
                : familySuccess(lexicon.familyOf(technique), athlete);
    }

    /** Prior of the success of a family of techniques for one athlete. */
    public BetaPrior familySuccess(String code, String athlete) {
        int family = others("@" + code, athlete).size();
        if (family >= ATHLETES) {
            return fitted("@" + code, athlete, CoreWords.of("prior.family", family));
        }
        return priors.computeIfAbsent(new Asked("@" + code, athlete), k -> BetaPrior.few(others("@" + code, athlete)));
    }

    private BetaPrior fitted(String key, String athlete, String source) {
        return priors.computeIfAbsent(new Asked(key, athlete), k -> BetaPrior.fit(others(key, athlete), source));
    }

    /** Intra-match correlation of a family's outcomes over the library. */
    public double rho(String family) {
        return fitRho("@" + family);
    }

    /** Intra-match correlation of the sides of a family's attempts over the library. */
    public double sideRho(String family) {
        return fitRho("side " + family);
    }

    private double fitRho(String key) {
        return rhos.computeIfAbsent(key, k -> {
            List<List<Counts>> all = new ArrayList<>();
            athletes.values().forEach(sums -> {
                if (sums.tries(k) != null) {
                    all.add(counts(sums, k));
                }
            });
            return Clustering.rho(all);
        });
    }

    /** In an order of its own, so that the same matches give the same to the last digit however they were counted. */
    private static List<Counts> counts(AthleteSums sums, String key) {
        return sums.byMatch(key).stream()
                .map(n -> new Counts(n[0], n[1]))
                .sorted(Comparator.comparingDouble(Counts::n).thenComparingDouble(Counts::x))
                .toList();
    }

    /** Whether an athlete in this role may do it there (ruling S20). */
    public static boolean possible(Technique t, String position, Role role) {
        boolean contested = role != Role.NEUTRAL;
        boolean guard = role == Role.GUARD;
        return t.from().contains(position) && t.performer(position).allows(role == Role.HOLDER, guard, contested);
    }

    /** Prior of how often a technique is tried per minute of time in which it could be. */
    public GammaPrior rate(String technique, String athlete) {
        Technique t = lexicon.technique(technique).orElse(null);
        return t == null
                ? GammaPrior.jeffreys()
                : rates.computeIfAbsent(new Asked(technique, athlete), k -> fitRate(t, athlete));
    }

    /**
     * Prior of how often attempts of a family work per minute of live time, wherever the time is spent.
     */
    public GammaPrior landed(String family, String athlete) {
        String key = "@" + family;
        return rates.computeIfAbsent(new Asked(LANDED + key, athlete), k -> {
            List<GammaPrior.Counts> list = new ArrayList<>();
            athletes.forEach((who, sums) -> {
                double ms = who.equals(athlete)
                        ? 0
                        : sums.ms().values().stream().mapToLong(m -> m).sum();
                int[] n = sums.tries(key);
                if (ms > 0) {
                    list.add(new GammaPrior.Counts(n == null ? 0 : n[0], ms / MS_PER_MINUTE));
                }
            });
            return list.size() < ATHLETES
                    ? GammaPrior.jeffreys()
                    : GammaPrior.fit(list, CoreWords.of("prior.others", list.size()));
        });
    }

    /**
     * How often a technique works for the others per minute of live time, those who never try it with them; NaN without
     * others. No prior: what a few do often and most never do leans on nobody.
     */
    public double landedMean(String technique, String athlete) {
        double events = 0;
        double ms = 0;
        int seen = 0;
        for (Map.Entry<String, AthleteSums> e : athletes.entrySet()) {
            if (!e.getKey().equals(athlete)) {
                int[] n = e.getValue().tries(technique);
                events += n == null ? 0 : n[0];
                ms += e.getValue().ms().values().stream().mapToLong(m -> m).sum();
                seen++;
            }
        }
        return seen < ATHLETES || ms == 0 ? Double.NaN : events / ms * MS_PER_MINUTE;
    }

    private GammaPrior fitRate(Technique t, String athlete) {
        List<GammaPrior.Counts> list = new ArrayList<>();
        Set<Situation> counted = stands(t);
        athletes.forEach((who, sums) -> {
            double ms = who.equals(athlete) ? 0 : sums.time(counted);
            int[] n = sums.tries(t.code());
            // those who never do it tell nothing of how often it is done by one who does
            if (ms > 0 && n != null && n[2] > 0) {
                list.add(new GammaPrior.Counts(n[2], ms / MS_PER_MINUTE));
            }
        });
        return list.size() < ATHLETES
                ? GammaPrior.jeffreys()
                : GammaPrior.fit(list, CoreWords.of("prior.doing", list.size()));
    }

    /** Where it could be tried. */
    private static Set<Situation> stands(Technique t) {
        Set<Situation> stands = new HashSet<>();
        for (String position : t.from()) {
            for (Role role : MatchFacts.ROLES) {
                if (possible(t, position, role)) {
                    stands.add(new Situation(position, role));
                }
            }
        }
        return stands;
    }

    /** The others' time in some places over their time in all that the denominator accepts; NaN without any. */
    public double share(BiPredicate<String, Role> wanted, BiPredicate<String, Role> denominator, String athlete) {
        double in = 0;
        double all = 0;
        for (Map.Entry<Situation, Long> e :
                times.computeIfAbsent(athlete, this::time).entrySet()) {
            Situation s = e.getKey();
            if (denominator.test(s.position(), s.role())) {
                all += e.getValue();
                in += wanted.test(s.position(), s.role()) ? e.getValue() : 0;
            }
        }
        return all == 0 ? Double.NaN : in / all;
    }

    private Map<Situation, Long> time(String without) {
        Map<Situation, Long> sum = new LinkedHashMap<>();
        athletes.forEach((who, sums) -> {
            if (!who.equals(without)) {
                sums.ms().forEach((stand, ms) -> sum.merge(stand, ms, Long::sum));
            }
        });
        return sum;
    }

    /** Prior of how often a match begins in a way. */
    public BetaPrior opening(Opening how, String athlete) {
        return perMatch(how.key(), athlete);
    }

    /** Prior of how often a match is won, or lost, by submission. */
    public BetaPrior submission(boolean won, String athlete) {
        return perMatch(won ? MatchFacts.WON : MatchFacts.LOST, athlete);
    }

    private BetaPrior perMatch(String key, String athlete) {
        return priors.computeIfAbsent(new Asked(key, athlete), k -> {
            List<Counts> others = others(key, athlete);
            return others.size() < ATHLETES
                    ? BetaPrior.few(others)
                    : BetaPrior.fit(others, CoreWords.of("prior.others", others.size()));
        });
    }

    /** Prior of the share of the stays in a place in which a technique is tried. */
    public BetaPrior tried(Situation at, String technique, String athlete) {
        return rows.computeIfAbsent(
                        new Row(new Stays(at), List.of(technique), athlete),
                        k -> List.of(fitTried(at, technique, athlete)))
                .get(0);
    }

    /**
     * How often the others go on from one attempt to another within an exchange: of those who show the first, exchanges
     * with both and exchanges with the first.
     */
    BetaPrior.Counts follows(String step, String next, String athlete) {
        FollowCounts all = follows();
        AthleteSums own = athletes.get(athlete);
        int x = all.followed(step, next) - (own == null ? 0 : own.follows().followed(step, next));
        int n = all.begun(step) - (own == null ? 0 : own.follows().begun(step));
        return new Counts(x, n);
    }

    /** Of all athletes together; made once. */
    private synchronized FollowCounts follows() {
        FollowCounts known = follows;
        if (known == null) {
            known = new FollowCounts();
            for (AthleteSums sums : athletes.values()) {
                known.add(sums.follows());
            }
            follows = known;
        }
        return known;
    }

    private BetaPrior fitTried(Situation at, String technique, String athlete) {
        List<Counts> others = new ArrayList<>();
        athletes.forEach((who, sums) -> {
            Map<String, Integer> stays = who.equals(athlete) ? Map.of() : sums.stays(at);
            int n = stays.getOrDefault(PlaceStays.ALL, 0);
            if (n > 0) {
                others.add(new Counts(stays.getOrDefault(technique, 0), n));
            }
        });
        return others.size() < ATHLETES
                ? BetaPrior.few(others)
                : BetaPrior.fit(others, CoreWords.of("prior.place", others.size()));
    }

    /** Priors of the shares of some answers to a trigger, from how the others answer it. */
    List<BetaPrior> answers(String trigger, List<String> answers, String athlete) {
        return rows.computeIfAbsent(
                new Row(trigger, answers, athlete),
                k -> BetaPrior.row(rows(athlete, answers, sums -> sums.answers(trigger)), answers.size()));
    }

    /** Priors of the shares of some ways to leave a place, from how the others leave it. */
    List<BetaPrior> exits(Situation stand, List<String> ways, String athlete) {
        return rows.computeIfAbsent(
                new Row(stand, ways, athlete),
                k -> BetaPrior.row(rows(athlete, ways, sums -> sums.exits(stand)), ways.size()));
    }

    /** Per athlete the counts of these categories, and last of all others together. */
    private List<double[]> rows(
            String athlete, List<String> categories, Function<AthleteSums, Map<String, Integer>> of) {
        List<double[]> rows = new ArrayList<>();
        athletes.forEach((who, sums) -> {
            Map<String, Integer> counts = who.equals(athlete) ? Map.of() : of.apply(sums);
            if (!counts.isEmpty()) {
                double[] row = new double[categories.size() + 1];
                double all = 0;
                for (int n : counts.values()) {
                    all += n;
                }
                for (int c = 0; c < categories.size(); c++) {
                    row[c] = counts.getOrDefault(categories.get(c), 0);
                    all -= row[c];
                }
                row[categories.size()] = all;
                rows.add(row);
            }
        });
        return rows;
    }
}
