package farglass.match;

/** How a match was decided. */
public enum Method implements Coded {
    SUBMISSION,
    POINTS,
    ADVANTAGES,
    PENALTIES,
    DECISION,
    DISQUALIFICATION,
    DRAW,
    STOPPAGE
}
