package farglass.store;

import farglass.match.Edit;
import farglass.match.MatchRecord;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What may be done to the matches of a library, of one's own or a mirror, within a transaction that the library gives.
 */
final class MatchEdits {
    private final MatchRows matches;
    private final MirrorRows mirror;
    private final TeamEdits team;
    private final Supplier<Author> author;

    /**
     * Who does it and when.
     *
     * @param name null for nobody in particular
     */
    record Author(@Nullable String name, Instant at) {}

    MatchEdits(MatchRows matches, MirrorRows mirror, Supplier<Author> author) {
        this.matches = matches;
        this.mirror = mirror;
        this.team = new TeamEdits(matches, mirror);
        this.author = author;
    }

    /** All of them or, when one cannot be added, none; see {@link Library#addAll}. */
    void add(List<MatchRecord> records) throws LibraryException {
        Set<String> ids = new HashSet<>();
        for (MatchRecord r : records) {
            if (!ids.add(r.id())) {
                throw new LibraryException(StoreWords.of("match.two", r.id()));
            }
            Optional<MatchRecord> there = matches.match(r.id());
            if (there.isEmpty()) {
                matches.insert(r);
                mirror.noteIfShared(TeamChange.Kind.MATCH, r.id(), TeamChange.Act.NEW, author.get());
            } else if (matches.removed(r.id())) {
                setRemoved(r.id(), false);
                if (!there.get().equals(r)) {
                    apply(there.get(), Edit.between(there.get(), r));
                }
            } else {
                throw new LibraryException(StoreWords.of("match.there", r.id()));
            }
        }
    }

    void setRemoved(String id, boolean removed) {
        mirror.before(TeamChange.Kind.MATCH, id);
        matches.setRemoved(id, removed);
        TeamChange.Act act = removed ? TeamChange.Act.REMOVED : TeamChange.Act.BACK;
        mirror.noteIfShared(TeamChange.Kind.MATCH, id, act, author.get());
    }

    /** The record after the edit. */
    MatchRecord apply(MatchRecord before, Edit edit) throws LibraryException {
        if (mirror.attached()) {
            return team.apply(before.id(), edit, author.get().at(), author.get().name());
        }
        MatchRecord after = edit.apply(before);
        matches.append(before, after, edit, author.get().at(), author.get().name());
        return after;
    }

    /** Takes the last step back, or makes it again; empty when there is none. */
    Optional<MatchRecord> step(String id, boolean back) throws LibraryException {
        if (mirror.attached()) {
            return team.step(id, back, author.get().at(), author.get().name());
        }
        int applied = matches.applied(id);
        Optional<Edit> edit = matches.edit(id, back ? applied : applied + 1);
        if (edit.isEmpty()) {
            return Optional.empty();
        }
        MatchRecord after = (back ? edit.get().inverse() : edit.get()).apply(matches.known(id));
        matches.store(after, back ? applied - 1 : applied + 1);
        return Optional.of(after);
    }

    boolean can(String id, boolean back) throws LibraryException {
        if (mirror.attached()) {
            return team.can(id, back);
        }
        int applied = matches.applied(id);
        return back ? applied > 0 : matches.edit(id, applied + 1).isPresent();
    }

    void renamed(Map<String, Map<String, String>> byMatch) {
        team.renamed(byMatch);
    }
}
