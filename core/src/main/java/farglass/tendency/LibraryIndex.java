package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * All records and their facts, which are worked out when they are asked for. Immutable; {@link #with} gives the next
 * one and keeps what did not change, so that a changed tag costs one record.
 *
 * <p>Records may come with their tags unread and with counts that were kept of their athletes; then a question reads
 * the matches it is about, and the average is made of the counts.
 */
public final class LibraryIndex {
    /** After a change of more athletes than this, averages are worked out anew. */
    private static final int FEW = 8;
    /** With more athletes than this to put right, columns that are kept are no help. */
    private static final int MANY = 200;
    /** Averages that are kept at the most. */
    private static final int KEPT = 24;

    private final Lexicon lexicon;
    private final Map<String, Entry> entries;
    private final @Nullable LocalDate newest;
    private final Map<String, List<Entry>> byAthlete = new TreeMap<>();
    /** Averages by the filter they are worked out under. */
    private final Map<Filter, Baseline> baselines = new ConcurrentHashMap<>();
    /** What was counted of athletes before. */
    private final KeptCounts kept;
    /** Athletes of whom that holds no more. */
    private final Set<String> changed;

    private final ChainMemory chains;

    /** A record, and its facts once somebody has asked for them. */
    private static final class Entry {
        private final MatchRecord record;
        private final Lexicon lexicon;
        private volatile @Nullable MatchFacts facts;

        Entry(MatchRecord record, Lexicon lexicon) {
            this.record = record;
            this.lexicon = lexicon;
        }

        MatchFacts facts() {
            MatchFacts known = facts;
            return known == null ? first() : known;
        }

        private synchronized MatchFacts first() {
            MatchFacts known = facts;
            if (known == null) {
                known = MatchFacts.of(record, lexicon);
                facts = known;
            }
            return known;
        }
    }

    private LibraryIndex(
            Lexicon lexicon, Map<String, Entry> entries, ChainMemory chains, KeptCounts kept, Set<String> changed) {
        this.lexicon = lexicon;
        this.chains = chains;
        this.entries = entries;
        this.kept = kept;
        this.changed = changed;
        this.newest = newest(entries.values());
        for (Entry e : entries.values()) {
            for (String id : athletes(e.record)) {
                byAthlete.computeIfAbsent(id, k -> new ArrayList<>()).add(e);
            }
        }
    }

    /** After another in which some matches, of these athletes, were replaced by others of theirs. */
    private LibraryIndex(LibraryIndex before, Map<String, Entry> entries, Set<String> whose) {
        this.lexicon = before.lexicon;
        this.chains = before.chains;
        this.entries = entries;
        this.kept = before.kept;
        this.changed = before.changedToo(whose);
        this.newest = newest(entries.values());
        byAthlete.putAll(before.byAthlete);
        for (String id : whose) {
            byAthlete.computeIfPresent(
                    id,
                    (k, list) ->
                            list.stream().map(e -> entries.get(e.record.id())).toList());
        }
    }

    private Set<String> changedToo(Set<String> whose) {
        if (kept == KeptCounts.NONE) {
            return Set.of();
        }
        Set<String> all = new HashSet<>(changed);
        all.addAll(whose);
        return all;
    }

    private static List<String> athletes(MatchRecord r) {
        return List.of(r.details().a().id(), r.details().b().id());
    }

    private static @Nullable LocalDate newest(Collection<Entry> entries) {
        LocalDate newest = null;
        for (Entry e : entries) {
            LocalDate date = e.record.details().date();
            newest = newest == null || (date != null && date.isAfter(newest)) ? date : newest;
        }
        return newest;
    }

    /** Of no matches. */
    public static LibraryIndex empty(Lexicon lexicon) {
        return new LibraryIndex(lexicon, Map.of(), new ChainMemory(), KeptCounts.NONE, Set.of());
    }

    /** Of these matches. */
    public static LibraryIndex of(Collection<MatchRecord> records, Lexicon lexicon) {
        return empty(lexicon).with(records);
    }

    /**
     * Of these matches, with what was counted of their athletes before.
     *
     * @param kept of every group an athlete has matches in; one of whom nothing is kept is counted when he is needed
     */
    public static LibraryIndex of(Collection<MatchRecord> records, Lexicon lexicon, KeptCounts kept) {
        LibraryIndex index = of(records, lexicon);
        return new LibraryIndex(lexicon, index.entries, index.chains, kept, Set.of());
    }

    /**
     * The index of these records; those that are the same as before keep their facts. Of two with one id the first
     * counts.
     */
    public LibraryIndex with(Collection<MatchRecord> records) {
        Map<String, Entry> changed = sameMatches(records);
        Map<String, Entry> next = changed == null ? others(records) : changed;
        Set<String> whose = touched(next);
        LibraryIndex index = changed != null
                ? new LibraryIndex(this, next, whose)
                : new LibraryIndex(lexicon, next, chains, kept, changedToo(whose));
        if (whose.size() <= FEW) {
            baselines.forEach((f, b) -> index.baselines.put(f, b.changed(index, f, whose)));
        }
        return index;
    }

    /** The same few or many matches of the same athletes, of which some have changed; null when it is not so. */
    private @Nullable Map<String, Entry> sameMatches(Collection<MatchRecord> records) {
        if (records.size() != entries.size()) {
            return null;
        }
        List<MatchRecord> changed = new ArrayList<>();
        Iterator<Entry> known = entries.values().iterator();
        for (MatchRecord r : records) {
            MatchRecord was = known.next().record;
            if (was != r) {
                if (!was.id().equals(r.id()) || !sameAthletes(was, r) || changed.size() == FEW) {
                    return null;
                }
                changed.add(r);
            }
        }
        Map<String, Entry> next = new LinkedHashMap<>(entries);
        changed.forEach(r -> next.put(r.id(), new Entry(r, lexicon)));
        return next;
    }

    private static boolean sameAthletes(MatchRecord a, MatchRecord b) {
        return a.details().a().id().equals(b.details().a().id())
                && a.details().b().id().equals(b.details().b().id());
    }

    private Map<String, Entry> others(Collection<MatchRecord> records) {
        Map<String, Entry> next = new LinkedHashMap<>();
        for (MatchRecord r : records) {
            Entry known = entries.get(r.id());
            next.putIfAbsent(r.id(), known != null && known.record == r ? known : new Entry(r, lexicon));
        }
        return next;
    }

    /** Athletes of matches that came, went or changed. */
    private Set<String> touched(Map<String, Entry> next) {
        Set<String> whose = new TreeSet<>();
        entries.forEach((id, e) -> {
            if (next.get(id) != e) {
                whose.addAll(athletes(e.record));
            }
        });
        next.forEach((id, e) -> {
            if (entries.get(id) != e) {
                whose.addAll(athletes(e.record));
            }
        });
        return whose;
    }

    /** The average under a filter; the half-life and whom one met are not asked of the others. */
    Baseline baseline(Filter filter) {
        Filter wide = filter.ofOthers().halfLife(null).asOf(null);
        if (baselines.size() > KEPT) {
            baselines.clear();
        }
        return baselines.computeIfAbsent(wide, w -> Baseline.made(this, w));
    }

    /** What was counted of all of an athlete's matches before; null when it is not known, or holds no more. */
    private @Nullable Map<CountedGroup, AthleteCounts> counted(String athlete) {
        return changed.contains(athlete) ? null : kept.of(athlete);
    }

    /** What the matches of an athlete say that a filter accepts; null for one who has none. */
    @Nullable
    AthleteSums sums(String athlete, Filter wide) {
        Map<CountedGroup, AthleteCounts> groups = wide.wholeGroups() ? counted(athlete) : null;
        if (groups == null) {
            List<MatchFacts> theirs = of(athlete, wide::accepts);
            return theirs.isEmpty() ? null : new AthleteSums(athlete, theirs);
        }
        Collection<AthleteCounts> wanted = groups.entrySet().stream()
                .filter(g -> wide.accepts(g.getKey()))
                .map(Map.Entry::getValue)
                .toList();
        return wanted.isEmpty() ? null : new AthleteSums(athlete, wanted);
    }

    /** Columns of the average that are worth reading; null when there are none, or too much has changed since. */
    @Nullable
    KeptAverage keptAverage() {
        KeptAverage average = kept.average();
        return average == null || changedSince(average).size() > MANY ? null : average;
    }

    /** Athletes of whom such columns may not say what their matches say. */
    Set<String> changedSince(KeptAverage average) {
        Set<String> all = new HashSet<>(changed);
        all.addAll(average.behind());
        return all;
    }

    /** Whether a completed attempt may be found; false where what was counted says that there is none. */
    public boolean mayComplete(String athlete, String technique) {
        Map<CountedGroup, AthleteCounts> groups = counted(athlete);
        return groups == null
                || groups.values().stream().anyMatch(c -> c.tries().getOrDefault(technique, new int[3])[0] > 0);
    }

    /** Chains found in this index and those it came from. */
    ChainMemory chains() {
        return chains;
    }

    /** The lexicon it is read with. */
    public Lexicon lexicon() {
        return lexicon;
    }

    /** All records, in their order. */
    public List<MatchRecord> records() {
        return entries.values().stream().map(e -> e.record).toList();
    }

    /** A record; empty for an id that is not there. */
    public Optional<MatchRecord> record(String id) {
        return Optional.ofNullable(entries.get(id)).map(e -> e.record);
    }

    /** The facts of all matches, which reads them all. */
    public Collection<MatchFacts> facts() {
        return facts(List.copyOf(entries.values()), r -> true);
    }

    /** The facts of an athlete's matches; empty for an id that is not there. */
    public List<MatchFacts> of(String athlete) {
        return of(athlete, r -> true);
    }

    /** The facts of those of an athlete's matches that are wanted, of which no other is read. */
    public List<MatchFacts> of(String athlete, Predicate<MatchRecord> wanted) {
        return facts(byAthlete.getOrDefault(athlete, List.of()), wanted);
    }

    /** An athlete's matches; empty for an id that is not there. */
    public List<MatchRecord> records(String athlete) {
        return byAthlete.getOrDefault(athlete, List.of()).stream()
                .map(e -> e.record)
                .toList();
    }

    private static List<MatchFacts> facts(List<Entry> entries, Predicate<MatchRecord> wanted) {
        List<Entry> chosen = entries.stream().filter(e -> wanted.test(e.record)).toList();
        // on all cores where there is something to work out
        return chosen.stream().allMatch(e -> e.facts != null)
                ? chosen.stream().map(Entry::facts).toList()
                : chosen.parallelStream().map(Entry::facts).toList();
    }

    /** Ids, in order. */
    public Collection<String> athletes() {
        return byAthlete.keySet();
    }

    /** Name of an athlete; the id itself when it is not there. */
    public String name(String athlete) {
        return byAthlete.getOrDefault(athlete, List.of()).stream()
                .flatMap(e -> e.record.cornerOf(athlete).map(e.record::athlete).stream())
                .map(a -> a.name())
                .findFirst()
                .orElse(athlete);
    }

    /** The newest date of a record, or null. */
    public @Nullable LocalDate newest() {
        return newest;
    }
}
