package farglass.store;

import farglass.lexicon.Lexicon;
import farglass.tendency.AthleteCounts;
import farglass.tendency.AthleteRows;
import farglass.tendency.ColumnCodec;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountColumn;
import farglass.tendency.CountRow;
import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Makes the columns of the average and lets them follow its athletes, a piece at a time. */
final class AverageKeeper {
    /** Athletes that are taken in, and columns that are written, in one piece. */
    private static final int PIECE = 8;

    private static final int COLUMNS = 40;
    private static final byte[] NOTHING = {};
    /** With more athletes than this to follow, making all columns anew costs less. */
    private static final int MANY = 100;

    private final Library library;
    private final AverageRows rows;
    private AverageRows.@Nullable Making making;

    AverageKeeper(Library library, AverageRows rows) {
        this.library = library;
        this.rows = rows;
    }

    /**
     * A piece of what is to be done, when all athletes are counted.
     *
     * @return whether there may be more to do
     */
    boolean piece(Lexicon lexicon, String words) throws LibraryException {
        AverageRows.Making now = making;
        if (now != null && library.reading(() -> rows.born(now.born()))) {
            return make(now, words);
        }
        making = null;
        boolean complete = library.reading(() -> rows.complete(words));
        List<String> behind = library.reading(() -> rows.behind(MANY + 1));
        if (complete && behind.isEmpty()) {
            return false;
        }
        if (!complete || behind.size() > MANY) {
            library.besides(() -> making = new AverageRows.Making(rows.begin(words), lexicon));
            return true;
        }
        follow(behind.get(0), lexicon, words);
        return true;
    }

    /** Brings the columns to what was counted of an athlete; the library is held to read and to write, not to count. */
    private void follow(String who, Lexicon lexicon, String words) throws LibraryException {
        AverageRows.Athlete a = library.reading(() -> rows.athlete(who, words));
        try {
            AthleteRows of = new AthleteRows(lexicon);
            AthleteCounts was = AverageRows.read(a.was());
            Optional<AthleteCounts> is = AthleteCounts.inAverage(who, HeadRows.read(a.is()));
            Map<ColumnKey, CountRow> before = was == null ? Map.of() : of.all(who, was);
            Map<ColumnKey, CountRow> after = is.map(c -> of.all(who, c)).orElse(Map.of());
            Set<ColumnKey> keys = new HashSet<>(before.keySet());
            keys.addAll(after.keySet());
            keys.removeIf(k -> Objects.equals(before.get(k), after.get(k)));
            Map<ColumnKey, byte[]> columns = new HashMap<>();
            Map<ColumnKey, byte[]> kept = library.reading(() -> rows.columns(keys));
            for (ColumnKey key : keys) {
                byte[] bytes = kept.get(key);
                CountColumn column = bytes == null ? CountColumn.EMPTY : ColumnCodec.read(key.kind(), bytes);
                CountColumn now = new CountColumn.Builder(key.kind())
                        .add(column)
                        .remove(before.get(key))
                        .add(after.get(key))
                        .build();
                columns.put(key, now.isEmpty() ? NOTHING : ColumnCodec.write(now));
            }
            library.besides(() -> rows.follow(a, words, is, columns));
        } catch (IOException | IllegalArgumentException e) {
            // they do not hold what they should
            library.besides(rows::clear);
        }
    }

    private boolean make(AverageRows.Making now, String words) throws LibraryException {
        Map<String, AthleteCounts> taken = new LinkedHashMap<>();
        int[] athletes = {0};
        library.besides(() -> {
            List<String> missing = rows.missing(PIECE);
            athletes[0] = missing.size();
            for (String who : missing) {
                rows.take(who, words).ifPresent(c -> taken.put(who, c));
            }
        });
        taken.forEach(now::add);
        if (athletes[0] > 0) {
            return true;
        }
        Map<ColumnKey, byte[]> columns = now.take(COLUMNS);
        library.besides(() -> columns.forEach(rows::put));
        if (columns.isEmpty()) {
            making = null;
            library.besides(rows::finish);
        }
        return true;
    }
}
