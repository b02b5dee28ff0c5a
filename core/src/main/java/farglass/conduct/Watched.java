package farglass.conduct;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.List;

/**
 * A record looked at from one corner.
 *
 * @param us the corner whose conduct is asked about
 */
public record Watched(MatchRecord record, PositionLine line, Corner us, Lexicon lexicon) {
    static Watched of(MatchRecord record, Corner us, Lexicon lexicon) {
        return new Watched(record, PositionLine.of(record, lexicon), us, lexicon);
    }

    Corner corner(boolean ours) {
        return ours ? us : us.other();
    }

    /** Whether anybody looked for such tags at all. */
    boolean has(Class<? extends Tag> type) {
        return record.tags().stream().anyMatch(type::isInstance);
    }

    /** Until when the match runs on without a break from a moment on. */
    MatchTime unbroken(MatchTime t) {
        for (Tag tag : record.tags()) {
            boolean breaks = tag instanceof Tag.Stop || tag instanceof Tag.End;
            if (breaks && tag.t().compareTo(t) > 0) {
                return tag.t();
            }
        }
        return record.end();
    }

    /** The end of the position in which something of unknown length began. */
    MatchTime placeEnd(MatchTime t) {
        return line.current(t).map(Span::to).orElse(t);
    }

    List<Tag> tags() {
        return record.tags();
    }
}
