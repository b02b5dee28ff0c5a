package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.CallKind;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a careful second pass should look at again: long stretches in which nothing was tagged, changes of place that no
 * attempt explains, attempts without side or level, points that nothing was tagged for. A side that was said not to be
 * visible has been looked at and is not asked for again.
 */
public final class SecondLook {
    /** A stretch of live time without a tag is long from here on. */
    static final long QUIET_MS = 30_000;
    /** An award is called at most so long after what it is for. */
    static final long AWARD_MS = 15_000;

    private SecondLook() {}

    /** Why a place is worth another look. */
    public enum Why {
        NOTHING_TAGGED,
        NO_CAUSE,
        NO_SIDE,
        NO_LEVEL,
        POINTS_FOR_NOTHING
    }

    /**
     * @param t where to look
     * @param tag index of the tag it is about
     */
    public record Look(MatchTime t, int tag, Why why) {}

    /** In time order. */
    public static List<Look> of(MatchRecord record, Lexicon lexicon) {
        List<Look> looks = new ArrayList<>();
        PositionLine line = PositionLine.of(record, lexicon);
        List<Tag> tags = record.tags();
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            if (tag instanceof Tag.Action a) {
                action(a, i, lexicon).ifPresent(looks::add);
            } else if (tag instanceof Tag.Call c && c.call() == CallKind.POINTS && c.called() && !explained(tags, i)) {
                looks.add(new Look(c.t(), i, Why.POINTS_FOR_NOTHING));
            }
        }
        List<Span> spans = line.spans();
        for (int i = 1; i < spans.size(); i++) {
            Span before = spans.get(i - 1);
            Span s = spans.get(i);
            boolean said = tags.get(s.tag()) instanceof Tag.Position p && p.cause() != null;
            if (!before.censored() && s.byAction() < 0 && !said && tags.get(s.tag()) instanceof Tag.Position) {
                looks.add(new Look(s.from(), s.tag(), Why.NO_CAUSE));
            }
        }
        quiet(record, spans, looks);
        looks.sort(Comparator.comparing(Look::t).thenComparing(Look::why));
        return looks;
    }

    private static Optional<Look> action(Tag.Action a, int index, Lexicon lexicon) {
        boolean sided = lexicon.technique(a.technique()).map(Technique::sided).orElse(false);
        if (sided && a.sides().isEmpty()) {
            return Optional.of(new Look(a.t(), index, Why.NO_SIDE));
        }
        boolean open = a.reached() == null && a.outcome() == null;
        return open ? Optional.of(new Look(a.t(), index, Why.NO_LEVEL)) : Optional.empty();
    }

    private static boolean explained(List<Tag> tags, int call) {
        Tag.Call c = (Tag.Call) tags.get(call);
        for (int i = call - 1; i >= 0 && c.t().since(tags.get(i).t()) <= AWARD_MS; i--) {
            boolean attempt = tags.get(i) instanceof Tag.Action a && a.by() == c.who();
            boolean ahead = tags.get(i) instanceof Tag.Position p && p.holder() == c.who();
            if (attempt || ahead) {
                return true;
            }
        }
        return false;
    }

    /** Live stretches in which no tag stands, told at the tag before them. */
    private static void quiet(MatchRecord record, List<Span> spans, List<Look> looks) {
        List<Tag> tags = record.tags();
        for (int i = 0; i + 1 < tags.size(); i++) {
            MatchTime from =
                    tags.get(i) instanceof Tag.Action a ? a.end() : tags.get(i).t();
            MatchTime to = tags.get(i + 1).t();
            long live = 0;
            for (Span s : spans) {
                live += Math.max(
                        0, Math.min(s.to().ms(), to.ms()) - Math.max(s.from().ms(), from.ms()));
            }
            if (live >= QUIET_MS) {
                looks.add(new Look(from, i, Why.NOTHING_TAGGED));
            }
        }
    }
}
