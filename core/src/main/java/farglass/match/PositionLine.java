package farglass.match;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The partition of a record's match time into {@link Span}s.
 *
 * <p>A span ends by a transition, or is censored by a stoppage that restarts elsewhere, by the end, or by a gap of
 * film. The match clock stands still while the match is stopped, so a restart in the same place continues its span.
 */
public final class PositionLine {
    private final List<Span> spans;

    private PositionLine(List<Span> spans) {
        this.spans = List.copyOf(spans);
    }

    public static PositionLine of(MatchRecord record, Lexicon lexicon) {
        return new PositionLine(cutAtGaps(new Builder(record, lexicon).build(), record.filmGaps()));
    }

    /** All spans, in the order of time, without overlap. */
    public List<Span> spans() {
        return spans;
    }

    /** The span at a moment; empty outside the match. */
    public Optional<Span> at(MatchTime t) {
        int lo = 0;
        int hi = spans.size() - 1;
        while (lo <= hi) {
            int mid = (lo + hi) >>> 1;
            Span s = spans.get(mid);
            if (s.contains(t)) {
                return Optional.of(s);
            }
            if (t.compareTo(s.from()) < 0) {
                hi = mid - 1;
            } else {
                lo = mid + 1;
            }
        }
        return Optional.empty();
    }

    /** The last span that begins at or before {@code t}, also when {@code t} lies after its end. */
    public Optional<Span> current(MatchTime t) {
        Span found = null;
        for (Span s : spans) {
            if (s.from().compareTo(t) <= 0) {
                found = s;
            }
        }
        return Optional.ofNullable(found);
    }

    /**
     * Standing value for athlete A at the span, -1..1: the lexicon's value for the holder, its negative for the other.
     * Neutral and unknown positions give 0; a lock gives 0.9 at threat 2 and 0.97 at threat 3.
     */
    public static double standing(Span s, MatchRecord record, Lexicon lexicon) {
        Corner ahead =
                s.holder() != null ? s.holder() : s.guard() != null ? s.guard().other() : null;
        if (ahead == null) {
            return 0;
        }
        double value;
        if (s.position().equals("LCK") && record.tags().get(s.tag()) instanceof Tag.Position p && p.threat() != null) {
            value = p.threat() >= 3 ? 0.97 : 0.9;
        } else {
            value = lexicon.position(s.position())
                    .map(p -> s.holder() != null && s.holder() == s.guard() && p.attackValue() != null
                            ? p.attackValue()
                            : p.value())
                    .orElse(0.0);
        }
        return ahead == Corner.A ? value : -value;
    }

    private static final class Builder {
        private final MatchRecord record;
        private final Lexicon lexicon;
        private final List<Span> done = new ArrayList<>();
        private Tag.@Nullable Position open;
        private MatchTime openFrom = MatchTime.ZERO;
        private int openTag = -1;
        private int openAction = -1;
        private boolean truncated;
        private boolean stopped;
        /** When the match went on again, -1 before it ever did: a place tagged then is where the referee put them. */
        private long resumedMs = -1;

        Builder(MatchRecord record, Lexicon lexicon) {
            this.record = record;
            this.lexicon = lexicon;
        }

        List<Span> build() {
            List<Tag> tags = record.tags();
            boolean ended = false;
            for (int i = 0; i < tags.size() && !ended; i++) {
                Tag tag = tags.get(i);
                if (tag instanceof Tag.Position p) {
                    position(normal(p), i);
                    stopped = false;
                } else if (tag instanceof Tag.Stop) {
                    stopped = true;
                } else if (tag instanceof Tag.Resume r && open != null) {
                    resume(r, i);
                } else if (tag instanceof Tag.End) {
                    close(tag.t(), Span.Exit.ENDED);
                    ended = true;
                }
            }
            if (!ended) {
                close(record.end(), Span.Exit.OPEN);
            }
            return done;
        }

        private void position(Tag.Position p, int index) {
            boolean placed = stopped || (open != null && p.t().ms() == resumedMs);
            if (placed && open != null && sameAs(open, p.position(), p.holder(), p.guard())) {
                // put back where they were: what was held goes on
                return;
            }
            begin(p, index, placed ? Span.Exit.STOPPED : Span.Exit.MOVED, placed ? -1 : causeOf(index, p));
        }

