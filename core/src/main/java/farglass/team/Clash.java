package farglass.team;

import farglass.match.Edit;
import java.util.List;

/**
 * Two people changed the same field of the same thing. The record has what the other made of it; what was wanted here
 * is kept until somebody decides.
 *
 * @param fields what both changed: names of fields, {@code removed} for a change of what the other removed or the other
 *     way round
 * @param mine makes the record what was wanted here; its own before is what the other made
 */
public record Clash(List<String> fields, Edit mine) {
    /** One changed it, the other removed it. */
    public static final String REMOVED = "removed";

    public Clash {
        fields = List.copyOf(fields);
    }
}
