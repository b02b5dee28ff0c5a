package farglass.cli;

import farglass.store.Library;
import farglass.store.LibraryException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Makes a verified copy of a library, also of one that is open in a window. */
@Command(
        name = "backup",
        description = "Makes a copy of a library and looks through it",
        mixinStandardHelpOptions = true)
final class BackupCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Parameters(index = "1", arity = "0..1", paramLabel = "DIR", description = "default: backups, beside the library")
    private Path folder;

    BackupCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        try (Library open = Library.read(library, clock)) {
            Path made = open.backUp(folder);
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("backup", made.toString());
            m.put("bytes", Files.size(made));
            output.print(m);
            return CliMain.DONE;
        } catch (LibraryException | IOException e) {
            throw new Unreadable(e.getMessage());
        }
    }
}
