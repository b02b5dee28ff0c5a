package farglass.desk;

import farglass.desk.shell.Desk;
import farglass.store.Library;
import farglass.store.LibraryException;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** Opens and reads the library while the window system starts: the two take about as long as each other. */
final class Opening {
    static final Clock CLOCK = Clock.systemDefaultZone();
    /** Set before JavaFX makes the application object, which takes no arguments of ours. */
    private static volatile CompletableFuture<Desk.Content> begun;

    private Opening() {}

    static void begin(List<String> args) {
        begun = CompletableFuture.supplyAsync(() -> {
            try {
                return open(args);
            } catch (LibraryException e) {
                throw new CompletionException(e);
            }
        });
    }

    private static Desk.Content open(List<String> args) throws LibraryException {
        Library library = Library.open(Home.library(args), CLOCK);
        try {
            if (args.contains("--demo") || args.contains("--shots")) {
                Demo.fill(library);
            }
            return Desk.Content.of(library);
        } catch (LibraryException | RuntimeException e) {
            library.close();
            throw e;
        }
    }

    /** The content of the library, waited for when it is not read yet. */
    static Desk.Content await(List<String> args) throws LibraryException {
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
        }
    }
}
