package farglass.store;

import static java.util.Objects.requireNonNull;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.team.Clash;
import farglass.team.Rebase;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Edits that are made in a mirror. Others' come in between what is shown and what is written: an edit for what was
 * shown is made to fit (see {@link Rebase}), and what is taken back is one's own.
 */
final class TeamEdits {
    private final MatchRows matches;
    private final MirrorRows rows;
    /** By match, ids that own tags got when others' came first; a window may call them by the old ones for a moment. */
    private final Map<String, Map<String, String>> renamed = new HashMap<>();

    TeamEdits(MatchRows matches, MirrorRows rows) {
        this.matches = matches;
        this.rows = rows;
    }

    void renamed(Map<String, Map<String, String>> byMatch) {
        byMatch.forEach(
                (m, ids) -> renamed.computeIfAbsent(m, k -> new HashMap<>()).putAll(ids));
    }

    /** The record after the edit, which may hold more than the edit was made for. */
    MatchRecord apply(String id, Edit edit, Instant at, @Nullable String by) throws LibraryException {
        MatchRecord before = matches.known(id);
        Rebase rebase = new Rebase(before, renamed.getOrDefault(id, Map.of()));
        // also where it would fit: somebody else may have given the id of a new tag to one of his own
        Optional<Edit> made = rebase.next(edit);
        renamed(Map.of(id, rebase.renamed()));
        for (Clash c : rebase.clashes()) {
            rows.clash(TeamChange.Kind.MATCH, id, c.fields(), EditJson.write(c.mine(), rebase.record()), at);
        }
        if (made.isEmpty() && !changesNothing(edit, before)) {
            return before;
        }
        // an edit that changes nothing is a step all the same: it can be taken back like any other
        return append(before, made.orElse(edit), null, at, by);
    }

    private static boolean changesNothing(Edit edit, MatchRecord record) {
        try {
            return edit.apply(record).equals(record);
        } catch (IllegalStateException | IndexOutOfBoundsException e) {
            return false;
        }
    }

    private MatchRecord append(
            MatchRecord before, Edit edit, @Nullable String undoes, Instant at, @Nullable String by) {
        rows.before(TeamChange.Kind.MATCH, before.id());
        MatchRecord after = edit.apply(before);
        String body = EditJson.write(edit, before);
        String step = rows.note(TeamChange.Kind.MATCH, before.id(), TeamChange.Act.EDIT, body, undoes, at, by);
        matches.append(new TeamChange(
                step, TeamChange.Kind.MATCH, before.id(), 0, TeamChange.Act.EDIT, body, undoes, at, by, null, null));
        matches.store(after);
        return after;
    }

    /**
     * Takes back ({@code back}) one's own last step, or makes it again; empty when there is none.
     *
     * @throws LibraryException when somebody else has changed it since; nothing is done then
     */
    Optional<MatchRecord> step(String id, boolean back, Instant at, @Nullable String by) throws LibraryException {
        TeamSteps steps = new TeamSteps(matches.own(id));
        Optional<TeamSteps.Own> target = back ? steps.undo() : steps.redo();
        if (target.isEmpty()) {
            return Optional.empty();
        }
        MatchRecord before = matches.known(id);
        TeamSteps.Own of = back ? target.get() : steps.undoneBy(target.get()).orElseThrow();
        Edit edit = read(of.edit());
        Rebase rebase = new Rebase(before);
        Optional<Edit> made = rebase.next(back ? edit.inverse() : edit);
        if (!rebase.clashes().isEmpty()) {
            throw new LibraryException(StoreWords.of("mirror.undo"));
        }
        // a step whose work somebody else undid is done with all the same: the next goes to the one before it
        return Optional.of(append(
                before,
                made.orElseGet(() -> new Edit.Batch(List.of())),
                target.get().id(),
                at,
                by));
    }

    boolean can(String id, boolean back) {
        TeamSteps steps = new TeamSteps(matches.own(id));
        return (back ? steps.undo() : steps.redo()).isPresent();
    }

    private static Edit read(@Nullable String edit) throws LibraryException {
        try {
            return EditJson.read(requireNonNull(edit));
        } catch (FormatException e) {
            throw Documents.damaged(e);
        }
    }
}
