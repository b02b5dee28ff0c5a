package farglass.cli;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.rules.Scoring;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
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

    ScoreCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        if (ruleset != null && Rulesets.builtIn().of(ruleset, null).isEmpty()) {
            throw new IllegalArgumentException("--ruleset: \"" + ruleset + "\" is not one of "
                    + Rulesets.builtIn().all().stream().map(Ruleset::code).toList());
        }
        if (files.size() == 1) {
            output.print(document(MatchFiles.read(files.get(0))));
            return Main.DONE;
        }
        Map<String, Object> all = MatchFiles.each(files, this::document);
        output.print(all);
        return ((List<?>) all.get("errors")).isEmpty() ? Main.DONE : Main.UNREADABLE;
    }

    private Map<String, Object> document(MatchRecord r) {
        String code = ruleset == null ? r.details().ruleset() : ruleset;
        Ruleset rules = Rulesets.builtIn().orUsual(code, r.details().date());
        return ScoreDocument.of(r, Scoring.of(r, rules, Lexicon.builtIn()));
    }
}
