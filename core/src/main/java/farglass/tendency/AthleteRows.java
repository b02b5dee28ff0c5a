package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.tendency.ColumnKey.Kind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The rows of an athlete, one a question, as a lexicon tells where techniques can be tried. */
public final class AthleteRows {
    private final Lexicon lexicon;
    /** By technique, where it could be tried; empty for what is none. */
    private final Map<String, Set<Situation>> stands = new ConcurrentHashMap<>();

    public AthleteRows(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /** All rows of an athlete. */
    public Map<ColumnKey, CountRow> all(String athlete, AthleteCounts counts) {
        AthleteSums sums = new AthleteSums(athlete, Set.of(counts));
        Map<ColumnKey, CountRow> rows = new HashMap<>();
        for (ColumnKey key : keys(counts)) {
            CountRow row = row(sums, key);
            if (row != null) {
                rows.put(key, row);
            }
        }
        return rows;
    }

    private static Set<ColumnKey> keys(AthleteCounts counts) {
        Set<ColumnKey> keys = new HashSet<>(List.of(ColumnKey.TIME, ColumnKey.PLACES));
        for (String what : counts.tries().keySet()) {
            for (Kind kind : List.of(Kind.TRIES, Kind.RATE, Kind.LANDED, Kind.ALIKE)) {
                keys.add(new ColumnKey(kind, what));
            }
        }
        counts.answers().keySet().forEach(trigger -> keys.add(new ColumnKey(Kind.ANSWERS, trigger)));
        counts.exits().keySet().forEach(s -> keys.add(ColumnKey.at(Kind.EXITS, s)));
        counts.stays().keySet().forEach(s -> keys.add(ColumnKey.at(Kind.STAYS, s)));
        counts.follows().begun().keySet().forEach(step -> keys.add(new ColumnKey(Kind.FOLLOWS, step)));
        return keys;
    }

    /** The row of an athlete; null when nothing was counted for it. */
    @Nullable
    CountRow row(AthleteSums sums, ColumnKey key) {
        return switch (key.kind()) {
            case TRIES -> tries(sums.tries(key.of()));
            case RATE -> rate(sums, key.of());
            case LANDED -> landed(sums, key.of());
            case TIME -> CountRow.of(ms(sums));
            case ALIKE -> alike(sums.byMatch(key.of()));
            case ANSWERS -> named(sums.answers(key.of()));
            case EXITS -> named(sums.exits(ColumnKey.situation(key.of())));
            case STAYS -> named(sums.stays(ColumnKey.situation(key.of())));
            case PLACES -> places(sums);
            case FOLLOWS -> follows(sums.follows(), key.of());
        };
    }

    private static @Nullable CountRow tries(int @Nullable [] n) {
        return n == null ? null : CountRow.of(n[0], n[1], n[2]);
    }

    private @Nullable CountRow rate(AthleteSums sums, String technique) {
        int[] n = sums.tries(technique);
        long ms = n == null || n[2] == 0 ? 0 : sums.time(stands.computeIfAbsent(technique, this::stands));
        // those who never do it tell nothing of how often it is done by one who does
        return n == null || ms == 0 ? null : CountRow.of(n[2], ms);
    }

    private Set<Situation> stands(String technique) {
        Technique t = lexicon.technique(technique).orElse(null);
        Set<Situation> could = new HashSet<>();
        if (t != null) {
            for (String position : t.from()) {
                for (Role role : MatchFacts.ROLES) {
                    if (Baseline.possible(t, position, role)) {
                        could.add(new Situation(position, role));
                    }
                }
            }
        }
        return could;
    }

    private static @Nullable CountRow landed(AthleteSums sums, String key) {
        int[] n = sums.tries(key);
        long ms = ms(sums);
        return n == null || ms == 0 ? null : CountRow.of(n[0], ms);
    }

    private static long ms(AthleteSums sums) {
        return sums.ms().values().stream().mapToLong(m -> m).sum();
    }

    /** Matches in an order of their own: however they were counted, the same row. */
    private static @Nullable CountRow alike(List<int[]> byMatch) {
        if (byMatch.isEmpty()) {
            return null;
        }
        List<int[]> sorted = new ArrayList<>(byMatch);
        sorted.sort(Comparator.<int[]>comparingInt(n -> n[1]).thenComparingInt(n -> n[0]));
        return CountRow.of(sorted.stream()
                .flatMapToInt(n -> IntStream.of(n[0], n[1]))
                .asLongStream()
                .toArray());
    }

    private static @Nullable CountRow named(Map<String, Integer> counts) {
        return counts.isEmpty() ? null : CountRow.of(counts);
    }

    private static @Nullable CountRow places(AthleteSums sums) {
        Map<String, Long> ms = new HashMap<>();
        sums.ms().forEach((s, v) -> ms.put(ColumnKey.word(s), v));
        return ms.isEmpty() ? null : CountRow.of(ms);
    }

    private static @Nullable CountRow follows(FollowCounts counts, String step) {
        if (counts.begun(step) == 0) {
            return null;
        }
        Map<String, Integer> row = new HashMap<>(counts.after(step));
        row.put("", counts.begun(step));
        return CountRow.of(row);
    }
}
