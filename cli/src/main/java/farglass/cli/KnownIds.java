package farglass.cli;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Who fights in records, by id. */
final class KnownIds {
    private KnownIds() {}

    /** Names by id, in the order of ids. */
    static Map<String, String> athletes(List<MatchRecord> records) {
        Map<String, String> names = new TreeMap<>();
        for (MatchRecord r : records) {
            for (Corner c : Corner.values()) {
                names.putIfAbsent(r.athlete(c).id(), r.athlete(c).name());
            }
        }
        return names;
    }

    /** An id that is not there is answered with those that are. */
    static Unreadable unknown(Path library, String id, List<MatchRecord> records) {
        return new Unreadable(library + ": no match of an athlete with id " + id + ". It has: "
                + String.join(", ", athletes(records).keySet()));
    }
}
