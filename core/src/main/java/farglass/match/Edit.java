package farglass.match;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * A change of a record, with its inverse. Applying an edit to a record it was not made for throws, so that a log can
 * never silently drift from its record.
 */
public sealed interface Edit {
    /** The record with the change made; throws when the edit was not made for this version of it. */
    MatchRecord apply(MatchRecord record);

    /** The edit that takes this one back. */
    Edit inverse();

    /** Puts a tag at an index (which must agree with its time). */
    record Add(int index, Tag tag) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord r) {
            List<Tag> tags = new ArrayList<>(r.tags());
            tags.add(index, tag);
            return placed(r, tags, index, tag);
        }

        @Override
        public Edit inverse() {
            return new Remove(index, tag);
        }
    }

    record Remove(int index, Tag tag) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord r) {
            expect(r, index, tag);
            List<Tag> tags = new ArrayList<>(r.tags());
            tags.remove(index);
            return r.withTags(tags);
        }

        @Override
        public Edit inverse() {
            return new Add(index, tag);
        }
    }

    /** Replaces a tag, which may move to another index when its time changes. */
    record Replace(int index, Tag before, int newIndex, Tag after) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord r) {
            expect(r, index, before);
            List<Tag> tags = new ArrayList<>(r.tags());
            tags.remove(index);
            tags.add(newIndex, after);
            return placed(r, tags, newIndex, after);
        }

        @Override
        public Edit inverse() {
            return new Replace(newIndex, after, index, before);
        }
    }

    record SetDetails(MatchRecord.Details before, MatchRecord.Details after) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord r) {
            if (!r.details().equals(before)) {
                throw new IllegalStateException("details are not those this edit was made for");
            }
            return r.withDetails(after);
        }

        @Override
        public Edit inverse() {
            return new SetDetails(after, before);
        }
    }

    record SetFilms(List<FilmRef> before, List<FilmRef> after) implements Edit {
        public SetFilms {
            before = List.copyOf(before);
            after = List.copyOf(after);
        }

        @Override
        public MatchRecord apply(MatchRecord r) {
            if (!r.films().equals(before)) {
                throw new IllegalStateException("films are not those this edit was made for");
            }
            return r.withFilms(after);
        }

        @Override
        public Edit inverse() {
            return new SetFilms(after, before);
        }
    }

    /** A record is kept from outsiders, or is known to them. */
    record SetPrivate(boolean before, boolean after) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord record) {
            if (record.isPrivate() != before) {
                throw new IllegalStateException("somebody else has changed who knows this record");
            }
            return record.withPrivate(after);
        }

        @Override
        public Edit inverse() {
            return new SetPrivate(after, before);
        }
    }

    /** A record becomes one of another kind. */
    record SetKind(RecordKind before, RecordKind after) implements Edit {
        @Override
        public MatchRecord apply(MatchRecord r) {
            if (r.kind() != before) {
                throw new IllegalStateException("the record is not of the kind this edit was made for");
            }
            return new MatchRecord(r.id(), after, r.details(), r.films(), r.tags(), r.extra());
        }

        @Override
        public Edit inverse() {
            return new SetKind(after, before);
        }
    }

    /** Several edits undone and redone as one. */
    record Batch(List<Edit> edits) implements Edit {
        public Batch {
            edits = List.copyOf(edits);
        }

        @Override
        public MatchRecord apply(MatchRecord r) {
            MatchRecord next = r;
            for (Edit e : edits) {
                next = e.apply(next);
            }
            return next;
        }

        @Override
        public Edit inverse() {
            List<Edit> back = new ArrayList<>();
            edits.forEach(e -> back.add(e.inverse()));
            Collections.reverse(back);
            return new Batch(back);
        }
    }

    /** An edit that adds {@code tag} after all tags of the same or an earlier time. */
    static Edit add(MatchRecord r, Tag tag) {
        return new Add(indexFor(r.tags(), tag), tag);
    }

    /** One edit that adds several tags in the given order. */
    static Edit addAll(MatchRecord r, List<Tag> tags) {
        List<Edit> edits = new ArrayList<>();
        MatchRecord next = r;
        for (Tag tag : tags) {
            Edit e = add(next, tag);
            next = e.apply(next);
            edits.add(e);
        }
        return edits.size() == 1 ? edits.get(0) : new Batch(edits);
    }

    /**
     * One edit that makes a record into another of the same id; unknown fields of the record itself are not an edit's
     * to change.
     */
    static Edit between(MatchRecord before, MatchRecord after) {
        List<Edit> edits = new ArrayList<>();
        for (int i = before.tags().size() - 1; i >= 0; i--) {
            edits.add(new Remove(i, before.tags().get(i)));
        }
        if (before.kind() != after.kind()) {
            edits.add(new SetKind(before.kind(), after.kind()));
        }
        if (!before.details().equals(after.details())) {
            edits.add(new SetDetails(before.details(), after.details()));
        }
        if (!before.films().equals(after.films())) {
            edits.add(new SetFilms(before.films(), after.films()));
        }
        for (int i = 0; i < after.tags().size(); i++) {
            edits.add(new Add(i, after.tags().get(i)));
        }
        return new Batch(edits);
    }

    static Edit remove(MatchRecord r, int index) {
        return new Remove(index, r.tags().get(index));
    }

    static Edit replace(MatchRecord r, int index, Tag after) {
        Tag before = r.tags().get(index);
        if (before.t().equals(after.t())) {
            return new Replace(index, before, index, after);
        }
        List<Tag> rest = new ArrayList<>(r.tags());
        rest.remove(index);
        return new Replace(index, before, indexFor(rest, after), after);
    }

    private static int indexFor(List<Tag> tags, Tag tag) {
        int i = 0;
        while (i < tags.size() && tags.get(i).t().compareTo(tag.t()) <= 0) {
            i++;
        }
        return i;
    }

    private static void expect(MatchRecord r, int index, Tag tag) {
        if (index >= r.tags().size() || !r.tags().get(index).equals(tag)) {
            throw new IllegalStateException("tag " + index + " is not the one this edit was made for");
        }
    }

    private static MatchRecord placed(MatchRecord r, List<Tag> tags, int index, Tag tag) {
        MatchRecord next = r.withTags(tags);
        expect(next, index, tag);
        return next;
    }
}
