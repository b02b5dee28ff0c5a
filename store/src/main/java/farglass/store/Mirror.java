package farglass.store;

import farglass.match.MatchRecord;
import farglass.store.json.DraftJson;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.store.json.PlanJson;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/**
 * A library as the mirror of a team's: one goes on working in it when the team cannot be reached, and what was
 * confirmed meanwhile is sent in order. What others did comes in by {@link #merge}; it never takes away what is
 * confirmed here.
 *
 * <p>All methods may be called from any thread.
 */
public final class Mirror {
    private static final Duration OFTEN = Duration.ofSeconds(10);

    private final Library library;
    private final MirrorRows rows;

    Mirror(Library library, MirrorRows rows) {
        this.library = library;
        this.rows = rows;
    }

    /**
     * How a mirror stands to its team.
     *
     * @param url where the team's library is
     * @param team its identity, or null before it was first reached
     * @param mirror identity of this mirror
     * @param seen place of the last step that was read
     * @param waiting confirmed here and not there yet
     * @param clashes where somebody has to decide
     * @param reachedAt when it was last reached, or null
     */
    public record State(
            String url,
            @Nullable String team,
            String mirror,
            long seen,
            int waiting,
            int clashes,
            @Nullable Instant reachedAt) {}

    /** A forgetting that waits: what of it is to be deleted there, and how the rest stands without him. */
    public record Leaving(List<TeamForgetting.Thing> gone, List<TeamItem> kept) {
        public Leaving {
            gone = List.copyOf(gone);
            kept = List.copyOf(kept);
        }
    }

    /** What a waiting step of act {@link TeamChange.Act#FORGOTTEN} asks of the team's library. */
    public Leaving leaving(TeamChange step) throws LibraryException {
        return library.reading(() -> {
            TeamForgetting f = TeamForgetting.read(step.body());
            List<TeamItem> kept = new ArrayList<>();
            for (TeamForgetting.Thing t : f.kept()) {
                long n = rows.n(t.kind(), t.item());
                Optional<String> agreed = rows.agreed(t.kind(), t.item()).or(() -> rows.document(t.kind(), t.item()));
                if (n > 0 && agreed.isPresent()) {
                    kept.add(new TeamItem(t.kind(), t.item(), n, agreed.get(), false));
                }
            }
            return new Leaving(f.gone(), kept);
        });
    }

    /**
     * The team has forgotten an athlete: so does this mirror, with what lies beside it.
     *
     * @param mark see {@link TeamForgetting#mark}
     * @return files that could not be deleted
     */
    public List<Path> forget(String mark) throws LibraryException {
        Set<String> athletes = new TreeSet<>();
        for (MatchRecord r : library.everyMatch()) {
            athletes.add(r.details().a().id());
            athletes.add(r.details().b().id());
        }
        List<Path> left = new ArrayList<>();
        for (String id : athletes) {
            if (TeamForgetting.mark(id).equals(mark)) {
                left.addAll(library.forget(library.concerning(id), false));
            }
        }
        return left;
    }

    /**
     * What a merge changed, by kind; and what it could not follow, which has to be read whole: then nothing counts as
     * seen.
     */
    public record Merged(Map<TeamChange.Kind, Set<String>> changed, List<TeamItem> unknown) {
        public Merged {
            changed = Map.copyOf(changed);
            unknown = List.copyOf(unknown);
        }
    }

    /** Whether the library is a mirror at all. */
    public boolean attached() throws LibraryException {
        return library.reading(rows::attached);
    }

    /** Empty for a library of one's own. */
    public Optional<State> state() throws LibraryException {
        return library.reading(() -> rows.read()
                .map(a -> new State(
                        a.url(), a.team(), a.id(), a.seen(), rows.count(), rows.clashCount(), a.reachedAt())));
    }

    /**
     * Makes the library a mirror of a team's; all that is in it waits to be sent. One that is a mirror already follows
     * the team to another address.
     */
    public void attach(String url) throws LibraryException {
        try {
            library.change(h -> attach(h, url));
        } catch (LibraryException | RuntimeException e) {
            rows.lookAgain();
            throw e;
        }
    }

    private void attach(Handle h, String url) {
        if (rows.attached()) {
            rows.url(url);
            return;
        }
        rows.attach(url);
        for (TeamChange.Kind kind : TeamChange.Kind.values()) {
            if (kind != TeamChange.Kind.ATHLETE) {
                items(h, kind).forEach(item -> note(kind, item));
            }
        }
    }

    private void note(TeamChange.Kind kind, String item) {
        if (kind == TeamChange.Kind.SETTING && !MirrorRows.shared(item)) {
            return;
        }
        TeamChange.Act act = kind == TeamChange.Kind.MATCH ? TeamChange.Act.NEW : TeamChange.Act.SET;
        rows.noteIfShared(kind, item, act, library.author());
    }

    private static List<String> items(Handle h, TeamChange.Kind kind) {
        String query = switch (kind) {
            case MATCH -> "SELECT id FROM match_record WHERE removed = 0 ORDER BY id";
            case DRAFT -> "SELECT match_id FROM draft_list ORDER BY match_id";
            case PLAN -> "SELECT id FROM plan ORDER BY id";
            case ASSIGNMENT -> "SELECT id FROM assignment ORDER BY place, id";
            case SETTING -> "SELECT name FROM setting ORDER BY name";
            case ATHLETE -> throw new IllegalArgumentException("athletes are not kept by themselves");
        };
        return h.createQuery(query).mapTo(String.class).list();
    }

