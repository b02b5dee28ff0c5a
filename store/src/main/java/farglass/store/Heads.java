package farglass.store;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.tendency.AthleteCounts;
import farglass.tendency.CountedGroup;
import farglass.tendency.KeptCounts;
import farglass.tendency.MatchFacts;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jdbi.v3.core.Handle;

/**
 * A large library read by need: the heads of its matches, whose tags are read when somebody looks at them, and what was
 * counted of every athlete. Both are kept beside the records and made from them; what a change made untrue is deleted
 * with the change and made again by {@link #keepUp}.
 */
public final class Heads {
    /** By date, those without one last; of a day by id. */
    public static final Comparator<MatchRecord> OLDEST_FIRST = MatchRows.OLDEST_FIRST;

    /** Heads that are made in one piece. */
    private static final int PIECE = 40;

    private final Library library;
    private final HeadRows rows;
    private final TagReader reader;
    private final AverageKeeper average;

    Heads(Library library, Handle handle, TagReader reader) {
        this.library = library;
        this.rows = new HeadRows(handle, reader);
        this.reader = reader;
        this.average = new AverageKeeper(library, new AverageRows(handle, rows));
    }

    /**
     * What was read.
     *
     * @param matches all that are not out of sight, oldest first
     * @param counts of those whose matches are all counted, and of all athletes together
     */
    public record Read(List<MatchRecord> matches, KeptCounts counts) {}

    /** Matches that are not out of sight. */
    public int count() throws LibraryException {
        synchronized (library) {
            return library.reading(rows::count);
        }
    }

    /** All matches by their heads; those that have none yet are read whole, as are all of an earlier version. */
    public List<MatchRecord> matches() throws LibraryException {
        synchronized (library) {
            return library.reading(rows::there) ? ordered(library.reading(rows::shown)) : library.matches();
        }
    }

    /** All matches by their heads, and what was counted of athletes with a lexicon. */
    public Read read(Lexicon lexicon) throws LibraryException {
        synchronized (library) {
            if (!library.reading(rows::there)) {
                return new Read(library.matches(), KeptCounts.NONE);
            }
            List<HeadRows.Shown> shown = library.reading(rows::shown);
            Set<String> changed = new HashSet<>();
            for (HeadRows.Shown one : shown) {
                if (!one.byHead()) {
                    for (Corner c : Corner.values()) {
                        changed.add(one.record().athlete(c).id());
                    }
                }
            }
            try {
                return new Read(ordered(shown), new KeptReader(reader, words(lexicon), changed));
            } catch (UncheckedIOException e) {
                throw new LibraryException(String.valueOf(e.getMessage()), e);
            }
        }
    }

    private static List<MatchRecord> ordered(List<HeadRows.Shown> shown) {
        List<MatchRecord> records = new ArrayList<>();
        shown.forEach(s -> records.add(s.record()));
        records.sort(MatchRows.OLDEST_FIRST);
        return records;
    }

    /**
     * Makes a piece of what is missing: some heads, the counts of one athlete, or some of the average. Takes
     * milliseconds, of which the library is held for a few; what changes meanwhile is left to the next piece.
     *
     * @return whether there may be more to do
     */
    public boolean keepUp(Lexicon lexicon) throws LibraryException {
        List<byte[]> headless = look(() -> rows.headless(PIECE));
        if (!headless.isEmpty()) {
            List<MatchRecord> records = Documents.matches(headless);
            library.besides(() -> {
                for (int i = 0; i < records.size(); i++) {
                    rows.keep(headless.get(i), records.get(i));
                }
            });
            return true;
        }
        String words = words(lexicon);
        Optional<String> who = look(() -> rows.uncounted(words));
        if (who.isEmpty()) {
            return average.piece(lexicon, words);
        }
        String state = look(() -> rows.state(who.get()));
        List<byte[]> documents = look(() -> rows.documents(who.get()));
        Map<CountedGroup, AthleteCounts> counts = counted(who.get(), Documents.matches(documents), lexicon);
        library.besides(() -> rows.keep(who.get(), words, counts, state));
        return true;
    }

    private <T> T look(Transaction.Work<T> work) throws LibraryException {
        synchronized (library) {
            return library.reading(work);
        }
    }

    private static Map<CountedGroup, AthleteCounts> counted(String who, List<MatchRecord> records, Lexicon lexicon) {
        Map<CountedGroup, List<MatchFacts>> groups = new HashMap<>();
        for (MatchRecord r : records) {
            groups.computeIfAbsent(CountedGroup.of(r), k -> new ArrayList<>()).add(MatchFacts.of(r, lexicon));
        }
        Map<CountedGroup, AthleteCounts> counts = new HashMap<>();
        groups.forEach((group, facts) -> counts.put(group, AthleteCounts.of(who, facts)));
        return counts;
    }

    /** What tags were counted with. */
    private static String words(Lexicon lexicon) {
        try {
            byte[] sum = MessageDigest.getInstance("SHA-256")
                    .digest(lexicon.meaning().getBytes(StandardCharsets.UTF_8));
            return AthleteCounts.FORM + " " + HexFormat.of().formatHex(sum);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
