package farglass.match;

/** What an athlete is in a place. */
public enum Role implements Coded {
    /** Plays the guard. */
    GUARD,
    /** Is ahead, or above a guard. */
    HOLDER,
    /** Nobody is ahead. */
    NEUTRAL,
    /** The other is ahead, and there is no guard. */
    UNDER;

    /** The role of one in a span of a match. */
    public static Role of(Span span, Corner who) {
        if (span.guard() == who) {
            return GUARD;
        }
        if (span.holder() == who || span.guard() == who.other()) {
            return HOLDER;
        }
        return span.holder() == null ? NEUTRAL : UNDER;
    }

    @Override
    public String toString() {
        return code();
    }
}
