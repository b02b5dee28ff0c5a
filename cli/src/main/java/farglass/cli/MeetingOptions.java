package farglass.cli;

import farglass.match.PersonName;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePageWriter;
import farglass.matchup.gameplan.GamePlan;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Ruleset;
import farglass.tendency.LibraryIndex;
import farglass.text.Language;
import farglass.work.meeting.MeetingService;
import farglass.work.session.TeamWords;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import picocli.CommandLine.Option;

/** Who meets whom, under which rules. */
final class MeetingOptions {
    private static final int MINUTE_MS = 60_000;

    @Option(names = "--library", required = true, paramLabel = "PATH")
    private Path library;

    @Option(names = "--us", required = true, paramLabel = "ID")
    private String us;

    @Option(names = "--them", required = true, paramLabel = "ID")
    private String them;

    @Option(names = "--ruleset", required = true, paramLabel = "ID")
    private String ruleset;

    @Option(names = "--attire", paramLabel = "gi|no-gi")
    private String attire;

    @Option(names = "--minutes", paramLabel = "N", description = "length of the match; default 8")
    private int minutes = 8;

    @Option(names = "--emphasis", paramLabel = "0..1", description = "0 own game, 1 this opponent; default 0.5")
    private double emphasis = SolverSettings.USUAL.emphasis();

    @Option(names = "--as-of", paramLabel = "DATE")
    private LocalDate asOf;

    @Option(names = "--seed", paramLabel = "N")
    private long seed = 1;

    private Source source;
    private LibraryIndex index;

    /** @throws Unreadable when the library cannot be read or one of the two is not in it */
    Meeting meeting(Clock clock, Output output) throws Unreadable {
        if (attire != null && !attire.equals("gi") && !attire.equals("no-gi")) {
            throw new IllegalArgumentException("--attire: \"" + attire + "\" is not one of gi, no-gi");
        }
        if (minutes < 1 || minutes > 60) {
            throw new IllegalArgumentException("--minutes must lie in 1..60");
        }
        source = Source.of(library, clock, output);
        TeamWords words = source.words();
        Ruleset rules = words.rulesets()
                .of(ruleset, null)
                .orElseThrow(() -> new IllegalArgumentException("--ruleset: \"" + ruleset + "\" is not one of "
                        + words.rulesets().all().stream().map(Ruleset::code).toList()));
        for (String id : List.of(us, them)) {
            source.athlete(id);
        }
        index = source.index();
        Meeting m = MeetingService.meeting(
                index,
                new MeetingService.Ask(us, them, rules, attire, asOf, (long) minutes * MINUTE_MS),
                SolverSettings.USUAL.emphasis(emphasis),
                Constraints.NONE);
        if (!m.enough()) {
            throw new Unreadable(writer().missing(m));
        }
        return m;
    }

    MeetingWriter writer() {
        return new MeetingWriter(Language.locale(), source.words().lexicon(), first(us), first(them));
    }

    /** The page of the game plan. */
    GamePage page(Proposal p) {
        return new GamePageWriter(Language.locale(), source.words().lexicon(), first(us), first(them))
                .page(p, GamePlan.of(p, index));
    }

    private String first(String id) {
        return PersonName.first(index.name(id));
    }

    String name(String id) {
        return index.name(id);
    }

    long seed() {
        return seed;
    }

    /** What could not be read of the library. */
    List<String> errors() {
        return source.errors();
    }

    /** What the match-up was read from. */
    Source source() {
        return source;
    }
}
