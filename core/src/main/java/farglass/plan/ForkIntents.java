package farglass.plan;

import farglass.matchup.advise.Intent;
import farglass.matchup.advise.IntentReader;
import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What the forks of a plan want of our athlete, in their order. A fork that names no place means where the one before
 * it leads, as far as words tell; of two that mean the same the first counts.
 */
public final class ForkIntents {
    /** Before it what is done, behind it where that leads. */
    private static final String LEADS = "\u2192";

    /** @param fork id of the fork it was read from */
    public record Read(String fork, Intent intent) {}

    private final IntentReader reader;
    private final List<Read> all = new ArrayList<>();
    private final Set<Object> seen = new HashSet<>();

    private ForkIntents(IntentReader reader) {
        this.reader = reader;
    }

    /** Of all openings and what follows them; what the opponent does is none. */
    public static List<Read> of(List<Fork> openings, IntentReader reader) {
        ForkIntents f = new ForkIntents(reader);
        openings.forEach(o -> f.read(o, List.of()));
        return List.copyOf(f.all);
    }

    /** Ids of the forks whose action film shows, ours or the opponent's: they rest on that. */
    public static Set<String> shown(List<Fork> openings, IntentReader reader) {
        Set<String> ids = new HashSet<>();
        for (Fork f : openings) {
            if (reader.shown(f.text().split(LEADS, 2)[0], f.ours())) {
                ids.add(f.id());
            }
            ids.addAll(shown(f.next(), reader));
        }
        return ids;
    }

    private void read(Fork fork, List<ModelState> before) {
        String[] parts = fork.text().split(LEADS, 2);
        if (fork.ours()) {
            for (Intent i : reader.read(parts[0], before)) {
                boolean first = i.unvalued() != null || seen.add(List.of(i.decisions(), i.barred()));
                all.add(new Read(fork.id(), first ? i : i.saidBefore()));
            }
        }
        List<ModelState> next = reader.places(parts[parts.length - 1]);
        fork.next().forEach(n -> read(n, next));
    }
}
