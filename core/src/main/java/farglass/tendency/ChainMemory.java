package farglass.tendency;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Chains that were found, through all changes of a library: a search needs only what follows what, so that it stands
 * when a try ends otherwise, gets a side or a grip. Whether that is so is looked up step by step, never assumed.
 */
final class ChainMemory {
    private static final int KEPT = 8;

    private final Map<Asked, Chains.Found> found = new LinkedHashMap<>(2 * KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Chains.Found> eldest) {
            return size() > KEPT;
        }
    };

    /** Whose chains, from what, and the seed of the simulated libraries. */
    record Asked(String athlete, Filter filter, long seed) {}

    /** What was found in exchanges with the same steps, else what a search gives now. */
    Chains.Found of(Asked asked, List<Exchanges.Exchange> exchanges, Supplier<Chains.Found> search) {
        Chains.Found before;
        synchronized (this) {
            before = found.get(asked);
        }
        if (before != null && same(before.exchanges(), exchanges)) {
            return before;
        }
        Chains.Found now = search.get();
        synchronized (this) {
            found.put(asked, now);
        }
        return now;
    }

    private static boolean same(List<Exchanges.Exchange> a, List<Exchanges.Exchange> b) {
        if (a.size() != b.size()) {
            return false;
        }
        for (int e = 0; e < a.size(); e++) {
            if (!sameMatch(a.get(e), b.get(e))
                    || !sameSteps(a.get(e).steps(), b.get(e).steps())) {
                return false;
            }
        }
        return true;
    }

    private static boolean sameMatch(Exchanges.Exchange a, Exchanges.Exchange b) {
        return a.seen().record().id().equals(b.seen().record().id());
    }

    /** By who did what where and whether it moved; the tag's number in its record does not matter. */
    private static boolean sameSteps(List<Exchanges.Step> a, List<Exchanges.Step> b) {
        if (a == b) {
            return true;
        }
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (!a.get(i).symbol().equals(b.get(i).symbol())
                    || a.get(i).moves() != b.get(i).moves()
                    || !a.get(i).where().equals(b.get(i).where())) {
                return false;
            }
        }
        return true;
    }
}
