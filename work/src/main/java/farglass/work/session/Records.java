package farglass.work.session;

import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.store.Heads;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.team.TeamRole;
import farglass.work.task.Tasks;
import farglass.work.words.WorkWords;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * The matches of the library and the changes that may be made to them. A change is shown at once and written in order;
 * when the write fails, what is shown goes back to what is kept, with a message.
 *
 * <p>All methods belong to the thread of results, but for those that say otherwise.
 */
public final class Records {
    /** Matches that are shown one by one when others have changed them. */
    private static final int FEW = 20;

    private final Library library;
    private final Tasks tasks;
    private final Messages messages;
    private final Rights rights;
    private final List<SessionListener> listeners = new ArrayList<>();
    /** Never changed in place. */
    private volatile List<MatchRecord> all;
    /** Made when asked for, dropped when the matches change. */
    private volatile @Nullable Map<String, MatchRecord> byId;

    private @Nullable Map<String, String> athletes;
    /** By match whose undo is on its way to the disk: edits made meanwhile, which are made for what comes after it. */
    private final Map<String, Deque<Edit>> stepping = new HashMap<>();

    /** By match, edits that are on their way to the disk; only counted in a team's library. */
    private final Map<String, Integer> writing = new HashMap<>();

    private final boolean ofTeam;

    /** Records that were read anew, with what was counted of them, for the index to begin from. */
    private volatile Heads.Read fresh;

    Records(LibraryContent content, Tasks tasks, Messages messages, Rights rights) {
        this.rights = rights;
        this.library = content.library();
        this.all = List.copyOf(content.matches());
        this.fresh = new Heads.Read(all, content.counts());
        this.tasks = tasks;
        this.messages = messages;
        this.ofTeam = ofTeam(library);
    }

    private static boolean ofTeam(Library library) {
        try {
            return library.mirror().attached();
        } catch (LibraryException e) {
            return false;
        }
    }

    void listen(SessionListener listener) {
        listeners.add(listener);
    }

    /** All matches as they are shown, oldest first. Immutable. May be called from any thread. */
    public List<MatchRecord> all() {
        return all;
    }

    /** Of two with one id the first. May be called from any thread. */
    public Optional<MatchRecord> match(String id) {
        Map<String, MatchRecord> known = byId;
        if (known == null) {
            known = new HashMap<>();
            for (MatchRecord r : all) {
                known.putIfAbsent(r.id(), r);
            }
            byId = known;
        }
        return Optional.ofNullable(known.get(id));
    }

    /** Names of athletes by id, in the order of ids. */
    public Map<String, String> athletes() {
        if (athletes == null) {
            Map<String, String> names = new TreeMap<>();
            for (MatchRecord r : all) {
                for (Corner c : Corner.values()) {
                    MatchAthlete a = r.athlete(c);
                    names.putIfAbsent(a.id(), a.name());
                }
            }
            athletes = Collections.unmodifiableMap(names);
        }
        return athletes;
    }

    /**
     * Changes a match: shown at once, written in order. An edit for a version that was undone meanwhile is refused with
     * a message.
     */
    public void edit(String match, Edit edit) {
        if (!rights.grant(role -> role.makes(edit))) {
            return;
        }
        Deque<Edit> waiting = stepping.get(match);
        if (waiting != null) {
            waiting.add(edit);
            return;
        }
        match(match).ifPresent(r -> {
            MatchRecord after;
            try {
                after = edit.apply(r);
            } catch (IllegalStateException e) {
                messages.problem(WorkWords.of("edit.failed", e.getMessage()));
                return;
            }
            show(after);
            if (!ofTeam) {
                tasks.write(() -> library.apply(match, edit), kept -> {}, e -> wentWrong(match, e));
                return;
            }
            writing.merge(match, 1, Integer::sum);
            tasks.write(
                    () -> library.apply(match, edit),
                    kept -> {
                        if (written(match)) {
                            showUnlessShown(kept);
                        }
                    },
                    e -> {
                        written(match);
                        wentWrong(match, e);
                    });
        });
    }

    /** One edit of the match is on the disk; whether none is on its way any more. */
    private boolean written(String match) {
        return writing.merge(match, -1, (a, b) -> a + b == 0 ? null : a + b) == null;
    }

    /** What others did may have come between what was shown and what was written. */
    private void showUnlessShown(MatchRecord kept) {
        if (match(kept.id()).filter(kept::equals).isEmpty()) {
            show(kept);
        }
    }

    /** The records as they were read last, with what was counted of them. May be called from any thread. */
    Heads.Read fresh() {
        return fresh;
    }

