package farglass.agreement;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * What is different between two versions of one record.
 *
 * @param added tags that only the later one has
 * @param removed tags that only the earlier one has
 * @param head whether what is written at the head differs
 * @param films whether the films or their clocks differ
 */
public record Versions(List<Tag> added, List<Tag> removed, boolean head, boolean films) {
    /** What changed from one version of a record to a later one. */
    public static Versions of(MatchRecord earlier, MatchRecord later) {
        List<Tag> added = new ArrayList<>(later.tags());
        List<Tag> removed = new ArrayList<>(earlier.tags());
        earlier.tags().forEach(added::remove);
        later.tags().forEach(removed::remove);
        return new Versions(
                added,
                removed,
                !Objects.equals(earlier.details(), later.details()) || earlier.kind() != later.kind(),
                !earlier.films().equals(later.films()));
    }

    /** Whether nothing changed. */
    public boolean same() {
        return added.isEmpty() && removed.isEmpty() && !head && !films;
    }
}
