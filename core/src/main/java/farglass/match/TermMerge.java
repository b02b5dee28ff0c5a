package farglass.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Makes one term of two: tags that use the one use the other from then on. */
public final class TermMerge {
    private TermMerge() {}

    /** The edit that rewrites a record's tags; empty when none uses the term. */
    public static Optional<Edit> edit(MatchRecord record, String from, String to) {
        List<Edit> edits = new ArrayList<>();
        for (int i = 0; i < record.tags().size(); i++) {
            Tag tag = record.tags().get(i);
            Tag merged = merged(tag, from, to);
            if (!merged.equals(tag)) {
                edits.add(Edit.replace(record, i, merged));
            }
        }
        return edits.isEmpty()
                ? Optional.empty()
                : Optional.of(edits.size() == 1 ? edits.get(0) : new Edit.Batch(edits));
    }

    private static Tag merged(Tag tag, String from, String to) {
        if (tag instanceof Tag.Action a) {
            return a.builder()
                    .technique(or(a.technique(), from, to))
                    .to(orNull(a.to(), from, to))
                    .target(orNull(a.target(), from, to))
                    .build();
        }
        if (tag instanceof Tag.Position p) {
            return p.builder()
                    .position(or(p.position(), from, to))
                    .technique(orNull(p.technique(), from, to))
                    .base(orNull(p.base(), from, to))
                    .build();
        }
        if (tag instanceof Tag.Grip g) {
            return new Tag.Grip(
                    g.t(), g.by(), or(g.grip(), from, to), g.hand(), g.depth(), g.until(), g.ended(), g.info());
        }
        return tag instanceof Tag.Resume s
                ? new Tag.Resume(s.t(), orNull(s.position(), from, to), s.holder(), s.guard(), s.info())
                : tag;
    }

    /** Code and result are null together. */
    private static @Nullable String orNull(@Nullable String code, String from, String to) {
        return code == null ? null : or(code, from, to);
    }

    private static String or(String code, String from, String to) {
        return from.equals(code) ? to : code;
    }
}
