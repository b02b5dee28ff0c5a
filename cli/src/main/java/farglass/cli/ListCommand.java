package farglass.cli;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.work.session.TeamWords;
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
        description = "Lists athletes, matches and rulesets with their ids",
        mixinStandardHelpOptions = true)
final class ListCommand implements Callable<Integer> {
    private static final List<String> PARTS = List.of("athletes", "matches", "rulesets");

    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Parameters(index = "1", arity = "0..1", paramLabel = "athletes|matches|rulesets")
    private String part;

    ListCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (part != null && !PARTS.contains(part)) {
            throw new IllegalArgumentException("\"" + part + "\" is not one of athletes, matches, rulesets");
        }
        RecordSource.Loaded loaded;
        try {
            loaded = RecordSource.load(library, clock);
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("athletes", athletes(loaded.records()));
        m.put("matches", loaded.records().stream().map(ListCommand::match).toList());
        TeamWords words = TeamWords.of(loaded.settings());
        m.put(
                "rulesets",
                words.rulesets().all().stream().map(ListCommand::ruleset).toList());
        if (part != null) {
            m.keySet().retainAll(List.of(part));
        }
        m.put("errors", loaded.errors());
        output.print(m);
        return loaded.errors().isEmpty() ? Main.DONE : Main.UNREADABLE;
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
}
