package farglass.match;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/** Grips and body facts that go on until something ends them. */
public final class OpenEnd {
    private OpenEnd() {}

    /** Adds tags to a record; one that is a grip or body fact of the record with its end takes that one's place. */
    public static Edit keep(MatchRecord record, List<Tag> tags) {
        List<Tag> fresh = new ArrayList<>();
        List<Edit> edits = new ArrayList<>();
        MatchRecord now = record;
        for (Tag tag : tags) {
            OptionalInt open = openedAs(now, tag);
            if (open.isPresent()) {
                Edit ended = Edit.replace(now, open.getAsInt(), tag);
                edits.add(ended);
                now = ended.apply(now);
            } else {
                fresh.add(tag);
            }
        }
        if (edits.isEmpty()) {
            return Edit.addAll(record, TagIds.name(record, fresh));
        }
        if (!fresh.isEmpty()) {
            edits.add(Edit.addAll(now, TagIds.name(now, fresh)));
        }
        return edits.size() == 1 ? edits.get(0) : new Edit.Batch(edits);
    }

    /** The tag of the record that goes on and is the same but for its end. */
    private static OptionalInt openedAs(MatchRecord record, Tag ended) {
        for (int i = record.tags().size() - 1; i >= 0; i--) {
            Tag tag = record.tags().get(i);
            boolean grip = ended instanceof Tag.Grip e
                    && e.until() != null
                    && tag instanceof Tag.Grip g
                    && g.until() == null
                    && g.t().equals(e.t())
                    && g.by() == e.by()
                    && g.grip().equals(e.grip());
            boolean body = ended instanceof Tag.Body e
                    && e.until() != null
                    && tag instanceof Tag.Body b
                    && b.until() == null
                    && b.t().equals(e.t())
                    && b.of() == e.of()
                    && b.fact().equals(e.fact());
            if (grip || body) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
