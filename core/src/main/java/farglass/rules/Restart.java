package farglass.rules;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A restart in another place than the one that was stopped.
 *
 * @param loser who stands worse than before; null when nobody does
 * @param lost standing value he lost, 0 to 2
 * @param tag index of the tag it begins with
 */
public record Restart(
        MatchTime t, String from, String to, @Nullable Corner loser, double lost, int tag) {
    /** Less than this is no loss. */
    private static final double EVEN = 0.02;

    public static List<Restart> of(MatchRecord record, Lexicon lexicon) {
        List<Restart> found = new ArrayList<>();
        MatchRecord bare = record.withFilms(List.of());
        Span before = null;
        for (Span s : PositionLine.of(bare, lexicon).spans()) {
            boolean placed = record.tags().get(s.tag()) instanceof Tag.Resume
                    || record.tags().get(s.tag()) instanceof Tag.Position;
            if (before != null && before.exit() == Span.Exit.STOPPED && placed) {
                double change = PositionLine.standing(s, bare, lexicon) - PositionLine.standing(before, bare, lexicon);
                Corner loser = Math.abs(change) < EVEN ? null : change < 0 ? Corner.A : Corner.B;
                found.add(new Restart(
                        s.from(),
                        before.position(),
                        s.position(),
                        loser,
                        loser == null ? 0 : Math.abs(change),
                        s.tag()));
            }
            before = s;
        }
        return found;
    }
}
