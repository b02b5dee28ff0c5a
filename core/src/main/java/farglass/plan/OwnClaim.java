package farglass.plan;

import farglass.stats.TagRef;
import java.util.List;

/**
 * A claim in the analyst's own words that names its tags.
 *
 * @param id {@code own.} and a number
 * @param tags where it is seen
 */
public record OwnClaim(String id, String athlete, String sentence, List<TagRef> tags) {
    public OwnClaim {
        tags = List.copyOf(tags);
    }
}
