package farglass.work.session;

import farglass.store.Library;
import farglass.work.task.Tasks;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What the user has set, kept in the library; written in order. Belongs to the thread of results. */
public final class Preferences {
    /** Time from seeing to beginning to type, ms. */
    public static final String REACTION = "reaction.ms";

    /** Who makes the edits; the name on the machine until it is set. */
    public static final String NAME = "name";

    private static final long USUAL_REACTION_MS = 300;

    private final Library library;
    private final Tasks tasks;
    private final Messages messages;
    private final Map<String, String> known;

    /** @param kept what the library holds */
    Preferences(Map<String, String> kept, Library library, Tasks tasks, Messages messages) {
        this.known = new HashMap<>(kept);
        this.library = library;
        this.tasks = tasks;
        this.messages = messages;
    }

    /** What was set under a name. */
    public Optional<String> get(String name) {
        return Optional.ofNullable(known.get(name));
    }

    /** Sets something; it holds at once and is written in order. */
    public void set(String name, String text) {
        known.put(name, text);
        tasks.write(
                () -> {
                    library.set(name, text);
                    return text;
                },
                kept -> {},
                e -> messages.problem(e.getMessage()));
    }

    /** Everything whose name begins so. */
    public Map<String, String> beginning(String name) {
        Map<String, String> found = new TreeMap<>();
        known.forEach((k, v) -> {
            if (k.startsWith(name)) {
                found.put(k, v);
            }
        });
        return found;
    }

    /** The user's own reaction delay, ms; the usual one until it has been measured. */
    public long reactionMs() {
        return get(REACTION).map(Long::parseLong).orElse(USUAL_REACTION_MS);
    }
}
