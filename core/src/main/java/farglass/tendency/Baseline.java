package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.BetaPrior.Counts;
import farglass.stats.Clustering;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The library's average success per technique and family, always without the athlete in question.
 *
 * <p>A technique's own baseline needs 20 attempts by 3 other athletes; else its family's, from 3 athletes; else all
 * techniques together.
 */
public final class Baseline {
    private static final double TECHNIQUE_ATTEMPTS = 20;
    private static final int ATHLETES = 3;

    /** athlete -> match -> counts, per technique code and per {@code @family}; {@code *} is everything. */
    private final Map<String, Map<String, Map<String, double[]>>> counts = new LinkedHashMap<>();

    private final Lexicon lexicon;

    private Baseline(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /** @param records the library; the filter's half-life does not apply to the baseline */
    public static Baseline of(List<MatchRecord> records, Filter filter, Lexicon lexicon) {
        Baseline b = new Baseline(lexicon);
        for (MatchRecord r : records) {
            if (!filter.accepts(r)) {
                continue;
            }
            for (Tag tag : r.tags()) {
                if (tag instanceof Tag.Action a && Evidence.outcomeSeen(a)) {
                    String athlete =
                            r.athlete(a.by() == Corner.A ? Corner.A : Corner.B).id();
                    b.add(a.technique(), athlete, r.id(), a.completed());
                    b.add("@" + b.family(a), athlete, r.id(), a.completed());
                    b.add("*", athlete, r.id(), a.completed());
                }
            }
        }
        return b;
    }

    private String family(Tag.Action a) {
        return lexicon.technique(a.technique())
                .map(farglass.lexicon.Technique::family)
                .orElse(a.family() == null ? "other" : a.family());
    }

    private void add(String key, String athlete, String match, boolean worked) {
        double[] c = counts.computeIfAbsent(key, k -> new LinkedHashMap<>())
                .computeIfAbsent(athlete, k -> new LinkedHashMap<>())
                .computeIfAbsent(match, k -> new double[2]);
        c[0] += worked ? 1 : 0;
        c[1]++;
    }

    private List<Counts> others(String key, String athlete) {
        List<Counts> list = new ArrayList<>();
        counts.getOrDefault(key, Map.of()).forEach((who, matches) -> {
            if (!who.equals(athlete)) {
                list.add(new Counts(
                        matches.values().stream().mapToDouble(c -> c[0]).sum(),
                        matches.values().stream().mapToDouble(c -> c[1]).sum()));
            }
        });
        return list;
    }

    /** Prior of the success of a technique for one athlete. */
    public BetaPrior success(String technique, String athlete) {
        List<Counts> own = others(technique, athlete);
        if (own.size() >= ATHLETES && own.stream().mapToDouble(Counts::n).sum() >= TECHNIQUE_ATTEMPTS) {
            return BetaPrior.fit(own, "library, this technique, " + own.size() + " others");
        }
        List<Counts> family = others("@" + lexicon.familyOf(technique), athlete);
        if (family.size() >= ATHLETES) {
            return BetaPrior.fit(family, "library, its family, " + family.size() + " others");
        }
        List<Counts> all = others("*", athlete);
        return all.isEmpty()
                ? BetaPrior.fixed(0.5, 4, "no other athletes: one half")
                : BetaPrior.fit(all, "library, all techniques");
    }

    /** Intra-match correlation of a family's outcomes over the library. */
    public double rho(String family) {
        List<List<Counts>> athletes = new ArrayList<>();
        counts.getOrDefault("@" + family, Map.of())
                .values()
                .forEach(m -> athletes.add(
                        m.values().stream().map(c -> new Counts(c[0], c[1])).toList()));
        return Clustering.rho(athletes);
    }
}
