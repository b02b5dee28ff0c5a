package farglass.cli;

import farglass.lexicon.Lexicon;
import farglass.print.Basis;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Report;
import farglass.profile.Tables;
import farglass.scout.GameFigures;
import farglass.store.json.ProfileJson;
import farglass.tendency.Filter;
import farglass.text.Language;
import farglass.work.publish.GamePublication;
import farglass.work.publish.Material;
import farglass.work.publish.ProfilePublication;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ForkJoinPool;
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

    @Option(
            names = "--game",
            paramLabel = "OUT",
            description = "the game in one drawing; its ending says what: .svg, .pdf or .png")
    private Path game;

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
        ForkJoinPool.commonPool().execute(Lexicon::builtIn);
        try (Source source = Source.byNeed(library, clock, output)) {
            return print(source);
        }
    }

    private int print(Source source) throws Unreadable {
        source.athlete(athlete);
        Filter filter = new Filter(
                attire, ruleset, null, null, halfLife == 0 ? null : Double.valueOf(halfLife), asOf, !noBaseline);
        Profile profile = Profile.of(source.index(), athlete, filter, SEED);
        write(profile, source);
        Map<String, Object> document = new ProfileJson(profile, Tables.of(profile, SEED)).document();
        document.put("errors", source.errors());
        output.print(document);
        return source.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private void write(Profile profile, Source source) throws Unreadable {
        Material material = source.material(null);
        ProfilePublication papers = new ProfilePublication(material, profile, new ClaimWriter(Language.locale()));
        if (csv != null) {
            source.write(papers.table(), csv);
        }
        if (dossier != null) {
            List<Claim> usual = ProfilePublication.usual(athlete, profile.claims(), null);
            source.write(papers.dossier(usual, null, Optional.empty(), true), dossier);
        }
        if (game != null) {
            source.write(
                    GamePublication.of(
                            GameFigures.of(profile.evidence()),
                            athlete,
                            profile.name(),
                            profile.evidence().lexicon(),
                            false),
                    game);
        }
        if (report != null) {
            Report own = Report.of(
                    profile.evidence().index(), athlete, profile.evidence().filter());
            String basis = Basis.of(profile.evidence(), LocalDate.now(clock));
            source.write(ProfilePublication.report(material, own, basis), report);
        }
    }
}
