package farglass.cli;

import farglass.store.Library;
import farglass.store.LibraryDifference;
import farglass.store.LibraryException;
import farglass.store.Restoring;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * Brings a library back from a backup, whole or match by match, after a backup of what is there; prints what differed.
 */
@Command(
        name = "restore",
        description = "Brings a library, or single matches, back from a backup",
        mixinStandardHelpOptions = true)
final class RestoreCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Parameters(index = "1", paramLabel = "BACKUP")
    private Path backup;

    @Option(names = "--match", paramLabel = "ID", description = "only this match; may be given more than once")
    private List<String> matches = new ArrayList<>();

    @Option(names = "--look", description = "only print what differs")
    private boolean look;

    RestoreCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        try {
            Restoring restoring = new Restoring(library, backup, clock);
            LibraryDifference d = restoring.difference();
            Restoring.Done done = look ? null : matches.isEmpty() ? restoring.whole() : single();
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("library", library.toString());
            m.put("backup", backup.toString());
            m.put("restored", done == null ? List.of() : done.matches().isEmpty() ? "all" : done.matches());
            m.put("kept", done == null ? null : done.kept().map(Path::toString).orElse(null));
            m.put("differed", difference(d));
            output.print(m);
            return CliMain.DONE;
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private Restoring.Done single() throws LibraryException {
        try (Library open = Library.open(library, clock)) {
            open.onWarning(output::say);
            return Restoring.matches(open, backup, matches, clock);
        }
    }

    private static Map<String, Object> difference(LibraryDifference d) {
        List<Object> rows = new ArrayList<>();
        for (LibraryDifference.Match match : d.matches()) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("id", match.id());
            row.put("match", match.title());
            row.put("tagsInBackup", match.then() < 0 ? null : match.then());
            row.put("tagsNow", match.now() < 0 ? null : match.now());
            rows.add(row);
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("matches", rows);
        m.put("plans", d.plans());
        m.put("assignments", d.assignments());
        m.put("settings", d.settings());
        return m;
    }
}
