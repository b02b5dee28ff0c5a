package farglass.store;

import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.bundle.Bundle;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Records from wherever they lie: a library file, which is only read and may be open elsewhere, a bundle, a folder of
 * {@code *.match.json}, or one such file.
 */
public final class RecordSource {
    private RecordSource() {}

    /**
     * @param records what could be read, one per id
     * @param errors one line per file that could not
     * @param settings of a library file, by name; empty for other sources
     * @param plans of a library file or a bundle
     * @param assignments of a library file
     */
    public record Loaded(
            @Nullable List<MatchRecord> records,
            List<String> errors,
            @Nullable Map<String, String> settings,
            @Nullable List<Plan> plans,
            @Nullable List<Assignment> assignments) {
        private static Loaded records(List<MatchRecord> records, List<String> errors) {
            return new Loaded(records, errors, Map.of(), List.of(), List.of());
        }
    }

    /** Whether a path is to be read as a library file, and not as a folder, a bundle or a record. */
    public static boolean isLibrary(Path path) throws LibraryException {
        try {
            return Files.isRegularFile(path) && !path.toString().endsWith(".json") && !Bundle.isBundle(path);
        } catch (IOException e) {
            throw new LibraryException(path + ": " + e.getMessage(), e);
        }
    }

    /** @throws LibraryException when the path itself cannot be read */
    public static Loaded load(Path path, Clock clock) throws LibraryException {
        if (!Files.exists(path)) {
            throw new LibraryException(path + ": there is no such file or folder");
        }
        try {
            if (Files.isDirectory(path)) {
                return folder(path);
            }
            if (path.toString().endsWith(".json")) {
                return Loaded.records(List.of(MatchJson.read(path)), List.of());
            }
            if (Bundle.isBundle(path)) {
                Bundle bundle = Bundle.read(path);
                return new Loaded(bundle.records(), List.of(), Map.of(), bundle.plans(), List.of());
            }
        } catch (IOException | FormatException e) {
            throw new LibraryException(path + ": " + e.getMessage(), e);
        }
        try (Library library = Library.read(path, clock)) {
            return new Loaded(library.matches(), List.of(), library.settings(), library.plans(), library.assignments());
        }
    }

    private static Loaded folder(Path path) throws IOException {
        List<MatchRecord> records = new ArrayList<>();
        List<String> errors = new ArrayList<>();
        Set<String> ids = new LinkedHashSet<>();
        List<Path> files;
        try (Stream<Path> list = Files.list(path)) {
            files = list.filter(p -> p.getFileName().toString().endsWith(".match.json"))
                    .sorted()
                    .toList();
        }
        for (Path f : files) {
            try {
                MatchRecord r = MatchJson.read(f);
                if (ids.add(r.id())) {
                    records.add(r);
                } else {
                    errors.add(f + ": a match with id " + r.id() + " was read already; this one is ignored");
                }
            } catch (IOException | FormatException e) {
                errors.add(f + ": " + e.getMessage());
            }
        }
        return Loaded.records(records, errors);
    }
}
