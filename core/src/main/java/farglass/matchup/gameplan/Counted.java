package farglass.matchup.gameplan;

import farglass.stats.TagRef;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something that was seen some times out of some.
 *
 * @param code of what was seen
 * @param tags that show it, one for each time
 * @param of how many times it could have been seen, at least the number of tags
 */
public record Counted(String code, List<TagRef> tags, int of) {
    public Counted {
        tags = List.copyOf(tags);
    }

    /** How often it was seen. */
    public int times() {
        return tags.size();
    }

    /** What was seen most often, at least so many times and in such a share of them; of two alike the first by code. */
    static Optional<Counted> most(Map<String, List<TagRef>> seen, int of, int least, double share) {
        return seen.entrySet().stream()
                .map(e -> new Counted(e.getKey(), e.getValue(), of))
                .filter(c -> c.times() >= least && c.times() >= share * of)
                .max(Comparator.comparingInt(Counted::times).thenComparing(Counted::code, Comparator.reverseOrder()));
    }
}
