package farglass.lexicon;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Which of the two athletes may do a technique in a position. */
public enum Performer {
    /** The athlete playing guard. */
    @JsonProperty("guard")
    GUARD,
    /** The athlete above a guard. */
    @JsonProperty("top")
    TOP,
    /** The athlete ahead. */
    @JsonProperty("holder")
    HOLDER,
    /** The athlete who is not ahead. */
    @JsonProperty("under")
    UNDER,
    @JsonProperty("any")
    ANY;

    /**
     * Whether an athlete of that standing may act.
     *
     * @param isHolder he is ahead
     * @param isGuard he plays guard
     * @param contested the position has a holder or a guard at all
     */
    public boolean allows(boolean isHolder, boolean isGuard, boolean contested) {
        return switch (this) {
            case GUARD -> isGuard;
            case TOP -> contested && !isGuard;
            case HOLDER -> isHolder;
            case UNDER -> contested && !isHolder;
            case ANY -> true;
        };
    }
}
