package farglass.work.session;

import farglass.draft.Draft;
import farglass.draft.DraftList;
import farglass.draft.DraftTags;
import farglass.draft.Source;
import farglass.draft.SourceRecord;
import farglass.draft.SpeechLag;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.OpenEnd;
import farglass.match.Tag;
import farglass.store.Library;
import farglass.team.TeamRole;
import farglass.work.task.Tasks;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is proposed about the matches of the library, beside their records. A change is shown at once and written in
 * order. Belongs to the thread of results.
 */
public final class Drafts {
    private final Records records;
    private final Lexicon lexicon;
    private final Library library;
    private final Tasks tasks;
    private final Messages messages;
    private final Rights rights;
    private final List<SessionListener> listeners = new ArrayList<>();
    private final Map<String, DraftList> byMatch = new LinkedHashMap<>();
    private final Deque<Refusal> refusals = new ArrayDeque<>();
    private final Map<String, Tally> tallies = new HashMap<>();
    /** Matches whose tally is being counted. */
    private final Set<String> counting = new HashSet<>();

    /** What the drafts of a match tell of their sources. */
    private record Tally(Map<Source, SourceRecord> sources, List<Long> lags) {}

    /** @param at the record as it was then: an edit made since is taken back first */
    private record Refusal(String match, String draft, MatchRecord at) {}

    Drafts(
            List<DraftList> all,
            Records records,
            Lexicon lexicon,
            Library library,
            Tasks tasks,
            Messages messages,
            Rights rights) {
        this.rights = rights;
        this.records = records;
        this.lexicon = lexicon;
        this.library = library;
        this.tasks = tasks;
        this.messages = messages;
        records.listen(new SessionListener() {
            @Override
            public void recordChanged(MatchRecord now) {
                touched(now.id());
            }
        });
        replace(all);
    }

    void listen(SessionListener listener) {
        listeners.add(listener);
    }

    /** What stands now; what it tells of the sources is counted in the background. */
    void replace(List<DraftList> all) {
        byMatch.clear();
        refusals.clear();
        tallies.clear();
        counting.clear();
        all.forEach(d -> byMatch.put(d.match(), d));
        if (!all.isEmpty()) {
            counting.addAll(byMatch.keySet());
            List<DraftList> lists = List.copyOf(all);
            Map<String, MatchRecord> now = new HashMap<>();
            records.all().forEach(r -> now.put(r.id(), r));
            tasks.query(
                    "draft-sources", () -> counted(lists, now), this::counted, e -> messages.problem(e.getMessage()));
        }
    }

    private Map<String, Tally> counted(List<DraftList> lists, Map<String, MatchRecord> now) {
        Map<String, Tally> counted = new LinkedHashMap<>();
        for (DraftList l : lists) {
            MatchRecord r = now.get(l.match());
            if (r != null) {
                counted.put(l.match(), tally(l, r));
            }
        }
        return counted;
    }

    /** Takes what was counted of matches that nobody has touched meanwhile. */
    private void counted(Map<String, Tally> found) {
        found.forEach((match, tally) -> {
            if (counting.remove(match)) {
                tallies.put(match, tally);
            }
        });
        counting.clear();
        byMatch.keySet().forEach(match -> listeners.forEach(l -> l.draftsChanged(match)));
    }

    private Tally tally(DraftList list, MatchRecord record) {
        return new Tally(SourceRecord.of(list, record, lexicon), SpeechLag.of(list, record));
    }

    /** What a match tells is another now: it is counted anew when it is asked for. */
    private void touched(String match) {
        counting.remove(match);
        tallies.remove(match);
    }

    private List<Tally> tallies() {
        for (DraftList l : byMatch.values()) {
            if (!tallies.containsKey(l.match()) && !counting.contains(l.match())) {
                records.match(l.match()).ifPresent(r -> tallies.put(l.match(), tally(l, r)));
            }
        }
        return List.copyOf(tallies.values());
    }

    /** Others have changed what is proposed about these matches. */
    void refresh(Set<String> matches) {
        tasks.write(
                library::drafts,
                kept -> kept.stream().filter(d -> matches.contains(d.match())).forEach(d -> {
                    byMatch.put(d.match(), d);
                    touched(d.match());
                    listeners.forEach(l -> l.draftsChanged(d.match()));
                }),
                e -> messages.problem(e.getMessage()));
    }

