package farglass.match;

import java.util.ArrayList;
import java.util.List;

/** Identities for new tags. */
public final class TagIds {
    private TagIds() {}

    /** The tags with ids that no tag of the record has: {@code t} and a number above all numbers in use. */
    public static List<Tag> name(MatchRecord record, List<Tag> tags) {
        int highest = 0;
        for (Tag tag : record.tags()) {
            String id = tag.info().id();
            if (id != null && id.matches("t\\d{1,9}")) {
                highest = Math.max(highest, Integer.parseInt(id.substring(1)));
            }
        }
        List<Tag> named = new ArrayList<>();
        for (Tag tag : tags) {
            TagInfo i = tag.info();
            named.add(
                    i.id() != null
                            ? tag
                            : tag.with(new TagInfo("t" + ++highest, i.tagger(), i.confidence(), i.note(), i.extra())));
        }
        return named;
    }
}
