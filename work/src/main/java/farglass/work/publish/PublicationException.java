package farglass.work.publish;

import farglass.work.words.WorkWords;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** Something could not be written; nothing half-written was left. The message is for the user. */
public final class PublicationException extends Exception {
    private static final long serialVersionUID = 1L;

    /** The message is one sentence for the user. */
    public PublicationException(String message) {
        super(message);
    }

    /** The message is one sentence for the user. */
    public PublicationException(@Nullable String message, Throwable cause) {
        super(message, cause);
    }

    static PublicationException of(Path target, Exception cause) {
        return new PublicationException(WorkWords.of("export.failed", target, cause.getMessage()), cause);
    }
}