        private static boolean sameAs(
                Tag.Position open, String position, @Nullable Corner holder, @Nullable Corner guard) {
            return position.equals(open.position())
                    && (holder == open.holder() || (holder == null && guard != null))
                    && (guard == null || guard == open.guard());
        }

        private void begin(Tag.Position p, int index, Span.Exit previousExit, int action) {
            boolean first = open == null && done.isEmpty();
            close(p.t(), previousExit);
            open = p;
            openFrom = p.t();
            openTag = index;
            openAction = action;
            truncated = first && p.t().ms() > 0;
        }

        private void resume(Tag.Resume r, int index) {
            resumedMs = r.t().ms();
            boolean moved = r.position() != null && !sameAs(requireNonNull(open), r.position(), r.holder(), r.guard());
            if (r.position() != null && moved) {
                begin(
                        normal(Tag.Position.of(r.t(), r.position(), r.holder(), r.guard())),
                        index,
                        Span.Exit.STOPPED,
                        -1);
            }
            stopped = false;
        }

        private void close(MatchTime t, Span.Exit exit) {
            if (open != null && t.compareTo(openFrom) > 0) {
                String place = open.position().equals("LCK") && open.base() != null ? open.base() : open.position();
                done.add(new Span(
                        openFrom,
                        t,
                        open.position(),
                        place,
                        open.holder(),
                        open.guard(),
                        open.side(),
                        openTag,
                        openAction,
                        exit,
                        truncated));
            }
            open = null;
        }

        /** Fills what follows from the rest: the guard player of a guard, the place under a lock. */
        private Tag.Position normal(Tag.Position p) {
            Corner guard = p.guard();
            boolean isGuard = lexicon.position(p.position())
                    .map(farglass.lexicon.Position::guard)
                    .orElse(false);
            if (guard == null && p.holder() != null && isGuard) {
                guard = p.holder().other();
            }
            if (p.position().equals("LCK")) {
                return lock(p);
            }
            return p.builder().guard(guard).build();
        }

        /** Who plays guard under a lock is read from the place under it: who locks from a guard is not on top. */
        private Tag.Position lock(Tag.Position p) {
            String before = open == null ? null : open.position().equals("LCK") ? open.base() : open.position();
            String base = p.base() == null ? before : p.base();
            boolean onGuard = base != null
                    && lexicon.position(base)
                            .map(farglass.lexicon.Position::guard)
                            .orElse(false);
            Corner guard = p.guard();
            if (guard == null && base != null && onGuard) {
                guard = base.equals(before) && open != null && open.guard() != null ? open.guard() : p.holder();
            }
            return p.builder().guard(guard).base(base).build();
        }

        /** The last completed action before this position tag, aiming here or nowhere, with no position tag between. */
        private int causeOf(int index, Tag.Position p) {
            for (int i = index - 1; i >= 0; i--) {
                Tag tag = record.tags().get(i);
                if (tag instanceof Tag.Position || tag instanceof Tag.Stop) {
                    return -1;
                }
                if (tag instanceof Tag.Action a && a.completed() && (a.to() == null || a.to().equals(p.position()))) {
                    return i;
                }
            }
            return -1;
        }
    }

    /** Spans that touch match time without live film are censored at its start and left-truncated at its end. */
    private static List<Span> cutAtGaps(List<Span> spans, List<ClockMap.Gap> gaps) {
        List<Span> result = spans;
        for (ClockMap.Gap gap : gaps) {
            List<Span> next = new ArrayList<>();
            for (Span s : result) {
                if (s.to().compareTo(gap.from()) <= 0 || s.from().compareTo(gap.to()) >= 0) {
                    next.add(s);
                    continue;
                }
                if (s.from().compareTo(gap.from()) < 0) {
                    next.add(part(s, s.from(), gap.from(), Span.Exit.GAP, s.leftTruncated()));
                }
                if (s.to().compareTo(gap.to()) > 0) {
                    next.add(part(s, gap.to(), s.to(), s.exit(), true));
                }
            }
            result = next;
        }
        return result;
    }

    private static Span part(Span s, MatchTime from, MatchTime to, Span.Exit exit, boolean truncated) {
        return new Span(
                from,
                to,
                s.position(),
                s.place(),
                s.holder(),
                s.guard(),
                s.side(),
                s.tag(),
                s.byAction(),
                exit,
                truncated);
    }
}
