package farglass.desk;

import farglass.desk.shell.Words;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.server.TeamAddress;
import farglass.work.session.LibraryContent;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** Opens and reads the library while the window system starts: the two take about as long as each other. */
final class Opening {
    static final Clock CLOCK = Clock.system(java.time.ZoneId.systemDefault());
    /** Set before JavaFX makes the application object, which takes no arguments of ours. */
    private static volatile CompletableFuture<Opened> begun;

    private Opening() {}

    /**
     * A library that was opened.
     *
     * @param told what the user must know of it, or null when it is whole and can be changed
     */
    record Opened(LibraryContent content, String told) {}

    static void begin(List<String> args) {
        begun = CompletableFuture.supplyAsync(() -> {
            try {
                return open(args);
            } catch (LibraryException e) {
                throw new CompletionException(e);
            }
        });
    }

    /** Opens as much as can be opened: to be changed, else to be read, else what of a damaged library can be read. */
    static Opened open(List<String> args) throws LibraryException {
        Path file = Home.library(args);
        boolean made = args.contains("--demo") || args.contains("--shots");
        try {
            Library library = Library.open(file, CLOCK);
            Optional<String> team = Home.team(args);
            if (team.isPresent()) {
                attach(library, team.get());
            }
            if (made) {
                try {
                    if (Demo.fill(library)) {
                        if (args.contains("--demo")) {
                            Demo.prepare(library);
                        } else {
                            // pictures show a plan that nobody has touched
                            Demo.waiting(library);
                        }
                    }
                } catch (LibraryException | RuntimeException e) {
                    library.close();
                    throw e;
                }
            }
            return new Opened(LibraryContent.orClosed(library), null);
        } catch (LibraryException e) {
            return reading(file, e);
        }
    }

    /** A library of one's own is not made a mirror in passing: what it holds would be sent to the whole team. */
    private static void attach(Library library, String team) throws LibraryException {
        try {
            String url = new TeamAddress(team).url();
            if (library.heads().count() == 0 || library.mirror().attached()) {
                library.mirror().attach(url);
                return;
            }
        } catch (IllegalArgumentException e) {
            library.close();
            throw new LibraryException(Words.of("team.address", String.valueOf(e.getMessage())));
        } catch (LibraryException e) {
            library.close();
            throw e;
        }
        library.close();
        throw new LibraryException(Words.of("team.own", library.file()));
    }

    private static Opened reading(Path file, LibraryException why) throws LibraryException {
        try {
            switch (why.kind()) {
                case IN_USE, READ_ONLY, NEWER -> {
                    return new Opened(
                            LibraryContent.orClosed(Library.read(file, CLOCK)),
                            Words.of("opening.reading", why.getMessage()));
                }
                case DAMAGED -> {
                    Library found = Library.salvaged(file, CLOCK);
                    int missing = found.missing().size();
                    String first = missing == 0 ? "" : found.missing().get(0);
                    return new Opened(LibraryContent.orClosed(found), Words.of("opening.damaged", missing, first));
                }
                default -> throw why;
            }
        } catch (LibraryException e) {
            // why it cannot be opened says more than why it cannot be read
            throw why;
        }
    }

    /** The content of the library, waited for when it is not read yet. */
    static Opened await(List<String> args) throws LibraryException {
        if (begun == null) {
            return open(args);
        }
        try {
            return begun.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof LibraryException refused) {
                throw refused;
            }
            throw e;
        } finally {
            begun = null;
        }
    }
}
