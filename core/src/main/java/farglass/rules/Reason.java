package farglass.rules;

/** Why points were not given. */
enum Reason {
    HOLD("not held long enough"),
    STOPPAGE("the match was stopped"),
    END("the match ended"),
    LATE("it began before points count"),
    PULL("guard was pulled, and no takedown attempt was met by it"),
    PAID("control was not broken since it was last given"),
    RECOVERY("the guard between was too short to be a recovered guard"),
    HOOKS("the back counts with two hooks only"),
    REVERSAL("turned over from below, not from a guard"),
    UNDONE("the turn before had not lasted, so that undoing it gains nothing"),
    BACK_FROM_GUARD("from guard to the back is no sweep: the back counts"),
    COUNTER("going behind a failed attempt is no takedown"),
    NOBODY_ON_TOP("nobody was on top before"),
    PLACED("the referee put them there"),
    NOT_SEEN("how it came about is not in the picture");

    private final String words;

    Reason(String words) {
        this.words = words;
    }

    /** As written in files: lower case, words joined by a hyphen. */
    String code() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    String words() {
        return words;
    }
}
