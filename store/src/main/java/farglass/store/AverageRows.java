package farglass.store;

import farglass.lexicon.Lexicon;
import farglass.tendency.AthleteCounts;
import farglass.tendency.AthleteRows;
import farglass.tendency.ColumnCodec;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountColumn;
import farglass.tendency.CountsCodec;
import java.io.IOException;
import java.util.HashMap;
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

    /** @param column bytes; empty for a column of nothing */
    void put(ColumnKey key, byte[] column) {
        handle.execute("DELETE FROM average_column WHERE name = ?", key.name());
        if (column.length > 0) {
            handle.execute("INSERT INTO average_column (name, document) VALUES (?, ?)", key.name(), column);
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

    /** Takes an athlete into columns that are being made; empty when he is not counted in them. */
    Optional<AthleteCounts> take(String athlete, String words) {
        List<HeadRows.Kept> kept = heads.kept(athlete, words);
        Optional<AthleteCounts> is = AthleteCounts.inAverage(athlete, HeadRows.read(kept));
        note(athlete, kept, is, 0);
        return is;
    }

    /** Notes what of an athlete is in the columns from now on; nothing of one who fights no more. */
    private void note(String athlete, List<HeadRows.Kept> kept, Optional<AthleteCounts> is, int version) {
        boolean fights = heads.fights(athlete);
        boolean broken = fights && HeadRows.read(kept).isEmpty();
        if (broken || !fights) {
            // to be counted anew and then to be followed, or counts of nobody, which would be asked for again and again
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
    }

    /**
     * What the columns hold of an athlete and what was counted of him, both as they are kept.
     *
     * @param version of the columns
     * @param was empty when he is in none of them
     */
    record Athlete(String id, int version, byte[] was, List<HeadRows.Kept> is) {}

    Athlete athlete(String id, String words) {
        byte[] was = handle.createQuery("SELECT counts FROM average_of WHERE athlete = :who")
                .bind("who", id)
                .map((row, context) -> row.getBytes(1))
                .findFirst()
                .orElse(NOTHING);
        return new Athlete(id, version(), was, heads.kept(id, words));
    }

    private int version() {
        return handle.createQuery("SELECT version FROM average")
                .mapTo(Integer.class)
                .findFirst()
                .orElse(-1);
    }

    /** The bytes of some columns; none of those that are not there. */
    Map<ColumnKey, byte[]> columns(Set<ColumnKey> keys) {
        Map<ColumnKey, byte[]> columns = new HashMap<>();
        for (ColumnKey key : keys) {
            handle.createQuery("SELECT document FROM average_column WHERE name = :name")
                    .bind("name", key.name())
                    .map((row, context) -> row.getBytes(1))
                    .findFirst()
                    .ifPresent(bytes -> columns.put(key, bytes));
        }
        return columns;
    }

    /**
     * Writes the columns that an athlete has changed, if he and they are still what they were made of.
     *
     * @param columns bytes; empty for a column of nothing
     */
    void follow(Athlete a, String words, Optional<AthleteCounts> is, Map<ColumnKey, byte[]> columns) {
        List<HeadRows.Kept> now = heads.kept(a.id(), words);
        boolean same = now.size() == a.is().size() && version() == a.version();
        for (int i = 0; same && i < now.size(); i++) {
            same = now.get(i).same(a.is().get(i));
        }
        if (same) {
            handle.execute("UPDATE average SET version = ?", a.version() + 1);
            columns.forEach(this::put);
            note(a.id(), now, is, a.version() + 1);
        }
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

        /** The bytes of some of the columns, which it then holds no more. */
        Map<ColumnKey, byte[]> take(int most) {
            Map<ColumnKey, byte[]> taken = new HashMap<>();
            for (ColumnKey key : List.copyOf(columns.keySet())) {
                if (taken.size() < most) {
                    CountColumn column =
                            Objects.requireNonNull(columns.remove(key)).build();
                    taken.put(key, ColumnCodec.write(column));
                }
            }
            return taken;
        }
    }
}
