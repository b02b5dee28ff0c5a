package farglass.cli;

import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.tendency.KeptCounts;
import farglass.tendency.LibraryIndex;
import farglass.work.publish.Material;
import farglass.work.publish.Publication;
import farglass.work.publish.PublicationException;
import farglass.work.publish.Published;
import farglass.work.session.FilmPlaces;
import farglass.work.session.LibraryContent;
import farglass.work.session.TeamWords;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A library, bundle, folder of records or record that a command works on, with the words of its team. */
final class Source implements AutoCloseable {
    private final Path path;
    private final Clock clock;
    private final Output output;
    private final RecordSource.Loaded loaded;
    private final TeamWords words;

    /** What was counted of a library that is read by need; none of all others. */
    private final KeptCounts counts;
    /** Read by need, or null. */
    private final @Nullable Library open;

    private Source(Path path, Clock clock, Output output, RecordSource.Loaded loaded) {
        this(path, clock, output, loaded, KeptCounts.NONE, null);
    }

    private Source(
            Path path,
            Clock clock,
            Output output,
            RecordSource.Loaded loaded,
            KeptCounts counts,
            @Nullable Library open) {
        this.counts = counts;
        this.open = open;
        this.path = path;
        this.clock = clock;
        this.output = output;
        this.loaded = loaded;
        this.words = TeamWords.of(loaded.settings());
        words.problems().forEach(output::say);
    }

    /** @throws Unreadable when it cannot be read */
    static Source of(Path path, Clock clock, Output output) throws Unreadable {
        try {
            return new Source(path, clock, output, RecordSource.load(path, clock));
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    /**
     * The same, of which a large library is read as its matches are looked at, until this is closed.
     *
     * @throws Unreadable when it cannot be read
     */
    static Source byNeed(Path path, Clock clock, Output output) throws Unreadable {
        try {
            if (!RecordSource.isLibrary(path)) {
                return of(path, clock, output);
            }
            LibraryContent read = LibraryContent.orClosed(Library.read(path, clock));
            RecordSource.Loaded loaded = new RecordSource.Loaded(
                    read.matches(), List.of(), read.settings(), read.plans(), read.assignments());
            return new Source(path, clock, output, loaded, read.counts(), read.library());
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    @Override
    public void close() {
        if (open != null) {
            open.close();
        }
    }

    List<MatchRecord> records() {
        return loaded.records();
    }

    /** What could not be read of it. */
    List<String> errors() {
        return loaded.errors();
    }

    TeamWords words() {
        return words;
    }

    LibraryIndex index() {
        return LibraryIndex.of(records(), words.lexicon(), counts);
    }

    /** @throws Unreadable when nobody of that id fights in it */
    void athlete(String id) throws Unreadable {
        if (records().stream().noneMatch(r -> r.cornerOf(id).isPresent())) {
            throw KnownIds.unknown(path, id, records());
        }
    }

    List<Plan> plans() {
        return loaded.plans();
    }

    /** @throws Unreadable when it has no plan of that id */
    Plan plan(String id) throws Unreadable {
        List<String> ids = loaded.plans().stream().map(Plan::id).toList();
        return loaded.plans().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Unreadable(path + ": no plan with id " + id + ". It has: "
                        + (ids.isEmpty() ? "none" : String.join(", ", ids))));
    }

    /** The plan of one against the other; empty when there is none. */
    Optional<Plan> plan(String us, String them) {
        return loaded.plans().stream()
                .filter(p -> p.us().equals(us) && p.them().equals(them))
                .findFirst();
    }

    /** The assignment that one meets the other in; empty when there is none. */
    Optional<Assignment> assignment(String us, String them) {
        return loaded.assignments().stream()
                .filter(a -> a.us().equals(us) && a.opponents().contains(them))
                .findFirst();
    }

    /** @param assignment says who is ours; null for none */
    Material material(Assignment assignment) {
        return new Material(
                records(),
                FilmPlaces.of(folder(), loaded.settings()),
                words.lexicon(),
                assignment,
                LocalDate.now(clock));
    }

    /** Where films lie: beside the library, or in the folder of records. */
    private Path folder() {
        Path whole = path.toAbsolutePath();
        return Files.isDirectory(whole) ? whole : whole.getParent();
    }

    /**
     * Writes a publication and notes it in the library.
     *
     * @throws Unreadable when it cannot be written
     */
    Published write(Publication publication, Path target) throws Unreadable {
        try {
            Published done = publication
                    .write(target.toAbsolutePath(), share -> {}, () -> false)
                    .orElseThrow();
            note(done.files(), done.athletes());
            return done;
        } catch (PublicationException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    /** The library remembers what was written, so that forgetting an athlete finds it. */
    void note(List<Path> written, Set<String> athletes) {
        try {
            if (!RecordSource.isLibrary(path)) {
                return;
            }
            try (Library library = Library.open(path, clock)) {
                for (Path p : written) {
                    library.exported(p, athletes);
                }
            }
        } catch (LibraryException e) {
            output.say(
                    "Written, but not noted in the library, which could not be written: forgetting an athlete will not"
                            + " find these files.");
        }
    }
}
