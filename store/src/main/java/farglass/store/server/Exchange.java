package farglass.store.server;

import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Mirror;
import farglass.store.TeamChange;
import farglass.store.TeamItem;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleConsumer;

/**
 * Brings a mirror and its team to the same: what waits is sent behind what was read, in order; where somebody else was
 * first, his steps are taken in, ours are put behind them and sent again. It may be broken off at any point: a step
 * that was sent and not heard of comes back as one's own.
 */
public final class Exchange {
    private static final int STEPS_SENT = 50;
    private static final int STEPS_READ = 500;
    /** Things of a page when everything comes. */
    private static final int ITEMS_READ = 100;

    private final Mirror mirror;
    private final TeamServer server;
    private final DoubleConsumer progress;
    private final Map<TeamChange.Kind, Set<String>> changed = new EnumMap<>(TeamChange.Kind.class);
    private int sent;
    private int refused;

    /** @param library a mirror */
    public Exchange(Library library, TeamServer server) {
        this(library, server, share -> {});
    }

    /**
     * @param library a mirror
     * @param progress hears how much of everything is there, 0 to 1, while the mirror is filled for the first time
     */
    public Exchange(Library library, TeamServer server, DoubleConsumer progress) {
        this.mirror = library.mirror();
        this.server = server;
        this.progress = progress;
    }

    /**
     * What an exchange did.
     *
     * @param changed what is other in the mirror now, by kind
     * @param sent steps that the team has from here now
     * @param refused steps that it does not take
     */
    public record Done(Map<TeamChange.Kind, Set<String>> changed, int sent, int refused) {
        public Done {
            changed = Map.copyOf(changed);
        }
    }

    /** Sends what waits and takes in what is there. */
    public Done both() throws LibraryException, TeamException {
        pull();
        while (true) {
            List<TeamChange> waiting = mirror.waiting(STEPS_SENT);
            if (waiting.isEmpty()) {
                return done();
            }
            int before = sent + refused;
            String first = waiting.get(0).id();
            send(waiting);
            boolean read = pull();
            if (sent + refused == before && !read) {
                // the team has what this mirror never saw coming, such as a thing that was shown to it only now
                whole(List.of(new TeamItem(waiting.get(0).kind(), waiting.get(0).item(), 0, "", false)));
                if (mirror.waiting(1).stream()
                        .anyMatch(w ->
                                w.id().equals(first) && w.n() == waiting.get(0).n())) {
                    refused++;
                    note(mirror.refused(first));
                }
            }
        }
    }

    private void send(List<TeamChange> waiting) throws LibraryException, TeamException {
        String id = state().mirror();
        try {
            sent += sent(id, waiting);
        } catch (TeamException e) {
            if (e.kind() != TeamException.Kind.REFUSED) {
                throw e;
            }
            // one of them may not be: they go one by one, and it is set aside
            TeamChange first = waiting.get(0).after(null);
            try {
                sent += sent(id, List.of(first));
            } catch (TeamException x) {
                if (x.kind() != TeamException.Kind.REFUSED) {
                    throw x;
                }
                refused++;
                note(mirror.refused(first.id()));
            }
        }
    }

    /** Steps up to the next forgetting, which goes alone; how many the team has now. */
    private int sent(String id, List<TeamChange> waiting) throws LibraryException, TeamException {
        TeamChange first = waiting.get(0);
        if (first.act() == TeamChange.Act.FORGOTTEN) {
            return server.forget(id, first, mirror.leaving(first)) ? 1 : 0;
        }
        int next = 0;
        while (next < waiting.size() && waiting.get(next).act() != TeamChange.Act.FORGOTTEN) {
            next++;
        }
        return server.append(id, waiting.subList(0, next)).size();
    }

    /** Only takes in what is there. */
    public Done read() throws LibraryException, TeamException {
        pull();
        return done();
    }

    /** What is other in the mirror so far, by kind; also when an exchange was broken off. */
    public Map<TeamChange.Kind, Set<String>> changed() {
        return Map.copyOf(changed);
    }

    /** The same, of which nothing is told again later. */
    public Map<TeamChange.Kind, Set<String>> takeChanged() {
        Map<TeamChange.Kind, Set<String>> now = changed();
        changed.clear();
        return now;
    }

    private Done done() {
        return new Done(changed, sent, refused);
    }

    private Mirror.State state() throws LibraryException {
        return mirror.state().orElseThrow(() -> new IllegalStateException("not a mirror"));
    }

    /** Whether anything came. */
    private boolean pull() throws LibraryException, TeamException {
        Mirror.State state = state();
        if (state.team() == null || state.reachedAt() == null) {
            first();
            return true;
        }
        boolean more = true;
        boolean came = false;
        long seen = state.seen();
        while (more) {
            TeamServer.Steps steps = server.after(seen, STEPS_READ);
            if (steps.steps().isEmpty()) {
                mirror.reached(steps.last());
                return came;
            }
            came = true;
            for (TeamChange c : steps.steps()) {
                if (c.act() == TeamChange.Act.FORGOTTEN) {
                    // before the place is noted: a mirror that ends here forgets the next time
                    mirror.forget(c.item());
                }
            }
            Mirror.Merged merged = mirror.merge(steps.steps(), steps.last());
            note(merged);
            if (!merged.unknown().isEmpty()) {
                whole(merged.unknown());
                mirror.reached(steps.last());
            }
            seen = steps.last();
            more = steps.more();
        }
        return came;
    }

    /**
     * The mirror has nothing yet: everything comes as it is, without how it came about, page by page. What is changed
     * meanwhile comes again as steps behind the place at which this begins. Broken off, it begins anew.
     */
    private void first() throws LibraryException, TeamException {
        TeamServer.Team team = server.team();
        mirror.team(team.id());
        long all = server.size();
        long came = 0;
        long behind = 0;
        while (true) {
            TeamServer.Page page = server.page(behind, ITEMS_READ);
            if (page.items().isEmpty()) {
                mirror.reached(team.last());
                return;
            }
            note(mirror.take(page.items(), contained()));
            behind = page.last();
            came += page.items().size();
            progress.accept(Math.min(1, came / (double) Math.max(1, all)));
        }
    }

    private void whole(List<TeamItem> unknown) throws LibraryException, TeamException {
        List<TeamItem> items = new ArrayList<>();
        for (TeamItem u : unknown) {
            server.item(u.kind(), u.item()).ifPresent(items::add);
        }
        note(mirror.take(items, contained()));
    }

    private Set<String> contained() throws LibraryException, TeamException {
        List<String> waiting = mirror.waiting(Integer.MAX_VALUE - 1).stream()
                .map(TeamChange::id)
                .toList();
        return waiting.isEmpty() ? Set.of() : new HashSet<>(server.known(waiting));
    }

    private void note(Mirror.Merged merged) {
        merged.changed()
                .forEach((kind, items) -> changed.computeIfAbsent(kind, k -> new LinkedHashSet<>())
                        .addAll(items));
    }
}
