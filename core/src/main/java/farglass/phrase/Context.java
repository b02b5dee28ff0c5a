package farglass.phrase;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;

/**
 * Where the phrase is typed.
 *
 * @param record the record it will be added to
 * @param stamp the moment it is about: when the phrase was begun, less the user's reaction delay
 * @param here the span at that moment, or null before the first position
 */
public record Context(MatchRecord record, MatchTime stamp, Span here) {
    Corner guard() {
        return here == null ? null : here.guard();
    }

    Corner holder() {
        if (here == null) {
            return null;
        }
        return here.holder() != null || here.guard() == null
                ? here.holder()
                : here.guard().other();
    }

    /** Who acted last before the stamp, or null. */
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
