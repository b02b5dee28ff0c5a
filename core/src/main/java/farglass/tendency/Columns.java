package farglass.tendency;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * What was counted of all athletes under one filter, a column a question: read where the library keeps it, and put
 * right by those athletes whose matches have changed since; else made of the counts of every athlete.
 */
final class Columns {
    private final LibraryIndex index;
    private final Filter filter;
    private final AthleteRows rows;
    private final @Nullable KeptAverage kept;
    /** Athletes of whom the columns that are kept may say something else than their matches. */
    private final Set<String> changed;

    private final Map<ColumnKey, CountColumn> known = new ConcurrentHashMap<>();
    private final Map<String, Optional<AthleteSums>> sums = new ConcurrentHashMap<>();
    /** Of what the columns that are kept hold. */
    private final Map<String, Summed> held = new ConcurrentHashMap<>();

    private record Summed(AthleteCounts counts, AthleteSums sums) {}

    private Columns(
            LibraryIndex index, Filter filter, AthleteRows rows, @Nullable KeptAverage kept, Set<String> changed) {
        this.index = index;
        this.filter = filter;
        this.rows = rows;
        this.kept = kept;
        this.changed = changed;
    }

    /** Reads and counts what every question will need. */
    static Columns of(LibraryIndex index, Filter filter) {
        KeptAverage kept = filter.acceptsAll() ? index.keptAverage() : null;
        Set<String> changed = kept == null ? Set.of() : index.changedSince(kept);
        Columns columns = new Columns(index, filter, new AthleteRows(index.lexicon()), kept, changed);
        columns.count(kept == null ? List.copyOf(index.athletes()) : List.copyOf(changed));
        return columns;
    }

    /** Not within the making of a column: a thread that waits for others must not hold what they need. */
    private void count(List<String> athletes) {
        athletes.parallelStream().forEach(this::sums);
    }

    /**
     * Whether it is known what of these athletes is in the columns. Matches that are read by need are read as they
     * stand now: after a change they do not say any more what was counted before.
     */
    boolean knows(Set<String> whose) {
        return kept == null || sums.keySet().containsAll(whose);
    }

    /** The same for an index in which the matches of some athletes are others; of those it must know. */
    Columns changed(LibraryIndex next, Set<String> whose) {
        Set<String> all = new HashSet<>(changed);
        all.addAll(whose);
        Columns columns = new Columns(next, filter, rows, kept, kept == null ? Set.of() : all);
        sums.forEach((who, s) -> {
            if (!whose.contains(who)) {
                columns.sums.put(who, s);
            }
        });
        known.forEach((key, column) -> {
            CountColumn.Builder b = null;
            for (String who : whose) {
                CountRow was = row(key, who);
                CountRow is = columns.row(key, who);
                if (!Objects.equals(was, is)) {
                    b = b == null ? new CountColumn.Builder(key.kind()).add(column) : b;
                    b.remove(was).add(is);
                }
            }
            columns.known.put(key, b == null ? column : b.build());
        });
        return columns;
    }

    /** What an athlete's matches say; null for one who has none that count. */
    private @Nullable AthleteSums sums(String athlete) {
        Optional<AthleteSums> is = sums.get(athlete);
        if (is == null) {
            is = Optional.ofNullable(index.sums(athlete, filter));
            sums.put(athlete, is);
        }
        return is.orElse(null);
    }

    /** An athlete's row in a column; null when there is none. */
    @Nullable
    CountRow row(ColumnKey key, String athlete) {
        AthleteSums s = sums(athlete);
        return s == null ? null : rows.row(s, key);
    }

    /** A column, made when it is first asked for. */
    CountColumn column(ColumnKey key) {
        CountColumn is = known.get(key);
        if (is == null) {
            is = kept == null ? counted(key) : read(kept, key);
            known.put(key, is);
        }
        return is;
    }

    private CountColumn counted(ColumnKey key) {
        CountColumn.Builder b = new CountColumn.Builder(key.kind());
        index.athletes().forEach(who -> b.add(row(key, who)));
        return b.build();
    }

    private CountColumn read(KeptAverage average, ColumnKey key) {
        KeptAverage.Read read = average.read(key, changed);
        if (read == null) {
            return counted(key);
        }
        try {
            return putRight(read, key);
        } catch (IllegalArgumentException e) {
            // columns that do not hold what they should are not trusted
            return counted(key);
        }
    }

    private CountColumn putRight(KeptAverage.Read read, ColumnKey key) {
        Set<String> whose = new HashSet<>(changed);
        whose.addAll(read.counts().keySet());
        CountColumn.Builder b = null;
        for (String who : whose) {
            AthleteCounts counts = read.counts().get(who);
            CountRow was = counts == null ? null : rows.row(held(who, counts), key);
            CountRow is = row(key, who);
            if (!Objects.equals(was, is)) {
                b = b == null ? new CountColumn.Builder(key.kind()).add(read.column()) : b;
                b.remove(was).add(is);
            }
        }
        return b == null ? read.column() : b.build();
    }

    private AthleteSums held(String who, AthleteCounts counts) {
        Summed known = held.get(who);
        if (known == null || known.counts() != counts) {
            known = new Summed(counts, new AthleteSums(who, Set.of(counts)));
            held.put(who, known);
        }
        return known.sums();
    }
}
