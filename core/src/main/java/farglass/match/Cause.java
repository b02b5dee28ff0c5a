package farglass.match;

/** Why a place changed. */
public enum Cause implements Coded {
    FORCED,
    CONCEDED,
    INVITED,
    FREE,
    NOT_VISIBLE
}
