package farglass.match;

import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something doubtful in a record.
 *
 * @param code kind of finding, e.g. {@code unknown-code}
 * @param index of the tag it is about; -1 for the record as a whole
 * @param tag id or index of the tag, as reports cite it
 * @param repairs edits that would put it right, the likeliest first; empty when only somebody who looks can
 */
public record Finding(
        String code,
        Severity severity,
        MatchTime t,
        int index,
        @Nullable String tag,
        String message,
        List<Repair> repairs) {
    public Finding {
        repairs = List.copyOf(repairs);
    }

    /**
     * What would put it right.
     *
     * @param words the edit in words
     */
    public record Repair(Edit edit, String words) {}

    /** How bad it is. */
    public enum Severity implements Coded {
        INFO,
        WARNING,
        ERROR
    }

    /** A finding about a tag that nothing but a look can put right. */
    public static Finding at(MatchRecord r, int index, String code, Severity severity, String message) {
        return new Finding(code, severity, r.tags().get(index).t(), index, r.tagName(index), message, List.of());
    }

    /** A finding about the record as a whole. */
    public static Finding whole(String code, Severity severity, String message) {
        return new Finding(code, severity, MatchTime.ZERO, -1, null, message, List.of());
    }

    /** The same with one more way to put it right. */
    public Finding repair(Edit edit, String words) {
        List<Repair> all = new ArrayList<>(repairs);
        all.add(new Repair(edit, words));
        return new Finding(code, severity, t, index, tag, message, all);
    }

    /** The likeliest edit that would put it right; null when only somebody who looks can. */
    public @Nullable Edit repair() {
        return repairs.isEmpty() ? null : repairs.get(0).edit();
    }

    /** The likeliest repair in words; null without one. */
    public @Nullable String remedy() {
        return repairs.isEmpty() ? null : repairs.get(0).words();
    }
}
