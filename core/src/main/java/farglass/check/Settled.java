package farglass.check;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Score;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Differences between table and tags that somebody has looked at. Both versions stay; the tag says which one holds: as
 * called, or as seen (a field {@code settled} beside those of the format).
 */
public final class Settled {
    private static final String FIELD = "settled";

    private Settled() {}

    /** Whether a difference has been settled either way. */
    public static boolean is(MatchRecord r, Score.Difference d) {
        return r.tags().get(d.tag()).info().extra().containsKey(FIELD);
    }

    /** The tag a difference is about with what was decided. */
    public static Tag as(Tag tag, boolean called) {
        Map<String, Object> extra = new LinkedHashMap<>(tag.info().extra());
        extra.put(FIELD, called ? "called" : "seen");
        return tag.with(new TagInfo(
                tag.info().id(),
                tag.info().tagger(),
                tag.info().confidence(),
                tag.info().note(),
                extra));
    }
}
