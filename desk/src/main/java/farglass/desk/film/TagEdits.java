package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.ReplayMerge;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.phrase.PhraseWriter;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Optional;

/** Changes to the tags of the open record, and which tag is selected. */
final class TagEdits {
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
            desk.edit(Edit.addAll(record(), named));
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
