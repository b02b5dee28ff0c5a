package farglass.film;

/** A film cannot be used. The message says what happened, what was kept and what to do. */
public final class FilmException extends Exception {
    public FilmException(String message) {
        super(message);
    }
}
