package farglass.phrase;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * Where the phrase is typed.
 *
 * @param record the record it will be added to
 * @param stamp the moment it is about: when the phrase was begun, less the user's reaction delay
 * @param here the span at that moment, or null before the first position
 */
public record Context(
        MatchRecord record, MatchTime stamp, @Nullable Span here) {
    @Nullable
    Corner guard() {
        return here == null ? null : here.guard();
    }

    @Nullable
    Corner holder() {
        if (here == null) {
            return null;
        }
        return here.holder() != null || here.guard() == null
                ? here.holder()
                : here.guard().other();
    }

    /** Who acted last before the stamp, or null. */
    @Nullable
    Corner lastActor() {
        Corner last = null;
        for (Tag tag : record.tags()) {
            if (tag instanceof Tag.Action a && a.t().compareTo(stamp) <= 0) {
                last = a.by();
            }
        }
        return last;
    }
}
