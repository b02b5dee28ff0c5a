package farglass.store;

import farglass.draft.DraftList;
import farglass.store.json.DraftJson;
import farglass.store.json.FormatException;
import java.util.ArrayList;
import java.util.List;
import org.jdbi.v3.core.Handle;

/** What is proposed about matches, as rows. */
final class DraftRows {
    private final Handle handle;

    DraftRows(Handle handle) {
        this.handle = handle;
    }

    /** Lists of matches that are there; a library of an earlier version has none. */
    List<DraftList> all() throws LibraryException {
        List<DraftList> all = new ArrayList<>();
        if (!there()) {
            return all;
        }
        try {
            for (String d : handle.createQuery("SELECT d.document FROM draft_list d JOIN match_record m"
                            + " ON m.id = d.match_id AND m.removed = 0 ORDER BY d.match_id")
                    .mapTo(String.class)
                    .list()) {
                all.add(DraftJson.read(d));
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
        return all;
    }

    private boolean there() {
        return handle.createQuery("SELECT COUNT(*) FROM sqlite_master WHERE type = 'table' AND name = 'draft_list'")
                        .mapTo(Integer.class)
                        .one()
                > 0;
    }

    /** In place of what stood there. */
    void save(DraftList list) {
        handle.execute("DELETE FROM draft_list WHERE match_id = ?", list.match());
        handle.execute(
                "INSERT INTO draft_list (match_id, document) VALUES (?, ?)", list.match(), DraftJson.write(list));
    }
}
