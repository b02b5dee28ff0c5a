package farglass.work.session;

import farglass.draft.DraftList;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.Library;
import farglass.store.LibraryException;
import java.util.List;
import java.util.Map;

/** A library and what was read of it, so that nothing of it is read on the thread of results. */
public record LibraryContent(
        Library library,
        List<MatchRecord> matches,
        List<Assignment> assignments,
        List<Plan> plans,
        List<DraftList> drafts,
        Map<String, String> settings) {

    /** @throws LibraryException when it cannot be read; it stays open */
    public static LibraryContent of(Library library) throws LibraryException {
        return new LibraryContent(
                library,
                library.matches(),
                library.assignments(),
                library.plans(),
                library.drafts(),
                library.settings());
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
