package farglass.cli;

import farglass.work.session.TeamWords;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import picocli.CommandLine.Option;

/** Whose words and rules hold for match files that lie outside a library. */
final class TeamOptions {
    @Option(names = "--library", paramLabel = "PATH", description = "the library whose own terms and rulesets hold")
    private Path library;

    /** @throws Unreadable when the library cannot be read */
    TeamWords words(Output output) throws Unreadable {
        if (library == null) {
            return TeamWords.of(Map.of());
        }
        return Source.of(library, Clock.systemUTC(), output).words();
    }
}
