package farglass.desk.reel;

import farglass.match.MatchRecord;
import farglass.stats.TagRef;

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
}
