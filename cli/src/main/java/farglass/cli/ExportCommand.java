package farglass.cli;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import farglass.store.bundle.Bundle;
import farglass.store.json.MatchJson;
import farglass.store.table.Captions;
import farglass.store.table.TagTable;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes a library in an open format. */
@Command(name = "export", description = "Writes a library as json, bundle, csv or vtt")
final class ExportCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Option(names = "--format", required = true, paramLabel = "json|bundle|csv|vtt")
    private String format;

    @Parameters(index = "1", paramLabel = "OUT", description = "a file (bundle, csv) or a folder (json, vtt)")
    private Path out;

    ExportCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (!List.of("json", "bundle", "csv", "vtt").contains(format)) {
            throw new IllegalArgumentException("--format: \"" + format + "\" is not one of json, bundle, csv, vtt");
        }
        List<MatchRecord> records;
        List<Plan> plans = List.of();
        try {
            records = RecordSource.load(library, clock).records();
            if (format.equals("bundle") && !Files.isDirectory(library) && !Bundle.isBundle(library)) {
                try (Library open = Library.open(library, clock)) {
                    plans = open.plans();
                }
            }
        } catch (LibraryException | IOException e) {
            throw new Unreadable(e.getMessage());
        }
        try {
            write(records, plans);
        } catch (IOException e) {
            throw new Unreadable(out + ": could not be written (" + e.getMessage() + ")");
        }
        Map<String, Object> done = new LinkedHashMap<>();
        done.put("format", format);
        done.put("out", out.toString());
        done.put("matches", records.size());
        done.put("plans", plans.size());
        output.print(done);
        return Main.DONE;
    }

    private void write(List<MatchRecord> records, List<Plan> plans) throws IOException {
        switch (format) {
            case "bundle" -> new Bundle(records, plans).write(out);
            case "csv" -> {
                Path part = out.resolveSibling(out.getFileName() + ".part");
                try (Writer w = Files.newBufferedWriter(part, StandardCharsets.UTF_8)) {
                    TagTable.write(records, w);
                }
                Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
            }
            case "vtt" -> folder(records, ".vtt", r -> Captions.write(r, Lexicon.builtIn()));
            default -> folder(records, ".match.json", MatchJson::write);
        }
    }

    private void folder(List<MatchRecord> records, String ending, Function<MatchRecord, String> text)
            throws IOException {
        Files.createDirectories(out);
        for (MatchRecord r : records) {
            Files.writeString(out.resolve(Bundle.safe(r.id()) + ending), text.apply(r));
        }
    }
}
