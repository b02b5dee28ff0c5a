package farglass.store.json;

import org.jspecify.annotations.Nullable;

/** A document that cannot be read. The message begins with the path inside it, as {@code /tags/14/outcome: ...}. */
public final class FormatException extends Exception {
    /** What is wrong, and where in the document, as a JSON pointer. */
    public FormatException(String path, @Nullable String message) {
        super((path.isEmpty() ? "/" : path) + ": " + message);
    }
}