    /**
     * The team behind the address, once it is known.
     *
     * @throws LibraryException when it is another than this mirror's
     */
    public void team(String id) throws LibraryException {
        library.change(h -> {
            String known = rows.read().map(MirrorRows.Attached::team).orElse(null);
            if (known == null) {
                rows.team(id);
            } else if (!known.equals(id)) {
                throw new LibraryException(StoreWords.of("mirror.other-team"));
            }
        });
    }

    /** It was reached now, and all before a place is read. When nothing is new, that is written down now and then. */
    public void reached(long seen) throws LibraryException {
        Optional<MirrorRows.Attached> known = library.reading(rows::read);
        boolean lately = known.map(MirrorRows.Attached::reachedAt)
                .filter(at -> Duration.between(at, library.now()).abs().compareTo(OFTEN) < 0)
                .isPresent();
        if (lately && known.get().seen() == seen) {
            return;
        }
        library.change(h -> {
            rows.seen(seen);
            rows.reached(library.now());
        });
    }

    /**
     * The next steps to be sent, in order, numbered behind what the mirror knows; with the last of each thing comes
     * what it is then.
     */
    public List<TeamChange> waiting(int most) throws LibraryException {
        return library.reading(() -> {
            List<TeamChange> steps = rows.waiting(null, null, most + 1);
            boolean more = steps.size() > most;
            Map<String, Long> numbers = new LinkedHashMap<>();
            Map<String, Integer> last = new LinkedHashMap<>();
            List<TeamChange> numbered = new ArrayList<>();
            for (TeamChange s : more ? steps.subList(0, most) : steps) {
                String thing = s.kind() + " " + s.item();
                long n = numbers.merge(thing, rows.n(s.kind(), s.item()) + 1, (known, first) -> known + 1);
                last.put(thing, numbered.size());
                numbered.add(s.numbered(n));
            }
            if (!more) {
                last.values().forEach(i -> {
                    TeamChange s = numbered.get(i);
                    numbered.set(i, s.after(rows.document(s.kind(), s.item()).orElse(null)));
                });
            }
            return List.copyOf(numbered);
        });
    }

    /**
     * Takes in steps of the team's log, which follow on what was seen, in order, this mirror's own among them.
     *
     * @param seen place of the last of them
     */
    public Merged merge(List<TeamChange> steps, long seen) throws LibraryException {
        TeamMerge[] merge = new TeamMerge[1];
        library.change(h -> {
            merge[0] = new TeamMerge(h, rows, library.now());
            Map<List<Object>, List<TeamChange>> byThing = new LinkedHashMap<>();
            steps.forEach(s -> byThing.computeIfAbsent(List.of(s.kind(), s.item()), k -> new ArrayList<>())
                    .add(s));
            for (List<TeamChange> of : byThing.values()) {
                merge[0].steps(of);
            }
            // before anybody can make an edit of what has another name now
            library.renamed(merge[0].renamed());
            if (merge[0].merged().unknown().isEmpty()) {
                rows.seen(seen);
            }
            rows.reached(library.now());
        });
        return merge[0].merged();
    }

    /**
     * Takes in things as the team's library has them whole: at first, and where a step could not be followed.
     *
     * @param contained steps of this mirror that the team has already, which the things contain
     */
    public Merged take(List<TeamItem> items, Set<String> contained) throws LibraryException {
        TeamMerge[] merge = new TeamMerge[1];
        library.change(h -> {
            merge[0] = new TeamMerge(h, rows, library.now());
            contained.forEach(rows::drop);
            for (TeamItem i : items) {
                merge[0].whole(i);
            }
            library.renamed(merge[0].renamed());
        });
        return merge[0].merged();
    }

    /**
     * The team does not take a step: it waits no more, the thing is as it was without it, and what was wanted is kept
     * among the clashes.
     */
    public Merged refused(String step) throws LibraryException {
        TeamMerge[] merge = new TeamMerge[1];
        library.change(h -> {
            merge[0] = new TeamMerge(h, rows, library.now());
            merge[0].refused(step);
            library.renamed(merge[0].renamed());
        });
        return merge[0].merged();
    }

    /**
     * Where two people changed the same.
     *
     * @param fields what both changed
     * @param mine what was wanted here: an edit of the match, or the whole document
     */
    public record Open(long id, TeamChange.Kind kind, String item, List<String> fields, String mine, Instant at) {
        public Open {
            fields = List.copyOf(fields);
        }
    }

    /** What somebody has to decide, oldest first. */
    public List<Open> clashes() throws LibraryException {
        return library.reading(() -> rows.attached() ? rows.clashes() : List.of());
    }

    /**
     * Decides a clash: what was wanted here is done now, as a change of its own, or let go.
     *
     * @return false when it is decided already
     */
    public boolean decide(long id, boolean mine) throws LibraryException {
        Optional<Open> open = clashes().stream().filter(c -> c.id() == id).findFirst();
        if (open.isEmpty()) {
            return false;
        }
        if (mine) {
            make(open.get());
        }
        library.change(h -> rows.decided(id));
        return true;
    }

    private void make(Open clash) throws LibraryException {
        try {
            switch (clash.kind()) {
                case MATCH -> library.apply(clash.item(), EditJson.read(clash.mine()));
                case PLAN -> library.save(PlanJson.read(clash.mine()));
                case ASSIGNMENT -> library.save(PlanJson.readAssignment(clash.mine()));
                case DRAFT -> library.save(DraftJson.read(clash.mine()));
                case SETTING -> library.set(clash.item(), clash.mine());
                case ATHLETE -> throw new LibraryException(StoreWords.of("mirror.forget"));
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
    }
}
