package farglass.desk.shell;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;

/** The matches of the library and what is looked up in them all the time; made when asked for, dropped when they change. */
final class Shelf {
    private final ObservableList<MatchRecord> matches = FXCollections.observableArrayList();
    private Map<String, String> athletes;
    /** Also asked from behind the interface thread. */
    private volatile Map<String, MatchRecord> byId;

    Shelf() {
        matches.addListener((ListChangeListener<MatchRecord>) c -> {
            athletes = null;
            byId = null;
        });
    }

    ObservableList<MatchRecord> matches() {
        return matches;
    }

    /** Of two with one id the first. */
    Optional<MatchRecord> match(String id) {
        Map<String, MatchRecord> known = byId;
        if (known == null) {
            known = new HashMap<>();
            for (MatchRecord r : matches) {
                known.putIfAbsent(r.id(), r);
            }
            byId = known;
        }
        return Optional.ofNullable(known.get(id));
    }

    /** Athletes by id, with their names. */
    Map<String, String> athletes() {
        if (athletes == null) {
            Map<String, String> names = new TreeMap<>();
            for (MatchRecord r : matches) {
                for (Corner c : Corner.values()) {
                    MatchAthlete a = r.athlete(c);
                    names.putIfAbsent(a.id(), a.name());
                }
            }
            athletes = Collections.unmodifiableMap(names);
        }
        return athletes;
    }
}
