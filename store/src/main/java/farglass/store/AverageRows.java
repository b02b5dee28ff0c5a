package farglass.store;

import farglass.lexicon.Lexicon;
import farglass.tendency.AthleteCounts;
import farglass.tendency.AthleteRows;
import farglass.tendency.ColumnCodec;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountColumn;
import farglass.tendency.CountRow;
import farglass.tendency.CountedGroup;
import farglass.tendency.CountsCodec;
import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/** The columns of the average as they are kept in the library, made of the counts of its athletes. */
final class AverageRows {
    private static final byte[] NOTHING = {};

    private final Handle handle;
    private final HeadRows heads;

    AverageRows(Handle handle, HeadRows heads) {
        this.handle = handle;
        this.heads = heads;
    }

    /** Whether there are columns, all of them, made with these words. */
    boolean complete(String words) {
        return handle.createQuery("SELECT COUNT(*) FROM average WHERE complete = 1 AND words = :words")
                        .bind("words", words)
                        .mapTo(Integer.class)
                        .one()
                > 0;
    }

    /** Whether those that are being made are still the ones begun. */
    boolean born(String born) {
        return handle.createQuery("SELECT COUNT(*) FROM average WHERE born = :born")
                        .bind("born", born)
                        .mapTo(Integer.class)
                        .one()
                > 0;
    }

    /** Deletes what there is. */
    void clear() {
        for (String table : List.of("average", "average_of", "average_column")) {
            handle.execute("DELETE FROM " + table);
        }
    }

    /** Begins new columns, which are not read before they are complete. */
    String begin(String words) {
        clear();
        String born = UUID.randomUUID().toString();
        handle.execute("INSERT INTO average (one, born, words, complete, version) VALUES (1, ?, ?, 0, 0)", born, words);
        return born;
    }

    void put(ColumnKey key, CountColumn column) {
        handle.execute("DELETE FROM average_column WHERE name = ?", key.name());
        if (!column.isEmpty()) {
            handle.execute(
                    "INSERT INTO average_column (name, document) VALUES (?, ?)", key.name(), ColumnCodec.write(column));
        }
    }

    void finish() {
        handle.execute("UPDATE average SET complete = 1");
    }

    /** Some athletes of whom nothing, or something else than was counted, is in the columns; all have been counted. */
    List<String> behind(int most) {
        return handle.createQuery("SELECT athlete FROM average_of WHERE stale = 1 UNION ALL SELECT DISTINCT athlete"
                        + " FROM athlete_count WHERE athlete NOT IN (SELECT athlete FROM average_of) LIMIT :most")
                .bind("most", most)
                .mapTo(String.class)
                .list();
    }

    /** Some athletes that have been counted and are not noted. */
    List<String> missing(int most) {
        return handle.createQuery("SELECT DISTINCT athlete FROM athlete_count WHERE athlete NOT IN"
                        + " (SELECT athlete FROM average_of) LIMIT :most")
                .bind("most", most)
                .mapTo(String.class)
                .list();
    }

    /** Notes what of an athlete is in the columns from now on; empty when he is not counted in them. */
    Optional<AthleteCounts> note(String athlete, String words, int version) {
        Map<CountedGroup, AthleteCounts> groups = heads.counts(athlete, words);
        Optional<AthleteCounts> is = AthleteCounts.inAverage(athlete, groups);
        boolean fights = heads.fights(athlete);
        boolean broken = fights && groups.isEmpty();
        if (broken) {
            // to be counted anew, and then to be followed
            heads.uncount(athlete);
        }
        handle.execute("DELETE FROM average_of WHERE athlete = ?", athlete);
        if (fights) {
            handle.execute(
                    "INSERT INTO average_of (athlete, stale, version, counts) VALUES (?, ?, ?, ?)",
                    athlete,
                    broken ? 1 : 0,
                    version,
                    is.map(CountsCodec::write).orElse(NOTHING));
        }
        return is;
    }

    /**
     * Brings the columns to what was counted of an athlete. Only those that it changes are read and written.
     *
     * @return false when they do not hold what they should, so that they have to be made anew
     */
    boolean follow(String athlete, String words, Lexicon lexicon) {
        try {
            AthleteRows rows = new AthleteRows(lexicon);
            Optional<AthleteCounts> was = counts(athlete);
            int version = handle.createQuery("SELECT version + 1 FROM average")
                    .mapTo(Integer.class)
                    .one();
            handle.execute("UPDATE average SET version = ?", version);
            Optional<AthleteCounts> is = note(athlete, words, version);
            Map<ColumnKey, CountRow> before = was.map(c -> rows.all(athlete, c)).orElse(Map.of());
            Map<ColumnKey, CountRow> after = is.map(c -> rows.all(athlete, c)).orElse(Map.of());
            Set<ColumnKey> keys = new HashSet<>(before.keySet());
            keys.addAll(after.keySet());
            for (ColumnKey key : keys) {
                CountRow old = before.get(key);
                CountRow now = after.get(key);
                if (!Objects.equals(old, now)) {
                    put(
                            key,
                            new CountColumn.Builder(key.kind())
                                    .add(column(key))
                                    .remove(old)
                                    .add(now)
                                    .build());
                }
            }
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    private CountColumn column(ColumnKey key) throws IOException {
        byte[] kept = handle.createQuery("SELECT document FROM average_column WHERE name = :name")
                .bind("name", key.name())
                .map((row, context) -> row.getBytes(1))
                .findFirst()
                .orElse(null);
        return kept == null ? CountColumn.EMPTY : ColumnCodec.read(key.kind(), kept);
    }

    private Optional<AthleteCounts> counts(String athlete) throws IOException {
        byte[] kept = handle.createQuery("SELECT counts FROM average_of WHERE athlete = :who")
                .bind("who", athlete)
                .map((row, context) -> row.getBytes(1))
                .findFirst()
                .orElse(NOTHING);
        return Optional.ofNullable(read(kept));
    }

    /** Null for the bytes of one who is in no column. */
    static @Nullable AthleteCounts read(byte[] kept) throws IOException {
        return kept.length == 0 ? null : CountsCodec.read(kept);
    }

    /** Columns being made, of athlete after athlete. */
    static final class Making {
        private final String born;
        private final AthleteRows rows;
        private final Map<ColumnKey, CountColumn.Builder> columns = new HashMap<>();

        Making(String born, Lexicon lexicon) {
            this.born = born;
            this.rows = new AthleteRows(lexicon);
        }

        String born() {
            return born;
        }

        void add(String athlete, AthleteCounts counts) {
            rows.all(athlete, counts)
                    .forEach((key, row) -> columns.computeIfAbsent(key, k -> new CountColumn.Builder(k.kind()))
                            .add(row));
        }

        /** Some of the columns, which it then holds no more. */
        Map<ColumnKey, CountColumn> take(int most) {
            Map<ColumnKey, CountColumn> taken = new HashMap<>();
            for (ColumnKey key : List.copyOf(columns.keySet())) {
                if (taken.size() < most) {
                    taken.put(key, Objects.requireNonNull(columns.remove(key)).build());
                }
            }
            return taken;
        }
    }
}
