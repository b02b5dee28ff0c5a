package farglass.match;

/** Always the side of the athlete who acts (of the guard player for a guard). */
public enum Side implements Coded {
    LEFT,
    RIGHT,
    BOTH,
    NOT_VISIBLE
}
