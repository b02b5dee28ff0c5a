package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The facts of all records. Immutable; {@link #with} gives the next one and works out only what changed, so that a
 * changed tag costs one record.
 */
public final class LibraryIndex {
    /** After a change of more athletes than this, averages are worked out anew. */
    private static final int FEW = 8;
    /** Averages that are kept at the most. */
    private static final int KEPT = 24;

    private final Lexicon lexicon;
    private final Map<String, MatchFacts> facts;
    private final @Nullable LocalDate newest;
    private final Map<String, List<MatchFacts>> byAthlete = new TreeMap<>();
    /** Averages by the filter they are worked out under. */
    private final Map<Filter, Baseline> baselines = new ConcurrentHashMap<>();

    private final ChainMemory chains;

    private LibraryIndex(Lexicon lexicon, Map<String, MatchFacts> facts, ChainMemory chains) {
        this.lexicon = lexicon;
        this.chains = chains;
        this.facts = facts;
        this.newest = newest(facts.values());
        for (MatchFacts f : facts.values()) {
            for (String id : athletes(f)) {
                byAthlete.computeIfAbsent(id, k -> new ArrayList<>()).add(f);
            }
        }
    }

    /** After another in which some matches, of these athletes, were replaced by others of theirs. */
    private LibraryIndex(LibraryIndex before, Map<String, MatchFacts> facts, Set<String> whose) {
        this.lexicon = before.lexicon;
        this.chains = before.chains;
        this.facts = facts;
        this.newest = newest(facts.values());
        byAthlete.putAll(before.byAthlete);
        for (String id : whose) {
            byAthlete.computeIfPresent(
                    id,
                    (k, list) ->
                            list.stream().map(f -> facts.get(f.record().id())).toList());
        }
    }

    private static List<String> athletes(MatchFacts f) {
        return List.of(f.record().details().a().id(), f.record().details().b().id());
    }

    private static @Nullable LocalDate newest(Collection<MatchFacts> facts) {
        LocalDate newest = null;
        for (MatchFacts f : facts) {
            LocalDate date = f.record().details().date();
            newest = newest == null || (date != null && date.isAfter(newest)) ? date : newest;
        }
        return newest;
    }

    /** Of no matches. */
    public static LibraryIndex empty(Lexicon lexicon) {
        return new LibraryIndex(lexicon, Map.of(), new ChainMemory());
    }

    /** Of these matches; takes about a second for a thousand of them. */
    public static LibraryIndex of(Collection<MatchRecord> records, Lexicon lexicon) {
        return empty(lexicon).with(records);
    }

    /**
     * The index of these records; those that are the same as before keep their facts. Of two with one id the first
     * counts.
     */
    public LibraryIndex with(Collection<MatchRecord> records) {
        Map<String, MatchFacts> changed = sameMatches(records);
        Map<String, MatchFacts> next = changed == null ? others(records) : changed;
        Set<String> whose = touched(next);
        LibraryIndex index =
                changed != null ? new LibraryIndex(this, next, whose) : new LibraryIndex(lexicon, next, chains);
        if (whose.size() <= FEW) {
            baselines.forEach((f, b) -> index.baselines.put(f, b.changed(index, f, whose)));
        }
        return index;
    }

    /**
     * Facts of the same few or many matches of the same athletes, of which some have changed; null when it is not so.
     */
    private @Nullable Map<String, MatchFacts> sameMatches(Collection<MatchRecord> records) {
        if (records.size() != facts.size()) {
            return null;
        }
        List<MatchRecord> changed = new ArrayList<>();
        Iterator<MatchFacts> known = facts.values().iterator();
        for (MatchRecord r : records) {
            MatchRecord was = known.next().record();
            if (was != r) {
                if (!was.id().equals(r.id()) || !sameAthletes(was, r) || changed.size() == FEW) {
                    return null;
                }
                changed.add(r);
            }
        }
        Map<String, MatchFacts> next = new LinkedHashMap<>(facts);
        changed.forEach(r -> next.put(r.id(), MatchFacts.of(r, lexicon)));
        return next;
    }

    private static boolean sameAthletes(MatchRecord a, MatchRecord b) {
        return a.details().a().id().equals(b.details().a().id())
                && a.details().b().id().equals(b.details().b().id());
    }

    private Map<String, MatchFacts> others(Collection<MatchRecord> records) {
        List<MatchRecord> fresh = new ArrayList<>();
        for (MatchRecord r : records) {
            MatchFacts known = facts.get(r.id());
            if (known == null || known.record() != r) {
                fresh.add(r);
            }
        }
        IdentityHashMap<MatchRecord, MatchFacts> made = new IdentityHashMap<>();
        List<MatchFacts> worked =
                fresh.parallelStream().map(r -> MatchFacts.of(r, lexicon)).toList();
        for (int i = 0; i < fresh.size(); i++) {
            made.put(fresh.get(i), worked.get(i));
        }
        Map<String, MatchFacts> next = new LinkedHashMap<>();
        for (MatchRecord r : records) {
            next.putIfAbsent(r.id(), made.containsKey(r) ? made.get(r) : facts.get(r.id()));
        }
        return next;
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
        whose.addAll(athletes(f));
    }

    /** The average under a filter; the half-life and whom one met are not asked of the others. */
    Baseline baseline(Filter filter) {
        Filter wide = filter.ofOthers().halfLife(null).asOf(null);
        if (baselines.size() > KEPT) {
            baselines.clear();
        }
        return baselines.computeIfAbsent(wide, w -> Baseline.made(this, w));
    }

    /** Chains found in this index and those it came from. */
    ChainMemory chains() {
        return chains;
    }

    /** The lexicon it is read with. */
    public Lexicon lexicon() {
        return lexicon;
    }

    /** The facts of all matches. */
    public Collection<MatchFacts> facts() {
        return facts.values();
    }

    /** The facts of an athlete's matches; empty for an id that is not there. */
    public List<MatchFacts> of(String athlete) {
        return byAthlete.getOrDefault(athlete, List.of());
    }

    /** Ids, in order. */
    public Collection<String> athletes() {
        return byAthlete.keySet();
    }

    /** Name of an athlete; the id itself when it is not there. */
    public String name(String athlete) {
        return of(athlete).stream()
                .flatMap(f -> f.record().cornerOf(athlete).map(f.record()::athlete).stream())
                .map(a -> a.name())
                .findFirst()
                .orElse(athlete);
    }

    /** The newest date of a record, or null. */
    public @Nullable LocalDate newest() {
        return newest;
    }
}
