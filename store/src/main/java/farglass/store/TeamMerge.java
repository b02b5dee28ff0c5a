package farglass.store;

import static java.util.Objects.requireNonNull;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.json.DraftJson;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import farglass.team.Clash;
import farglass.team.Rebase;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/**
 * Takes steps of the team's log into a mirror, in one transaction that the library gives. What waits here is put behind
 * what came (it is rebased, as {@link Rebase} says), so that every mirror has the log's own order.
 */
final class TeamMerge {
    /** In place of the fields of a clash: the team did not take it. */
    private static final String REFUSED = "refused";

    private final MirrorRows rows;
    private final MatchRows matches;
    private final PlanRows plans;
    private final DraftRows drafts;
    private final SettingRows settings;
    private final Instant now;
    private final Map<TeamChange.Kind, Set<String>> changed = new EnumMap<>(TeamChange.Kind.class);
    private final List<TeamItem> unknown = new ArrayList<>();
    private final Map<String, Map<String, String>> renamed = new HashMap<>();

    TeamMerge(Handle handle, MirrorRows rows, Instant now) {
        this.rows = rows;
        this.matches = new MatchRows(handle, true);
        this.plans = new PlanRows(handle);
        this.drafts = new DraftRows(handle);
        this.settings = new SettingRows(handle);
        this.now = now;
    }

    Mirror.Merged merged() {
        return new Mirror.Merged(changed, unknown);
    }

    /** By match, ids that own tags got instead of those that others' have now. */
    Map<String, Map<String, String>> renamed() {
        return renamed;
    }

    private void changed(TeamChange.Kind kind, String item) {
        changed.computeIfAbsent(kind, k -> new LinkedHashSet<>()).add(item);
    }

    /** @param steps of one thing, in order */
    void steps(List<TeamChange> steps) throws LibraryException {
        TeamChange.Kind kind = steps.get(0).kind();
        String item = steps.get(0).item();
        if (kind == TeamChange.Kind.ATHLETE) {
            steps.forEach(s -> rows.drop(s.id()));
            changed(kind, item);
            return;
        }
        long known = rows.n(kind, item);
        List<TeamChange> fresh = steps.stream().filter(s -> s.n() > known).toList();
        if (fresh.isEmpty()) {
            return;
        }
        if (fresh.get(0).n() != known + 1) {
            // some came before this mirror could see the thing
            unknown.add(new TeamItem(kind, item, known, "", false));
            return;
        }
        long n = fresh.get(fresh.size() - 1).n();
        List<TeamChange> waiting = rows.waiting(kind, item, Integer.MAX_VALUE);
        if (ours(fresh, waiting)) {
            acknowledge(kind, item, n, fresh, waiting);
        } else if (kind == TeamChange.Kind.MATCH) {
            match(item, n, fresh, waiting);
        } else {
            document(kind, item, n, requireNonNull(fresh.get(fresh.size() - 1).body()), ids(fresh), waiting);
        }
    }

    /** Whether all that came is what waited first here, so that nothing has to be moved. */
    private static boolean ours(List<TeamChange> fresh, List<TeamChange> waiting) {
        if (fresh.size() > waiting.size()) {
            return false;
        }
        for (int i = 0; i < fresh.size(); i++) {
            if (!fresh.get(i).id().equals(waiting.get(i).id())) {
                return false;
            }
        }
        return true;
    }

    private void acknowledge(
            TeamChange.Kind kind, String item, long n, List<TeamChange> fresh, List<TeamChange> waiting)
            throws LibraryException {
        fresh.forEach(s -> rows.drop(s.id()));
        if (fresh.size() == waiting.size()) {
            rows.agree(kind, item, n, null);
        } else if (kind == TeamChange.Kind.MATCH) {
            Log log = new Log(rows.agreed(kind, item).orElse(null));
            for (TeamChange s : fresh) {
                log.step(s);
            }
            rows.agree(kind, item, n, log.record == null ? null : MatchJson.write(log.record));
        } else {
            rows.agree(kind, item, n, fresh.get(fresh.size() - 1).body());
        }
    }

    private static Set<String> ids(List<TeamChange> steps) {
        return steps.stream().map(TeamChange::id).collect(Collectors.toCollection(HashSet::new));
    }

    /** A record as steps make it. */
    private static final class Log {
        private @Nullable MatchRecord record;
        private @Nullable Boolean removed;

        Log(@Nullable String document) throws LibraryException {
            record = document == null ? null : Documents.match(document);
        }

        void step(TeamChange s) throws LibraryException {
            switch (s.act()) {
                case NEW, SET -> record = Documents.match(requireNonNull(s.body()));
                case EDIT -> {
                    if (record == null) {
                        throw new IllegalStateException("an edit of a match that is not there");
                    }
                    record = edit(s).apply(record);
                }
                case REMOVED -> removed = true;
                case BACK -> removed = false;
                case FORGOTTEN -> throw new IllegalStateException("no match is forgotten");
            }
        }
    }

