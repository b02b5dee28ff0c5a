package farglass.rules;

/** Why points were not given. */
enum Reason {
    HOLD,
    STOPPAGE,
    END,
    LATE,
    PULL,
    PAID,
    RECOVERY,
    HOOKS,
    REVERSAL,
    UNDONE,
    BACK_FROM_GUARD,
    COUNTER,
    NOBODY_ON_TOP,
    PLACED,
    NOT_SEEN;

    /** As written in files: lower case, words joined by a hyphen. */
    String code() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
}
