package farglass.match;

import org.jspecify.annotations.Nullable;

/** Changes of one tag that are made by a single key. Tags they mean nothing for come back as they are. */
public final class TagChanges {
    private TagChanges() {}

    /** Left and right exchanged. */
    public static Tag mirrored(Tag tag) {
        if (tag instanceof Tag.Action a) {
            return a.sides(a.sides().stream().map(TagChanges::other).toList());
        }
        if (tag instanceof Tag.Position p) {
            return p.sided(other(p.side()));
        }
        if (tag instanceof Tag.Grip g) {
            return new Tag.Grip(g.t(), g.by(), g.grip(), other(g.hand()), g.depth(), g.until(), g.ended(), g.info());
        }
        return tag;
    }

    private static @Nullable Side other(@Nullable Side s) {
        return s == Side.LEFT ? Side.RIGHT : s == Side.RIGHT ? Side.LEFT : s;
    }

    /** The athletes exchanged: the one acts or holds in the other's place. */
    public static Tag swapped(Tag tag) {
        if (tag instanceof Tag.Action a) {
            return a.builder().by(a.by().other()).build();
        }
        if (tag instanceof Tag.Position p) {
            return p.builder().holder(other(p.holder())).guard(other(p.guard())).build();
        }
        if (tag instanceof Tag.Grip g) {
            return new Tag.Grip(g.t(), g.by().other(), g.grip(), g.hand(), g.depth(), g.until(), g.ended(), g.info());
        }
        if (tag instanceof Tag.Call c) {
            return new Tag.Call(
                    c.t(), c.call(), c.who().other(), c.value(), c.called(), other(c.causedBy()), c.reason(), c.info());
        }
        if (tag instanceof Tag.Body b) {
            return new Tag.Body(b.t(), b.of().other(), b.fact(), b.side(), b.until(), b.info());
        }
        if (tag instanceof Tag.Remark r) {
            return new Tag.Remark(
                    r.t(),
                    r.kind(),
                    other(r.by()),
                    r.source(),
                    r.text(),
                    r.instead(),
                    r.punished(),
                    r.fields(),
                    r.info());
        }
        if (tag instanceof Tag.Resume r) {
            return new Tag.Resume(r.t(), r.position(), other(r.holder()), other(r.guard()), r.info());
        }
        return tag;
    }

    private static @Nullable Corner other(@Nullable Corner c) {
        return c == null ? null : c.other();
    }

    /** The side as one that cannot be seen. */
    public static Tag sideHidden(Tag tag) {
        if (tag instanceof Tag.Action a) {
            return a.sided(Side.NOT_VISIBLE);
        }
        return tag instanceof Tag.Position p ? p.sided(Side.NOT_VISIBLE) : tag;
    }
}
