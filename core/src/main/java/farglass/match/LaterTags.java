package farglass.match;

import java.util.AbstractList;
import java.util.List;
import java.util.RandomAccess;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Tags that are read when somebody first looks at one of them, and kept from then on: of most matches of a large
 * library only the head is ever looked at. What is asked of them without reading is known from the start.
 */
final class LaterTags extends AbstractList<Tag> implements RandomAccess {
    private final int count;
    private final boolean untouched;
    private @Nullable Supplier<List<Tag>> source;
    private volatile @Nullable List<Tag> read;

    /**
     * @param untouched whether there is no tag beyond those that every new record has
     * @param source gives them in the order of time
     */
    LaterTags(int count, boolean untouched, Supplier<List<Tag>> source) {
        this.count = count;
        this.untouched = untouched;
        this.source = source;
    }

    /** How many there are, or were when their number was written down. */
    int count() {
        List<Tag> known = read;
        return known == null ? count : known.size();
    }

    /** Whether there is no tag beyond those that every new record has. */
    boolean untouched() {
        List<Tag> known = read;
        return known == null ? untouched : MatchRecord.untouched(known);
    }

    private List<Tag> tags() {
        List<Tag> known = read;
        return known == null ? first() : known;
    }

    private synchronized List<Tag> first() {
        List<Tag> known = read;
        if (known == null && source != null) {
            known = source.get();
            read = known;
            source = null;
        }
        return known == null ? List.of() : known;
    }

    @Override
    public Tag get(int index) {
        return tags().get(index);
    }

    @Override
    public int size() {
        return tags().size();
    }
}
