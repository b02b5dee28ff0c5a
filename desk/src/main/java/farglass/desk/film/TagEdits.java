package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.OpenEnd;
import farglass.match.PositionLine;
import farglass.match.ReplayMerge;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.match.TagChanges;
import farglass.match.TagIds;
import farglass.match.TagInfo;
import farglass.phrase.PhraseWriter;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Optional;

/** Changes to the tags of the open record, and which tag is selected. */
final class TagEdits {
    private static final double UNSURE = 0.4;
    private final Desk desk;
    private final Runnable selectionMoved;
    private int selected = -1;
    private boolean correcting;

    TagEdits(Desk desk, Runnable selectionMoved) {
        this.desk = desk;
        this.selectionMoved = selectionMoved;
    }

    /** Index of the selected tag, -1 for none. */
    int selected() {
        return selected;
    }

    void select(int index) {
        selected = index;
        correcting = false;
    }

    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private Optional<Tag> tag() {
        MatchRecord r = record();
        return r != null && selected >= 0 && selected < r.tags().size()
                ? Optional.of(r.tags().get(selected))
                : Optional.empty();
    }

    /** Takes typed tags in: as a correction of the selected one, merged while a replay runs, else added. */
    void keep(List<Tag> tags, boolean replay) {
        if (correcting && tag().isPresent() && !tags.isEmpty()) {
            Tag before = tag().get();
            Tag after = tags.get(0).at(before.t());
            correcting = false;
            desk.edit(Edit.replace(
                    record(),
                    selected,
                    after.with(before.info().confidence(after.info().confidence()))));
            return;
        }
        correcting = false;
        List<Tag> named = TagIds.name(record(), tags);
        if (replay) {
            Edit merged = ReplayMerge.edit(record(), named);
            if (merged instanceof Edit.Batch b && b.edits().isEmpty()) {
                desk.notices().done(Words.of("tag.there"));
                return;
            }
            desk.edit(merged);
        } else {
            desk.edit(OpenEnd.keep(record(), tags));
        }
    }

    /** The phrase of the selected tag, which the next kept phrase replaces. */
    Optional<String> beginCorrection() {
        Optional<String> phrase = tag().map(t -> PhraseWriter.phrase(t, desk.lexicon()));
        correcting = phrase.isPresent();
        return phrase;
    }

    void step(int by) {
        MatchRecord r = record();
        if (r != null && !r.tags().isEmpty()) {
            int from = selected < 0 && by < 0 ? r.tags().size() : selected;
            selected = Math.max(0, Math.min(r.tags().size() - 1, from + by));
            selectionMoved.run();
        }
    }

    void nudge(long ms) {
        tag().ifPresent(t -> {
            Edit e = Edit.replace(record(), selected, t.at(t.t().plus(ms)));
            int to = ((Edit.Replace) e).newIndex();
            selected = to;
            desk.edit(e);
        });
    }

    private void change(java.util.function.UnaryOperator<Tag> change) {
        tag().ifPresent(t -> {
            Tag after = change.apply(t);
            if (!after.equals(t)) {
                desk.edit(Edit.replace(record(), selected, after));
            }
        });
    }

    /** Left becomes right in the selected tag, and right left. */
    void mirror() {
        change(TagChanges::mirrored);
    }

    /** The two athletes change places in the selected tag. */
    void swap() {
        change(TagChanges::swapped);
    }

    /** Marks the selected tag as unsure, or as sure again. */
    void unsure() {
        change(t -> t.with(t.info().confidence(t.info().unsure() ? null : UNSURE)));
    }

    /** Says that the side of the selected tag cannot be seen. */
    void hideSide() {
        change(TagChanges::sideHidden);
    }

    /** The selected tag once more, at another moment. */
    void repeat(MatchTime t) {
        tag().ifPresent(x -> {
            Tag again = x.at(t).with(TagInfo.NONE);
            desk.edit(Edit.addAll(record(), TagIds.name(record(), List.of(again))));
        });
    }

    void delete() {
        tag().ifPresent(t -> {
            Edit e = Edit.remove(record(), selected);
            selected = -1;
            desk.edit(e);
        });
    }

    /** A second position tag like the present one, to be corrected into what came next. */
    void split(MatchTime t) {
        Optional<Span> span = PositionLine.of(record(), desk.lexicon()).at(t);
        if (span.isEmpty() || span.get().from().equals(t)) {
            desk.notices().done(Words.of("tag.no-split"));
            return;
        }
        Span s = span.get();
        Tag.Position copy =
                Tag.Position.of(t, s.position(), s.holder(), s.guard()).sided(s.side());
        List<Tag> named = TagIds.name(record(), List.of(copy));
        Edit.Add e = (Edit.Add) Edit.add(record(), named.get(0));
        selected = e.index();
        desk.edit(e);
    }
}
