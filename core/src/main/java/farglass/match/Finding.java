package farglass.match;

import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/**
 * Something doubtful in a record.
 *
 * @param code kind of finding, e.g. {@code unknown-code}
 * @param index of the tag it is about; -1 for the record as a whole
 * @param tag id or index of the tag, as reports cite it
 * @param repair an edit that would put it right; null when only somebody who looks can
 * @param remedy the repair in words; null with {@code repair}
 */
public record Finding(
        String code,
        Severity severity,
        MatchTime t,
        int index,
        @Nullable String tag,
        String message,
        @Nullable Edit repair,
        @Nullable String remedy) {
    /** How bad it is. */
    public enum Severity implements Coded {
        INFO,
        WARNING,
        ERROR
    }

    /** A finding about a tag that nothing but a look can put right. */
    public static Finding at(MatchRecord r, int index, String code, Severity severity, String message) {
        return new Finding(code, severity, r.tags().get(index).t(), index, r.tagName(index), message, null, null);
    }

    /** A finding about the record as a whole. */
    public static Finding whole(String code, Severity severity, String message) {
        return new Finding(code, severity, MatchTime.ZERO, -1, null, message, null, null);
    }

    /** The same with what would put it right. */
    public Finding repair(Edit edit, String words) {
        return new Finding(code, severity, t, index, tag, message, edit, words);
    }
}
