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
    UNKNOWN;

    /** The part in which a technique of a family is told. */
    static Heading begunIn(String family) {
        return switch (family) {
            case "takedown", "guard-pull" -> STANDING;
            case "sweep", "guard-entry", "recovery", "escape", "stand-up", "reversal" -> BOTTOM;
            case "submission" -> FINISHES;
            default -> TOP;
        };
    }
}
