package farglass.store;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;

/** Reads what a library holds, which was checked when it came in: what cannot be read is damage of the library. */
final class Documents {
    private Documents() {}

    /**
     * Records, in the order of their documents. On all cores: it is most of what opening a large library costs.
     *
     * @param documents UTF-8
     */
    static List<MatchRecord> matches(List<byte[]> documents) throws LibraryException {
        MatchRecord[] records = new MatchRecord[documents.size()];
        AtomicReference<FormatException> damage = new AtomicReference<>();
        Arrays.parallelSetAll(records, i -> {
            try {
                return MatchJson.read(present(documents.get(i)));
            } catch (FormatException e) {
                damage.compareAndSet(null, e);
                return null;
            }
        });
        if (damage.get() != null) {
            throw damaged(damage.get());
        }
        return new ArrayList<>(Arrays.asList(records));
    }

    /** A document that is not there is read as an empty one, which says so. */
    private static byte[] present(byte[] document) {
        return document == null ? new byte[0] : document;
    }

    static MatchRecord match(String document) throws LibraryException {
        try {
            return MatchJson.read(document);
        } catch (FormatException e) {
            throw damaged(e);
        }
    }

    static Plan plan(String document) throws LibraryException {
        try {
            return PlanJson.read(document);
        } catch (FormatException e) {
            throw damaged(e);
        }
    }

    static LibraryException damaged(FormatException e) {
        return new LibraryException(LibraryException.Kind.DAMAGED, StoreWords.of("record.unread", e.getMessage()), e);
    }
}
