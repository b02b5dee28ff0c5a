package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** Whether two tags tell of the same thing, although they may come from others and are not quite of one moment. */
final class DraftMatch {
    /** What is said or noted of an act is at most so far from it. */
    private static final long ACT_MS = 6000;
    /** A table shows points late. */
    private static final long CALL_MS = 8000;
    /** A pause lasts. */
    private static final long STOP_MS = 10_000;
    /** Two who name the act of one moment and not the same athlete contradict each other. */
    private static final long CONTRADICT_MS = 4000;

    private final Lexicon lexicon;

    DraftMatch(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    boolean same(Tag x, Tag y) {
        long apart = Math.abs(x.t().since(y.t()));
        if (x instanceof Tag.Action a && y instanceof Tag.Action b) {
            return apart <= ACT_MS && a.by() == b.by() && family(a).equals(family(b));
        }
        if (x instanceof Tag.Position p && y instanceof Tag.Position q) {
            return apart <= ACT_MS
                    && p.position().equals(q.position())
                    && p.holder() == q.holder()
                    && p.guard() == q.guard();
        }
        if (x instanceof Tag.Call c && y instanceof Tag.Call d) {
            return apart <= CALL_MS
                    && c.call() == d.call()
                    && c.who() == d.who()
                    && (c.value() == null || d.value() == null || c.value().equals(d.value()));
        }
        if (x instanceof Tag.Remark r && y instanceof Tag.Remark s) {
            return r.kind() == s.kind() && Objects.equals(r.text(), s.text());
        }
        if (x instanceof Tag.Grip g && y instanceof Tag.Grip h) {
            return apart <= ACT_MS && g.by() == h.by() && g.grip().equals(h.grip());
        }
        if (x instanceof Tag.Body g && y instanceof Tag.Body h) {
            return apart <= ACT_MS && g.of() == h.of() && g.fact().equals(h.fact());
        }
        return apart <= STOP_MS && x.type().equals(y.type());
    }

    private String family(Tag.Action a) {
        return a.family() == null ? lexicon.familyOf(a.technique()) : a.family();
    }

    /** Whether both tell of one moment and give it to different athletes. */
    boolean contradict(Tag x, Tag y) {
        if (Math.abs(x.t().since(y.t())) > CONTRADICT_MS) {
            return false;
        }
        if (x instanceof Tag.Action a && y instanceof Tag.Action b) {
            return a.by() != b.by() && family(a).equals(family(b));
        }
        return x instanceof Tag.Call c && y instanceof Tag.Call d && c.call() == d.call() && c.who() != d.who();
    }

    /**
     * Whether a record says it already: by a tag, or by the place that the two are in at that moment.
     *
     * @param line of the record
     */
    boolean held(Tag draft, MatchRecord record, PositionLine line) {
        List<Tag> tags = record.tags();
        for (Tag tag : tags) {
            if (same(draft, tag)) {
                return true;
            }
        }
        return draft instanceof Tag.Position p && in(p, tags, line);
    }

    /** Whether they are in a place; after the last thing that was tagged, in the place tagged last. */
    private static boolean in(Tag.Position p, List<Tag> tags, PositionLine line) {
        Optional<Span> span = line.at(p.t());
        if (span.isPresent()) {
            return at(p, span.get());
        }
        Tag.Position last = null;
        for (Tag tag : tags) {
            if (tag instanceof Tag.Position q && q.t().compareTo(p.t()) <= 0) {
                last = q;
            }
        }
        return last != null
                && last.position().equals(p.position())
                && last.holder() == p.holder()
                && last.guard() == p.guard();
    }

    private static boolean at(Tag.Position p, Span s) {
        return s.position().equals(p.position()) && s.holder() == p.holder() && s.guard() == p.guard();
    }

    /** Whether what was taken still says what the draft said; what was added to it, and its moment, are no change. */
    boolean kept(Tag draft, Tag now) {
        if (draft instanceof Tag.Action d && now instanceof Tag.Action n) {
            boolean what = d.technique().equals(n.technique())
                    || (d.technique().equals(d.family()) && d.technique().equals(lexicon.familyOf(n.technique())));
            return what
                    && d.by() == n.by()
                    && (d.sides().isEmpty() || d.side() == n.side())
                    && (d.outcome() == null || d.outcome() == n.outcome());
        }
        if (draft instanceof Tag.Position d && now instanceof Tag.Position n) {
            return d.position().equals(n.position()) && d.holder() == n.holder() && d.guard() == n.guard();
        }
        MatchTime t = draft.t();
        return draft.with(now.info()).equals(now.at(t));
    }
}
