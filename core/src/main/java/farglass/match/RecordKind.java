package farglass.match;

/** A competition match, a training round, or a moment out of a longer match. */
public enum RecordKind implements Coded {
    MATCH,
    ROUND,
    EXCERPT
}
