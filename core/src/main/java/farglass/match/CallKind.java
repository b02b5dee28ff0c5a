package farglass.match;

/** What the referee or the table gave. */
public enum CallKind implements Coded {
    POINTS,
    ADVANTAGE,
    PENALTY,
    DISQUALIFIED
}
