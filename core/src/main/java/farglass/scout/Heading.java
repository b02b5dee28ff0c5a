package farglass.scout;

/** The parts of a report, in their order. */
public enum Heading {
    SUMMARY,
    START,
    STANDING,
    BOTTOM,
    TOP,
    FINISHES,
    SIDES,
    MOMENTS,
    BEATEN,
    CHANGED,
    UNKNOWN
}