    private static Edit edit(TeamChange s) throws LibraryException {
        try {
            return EditJson.read(requireNonNull(s.body()));
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
    }

    private void match(String item, long n, List<TeamChange> fresh, List<TeamChange> waiting) throws LibraryException {
        boolean twice = waiting.stream().anyMatch(w -> w.act() == TeamChange.Act.NEW)
                && fresh.stream().noneMatch(f -> waiting.stream().anyMatch(w -> w.id().equals(f.id())));
        if (twice) {
            apart(item, waiting);
            match(item, n, fresh, List.of());
            return;
        }
        Optional<String> agreed = rows.agreed(TeamChange.Kind.MATCH, item);
        Log log = new Log(
                agreed.or(() -> rows.document(TeamChange.Kind.MATCH, item)).orElse(null));
        try {
            for (TeamChange s : fresh) {
                log.step(s);
            }
        } catch (IllegalStateException e) {
            // an edit that does not fit: the whole record tells what it came to
            unknown.add(new TeamItem(TeamChange.Kind.MATCH, item, n, "", false));
            return;
        }
        List<TeamChange> edits =
                fresh.stream().filter(s -> s.act() == TeamChange.Act.EDIT).toList();
        behind(item, n, requireNonNull(log.record), log.removed, edits, rest(fresh, waiting));
    }

    private List<TeamChange> rest(List<TeamChange> fresh, List<TeamChange> waiting) {
        Set<String> came = ids(fresh);
        waiting.stream().filter(w -> came.contains(w.id())).forEach(w -> rows.drop(w.id()));
        matches.takeOut(waiting);
        return waiting.stream().filter(w -> !came.contains(w.id())).toList();
    }

    /** The agreed record with what waits behind it. */
    private void behind(
            String item,
            long n,
            MatchRecord agreed,
            @Nullable Boolean removed,
            List<TeamChange> edits,
            List<TeamChange> waiting)
            throws LibraryException {
        if (!matches.there(item)) {
            matches.insert(agreed);
        }
        String here = rows.read().map(MirrorRows.Attached::id).orElse("");
        for (TeamChange e : edits) {
            // one's own stay one's own to take back, also when they come in among others'
            matches.append(here.equals(e.mirror()) ? e.here() : e);
        }
        Rebase rebase = new Rebase(agreed);
        int clashes = 0;
        boolean left = false;
        for (TeamChange w : waiting) {
            if (w.act() == TeamChange.Act.REMOVED || w.act() == TeamChange.Act.BACK) {
                left = true;
                continue;
            }
            MatchRecord before = rebase.record();
            Optional<Edit> made = w.act() == TeamChange.Act.EDIT ? rebase.next(edit(w)) : Optional.empty();
            if (made.isEmpty()) {
                rows.drop(w.id());
            } else {
                String body = EditJson.write(made.get(), before);
                rows.rewrite(w.id(), body);
                matches.append(new TeamChange(
                        w.id(), w.kind(), item, 0, w.act(), body, w.undoes(), w.at(), w.by(), null, null));
                left = true;
            }
            for (Clash c : rebase.clashes().subList(clashes, rebase.clashes().size())) {
                rows.clash(TeamChange.Kind.MATCH, item, c.fields(), EditJson.write(c.mine(), rebase.record()), now);
            }
            clashes = rebase.clashes().size();
        }
        matches.store(rebase.record());
        renamed.put(item, rebase.renamed());
        boolean asked =
                waiting.stream().anyMatch(w -> w.act() == TeamChange.Act.REMOVED || w.act() == TeamChange.Act.BACK);
        if (removed != null && !asked) {
            matches.setRemoved(item, removed);
        }
        rows.agree(TeamChange.Kind.MATCH, item, n, left ? MatchJson.write(agreed) : null);
        changed(TeamChange.Kind.MATCH, item);
    }

    /** Two made a match of the same id: ours becomes one of another id, so that neither is lost. */
    private void apart(String item, List<TeamChange> waiting) throws LibraryException {
        MatchRecord ours = matches.known(item);
        rows.forget(TeamChange.Kind.MATCH, item);
        matches.takeOut(waiting);
        int k = 2;
        while (matches.there(item + "-" + k)) {
            k++;
        }
        MatchRecord aside =
                new MatchRecord(item + "-" + k, ours.kind(), ours.details(), ours.films(), ours.tags(), ours.extra());
        matches.delete(item);
        matches.insert(aside);
        TeamChange first = waiting.get(0);
        rows.note(
                TeamChange.Kind.MATCH,
                aside.id(),
                TeamChange.Act.NEW,
                MatchJson.write(aside),
                null,
                first.at(),
                first.by());
        changed(TeamChange.Kind.MATCH, aside.id());
    }

    /** A thing that is kept whole, with what waits for it merged in. */
    private void document(
            TeamChange.Kind kind, String item, long n, String theirs, Set<String> came, List<TeamChange> waiting)
            throws LibraryException {
        List<TeamChange> rest =
                waiting.stream().filter(w -> !came.contains(w.id())).toList();
        waiting.forEach(w -> rows.drop(w.id()));
        if (rest.isEmpty()) {
            rows.agree(kind, item, n, null);
            put(kind, item, theirs);
            return;
        }
        TeamChange last = rest.get(rest.size() - 1);
        String mine = requireNonNull(last.body());
        DocumentMerge both = DocumentMerge.of(rows.agreed(kind, item).orElse(null), mine, theirs);
        if (!both.fields().isEmpty()) {
            rows.clash(kind, item, both.fields(), both.mine(), now);
        }
        boolean left = !both.theirs().equals(theirs);
        if (left) {
            rows.note(kind, item, TeamChange.Act.SET, both.theirs(), null, last.at(), last.by());
        }
        rows.agree(kind, item, n, left ? theirs : null);
        put(kind, item, both.theirs());
    }

    private void put(TeamChange.Kind kind, String item, String document) throws LibraryException {
        if (rows.document(kind, item).filter(document::equals).isPresent()) {
            return;
        }
        try {
            switch (kind) {
                case PLAN -> plans.save(PlanJson.read(document), now);
                case ASSIGNMENT -> plans.save(PlanJson.readAssignment(document));
                case DRAFT -> drafts.save(DraftJson.read(document));
                case SETTING -> settings.put(item, document);
                case MATCH, ATHLETE -> throw new IllegalArgumentException("this is not kept whole");
            }
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
        changed(kind, item);
    }

    /** A thing as the team has it, whatever the mirror knew of it. */
    void whole(TeamItem i) throws LibraryException {
        if (i.n() <= rows.n(i.kind(), i.item())
                && rows.document(i.kind(), i.item()).isPresent()) {
            return;
        }
        List<TeamChange> waiting = rows.waiting(i.kind(), i.item(), Integer.MAX_VALUE);
        if (i.kind() != TeamChange.Kind.MATCH) {
            document(i.kind(), i.item(), i.n(), i.document(), Set.of(), waiting);
            return;
        }
        MatchRecord theirs = Documents.match(i.document());
        if (waiting.stream().anyMatch(w -> w.act() == TeamChange.Act.NEW)) {
            Optional<MatchRecord> ours = matches.match(i.item());
            if (ours.filter(theirs::equals).isPresent()) {
                waiting.forEach(w -> rows.drop(w.id()));
            } else {
                apart(i.item(), waiting);
            }
            waiting = List.of();
        }
        // steps in between were not seen: what was known of its history does not lead here
        matches.clearLog(i.item());
        behind(i.item(), i.n(), theirs, i.removed(), List.of(), waiting);
    }

    /** A step that the team does not take is put among what is to be decided; the rest of what waits stays. */
    void refused(String step) throws LibraryException {
        Optional<TeamChange> found = rows.waiting(null, null, Integer.MAX_VALUE).stream()
                .filter(w -> w.id().equals(step))
                .findFirst();
        if (found.isEmpty()) {
            return;
        }
        TeamChange of = found.get();
        List<TeamChange> waiting = rows.waiting(of.kind(), of.item(), Integer.MAX_VALUE);
        Optional<String> agreed = rows.agreed(of.kind(), of.item());
        long n = rows.n(of.kind(), of.item());
        rows.drop(step);
        if (of.kind() == TeamChange.Kind.ATHLETE) {
            rows.clash(of.kind(), of.item(), List.of(REFUSED), "", now);
            return;
        }
        rows.clash(of.kind(), of.item(), List.of(REFUSED), Objects.requireNonNullElse(of.body(), ""), now);
        if (agreed.isEmpty()) {
            // something new that the team does not want: it stays here, and nothing of it is sent
            waiting.forEach(w -> rows.drop(w.id()));
            changed(of.kind(), of.item());
            return;
        }
        List<TeamChange> rest =
                waiting.stream().filter(w -> !w.id().equals(step)).toList();
        if (of.kind() == TeamChange.Kind.MATCH) {
            matches.takeOut(waiting);
            boolean sight = of.act() == TeamChange.Act.REMOVED || of.act() == TeamChange.Act.BACK;
            Boolean removed = sight ? of.act() == TeamChange.Act.BACK : null;
            behind(of.item(), n, Documents.match(agreed.get()), removed, List.of(), rest);
        } else {
            document(of.kind(), of.item(), n, agreed.get(), Set.of(step), waiting);
        }
    }
}
