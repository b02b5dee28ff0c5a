package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
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
    /** Averages that are kept at the most. */
    private static final int KEPT = 24;

    private final Lexicon lexicon;
    private final Map<String, Entry> entries;
    private final @Nullable LocalDate newest;
    private final Map<String, List<Entry>> byAthlete = new TreeMap<>();
    /** Averages by the filter they are worked out under. */
    private final Map<Filter, Baseline> baselines = new ConcurrentHashMap<>();
    /** By athlete: what was counted of all of his matches before. */
    private final Map<String, Map<CountedGroup, AthleteCounts>> counted;

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
            Lexicon lexicon,
            Map<String, Entry> entries,
            ChainMemory chains,
            Map<String, Map<CountedGroup, AthleteCounts>> counted) {
        this.lexicon = lexicon;
        this.chains = chains;
        this.entries = entries;
        this.counted = counted;
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
        this.counted = without(before.counted, whose);
        this.newest = newest(entries.values());
        byAthlete.putAll(before.byAthlete);
        for (String id : whose) {
            byAthlete.computeIfPresent(
                    id,
                    (k, list) ->
                            list.stream().map(e -> entries.get(e.record.id())).toList());
        }
    }

    /** What was counted of athletes whose matches have changed holds no more. */
    private static <T> Map<String, T> without(Map<String, T> counted, Set<String> whose) {
        if (whose.stream().noneMatch(counted::containsKey)) {
            return counted;
        }
        Map<String, T> left = new HashMap<>(counted);
        left.keySet().removeAll(whose);
        return left;
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
        return new LibraryIndex(lexicon, Map.of(), new ChainMemory(), Map.of());
    }

    /** Of these matches. */
    public static LibraryIndex of(Collection<MatchRecord> records, Lexicon lexicon) {
        return empty(lexicon).with(records);
    }

    /**
     * Of these matches, with what was counted of their athletes before.
     *
     * @param counted by athlete, of every group he has matches in; an athlete that is not in it is counted when he is
     * needed
     */
    public static LibraryIndex of(
            Collection<MatchRecord> records, Lexicon lexicon, Map<String, Map<CountedGroup, AthleteCounts>> counted) {
        LibraryIndex index = of(records, lexicon);
        return new LibraryIndex(lexicon, index.entries, index.chains, Map.copyOf(counted));
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
                : new LibraryIndex(lexicon, next, chains, without(counted, whose));
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

    /** What was counted of the matches of an athlete that a filter accepts; null when it has to be counted anew. */
    @Nullable
    Collection<AthleteCounts> counted(String athlete, Filter wide) {
        Map<CountedGroup, AthleteCounts> groups = counted.get(athlete);
        if (groups == null || !wide.wholeGroups()) {
            return null;
        }
        List<AthleteCounts> wanted = new ArrayList<>();
        groups.forEach((group, counts) -> {
            if (wide.accepts(group)) {
                wanted.add(counts);
            }
        });
        return wanted;
    }

    /** Whether a completed attempt may be found; false where what was counted says that there is none. */
    public boolean mayComplete(String athlete, String technique) {
        Map<CountedGroup, AthleteCounts> groups = counted.get(athlete);
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
