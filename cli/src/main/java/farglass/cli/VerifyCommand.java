package farglass.cli;

import farglass.store.Backups;
import farglass.store.LibraryException;
import farglass.store.Verification;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** Prints whether a library and its backups can be read to the last document; changes nothing. */
@Command(
        name = "verify",
        description = "Looks through a library and its backups; changes nothing",
        mixinStandardHelpOptions = true)
final class VerifyCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    VerifyCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        Verification v = verified(library);
        List<Object> copies = new ArrayList<>();
        try {
            for (Backups.Backup b : Backups.of(library, clock).all()) {
                Verification one = verified(b.path());
                Map<String, Object> row = new LinkedHashMap<>();
                row.put("file", b.path().toString());
                row.put("date", b.date().toString());
                row.put("bytes", b.bytes());
                row.put("good", one.good());
                row.put("matches", one.counts().get("match_record"));
                copies.add(row);
            }
        } catch (LibraryException e) {
            throw new Unreadable(e.getMessage());
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("library", library.toString());
        m.put("good", v.good());
        m.put("version", v.version());
        m.put("rows", new java.util.TreeMap<>(v.counts()));
        m.put("faults", v.faults());
        m.put("backups", copies);
        output.print(m);
        return v.good() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private Verification verified(Path file) {
        try {
            return Verification.of(file, clock);
        } catch (LibraryException e) {
            return new Verification(0, Map.of(), List.of(e.getMessage()));
        }
    }
}
