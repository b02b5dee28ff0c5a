package farglass.desk.shell;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.work.publish.TagText;

/** What an edit of a record does, in words. */
public final class EditWords {
    private final MatchRecord record;
    private final Lexicon lexicon;

    /** @param record the one that is edited, whose athletes are named */
    public EditWords(MatchRecord record, Lexicon lexicon) {
        this.record = record;
        this.lexicon = lexicon;
    }

    /** A tag with its moment and who acts. */
    public String tag(Tag tag) {
        TagText t = TagText.of(record, tag, lexicon);
        String who = t.who() == null ? "" : record.athlete(t.who()).surname() + " ";
        return Clock.tenths(tag.t().ms()) + " " + who + t.line();
    }

    /** What is done. */
    public String edit(Edit edit) {
        if (edit instanceof Edit.Add a) {
            return Words.of("history.added", tag(a.tag()));
        }
        if (edit instanceof Edit.Remove x) {
            return Words.of("history.removed", tag(x.tag()));
        }
        if (edit instanceof Edit.Replace x) {
            return Words.of("history.changed", tag(x.before()), tag(x.after()));
        }
        if (edit instanceof Edit.SetFilms) {
            return Words.of("history.films");
        }
        if (edit instanceof Edit.Batch b && !b.edits().isEmpty()) {
            return edit(b.edits().get(0))
                    + (b.edits().size() > 1 ? Words.of("history.more", b.edits().size() - 1) : "");
        }
        return Words.of("history.head");
    }
}
