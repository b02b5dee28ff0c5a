package farglass.cli;

import farglass.match.MatchRecord;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Match files given on the command line, one document for each; what cannot be read is listed, the rest is printed. */
final class MatchFiles {
    private MatchFiles() {}

    static MatchRecord read(Path file) throws Unreadable {
        try {
            return MatchJson.read(file);
        } catch (IOException | FormatException e) {
            throw new Unreadable(file + ": " + e.getMessage());
        }
    }

    /** A document with {@code files} and {@code errors}. */
    static Map<String, Object> each(List<Path> files, Function<MatchRecord, Map<String, Object>> document) {
        List<Object> read = new ArrayList<>();
        List<Object> errors = new ArrayList<>();
        for (Path file : files) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("file", file.toString());
            try {
                one.putAll(document.apply(read(file)));
                read.add(one);
            } catch (Unreadable e) {
                one.put("message", e.getMessage());
                errors.add(one);
            }
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("files", read);
        m.put("errors", errors);
        return m;
    }
}
