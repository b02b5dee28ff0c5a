package farglass.work.publish;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.time.Dates;
import farglass.work.words.WorkWords;

/** A moment in one line. */
public final class MomentCaption {
    private MomentCaption() {}

    /** Who, when and what. */
    public static String of(MatchRecord r, int index, Lexicon lexicon) {
        Tag tag = r.tags().get(index);
        String date = r.details().date() == null ? "" : Dates.words(r.details().date()) + ", ";
        return WorkWords.of(
                "clip.caption",
                r.details().a().surname(),
                r.details().b().surname(),
                date,
                Clock.tenths(tag.t().ms()),
                TagText.of(r, tag, lexicon).line());
    }

    /**
     * The same without a name, a date or an event.
     *
     * @param one who is called one; the other is the other
     */
    static String nameless(MatchRecord r, int index, Lexicon lexicon, Corner one) {
        TagText text = TagText.of(r, r.tags().get(index), lexicon);
        String who = text.who() == null ? "" : WorkWords.of(text.who() == one ? "reel.one" : "reel.other") + ": ";
        String line = text.line();
        for (Corner c : Corner.values()) {
            line = line.replace(r.athlete(c).surname(), WorkWords.of(c == one ? "reel.one" : "reel.other"));
        }
        return who + line;
    }
}
