package farglass.draft;

import farglass.match.Tag;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Makes one draft of two that tell of the same thing. */
final class DraftMerge {
    private DraftMerge() {}

    /** What the source nearer to the moment says, with what only the other one says; identity is the first's. */
    static Draft of(Draft first, Draft second) {
        boolean nearer = first.source().compareTo(second.source()) >= 0;
        Draft near = nearer ? first : second;
        Draft far = nearer ? second : first;
        List<Basis> bases = new ArrayList<>(first.bases());
        bases.addAll(second.bases());
        return new Draft(first.id(), both(near.tag(), far.tag()), near.film(), near.filmMs(), bases, first.refused());
    }

    private static Tag both(Tag near, Tag far) {
        if (near instanceof Tag.Action n && far instanceof Tag.Action f) {
            boolean closer = generic(n) && !generic(f);
            return n.builder()
                    .technique(closer ? f.technique() : n.technique())
                    .family(closer ? f.family() : n.family())
                    .sides(n.sides().isEmpty() ? f.sides() : n.sides())
                    .outcome(or(n.outcome(), f.outcome()))
                    .reached(or(n.reached(), f.reached()))
                    .to(or(n.to(), f.to()))
                    .build();
        }
        if (near instanceof Tag.Position n && far instanceof Tag.Position f) {
            return n.sided(or(n.side(), f.side()));
        }
        return near;
    }

    /** Whether only the kind of act is named. */
    private static boolean generic(Tag.Action a) {
        return a.technique().equals(a.family());
    }

    private static <T> @Nullable T or(@Nullable T first, @Nullable T second) {
        return first == null ? second : first;
    }
}
