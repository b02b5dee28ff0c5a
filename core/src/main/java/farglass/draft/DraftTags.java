package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.PhraseWriter;
import farglass.phrase.Reading;
import java.util.ArrayList;
import java.util.List;

/** What a draft becomes when it is taken: as if it were typed, so that what worked brings its place along. */
public final class DraftTags {
    private DraftTags() {}

    /** The tag itself first, with what its source did not say filled in where the record tells it. */
    public static List<Tag> of(Draft d, MatchRecord record, Lexicon lexicon) {
        if (d.tag() instanceof Tag.Stop s && d.source() == Source.SCORE) {
            // the clock stood still and went on: at the same match time
            return List.of(s, new Tag.Resume(s.t(), null, null, null, TagInfo.NONE));
        }
        if (!(d.tag() instanceof Tag.Action a)
                || !a.completed()
                || a.technique().equals(a.family())) {
            return List.of(d.tag());
        }
        Context context = new Context(
                record, a.t(), PositionLine.of(record, lexicon).current(a.t()).orElse(null));
        Reading typed = new PhraseReader(lexicon).read(PhraseWriter.phrase(a, lexicon), context);
        boolean same = typed.complete()
                && typed.tags().get(0) instanceof Tag.Action b
                && b.by() == a.by()
                && b.technique().equals(a.technique())
                && b.completed();
        if (!same) {
            return List.of(a);
        }
        List<Tag> tags = new ArrayList<>();
        for (Tag t : typed.tags()) {
            tags.add(tags.isEmpty() ? t.with(a.info()) : t);
        }
        return List.copyOf(tags);
    }
}
