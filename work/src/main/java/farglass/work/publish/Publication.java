package farglass.work.publish;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;

/** Something that is written for somebody else. Written on any thread, whole or not at all. */
public interface Publication {
    /**
     * @param progress gets the share done, 0 to 1
     * @return empty when it was cancelled; then nothing is left
     * @throws PublicationException when it cannot be written; nothing is left
     */
    Optional<Published> write(Path target, DoubleConsumer progress, BooleanSupplier cancelled)
            throws PublicationException;

    /** What writes one file. */
    interface Work {
        /** Writes the file whole or not at all. */
        void to(Path target) throws IOException;
    }

    /** One file that is soon written. */
    static Publication file(Set<String> athletes, Work work) {
        return (target, progress, cancelled) -> {
            try {
                work.to(target);
            } catch (IOException | UncheckedIOException e) {
                throw PublicationException.of(target, e);
            }
            return Optional.of(Published.file(target, athletes));
        };
    }
}
