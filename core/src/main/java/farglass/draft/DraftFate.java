package farglass.draft;

/** What has become of a draft. */
public enum DraftFate {
    /** Nobody has decided. */
    OPEN,
    /** Taken as it was; what was added to it later, or its moment, are no change. */
    TAKEN,
    /** Taken, but it says something else now. */
    CHANGED,
    REFUSED,
    /** The record says it by a tag of its own. */
    HELD,
    /** No film shows its moment live. */
    OUT_OF_SIGHT
}
