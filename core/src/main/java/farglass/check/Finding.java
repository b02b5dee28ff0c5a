package farglass.check;

import farglass.time.MatchTime;

/**
 * Something doubtful in a record.
 *
 * @param code kind of finding, e.g. {@code unknown-code}
 * @param tag id or index of the tag
 */
public record Finding(String code, Severity severity, MatchTime t, String tag, String message) {
    /** How bad it is. */
    public enum Severity {
        INFO,
        WARNING,
        ERROR
    }
}
