package farglass.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What to do with tags entered while a replay is on screen: the same thing tagged within 1.5 s of match time is the
 * same thing. Its missing fields are filled, fields that are there win, and nothing is counted twice.
 */
public final class ReplayMerge {
    static final long WINDOW_MS = 1500;

    private ReplayMerge() {}

    /** The edit that takes the tags in; an empty batch when all of them are there already. */
    public static Edit edit(MatchRecord record, List<Tag> tags) {
        List<Edit> edits = new ArrayList<>();
        MatchRecord next = record;
        for (Tag tag : tags) {
            int there = find(next, tag);
            Edit e;
            if (there < 0) {
                e = Edit.add(next, tag);
            } else {
                Tag merged = merge(next.tags().get(there), tag);
                if (merged.equals(next.tags().get(there))) {
                    continue;
                }
                e = Edit.replace(next, there, merged);
            }
            next = e.apply(next);
            edits.add(e);
        }
        return new Edit.Batch(edits);
    }

    private static int find(MatchRecord record, Tag tag) {
        for (int i = 0; i < record.tags().size(); i++) {
            Tag other = record.tags().get(i);
            if (Math.abs(other.t().since(tag.t())) <= WINDOW_MS && same(other, tag)) {
                return i;
            }
        }
        return -1;
    }

    private static boolean same(Tag x, Tag y) {
        if (x instanceof Tag.Action a && y instanceof Tag.Action b) {
            return a.by() == b.by() && a.technique().equals(b.technique());
        }
        if (x instanceof Tag.Position a && y instanceof Tag.Position b) {
            return a.position().equals(b.position()) && a.holder() == b.holder();
        }
        if (x instanceof Tag.Grip a && y instanceof Tag.Grip b) {
            return a.by() == b.by() && a.grip().equals(b.grip());
        }
        if (x instanceof Tag.Call a && y instanceof Tag.Call b) {
            return a.call() == b.call() && a.who() == b.who() && Objects.equals(a.value(), b.value());
        }
        return x.getClass() == y.getClass() && !(x instanceof Tag.Remark) && !(x instanceof Tag.Body);
    }

    private static Tag merge(Tag there, Tag seen) {
        if (there instanceof Tag.Action a && seen instanceof Tag.Action b) {
            return a.builder()
                    .sides(a.sides().isEmpty() ? b.sides() : a.sides())
                    .outcome(or(a.outcome(), b.outcome()))
                    .reached(or(a.reached(), b.reached()))
                    .to(or(a.to(), b.to()))
                    .answer(or(a.answer(), b.answer()))
                    .limb(or(a.limb(), b.limb()))
                    .checks(a.checks().isEmpty() ? b.checks() : a.checks())
                    .target(or(a.target(), b.target()))
                    .believed(or(a.believed(), b.believed()))
                    .build();
        }
        if (there instanceof Tag.Position a && seen instanceof Tag.Position b) {
            return a.sided(or(a.side(), b.side())).caused(or(a.cause(), b.cause()));
        }
        return there;
    }

    private static <T> @Nullable T or(@Nullable T there, @Nullable T seen) {
        return there != null ? there : seen;
    }
}
