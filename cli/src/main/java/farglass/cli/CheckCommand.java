package farglass.cli;

import farglass.check.RecordCheck;
import farglass.match.MatchRecord;
import farglass.work.session.TeamWords;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** Prints what is doubtful in match records. */
@Command(name = "check", description = "Lists what is doubtful in match records", mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
    private final Output output;

    @Parameters(arity = "1..*", paramLabel = "MATCH.json")
    private List<Path> files;

    @Mixin
    private TeamOptions team;

    CheckCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        TeamWords words = team.words(output);
        if (files.size() == 1) {
            MatchFiles.read(files.get(0));
        }
        Map<String, Object> all = MatchFiles.each(files, r -> document(r, words));
        output.print(all);
        return ((List<?>) all.get("errors")).isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private static Map<String, Object> document(MatchRecord r, TeamWords words) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", r.id());
        m.put(
                "findings",
                RecordCheck.findings(
                                r,
                                words.rulesets()
                                        .orUsual(
                                                r.details().ruleset(),
                                                r.details().date()),
                                words.lexicon())
                        .stream()
                        .map(f -> Json.finding(f, r))
                        .toList());
        return m;
    }
}
