package farglass.match;

/** What kind of remark. */
public enum RemarkKind implements Coded {
    ERROR,
    PRAISE,
    TRIGGER,
    PREFERENCE,
    QUESTION,
    NOTE
}
