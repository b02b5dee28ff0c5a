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

    /** Made once: situations are looked up by it all the time. */
    private final String code = Coded.super.code();

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
    public String code() {
        return code;
    }

    @Override
    public String toString() {
        return code;
    }
}
