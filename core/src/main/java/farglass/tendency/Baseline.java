package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.BetaPrior;
import farglass.stats.BetaPrior.Counts;
import farglass.stats.Clustering;
import farglass.stats.GammaPrior;
import farglass.tendency.ColumnKey.Kind;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiPredicate;
import java.util.stream.IntStream;

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

    private final Lexicon lexicon;
    private final Columns columns;
    private final Map<String, Double> rhos = new ConcurrentHashMap<>();
    private final Map<Asked, List<BetaPrior>> priors = new ConcurrentHashMap<>();
    /** Which of the priors a technique gets; asked anew when anything has changed. */
    private final Map<Asked, BetaPrior> successes = new ConcurrentHashMap<>();

    private final Map<Asked, GammaPrior> rates = new ConcurrentHashMap<>();
    private final Map<String, Map<Situation, Long>> times = new ConcurrentHashMap<>();
    /** By step, what of the others follows it in how many exchanges. */
    private final Map<Asked, Map<String, Long>> onward = new ConcurrentHashMap<>();

    /**
     * What was fitted, and for whom, who is left out.
     *
     * @param of categories of a row, or the technique of a place; empty otherwise
     */
    private record Asked(ColumnKey key, List<String> of, String athlete) {
        Asked(ColumnKey key, String athlete) {
            this(key, List.of(), athlete);
        }
    }

    /**
     * Counts of the others, each with the number of athletes who have them.
     *
     * @param times as many as counts
     */
    private record Others(List<Counts> counts, int[] times) {
        int athletes() {
            return Arrays.stream(times).sum();
        }

        double attempts() {
            double n = 0;
            for (int i = 0; i < times.length; i++) {
                n += times[i] * counts.get(i).n();
            }
            return n;
        }
    }

    private Baseline(Lexicon lexicon, Columns columns) {
        this.lexicon = lexicon;
        this.columns = columns;
    }

    /** The filter's half-life does not apply to the baseline. */
    public static Baseline of(LibraryIndex index, Filter filter) {
        return index.baseline(filter);
    }

    static Baseline made(LibraryIndex index, Filter wide) {
        return new Baseline(index.lexicon(), Columns.of(index, wide));
    }

    /**
     * The same for an index in which some athletes' matches have changed. What does not depend on the change stays
     * fitted, so that a changed tag costs the fits of what it is about.
     */
    Baseline changed(LibraryIndex next, Filter wide, Set<String> whose) {
        if (!columns.knows(whose)) {
            return made(next, wide);
        }
        Columns now = columns.changed(next, whose);
        Baseline b = new Baseline(lexicon, now);
        BiPredicate<ColumnKey, String> same = (key, athlete) ->
                whose.stream().allMatch(w -> w.equals(athlete) || Objects.equals(columns.row(key, w), now.row(key, w)));
        rhos.forEach((key, rho) -> {
            if (same.test(new ColumnKey(Kind.ALIKE, key), "")) {
                b.rhos.put(key, rho);
            }
        });
        priors.forEach((asked, prior) -> {
            if (same.test(asked.key(), asked.athlete())) {
                b.priors.put(asked, prior);
            }
        });
        rates.forEach((asked, prior) -> {
            if (same.test(asked.key(), asked.athlete())
                    && (asked.key().kind() != Kind.LANDED || same.test(ColumnKey.TIME, asked.athlete()))) {
                b.rates.put(asked, prior);
            }
        });
        return b;
    }

    private void eachOther(ColumnKey key, String athlete, CountColumn.Each what) {
        columns.column(key).each(columns.row(key, athlete), what);
    }

    private Others others(String key, String athlete) {
        List<Counts> list = new ArrayList<>();
        IntStream.Builder times = IntStream.builder();
        eachOther(new ColumnKey(Kind.TRIES, key), athlete, (row, n) -> {
            if (row.at(1) > 0) {
                list.add(new Counts(row.at(0), row.at(1)));
                times.add(n);
            }
        });
        return new Others(list, times.build().toArray());
    }

    /** Prior of the success of a technique for one athlete. */
    public BetaPrior success(String technique, String athlete) {
        return successes.computeIfAbsent(
                new Asked(new ColumnKey(Kind.TRIES, technique), athlete), k -> ownOrFamily(technique, athlete));
    }

    private BetaPrior ownOrFamily(String technique, String athlete) {
        Others others = others(technique, athlete);
        int seen = others.athletes();
        return seen >= ATHLETES && others.attempts() >= TECHNIQUE_ATTEMPTS
                ? fitted(technique, athlete, others, CoreWords.of("prior.technique", seen))
                : familySuccess(lexicon.familyOf(technique), athlete);
    }

    /** Prior of the success of a family of techniques for one athlete. */
    public BetaPrior familySuccess(String code, String athlete) {
        Others others = others("@" + code, athlete);
        return fitted("@" + code, athlete, others, CoreWords.of("prior.family", others.athletes()));
    }

    private BetaPrior fitted(String key, String athlete, Others others, String source) {
        return prior(new Asked(new ColumnKey(Kind.TRIES, key), athlete), others, source);
    }

    private BetaPrior prior(Asked asked, Others others, String source) {
        return priors.computeIfAbsent(
                        asked,
                        k -> List.of(
                                others.athletes() < ATHLETES
                                        ? BetaPrior.few(others.counts(), others.times())
                                        : BetaPrior.fit(others.counts(), others.times(), source)))
                .get(0);
    }

    /** Completed attempts at a technique of all athletes but one. */
    public long completed(String technique, String athlete) {
        long[] sum = {0};
        eachOther(new ColumnKey(Kind.TRIES, technique), athlete, (row, n) -> sum[0] += n * row.at(0));
        return sum[0];
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
            columns.column(new ColumnKey(Kind.ALIKE, k)).inOrder(null, (row, n) -> {
                List<Counts> matches = new ArrayList<>();
                for (int i = 0; i < row.size(); i += 2) {
                    matches.add(new Counts(row.at(i), row.at(i + 1)));
                }
                all.addAll(Collections.nCopies(n, matches));
            });
            return Clustering.rho(all);
        });
    }

    /** Whether an athlete in this role may do it there (ruling S20). */
    public static boolean possible(Technique t, String position, Role role) {
        boolean contested = role != Role.NEUTRAL;
        boolean guard = role == Role.GUARD;
        return t.from().contains(position) && t.performer(position).allows(role == Role.HOLDER, guard, contested);
    }

    /** Prior of how often a technique is tried per minute of time in which it could be. */
    public GammaPrior rate(String technique, String athlete) {
        ColumnKey key = new ColumnKey(Kind.RATE, technique);
        return lexicon.technique(technique).isEmpty()
                ? GammaPrior.jeffreys()
                : rates.computeIfAbsent(new Asked(key, athlete), k -> fitRate(perMinute(key, athlete), "prior.doing"));
    }

    private static GammaPrior fitRate(List<GammaPrior.Counts> others, String source) {
        return others.size() < ATHLETES
                ? GammaPrior.jeffreys()
                : GammaPrior.fit(others, CoreWords.of(source, others.size()));
    }

    private List<GammaPrior.Counts> perMinute(ColumnKey key, String athlete) {
        List<GammaPrior.Counts> list = new ArrayList<>();
        columns.column(key)
                .inOrder(
                        columns.row(key, athlete),
                        (row, n) -> list.addAll(
                                Collections.nCopies(n, new GammaPrior.Counts(row.at(0), row.at(1) / MS_PER_MINUTE))));
        return list;
    }

    /**
     * Prior of how often attempts of a family work per minute of live time, wherever the time is spent.
     */
    public GammaPrior landed(String family, String athlete) {
        ColumnKey key = new ColumnKey(Kind.LANDED, "@" + family);
        return rates.computeIfAbsent(new Asked(key, athlete), k -> {
            List<GammaPrior.Counts> list = perMinute(key, athlete);
            list.addAll(never(key, athlete));
            return fitRate(list, "prior.others");
        });
    }

    /** Those who have live time and no attempt. */
    private List<GammaPrior.Counts> never(ColumnKey key, String athlete) {
        Map<Long, Integer> without = new TreeMap<>();
        eachOther(ColumnKey.TIME, athlete, (row, n) -> without.merge(row.at(0), n, Integer::sum));
        eachOther(key, athlete, (row, n) -> without.merge(row.at(1), -n, Integer::sum));
        List<GammaPrior.Counts> list = new ArrayList<>();
        without.forEach((ms, n) -> {
            if (ms > 0) {
                list.addAll(Collections.nCopies(n, new GammaPrior.Counts(0, ms / MS_PER_MINUTE)));
            }
        });
        return list;
    }

    /**
     * How often a technique works for the others per minute of live time, those who never try it with them; NaN without
     * others. No prior: what a few do often and most never do leans on nobody.
     */
    public double landedMean(String technique, String athlete) {
        long[] time = {0, 0};
        eachOther(ColumnKey.TIME, athlete, (row, n) -> {
            time[0] += n;
            time[1] += n * row.at(0);
        });
        return time[0] < ATHLETES || time[1] == 0
                ? Double.NaN
                : (double) completed(technique, athlete) / time[1] * MS_PER_MINUTE;
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
        sumOfOthers(ColumnKey.PLACES, without).forEach((place, ms) -> sum.put(ColumnKey.situation(place), ms));
        return sum;
    }

    private Map<String, Long> sumOfOthers(ColumnKey key, String athlete) {
        Map<String, Long> sum = new HashMap<>();
        CountRow all = columns.column(key).sum();
        CountRow own = columns.row(key, athlete);
        if (all != null) {
            all.each(sum::put);
        }
        if (own != null) {
            own.each((word, n) -> sum.merge(word, -n, Long::sum));
        }
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
        Others others = others(key, athlete);
        return fitted(key, athlete, others, CoreWords.of("prior.others", others.athletes()));
    }

    /** Prior of the share of the stays in a place in which a technique is tried. */
    public BetaPrior tried(Situation at, String technique, String athlete) {
        Asked asked = new Asked(ColumnKey.at(Kind.STAYS, at), List.of(technique), athlete);
        List<BetaPrior> known = priors.get(asked);
        if (known != null) {
            return known.get(0);
        }
        List<Counts> list = new ArrayList<>();
        IntStream.Builder times = IntStream.builder();
        eachOther(asked.key(), athlete, (row, n) -> {
            if (row.of(PlaceStays.ALL) > 0) {
                list.add(new Counts(row.of(technique), row.of(PlaceStays.ALL)));
                times.add(n);
            }
        });
        Others others = new Others(list, times.build().toArray());
        return prior(asked, others, CoreWords.of("prior.place", others.athletes()));
    }

    /**
     * How often the others go on from one attempt to another within an exchange: of those who show the first, exchanges
     * with both and exchanges with the first.
     */
    BetaPrior.Counts follows(String step, String next, String athlete) {
        Map<String, Long> others = onward.computeIfAbsent(
                new Asked(new ColumnKey(Kind.FOLLOWS, step), athlete), k -> sumOfOthers(k.key(), athlete));
        return new Counts(others.getOrDefault(next, 0L), others.getOrDefault("", 0L));
    }

    /** Priors of the shares of some answers to a trigger, from how the others answer it. */
    List<BetaPrior> answers(String trigger, List<String> answers, String athlete) {
        return row(new Asked(new ColumnKey(Kind.ANSWERS, trigger), answers, athlete));
    }

    /** Priors of the shares of some ways to leave a place, from how the others leave it. */
    List<BetaPrior> exits(Situation stand, List<String> ways, String athlete) {
        return row(new Asked(ColumnKey.at(Kind.EXITS, stand), ways, athlete));
    }

    /** Per athlete the counts of the categories, and last of all others together. */
    private List<BetaPrior> row(Asked asked) {
        return priors.computeIfAbsent(asked, k -> {
            int categories = asked.of().size();
            List<double[]> rows = new ArrayList<>();
            IntStream.Builder times = IntStream.builder();
            eachOther(asked.key(), asked.athlete(), (counts, n) -> {
                double[] row = new double[categories + 1];
                double all = counts.total();
                for (int c = 0; c < categories; c++) {
                    row[c] = counts.of(asked.of().get(c));
                    all -= row[c];
                }
                row[categories] = all;
                rows.add(row);
                times.add(n);
            });
            return BetaPrior.row(rows, times.build().toArray(), categories);
        });
    }
}
