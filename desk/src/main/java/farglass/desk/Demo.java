package farglass.desk;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.text.Language;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;

/** The demo: its library filled once, its films drawn in the background while the window is in use. */
public final class Demo {
    private static final String FILLED = "demo.filled";
    private static final List<String> PINNED = List.of("opening.pull", "guard.LAS", "side.sweep", "technique.triangle");

    private Demo() {}

    /**
     * Fills an empty library with the made-up scenario; a library filled before is left as the user has it.
     *
     * @return whether it was filled now
     */
    public static boolean fill(Library library) throws LibraryException {
        if (library.setting(FILLED).isPresent()) {
            return false;
        }
        if (library.heads().count() == 0) {
            // all of them or none: a first start that was ended in the middle goes on here
            library.addAll(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED));
        }
        for (Assignment a : DemoLibrary.assignments()) {
            library.save(a);
        }
        library.save(DemoLibrary.fought());
        library.set(FILLED, "true");
        return true;
    }

    /**
     * Lays a plan by for the match ahead, half worked, so that no station opens empty; and a match whose film waits to
     * be tagged.
     */
    static void prepare(Library library) throws LibraryException {
        waiting(library);
        Plan plan = DemoLibrary.prepared();
        LibraryIndex index = LibraryIndex.of(library.matches(), Lexicon.builtIn());
        Profile them = Profile.of(index, plan.them(), Filter.ALL, 1);
        ClaimWriter writer = new ClaimWriter(Language.locale());
        for (Claim c : them.claims()) {
            if (PINNED.contains(c.id())) {
                plan = plan.pin(PinnedClaim.of(them.athlete(), c, writer, Filter.ALL));
            }
        }
        library.save(plan);
    }

    /** Adds the match that waits to be tagged, with what was said over it beside its film. */
    static void waiting(Library library) throws LibraryException {
        MatchRecord waiting = DemoLibrary.waiting(Lexicon.builtIn());
        library.addAll(List.of(waiting));
        commentary(library, waiting);
    }

    /** Lays the commentary beside the film it is spoken over, where captions of a user's own film would lie. */
    private static void commentary(Library library, MatchRecord waiting) throws LibraryException {
        Path film = library.folder().resolve(waiting.films().get(0).file());
        Path said = film.resolveSibling(film.getFileName().toString().replaceFirst("\\.[^.]*$", ".vtt"));
        try {
            Files.createDirectories(film.getParent());
            Files.writeString(said, DemoLibrary.commentary());
        } catch (IOException e) {
            throw new LibraryException(Words.of("demo.commentary", said), e);
        }
    }

    /** Draws the films that are missing, one after the other; progress shows in the rail and can be cancelled. */
    static void films(Desk desk) {
        List<MatchRecord> missing = desk.matches().stream()
                .filter(r -> !r.films().isEmpty())
                .filter(r -> r.films().get(0).file().startsWith("films/"))
                .filter(r -> !Files.exists(desk.filmPath(r)))
                // the match that is open first: its film is the one waited for
                .sorted(Comparator.comparing(
                                (MatchRecord r) -> !r.equals(desk.openRecord().get()))
                        .thenComparing(r -> !r.waiting()))
                .toList();
        if (missing.isEmpty()) {
            return;
        }
        desk.tasks().longTask(Words.of("demo.films"), (progress, cancelled) -> {
            for (int i = 0; i < missing.size() && !cancelled.getAsBoolean(); i++) {
                int done = i;
                draw(desk, missing.get(i), share -> progress.accept((done + share) / missing.size()), cancelled);
            }
        });
    }

    private static void draw(
            Desk desk,
            MatchRecord record,
            java.util.function.DoubleConsumer progress,
            java.util.function.BooleanSupplier cancelled) {
        Path target = desk.filmPath(record);
        try {
            MatchRecord shown = DemoLibrary.shown(record, desk.lexicon());
            Footage.standard().make(shown, shown.clock(), desk.lexicon(), target, progress, cancelled);
            desk.filmArrived(record.id());
        } catch (FilmException e) {
            desk.notices().problem(e.getMessage());
        }
    }
}
