package farglass.cli;

import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.rules.Scoring;
import farglass.work.session.TeamWords;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Prints the score worked out from the tags. */
@Command(name = "score", description = "Works out the score of match records", mixinStandardHelpOptions = true)
final class ScoreCommand implements Callable<Integer> {
    private final Output output;

    @Parameters(arity = "1..*", paramLabel = "MATCH.json")
    private List<Path> files;

    @Option(names = "--ruleset", paramLabel = "ID", description = "other rules than the record's own")
    private String ruleset;

    @Mixin
    private TeamOptions team;

    ScoreCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        TeamWords words = team.words(output);
        if (ruleset != null && words.rulesets().of(ruleset, null).isEmpty()) {
            throw new IllegalArgumentException("--ruleset: \"" + ruleset + "\" is not one of "
                    + words.rulesets().all().stream().map(Ruleset::code).toList());
        }
        if (files.size() == 1) {
            output.print(document(MatchFiles.read(files.get(0)), words));
            return CliMain.DONE;
        }
        Map<String, Object> all = MatchFiles.each(files, r -> document(r, words));
        output.print(all);
        return ((List<?>) all.get("errors")).isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private Map<String, Object> document(MatchRecord r, TeamWords words) {
        String code = ruleset == null ? r.details().ruleset() : ruleset;
        Ruleset rules = words.rulesets().orUsual(code, r.details().date());
        return ScoreDocument.of(r, Scoring.of(r, rules, words.lexicon()));
    }
}
