package farglass.match;

/** What came of an attempt. */
public enum Outcome implements Coded {
    COMPLETED,
    NEAR,
    STUFFED,
    ABANDONED,
    COUNTERED,
    NOT_VISIBLE
}
