package farglass.desk.profile;

import farglass.work.session.Preferences;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/** Sets of matches under a name, kept in the library. */
final class NamedSets {
    private static final String KEY = "matches.";

    private final Preferences settings;

    NamedSets(Preferences settings) {
        this.settings = settings;
    }

    /** Ids of the matches by the name of the set. */
    Map<String, Set<String>> all() {
        Map<String, Set<String>> sets = new LinkedHashMap<>();
        settings.beginning(KEY).forEach((key, ids) -> {
            if (!ids.isEmpty()) {
                sets.put(key.substring(KEY.length()), new LinkedHashSet<>(Arrays.asList(ids.split("\n"))));
            }
        });
        return sets;
    }

    /** A set of that name is replaced; one without matches is forgotten. */
    void keep(String name, Collection<String> ids) {
        settings.set(KEY + name.strip(), String.join("\n", ids));
    }
}
