package farglass.cli;

import farglass.lexicon.Lexicon;
import farglass.profile.Profile;
import farglass.profile.Tables;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.store.json.ProfileJson;
import farglass.tendency.Filter;
import farglass.work.session.TeamWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Prints what an athlete does. */
@Command(name = "profile", description = "Prints the profile of an athlete", mixinStandardHelpOptions = true)
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

    @Option(names = "--csv", paramLabel = "OUT.csv", description = "every claim as a table")
    private Path csv;

    @Option(
            names = "--dossier",
            paramLabel = "OUT.pdf",
            description = "the strongest claims, chart, matches and sources on paper")
    private Path dossier;

    @Option(names = "--report", paramLabel = "OUT.pdf", description = "the athlete's own faults and praise on paper")
    private Path report;

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
        // read beside the library, so that it is there when the team's own terms are laid into it
        CompletableFuture.supplyAsync(Lexicon::builtIn);
        RecordSource.Loaded loaded;
        try {
            loaded = RecordSource.load(library, clock);
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
        if (loaded.records().stream().noneMatch(r -> r.cornerOf(athlete).isPresent())) {
            throw KnownIds.unknown(library, athlete, loaded.records());
        }
        TeamWords words = TeamWords.of(loaded.settings());
        words.problems().forEach(output::say);
        Filter filter = new Filter(
                attire, ruleset, null, null, halfLife == 0 ? null : Double.valueOf(halfLife), asOf, !noBaseline);
        Profile profile = Profile.of(loaded.records(), athlete, filter, words.lexicon(), SEED);
        write(profile, loaded);
        Map<String, Object> document = new ProfileJson(profile, Tables.of(profile, SEED)).document();
        document.put("errors", loaded.errors());
        output.print(document);
        return loaded.errors().isEmpty() ? Main.DONE : Main.UNREADABLE;
    }

    private void write(Profile profile, RecordSource.Loaded loaded) throws Unreadable {
        ProfilePapers papers = new ProfilePapers(profile, loaded.records(), folder(), LocalDate.now(clock));
        Path now = null;
        try {
            if (csv != null) {
                now = csv;
                papers.csv(csv);
            }
            if (dossier != null) {
                now = dossier;
                papers.dossier(dossier);
            }
            if (report != null) {
                now = report;
                papers.report(report);
            }
        } catch (IOException | UncheckedIOException e) {
            throw new Unreadable(now + ": could not be written (" + e.getMessage() + ")");
        }
    }

    /** Where films lie: beside the library, or in the folder of records. */
    private Path folder() {
        Path whole = library.toAbsolutePath();
        return Files.isDirectory(whole) ? whole : whole.getParent();
    }
}
