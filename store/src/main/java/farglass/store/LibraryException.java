package farglass.store;

import org.jspecify.annotations.Nullable;

/** The library cannot do what was asked. The message says what happened, what was kept and what to do. */
public final class LibraryException extends Exception {
    /** Why, where it decides what can be offered. */
    public enum Kind {
        /** No more than the message says. */
        OTHER,
        /** Another window or program holds it. */
        IN_USE,
        /** It may not be written. */
        READ_ONLY,
        /** A newer program wrote it. */
        NEWER,
        /** It cannot be read, or not all of it. */
        DAMAGED,
        /** It is not there, while backups of it are. */
        MISSING
    }

    private final Kind kind;

    /** The message says what happened, what was kept and what to do. */
    public LibraryException(String message) {
        this(Kind.OTHER, message, null);
    }

    /** The message says what happened, what was kept and what to do. */
    public LibraryException(String message, Throwable cause) {
        this(Kind.OTHER, message, cause);
    }

    /** The message says what happened, what was kept and what to do. */
    public LibraryException(Kind kind, String message, @Nullable Throwable cause) {
        super(message, cause);
        this.kind = kind;
    }

    /** What can be done about it. */
    public Kind kind() {
        return kind;
    }
}