    /** Others have changed these matches, or they came or went. */
    void refresh(Set<String> ids) {
        if (ids.size() > FEW || !ids.stream().allMatch(id -> match(id).isPresent())) {
            readOnly(ids, () -> {}, () -> {});
            return;
        }
        for (String id : ids) {
            tasks.write(
                    () -> library.visible(id),
                    kept -> {
                        if (kept.isEmpty()) {
                            readOnly(Set.of(id), () -> {}, () -> {});
                        } else if (!beingWritten(id)) {
                            // else it is shown when the last edit of one's own is on the disk
                            showUnlessShown(kept.get());
                        }
                    },
                    e -> messages.problem(e.getMessage()));
        }
    }

    private boolean beingWritten(String id) {
        return writing.containsKey(id) || stepping.containsKey(id);
    }

    /** Takes the last edit of a match back; undo after undo goes back to its beginning. */
    public void undo(String match) {
        step(match, true);
    }

    /** Makes the edit again that was taken back last. */
    public void redo(String match) {
        step(match, false);
    }

    private void step(String match, boolean back) {
        if (stepping.containsKey(match)) {
            return;
        }
        stepping.put(match, new ArrayDeque<>());
        tasks.write(
                () -> back ? library.undo(match) : library.redo(match),
                kept -> {
                    kept.ifPresentOrElse(
                            this::show, () -> messages.done(WorkWords.of(back ? "undo.none" : "redo.none")));
                    stepped(match);
                },
                e -> {
                    wentWrong(match, e);
                    stepped(match);
                });
    }

    private void stepped(String match) {
        stepping.remove(match).forEach(edit -> edit(match, edit));
    }

    private void wentWrong(String match, Exception e) {
        messages.problem(e instanceof LibraryException ? e.getMessage() : WorkWords.of("edit.failed", e.getMessage()));
        tasks.write(
                () -> library.match(match), kept -> kept.ifPresent(this::show), x -> messages.problem(x.getMessage()));
    }

    private void show(MatchRecord record) {
        List<MatchRecord> next = new ArrayList<>(all);
        next.replaceAll(r -> r.id().equals(record.id()) ? record : r);
        keep(next);
        listeners.forEach(l -> l.recordChanged(record));
    }

    private void keep(List<MatchRecord> next) {
        all = List.copyOf(next);
        byId = null;
        athletes = null;
    }

    /** All records were read anew. */
    void replace(LibraryContent content) {
        keep(content.matches());
        fresh = new Heads.Read(all, content.counts());
        listeners.forEach(l -> l.recordsChanged(all));
    }

    /** Takes in new matches: all of them or, with a message, none. */
    public void add(List<MatchRecord> records, Runnable added) {
        if (!rights.grant(TeamRole::bringsMatches)) {
            return;
        }
        Set<String> ids = new TreeSet<>();
        records.forEach(r -> ids.add(r.id()));
        readOnly(ids, () -> library.addAll(records), added);
    }

    /** Takes a match out of the list, or back in. */
    public void setRemoved(String match, boolean removed) {
        if (rights.grant(TeamRole::bringsMatches)) {
            readOnly(Set.of(match), () -> library.setRemoved(match, removed), () -> {});
        }
    }

    /** Reads all matches anew after the library was changed otherwise. */
    public void readAnew() {
        tasks.write(() -> LibraryContent.of(library), this::replace, e -> messages.problem(e.getMessage()));
    }

    private interface LibraryChange {
        void make() throws LibraryException;
    }

    /** Makes a change and reads those matches that it is about; all others stay as they are shown. */
    private void readOnly(Set<String> ids, LibraryChange change, Runnable then) {
        tasks.write(
                () -> {
                    change.make();
                    Map<String, MatchRecord> read = new HashMap<>();
                    for (String id : ids) {
                        library.visible(id).ifPresent(r -> read.put(id, r));
                    }
                    return read;
                },
                read -> {
                    List<MatchRecord> next = new ArrayList<>();
                    for (MatchRecord r : all) {
                        boolean stays = read.containsKey(r.id()) && beingWritten(r.id());
                        if (!ids.contains(r.id()) || stays) {
                            next.add(r);
                            read.remove(r.id());
                        }
                    }
                    next.addAll(read.values());
                    next.sort(Heads.OLDEST_FIRST);
                    keep(next);
                    listeners.forEach(l -> l.recordsChanged(all));
                    then.run();
                },
                e -> messages.problem(e.getMessage()));
    }
}
