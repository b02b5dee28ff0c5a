package farglass.conduct;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something that film can show.
 *
 * @param ours whether it is our athlete's; of a place, whether he is the one who holds it or plays the guard. A restart
 * is nobody's
 * @param codes of techniques, grips, positions or body facts; any of them will do
 * @param words as written
 */
public record EventPattern(Kind kind, boolean ours, Set<String> codes, String words) {
    /** What is seen, each with the tag that shows it. */
    public enum Kind {
        ACTION(Tag.Action.class),
        GRIP(Tag.Grip.class),
        PLACE(Tag.Position.class),
        FACT(Tag.Body.class),
        RESTART(Tag.Start.class);

        private final Class<? extends Tag> tag;

        Kind(Class<? extends Tag> tag) {
            this.tag = tag;
        }
    }

    private static final String PASSING = "passing";

    public EventPattern {
        codes = Set.copyOf(codes);
    }

    /** Whether the record's tags go into this at all; what nobody looked for has not failed to happen. */
    boolean lookedFor(Watched w) {
        return w.has(kind.tag);
    }

    /** Everywhere it is seen, in the order of time. */
    List<TimeInterval> in(Watched w) {
        return kind == Kind.PLACE ? places(w) : tags(w);
    }

    private List<TimeInterval> tags(Watched w) {
        List<TimeInterval> found = new ArrayList<>();
        Corner who = w.corner(ours);
        for (int i = 0; i < w.tags().size(); i++) {
            Tag tag = w.tags().get(i);
            switch (kind) {
                case ACTION -> {
                    if (tag instanceof Tag.Action a && a.by() == who && codes.contains(a.technique())) {
                        found.add(new TimeInterval(i, a.t(), a.end(), false));
                    }
                }
                case GRIP -> {
                    if (tag instanceof Tag.Grip g && g.by() == who && codes.contains(g.grip())) {
                        found.add(new TimeInterval(i, g.t(), g.until(), false));
                    }
                }
                case FACT -> {
                    if (tag instanceof Tag.Body b && b.of() == who && codes.contains(b.fact())) {
                        found.add(new TimeInterval(i, b.t(), b.until(), false));
                    }
                }
                case RESTART -> {
                    if (tag instanceof Tag.Start || tag instanceof Tag.Resume) {
                        found.add(new TimeInterval(i, tag.t(), tag.t(), false));
                    }
                }
                case PLACE -> throw new IllegalStateException("places come from spans");
            }
        }
        return found;
    }

    /** Spans in the place, those that follow one another without a gap as one. */
    private List<TimeInterval> places(Watched w) {
        List<TimeInterval> found = new ArrayList<>();
        for (Span s : w.line().spans()) {
            if (!codes.contains(s.place()) || !roleFits(s, w)) {
                continue;
            }
            TimeInterval last = found.isEmpty() ? null : found.get(found.size() - 1);
            if (last != null && requireNonNull(last.to()).equals(s.from()) && !last.cut()) {
                found.set(found.size() - 1, new TimeInterval(last.tag(), last.from(), s.to(), s.censored()));
            } else if (!s.leftTruncated()) {
                found.add(new TimeInterval(s.tag(), s.from(), s.to(), s.censored()));
            }
        }
        return found;
    }

    private boolean roleFits(Span s, Watched w) {
        Role role = Role.of(s, w.corner(ours));
        Position p = w.lexicon().position(s.place()).orElse(null);
        boolean guard = p != null && p.guard() && !p.family().equals(PASSING);
        return role == Role.NEUTRAL || role == (guard ? Role.GUARD : Role.HOLDER);
    }

    /** Whether it is so at a moment; null when its end was never tagged and it may or may not still be. */
    @Nullable
    Boolean on(Watched w, MatchTime t) {
        boolean open = false;
        for (TimeInterval s : in(w)) {
            if (s.on(t)) {
                return true;
            }
            open |= s.to() == null && s.from().compareTo(t) <= 0 && t.compareTo(w.placeEnd(s.from())) < 0;
        }
        return open ? null : Boolean.FALSE;
    }
}
