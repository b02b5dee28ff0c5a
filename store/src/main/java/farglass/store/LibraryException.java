package farglass.store;

/** The library cannot do what was asked. The message says what happened, what was kept and what to do. */
public final class LibraryException extends Exception {
    public LibraryException(String message) {
        super(message);
    }

    public LibraryException(String message, Throwable cause) {
        super(message, cause);
    }
}
