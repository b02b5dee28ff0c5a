package farglass.cli;

import farglass.match.MatchRecord;
import farglass.plan.Plan;
import farglass.store.WholeFile;
import farglass.store.bundle.Bundle;
import farglass.store.bundle.FileNames;
import farglass.store.json.MatchJson;
import farglass.store.table.Captions;
import farglass.store.table.TagTable;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Writes a library in an open format. */
@Command(name = "export", description = "Writes a library as json, bundle, csv or vtt", mixinStandardHelpOptions = true)
final class ExportCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Parameters(index = "0", paramLabel = "LIBRARY")
    private Path library;

    @Option(names = "--format", required = true, paramLabel = "json|bundle|csv|vtt")
    private String format;

    @Parameters(index = "1", paramLabel = "OUT", description = "a file (bundle, csv) or a folder (json, vtt)")
    private Path out;

    private final List<Path> written = new ArrayList<>();

    ExportCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (!List.of("json", "bundle", "csv", "vtt").contains(format)) {
            throw new IllegalArgumentException("--format: \"" + format + "\" is not one of json, bundle, csv, vtt");
        }
        Source source = Source.of(library, clock, output);
        List<MatchRecord> records = source.records();
        List<Plan> plans = format.equals("bundle") ? source.plans() : List.of();
        try {
            write(source, records, plans);
        } catch (IOException e) {
            throw new Unreadable(out + ": could not be written (" + e.getMessage() + "); " + written.size()
                    + " whole files are there");
        }
        source.note(written, Set.of());
        Map<String, Object> done = new LinkedHashMap<>();
        done.put("format", format);
        done.put("out", out.toString());
        done.put("matches", records.size());
        done.put("plans", plans.size());
        output.print(done);
        return CliMain.DONE;
    }

    private void write(Source source, List<MatchRecord> records, List<Plan> plans) throws IOException {
        switch (format) {
            case "bundle" -> {
                new Bundle(records, plans).write(out);
                written.add(out);
            }
            case "csv" -> {
                WholeFile.write(out, part -> {
                    try (Writer w = Files.newBufferedWriter(part, StandardCharsets.UTF_8)) {
                        TagTable.write(records, w);
                    }
                });
                written.add(out);
            }
            case "vtt" ->
                folder(records, ".vtt", r -> Captions.write(r, source.words().lexicon()));
            default -> folder(records, ".match.json", MatchJson::write);
        }
    }

    private void folder(List<MatchRecord> records, String ending, Function<MatchRecord, String> text)
            throws IOException {
        Files.createDirectories(out);
        FileNames names = new FileNames();
        for (MatchRecord r : records) {
            Path file = out.resolve(names.next(r.id()) + ending);
            WholeFile.write(file, text.apply(r));
            written.add(file);
        }
    }
}
