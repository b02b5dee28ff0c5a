package farglass.work.publish;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.stats.TagRef;
import java.util.Optional;

/** Where cited tags stand in their records. */
public final class Moments {
    private Moments() {}

    /** Index of the tag; -1 when it has gone since. */
    public static int index(MatchRecord r, TagRef ref) {
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tagName(i).equals(ref.tag())) {
                return i;
            }
        }
        return -1;
    }

    /** The tag; empty when it has gone since. */
    static Optional<Tag> tag(MatchRecord r, TagRef ref) {
        int at = index(r, ref);
        return at < 0 ? Optional.empty() : Optional.of(r.tags().get(at));
    }
}
