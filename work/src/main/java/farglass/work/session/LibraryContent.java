package farglass.work.session;

import farglass.draft.DraftList;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.Heads;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.tendency.KeptCounts;
import java.util.List;
import java.util.Map;

/**
 * A library and what was read of it, so that nothing of it is read on the thread of results. A small one is read whole;
 * of a large one the heads of matches, whose tags are read when somebody looks at them.
 *
 * @param counts what was counted of athletes; none where all matches were read whole
 */
public record LibraryContent(
        Library library,
        List<MatchRecord> matches,
        KeptCounts counts,
        List<Assignment> assignments,
        List<Plan> plans,
        List<DraftList> drafts,
        Map<String, String> settings) {
    /**
     * A library of so many matches is read whole in less than half a second, and what is damaged in it is told at once.
     */
    public static final int READ_WHOLE = 200;

    /** @throws LibraryException when it cannot be read; it stays open */
    public static LibraryContent of(Library library) throws LibraryException {
        return of(library, READ_WHOLE);
    }

    /** @param whole up to how many matches all are read whole */
    static LibraryContent of(Library library, int whole) throws LibraryException {
        Map<String, String> settings = library.settings();
        Heads.Read read = library.heads().count() <= whole
                ? new Heads.Read(library.matches(), KeptCounts.NONE)
                : library.heads().read(TeamWords.of(settings).lexicon());
        return new LibraryContent(
                library,
                read.matches(),
                read.counts(),
                library.assignments(),
                library.plans(),
                library.drafts(),
                settings);
    }

    /** Reads a library; closes it when it cannot be read. */
    public static LibraryContent orClosed(Library library) throws LibraryException {
        try {
            return of(library);
        } catch (LibraryException | RuntimeException e) {
            library.close();
            throw e;
        }
    }
}
