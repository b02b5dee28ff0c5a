package farglass.cli;

import farglass.lexicon.Lexicon;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.tendency.Filter;
import farglass.tendency.Profile;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Prints what an athlete does. */
@Command(name = "profile", description = "Prints the profile of an athlete")
final class ProfileCommand implements Callable<Integer> {
    /** Seed of the bootstrap checks, fixed so that the same library prints the same document. */
    static final long SEED = 1;

    private final Output output;
    private final Clock clock;

    @Option(names = "--library", required = true, paramLabel = "PATH")
    private Path library;

    @Option(names = "--athlete", required = true, paramLabel = "ID")
    private String athlete;

    @Option(names = "--attire", paramLabel = "gi|no-gi")
    private String attire;

    @Option(names = "--ruleset", paramLabel = "ID")
    private String ruleset;

    @Option(names = "--half-life", paramLabel = "YEARS", description = "0 for no ageing; default 3")
    private double halfLife = Filter.DEFAULT_HALF_LIFE;

    @Option(names = "--as-of", paramLabel = "DATE")
    private LocalDate asOf;

    @Option(names = "--no-baseline")
    private boolean noBaseline;

    ProfileCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (attire != null && !attire.equals("gi") && !attire.equals("no-gi")) {
            throw new IllegalArgumentException("--attire: \"" + attire + "\" is not one of gi, no-gi");
        }
        if (halfLife < 0) {
            throw new IllegalArgumentException("--half-life must not be negative");
        }
        RecordSource.Loaded loaded;
        try {
            loaded = RecordSource.load(library, clock);
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
        if (loaded.records().stream().noneMatch(r -> r.cornerOf(athlete).isPresent())) {
            throw new Unreadable(library + ": no match of an athlete with id " + athlete);
        }
        Filter filter = new Filter(
                attire, ruleset, null, null, halfLife == 0 ? null : Double.valueOf(halfLife), asOf, !noBaseline);
        Profile profile = Profile.of(loaded.records(), athlete, filter, Lexicon.builtIn(), SEED);
        output.print(new ProfileDocument(profile, loaded.errors()).document());
        return loaded.errors().isEmpty() ? Main.DONE : Main.UNREADABLE;
    }
}
