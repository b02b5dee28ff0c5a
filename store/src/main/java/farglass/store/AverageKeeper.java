package farglass.store;

import farglass.lexicon.Lexicon;
import farglass.tendency.AthleteCounts;
import farglass.tendency.ColumnKey;
import farglass.tendency.CountColumn;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Makes the columns of the average and lets them follow its athletes, a piece at a time. */
final class AverageKeeper {
    /** Athletes that are taken in, and columns that are written, in one piece. */
    private static final int PIECE = 8;

    private static final int COLUMNS = 40;
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
        library.besides(() -> {
            if (!rows.follow(behind.get(0), words, lexicon)) {
                rows.clear();
            }
        });
        return true;
    }

    private boolean make(AverageRows.Making now, String words) throws LibraryException {
        Map<String, AthleteCounts> taken = new LinkedHashMap<>();
        int[] athletes = {0};
        library.besides(() -> {
            List<String> missing = rows.missing(PIECE);
            athletes[0] = missing.size();
            for (String who : missing) {
                rows.note(who, words, 0).ifPresent(c -> taken.put(who, c));
            }
        });
        taken.forEach(now::add);
        if (athletes[0] > 0) {
            return true;
        }
        Map<ColumnKey, CountColumn> columns = now.take(COLUMNS);
        library.besides(() -> columns.forEach(rows::put));
        if (columns.isEmpty()) {
            making = null;
            library.besides(rows::finish);
        }
        return true;
    }
}
