package farglass.work.publish;

import farglass.work.session.Messages;
import farglass.work.session.Session;
import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.util.Optional;

/**
 * Writes publications beside the window: each is written or told as not written, also when the window closes. The
 * library notes whom it tells of, and a message says how it went.
 */
public final class Publisher {
    private final Session session;

    /** Writes what is made of a session. */
    public Publisher(Session session) {
        this.session = session;
    }

    /** A publication that is soon written. */
    public void file(Path target, Publication publication) {
        Messages messages = session.messages();
        session.tasks()
                .command(
                        WorkWords.of("export.name", target.getFileName()),
                        () -> publication.write(target, share -> {}, () -> false),
                        this::written,
                        e -> messages.problem(
                                e instanceof PublicationException
                                        ? e.getMessage()
                                        : WorkWords.of("export.failed", target, e.getMessage())));
    }

    /**
     * A publication that takes its time, such as a film: with progress, and the user may cancel it.
     *
     * @param name shown while it is written
     */
    public void export(String name, Path target, Publication publication) {
        session.tasks().export(name, (progress, cancelled) -> {
            try {
                written(publication.write(target, progress, cancelled));
            } catch (PublicationException e) {
                session.messages().problem(e.getMessage());
            }
        });
    }

    private void written(Optional<Published> made) {
        made.ifPresent(p -> {
            if (!p.files().isEmpty()) {
                session.exported(p.athletes(), p.files().toArray(Path[]::new));
            }
            session.messages().done(p.told());
        });
    }
}
