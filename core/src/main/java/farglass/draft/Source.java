package farglass.draft;

import farglass.match.Coded;

/** Where a draft comes from; the later in this list, the nearer to the moment it tells of. */
public enum Source implements Coded {
    CAPTIONS,
    NOTES,
    REPEAT,
    ANALYST,
    SCORE
}
