package farglass.cli;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Prints the ids that the other commands ask for. */
@Command(
        name = "list",
        description = "Lists athletes, matches, rulesets and plans with their ids",
        mixinStandardHelpOptions = true)
final class ListCommand implements Callable<Integer> {
    private static final List<String> PARTS = List.of("athletes", "matches", "rulesets", "plans");

    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Parameters(index = "1", arity = "0..1", paramLabel = "athletes|matches|rulesets|plans")
    private String part;

    ListCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (part != null && !PARTS.contains(part)) {
            throw new IllegalArgumentException("\"" + part + "\" is not one of athletes, matches, rulesets, plans");
        }
        Source source = Source.of(library, clock, output);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("athletes", athletes(source.records()));
        m.put("matches", source.records().stream().map(ListCommand::match).toList());
        m.put(
                "rulesets",
                source.words().rulesets().all().stream()
                        .map(ListCommand::ruleset)
                        .toList());
        m.put("plans", source.plans().stream().map(ListCommand::plan).toList());
        if (part != null) {
            m.keySet().retainAll(List.of(part));
        }
        m.put("errors", source.errors());
        output.print(m);
        return source.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private static List<Object> athletes(List<MatchRecord> records) {
        List<Object> rows = new ArrayList<>();
        KnownIds.athletes(records).forEach((id, name) -> {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("id", id);
            row.put("name", name);
            row.put(
                    "matches",
                    records.stream().filter(r -> r.cornerOf(id).isPresent()).count());
            rows.add(row);
        });
        return rows;
    }

    private static Map<String, Object> match(MatchRecord r) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("id", r.id());
        row.put("date", r.details().date() == null ? null : r.details().date().toString());
        row.put("event", r.details().event());
        row.put("a", r.athlete(Corner.A).id());
        row.put("b", r.athlete(Corner.B).id());
        row.put("ruleset", r.details().ruleset());
        row.put("tags", r.tags().size());
        return row;
    }

    private static Map<String, Object> ruleset(Ruleset r) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("id", r.code());
        return row;
    }

    private static Map<String, Object> plan(Plan p) {
        Map<String, Object> row = new LinkedHashMap<>();
        row.put("id", p.id());
        row.put("title", p.title());
        row.put("us", p.us());
        row.put("them", p.them());
        return row;
    }
}
