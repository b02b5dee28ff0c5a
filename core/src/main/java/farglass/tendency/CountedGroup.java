package farglass.tendency;

import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import org.jspecify.annotations.Nullable;

/**
 * What the matches of a group have in common that filters ask for; counts are kept by it, because most averages are of
 * whole groups.
 *
 * @param attire as in the record, or null
 * @param ruleset code, or null
 */
public record CountedGroup(
        RecordKind kind, @Nullable String attire, @Nullable String ruleset) {
    /** The group a match belongs to. */
    public static CountedGroup of(MatchRecord r) {
        return new CountedGroup(r.kind(), r.details().attire(), r.details().ruleset());
    }
}
