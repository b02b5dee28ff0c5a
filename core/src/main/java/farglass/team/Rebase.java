package farglass.team;

import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Makes edits, one after the other, for a record that has changed since they were made. Edits of different tags and of
 * different fields of one tag both stand; where both changed the same field, the record keeps what is there and a
 * {@link Clash} tells of it. Tags are found by their id, those without one by what they are.
 */
public final class Rebase {
    private MatchRecord now;
    private final List<Clash> clashes = new ArrayList<>();
    /** Ids that the other had given to a tag of his own meanwhile, with those that ours got instead. */
    private final Map<String, String> renamed;

    private final List<Edit> made = new ArrayList<>();

    /** @param now the record as it is */
    public Rebase(MatchRecord now) {
        this(now, Map.of());
    }

    /** @param renamed ids that tags got on an earlier occasion, by the ids that the edits may still call them by */
    public Rebase(MatchRecord now, Map<String, String> renamed) {
        this.now = now;
        this.renamed = new HashMap<>(renamed);
    }

    /**
     * The edit for the record as it is now, which from then on is the record after it.
     *
     * @return empty when nothing of it is left to be done
     */
    public Optional<Edit> next(Edit edit) {
        made.clear();
        make(edit);
        if (made.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(made.size() == 1 ? made.get(0) : new Edit.Batch(made));
    }

    /** The record after all edits so far. */
    public MatchRecord record() {
        return now;
    }

    /** Ids that tags got instead of those that the edits call them by. */
    public Map<String, String> renamed() {
        return Map.copyOf(renamed);
    }

    /** What could not be made, over all edits so far. */
    public List<Clash> clashes() {
        return List.copyOf(clashes);
    }

    private void make(Edit edit) {
        if (edit instanceof Edit.Add a) {
            add(a);
        } else if (edit instanceof Edit.Remove r) {
            remove(r);
        } else if (edit instanceof Edit.Replace r) {
            replace(r);
        } else if (edit instanceof Edit.SetDetails d) {
            details(d);
        } else if (edit instanceof Edit.SetFilms f) {
            films(f);
        } else if (edit instanceof Edit.SetKind k) {
            if (now.kind() == k.before()) {
                done(k);
            } else if (now.kind() != k.after()) {
                clashes.add(new Clash(List.of("kind"), new Edit.SetKind(now.kind(), k.after())));
            }
        } else if (edit instanceof Edit.SetPrivate p) {
            if (now.isPrivate() != p.after()) {
                done(new Edit.SetPrivate(!p.after(), p.after()));
            }
        } else if (edit instanceof Edit.Batch b) {
            b.edits().forEach(this::make);
        }
    }

    private void done(Edit edit) {
        now = edit.apply(now);
        made.add(edit);
    }

    private void add(Edit.Add a) {
        Tag tag = a.tag();
        String id = tag.info().id();
        if (id != null) {
            Optional<Tag> there =
                    now.tags().stream().filter(t -> id.equals(t.info().id())).findFirst();
            if (there.isPresent() && there.get().equals(tag)) {
                return;
            }
            if (there.isPresent()) {
                tag = TagIds.name(now, List.of(tag.with(id(tag.info(), null)))).get(0);
                renamed.put(id, Objects.requireNonNull(tag.info().id()));
            }
        }
        done(new Edit.Add(index(now.tags(), a.index(), tag), tag));
    }

    private void remove(Edit.Remove r) {
        Tag tag = own(r.tag());
        int at = find(r.index(), tag);
        if (at < 0) {
            return;
        }
        Edit.Remove here = new Edit.Remove(at, now.tags().get(at));
        if (here.tag().equals(tag)) {
            done(here);
        } else {
            clashes.add(new Clash(List.of(Clash.REMOVED), here));
        }
    }

    private void replace(Edit.Replace r) {
        Tag before = own(r.before());
        Tag after = before.equals(r.before())
                ? r.after()
                : r.after().with(id(r.after().info(), before.info().id()));
        int at = find(r.index(), before);
        if (at < 0) {
            clashes.add(new Clash(List.of(Clash.REMOVED), Edit.add(now, after)));
            return;
        }
        Tag there = now.tags().get(at);
        FieldMerge<?> both = FieldMerge.of((Record) before, (Record) after, (Record) there);
        Tag merged = (Tag) both.theirs();
        if (!merged.equals(there)) {
            done(replacing(at, there, r.newIndex(), merged));
        }
        if (!both.fields().isEmpty()) {
            int here = now.tags().indexOf(merged);
            clashes.add(new Clash(both.fields(), replacing(here, merged, here, (Tag) both.mine())));
        }
    }

    private Edit.Replace replacing(int at, Tag there, int wanted, Tag next) {
        if (next.t().equals(there.t())) {
            return new Edit.Replace(at, there, at, next);
        }
        List<Tag> rest = new ArrayList<>(now.tags());
        rest.remove(at);
        return new Edit.Replace(at, there, index(rest, wanted, next), next);
    }

    private void details(Edit.SetDetails d) {
        MatchRecord.Details there = now.details();
        FieldMerge<MatchRecord.Details> both = FieldMerge.of(d.before(), d.after(), there);
        if (!both.theirs().equals(there)) {
            done(new Edit.SetDetails(there, both.theirs()));
        }
        if (!both.fields().isEmpty()) {
            clashes.add(new Clash(both.fields(), new Edit.SetDetails(now.details(), both.mine())));
        }
    }

    private void films(Edit.SetFilms f) {
        List<FilmRef> there = now.films();
        FieldMerge<List<FilmRef>> both = FilmsMerge.of(f.before(), f.after(), there);
        if (!both.theirs().equals(there)) {
            done(new Edit.SetFilms(there, both.theirs()));
        }
        if (!both.fields().isEmpty()) {
            clashes.add(new Clash(both.fields(), new Edit.SetFilms(now.films(), both.mine())));
        }
    }

    /** Our tag under the id that it has now, which is known by being the same in all else. */
    private Tag own(Tag tag) {
        String id = tag.info().id();
        String other = id == null ? null : renamed.get(id);
        if (other == null || now.tags().contains(tag)) {
            return tag;
        }
        Tag ours = tag.with(id(tag.info(), other));
        return now.tags().contains(ours) ? ours : tag;
    }

    private static TagInfo id(TagInfo i, @Nullable String id) {
        return new TagInfo(id, i.tagger(), i.confidence(), i.note(), i.extra());
    }

    /** Where a tag is now; -1 when it is gone. */
    private int find(int index, Tag tag) {
        List<Tag> tags = now.tags();
        if (index < tags.size() && tags.get(index).equals(tag)) {
            return index;
        }
        int equal = tags.indexOf(tag);
        if (equal >= 0) {
            return equal;
        }
        int found = -1;
        for (int i = 0; i < tags.size(); i++) {
            if (same(tags.get(i), tag)) {
                if (found >= 0) {
                    return -1;
                }
                found = i;
            }
        }
        return found;
    }

    private static boolean same(Tag a, Tag b) {
        String id = b.info().id();
        return id != null
                ? id.equals(a.info().id())
                : a.info().id() == null && a.type().equals(b.type()) && a.t().equals(b.t());
    }

    /** The index that is wanted when it agrees with the tag's time, else the last that does. */
    private static int index(List<Tag> tags, int wanted, Tag tag) {
        boolean after = wanted == 0
                || (wanted <= tags.size() && tags.get(wanted - 1).t().compareTo(tag.t()) <= 0);
        boolean before =
                wanted >= tags.size() || tag.t().compareTo(tags.get(wanted).t()) <= 0;
        if (after && before) {
            return wanted;
        }
        int i = 0;
        while (i < tags.size() && tags.get(i).t().compareTo(tag.t()) <= 0) {
            i++;
        }
        return i;
    }
}
