package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The facts of all records. Immutable; {@link #with} gives the next one and works out only what changed, so that a changed
 * tag costs one record.
 */
public final class LibraryIndex {
    /** After a change of more athletes than this, averages are worked out anew. */
    private static final int FEW = 8;
    /** Averages that are kept at the most. */
    private static final int KEPT = 24;

    private final Lexicon lexicon;
    private final Map<String, MatchFacts> facts;
    private final java.time.LocalDate newest;
    private final Map<String, List<MatchFacts>> byAthlete = new TreeMap<>();
    /** Averages by the filter they are worked out under. */
    private final Map<Filter, Baseline> baselines = new ConcurrentHashMap<>();

    private LibraryIndex(Lexicon lexicon, Map<String, MatchFacts> facts) {
        this.lexicon = lexicon;
        this.facts = facts;
        this.newest = facts.values().stream()
                .map(f -> f.record().details().date())
                .filter(java.util.Objects::nonNull)
                .max(Comparator.naturalOrder())
                .orElse(null);
        for (MatchFacts f : facts.values()) {
            for (String id : List.of(
                    f.record().details().a().id(), f.record().details().b().id())) {
                byAthlete.computeIfAbsent(id, k -> new ArrayList<>()).add(f);
            }
        }
    }

    public static LibraryIndex empty(Lexicon lexicon) {
        return new LibraryIndex(lexicon, Map.of());
    }

    public static LibraryIndex of(Collection<MatchRecord> records, Lexicon lexicon) {
        return empty(lexicon).with(records);
    }

    /** The index of these records; those that are the same as before keep their facts. Of two with one id the first counts. */
    public LibraryIndex with(Collection<MatchRecord> records) {
        List<MatchRecord> fresh = new ArrayList<>();
        for (MatchRecord r : records) {
            MatchFacts known = facts.get(r.id());
            if (known == null || known.record() != r) {
                fresh.add(r);
            }
        }
        Map<MatchRecord, MatchFacts> made = new IdentityHashMap<>();
        List<MatchFacts> worked =
                fresh.parallelStream().map(r -> MatchFacts.of(r, lexicon)).toList();
        for (int i = 0; i < fresh.size(); i++) {
            made.put(fresh.get(i), worked.get(i));
        }
        Map<String, MatchFacts> next = new LinkedHashMap<>();
        for (MatchRecord r : records) {
            next.putIfAbsent(r.id(), made.containsKey(r) ? made.get(r) : facts.get(r.id()));
        }
        LibraryIndex index = new LibraryIndex(lexicon, next);
        Set<String> whose = touched(next);
        if (whose.size() <= FEW) {
            baselines.forEach((f, b) -> index.baselines.put(f, b.changed(index, f, whose)));
        }
        return index;
    }

    /** Athletes of matches that came, went or changed. */
    private Set<String> touched(Map<String, MatchFacts> next) {
        Set<String> whose = new TreeSet<>();
        facts.forEach((id, f) -> {
            if (next.get(id) != f) {
                add(whose, f);
            }
        });
        next.forEach((id, f) -> {
            if (facts.get(id) != f) {
                add(whose, f);
            }
        });
        return whose;
    }

    private static void add(Set<String> whose, MatchFacts f) {
        whose.add(f.record().details().a().id());
        whose.add(f.record().details().b().id());
    }

    /** The average under a filter; the half-life and whom one met are not asked of the others. */
    Baseline baseline(Filter filter) {
        Filter wide = filter.ofOthers().halfLife(null).asOf(null);
        if (baselines.size() > KEPT) {
            baselines.clear();
        }
        return baselines.computeIfAbsent(wide, w -> Baseline.made(this, w));
    }

    public Lexicon lexicon() {
        return lexicon;
    }

    public Collection<MatchFacts> facts() {
        return facts.values();
    }

    public List<MatchFacts> of(String athlete) {
        return byAthlete.getOrDefault(athlete, List.of());
    }

    /** Ids, in order. */
    public Collection<String> athletes() {
        return byAthlete.keySet();
    }

    public String name(String athlete) {
        return of(athlete).stream()
                .flatMap(f -> f.record().cornerOf(athlete).map(f.record()::athlete).stream())
                .map(a -> a.name())
                .findFirst()
                .orElse(athlete);
    }

    /** The newest date of a record, or null. */
    public java.time.LocalDate newest() {
        return newest;
    }
}
