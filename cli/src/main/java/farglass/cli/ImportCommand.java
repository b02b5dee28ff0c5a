package farglass.cli;

import farglass.check.CodeCheck;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.work.session.Upkeep;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Takes match files, bundles or folders into a library: all of them, or none. */
@Command(name = "import", description = "Takes match records into a library", mixinStandardHelpOptions = true)
final class ImportCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Parameters(index = "1..*", arity = "1..*", paramLabel = "FILE")
    private List<Path> files;

    ImportCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        List<MatchRecord> records = new ArrayList<>();
        try {
            for (Path file : files) {
                RecordSource.Loaded loaded = RecordSource.load(file, clock);
                if (!loaded.errors().isEmpty()) {
                    throw new Unreadable(loaded.errors().get(0) + " (nothing was imported)");
                }
                records.addAll(loaded.records());
            }
            try (Library target = Library.open(library, clock)) {
                target.onWarning(output::say);
                target.addAll(records);
                Upkeep.now(target);
            }
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
        List<Object> imported = new ArrayList<>();
        for (MatchRecord r : records) {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("id", r.id());
            m.put("tags", r.tags().size());
            m.put(
                    "findings",
                    CodeCheck.findings(r, Lexicon.builtIn()).stream()
                            .map(Json::finding)
                            .toList());
            imported.add(m);
        }
        output.print(Map.of("imported", imported));
        return CliMain.DONE;
    }
}
