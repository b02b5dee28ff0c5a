package farglass.desk.assignment;

import farglass.check.CodeCheck;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Takes files of records and bundles into the library: all of them or none, with one message. */
final class Intake {
    private final Desk desk;

    Intake(Desk desk) {
        this.desk = desk;
    }

    void take(List<Path> files) {
        desk.tasks()
                .command(
                        Words.of("intake.name"),
                        () -> read(files),
                        records -> desk.addMatches(records, () -> added(records)),
                        e -> desk.notices().problem(Words.of("intake.failed", e.getMessage())));
    }

    private List<MatchRecord> read(List<Path> files) throws LibraryException {
        List<MatchRecord> records = new ArrayList<>();
        for (Path f : files) {
            RecordSource.Loaded loaded = RecordSource.load(f, desk.clock());
            if (!loaded.errors().isEmpty()) {
                throw new LibraryException(loaded.errors().get(0));
            }
            records.addAll(loaded.records());
        }
        return records;
    }

    private void added(List<MatchRecord> records) {
        long unknown = records.stream()
                .mapToLong(r -> CodeCheck.findings(r, desk.lexicon()).size())
                .sum();
        desk.notices().done(Words.of(unknown == 0 ? "intake.done" : "intake.done.unknown", records.size(), unknown));
    }
}