    /** All that is kept about a match. */
    public DraftList of(String match) {
        return byMatch.getOrDefault(match, DraftList.empty(match));
    }

    /** How often each source was right so far, over all matches. */
    public Map<Source, SourceRecord> sources() {
        return SourceRecord.sum(tallies().stream().map(Tally::sources).toList());
    }

    /** How long after an act people speak of it, as taken drafts tell, ms. */
    public long lagMs() {
        return SpeechLag.median(
                tallies().stream().flatMap(t -> t.lags().stream()).toList());
    }

    /** All that is kept about a match with what has become of it, each source heard as loud as it has deserved. */
    public List<DraftList.Judged> judged(MatchRecord record) {
        DraftList list = of(record.id());
        if (list.drafts().isEmpty()) {
            return List.of();
        }
        Map<Source, SourceRecord> sources = sources();
        return list.judged(record, lexicon, lagMs()).stream()
                .map(j -> new DraftList.Judged(SourceRecord.heard(j.draft(), sources), j.fate()))
                .toList();
    }

    /** Puts what a source says of a match beside what is there; the number of drafts that are new. */
    public int add(String match, List<Draft> found) {
        Optional<MatchRecord> record = records.match(match);
        if (record.isEmpty() || found.isEmpty()) {
            return 0;
        }
        DraftList before = of(match);
        DraftList next = before.with(found, record.get(), lexicon);
        keep(before, next);
        return next.drafts().size() - before.drafts().size();
    }

    /** Nobody is to be asked about it again. */
    public void refuse(String match, String draft) {
        records.match(match).ifPresent(r -> {
            refusals.push(new Refusal(match, draft, r));
            keep(of(match), of(match).refused(draft, true));
        });
    }

    /** A refused one is asked about again. */
    public void reopen(String match, String draft) {
        keep(of(match), of(match).refused(draft, false));
    }

    /** Takes drafts as they are, in one edit; what worked brings its place along, as it does when it is typed. */
    public void take(String match, List<Draft> drafts, boolean looked) {
        records.match(match).ifPresent(r -> {
            List<Edit> edits = new ArrayList<>();
            MatchRecord now = r;
            for (Draft d : drafts) {
                Edit e = taking(now, d, DraftTags.of(d, now, lexicon), looked);
                edits.add(e);
                now = e.apply(now);
            }
            taken(match, edits.size() == 1 ? edits.get(0) : new Edit.Batch(edits));
        });
    }

    private static Edit taking(MatchRecord r, Draft d, List<Tag> as, boolean looked) {
        List<Tag> tags = new ArrayList<>(as);
        tags.set(0, d.taken(as.get(0), looked));
        return OpenEnd.keep(r, tags);
    }

    private void taken(String match, Edit edit) {
        records.edit(match, edit);
        touched(match);
        listeners.forEach(l -> l.draftsChanged(match));
    }

    /** Takes a draft as something else, or at another moment. */
    public void take(String match, Draft draft, List<Tag> as) {
        if (as.isEmpty()) {
            return;
        }
        records.match(match).ifPresent(r -> taken(match, taking(r, draft, as, true)));
    }

    /**
     * Takes the last refusal back, if it was the last thing done to the match.
     *
     * @return false when something else was: the record is to be asked
     */
    public boolean undoRefusal(String match) {
        Refusal last = refusals.peek();
        if (last == null
                || !last.match().equals(match)
                || records.match(match).filter(last.at()::equals).isEmpty()) {
            return false;
        }
        refusals.pop();
        reopen(match, last.draft());
        return true;
    }

    private void keep(DraftList before, DraftList next) {
        if (next.equals(before) || !rights.grant(TeamRole::bringsMatches)) {
            return;
        }
        show(next);
        tasks.write(
                () -> {
                    library.save(next);
                    return next;
                },
                kept -> {},
                e -> {
                    messages.problem(e.getMessage());
                    show(before);
                });
    }

    private void show(DraftList list) {
        byMatch.put(list.match(), list);
        touched(list.match());
        listeners.forEach(l -> l.draftsChanged(list.match()));
    }
}
