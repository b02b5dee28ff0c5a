package farglass.store.server;

/** The team's library cannot do what was asked. The message says what happened, what was kept and what to do. */
public final class TeamException extends Exception {
    /** Why, where it decides what happens next. */
    public enum Kind {
        /** It cannot be reached now; one tries again. */
        UNREACHED,
        /** This login may not do it. */
        REFUSED,
        /** Nothing will be other the next time. */
        OTHER
    }

    private final Kind kind;

    /** The message says what happened, what was kept and what to do. */
    public TeamException(Kind kind, String message, Throwable cause) {
        super(message, cause);
        this.kind = kind;
    }

    /** Why. */
    public Kind kind() {
        return kind;
    }
}
