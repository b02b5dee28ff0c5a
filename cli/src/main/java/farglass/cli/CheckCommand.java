package farglass.cli;

import farglass.check.RecordCheck;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.rules.Rulesets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Prints what is doubtful in match records. */
@Command(name = "check", description = "Lists what is doubtful in match records", mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
    private final Output output;

    @Parameters(arity = "1..*", paramLabel = "MATCH.json")
    private List<Path> files;

    CheckCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        if (files.size() == 1) {
            MatchFiles.read(files.get(0));
        }
        Map<String, Object> all = MatchFiles.each(files, CheckCommand::document);
        output.print(all);
        return ((List<?>) all.get("errors")).isEmpty() ? Main.DONE : Main.UNREADABLE;
    }

    private static Map<String, Object> document(MatchRecord r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", r.id());
        m.put(
                "findings",
                RecordCheck.findings(
                                r,
                                Rulesets.builtIn()
                                        .orUsual(
                                                r.details().ruleset(),
                                                r.details().date()),
                                Lexicon.builtIn())
                        .stream()
                        .map(f -> Json.finding(f, r))
                        .toList());
        return m;
    }
}
