package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.text.CoreWords;
import farglass.time.Clock;
import farglass.time.ClockMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Who is where: places that cannot be, changes that nothing explains. */
final class PlaceCheck {
    /** Nobody gets from one place to the next and on so quickly. */
    private static final long BLINK_MS = 250;
    /** A place without any other tag for so long has been looked at in haste. */
    private static final long LONG_MS = 120_000;

    private final MatchRecord r;
    private final Lexicon lexicon;
    private final PositionLine line;
    private final List<Finding> found = new ArrayList<>();

    private PlaceCheck(MatchRecord r, Lexicon lexicon) {
        this.r = r;
        this.lexicon = lexicon;
        this.line = PositionLine.of(r.withFilms(List.of()), lexicon);
    }

    static List<Finding> findings(MatchRecord r, Lexicon lexicon) {
        PlaceCheck check = new PlaceCheck(r, lexicon);
        Tag.Position before = null;
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Position p) {
                check.place(p, i);
                if (before != null && before.t().compareTo(p.t()) < 0) {
                    check.repeated(before, p, i);
                }
                before = p;
            } else if (r.tags().get(i) instanceof Tag.Stop) {
                before = null;
            }
        }
        check.spans();
        check.gaps();
        return check.found;
    }

    private void place(Tag.Position p, int i) {
        Optional<Position> known = lexicon.position(p.position());
        if (known.isEmpty()) {
            return;
        }
        Position place = known.get();
        boolean entangled = place.attackValue() != null;
        if (place.neutral() && (p.holder() != null || p.guard() != null)) {
            found.add(Finding.at(
                            r,
                            i,
                            "ahead-in-neutral",
                            Severity.WARNING,
                            CoreWords.of("check.ahead-in-neutral", place.name()))
                    .repair(change(i, p, null, null), CoreWords.of("repair.nobody-ahead")));
        } else if (place.guard()
                && p.guard() == null
                && p.holder() == null
                && !p.position().equals("F50")) {
            Finding f =
                    Finding.at(r, i, "who-plays-guard", Severity.ERROR, CoreWords.of("check.who-plays", place.name()));
            Corner likely = guardBefore(i);
            found.add(
                    likely == null
                            ? f
                            : f.repair(
                                    change(i, p, likely.other(), likely),
                                    CoreWords.of(
                                            "repair.plays-guard",
                                            r.athlete(likely).surname())));
        } else if (place.guard() && p.guard() != null && p.guard() == p.holder() && !entangled) {
            found.add(Finding.at(
                            r,
                            i,
                            "ahead-and-guard",
                            Severity.WARNING,
                            CoreWords.of("check.ahead-and-guard", place.name()))
                    .repair(change(i, p, p.guard().other(), p.guard()), CoreWords.of("repair.other-on-top")));
        } else if (!place.guard() && place.holder() && p.holder() == null) {
            Finding f =
                    Finding.at(r, i, "who-is-ahead", Severity.ERROR, CoreWords.of("check.who-is-ahead", place.name()));
            Corner likely = actorBefore(i);
            found.add(
                    likely == null
                            ? f
                            : f.repair(
                                    change(i, p, likely, null),
                                    CoreWords.of(
                                            "repair.is-ahead", r.athlete(likely).surname())));
        } else if (!place.guard() && p.guard() != null && !p.position().equals("LCK")) {
            found.add(
                    Finding.at(r, i, "guard-in-pin", Severity.WARNING, CoreWords.of("check.guard-in-pin", place.name()))
                            .repair(change(i, p, p.holder(), null), CoreWords.of("repair.nobody-guard")));
        }
        if (p.position().equals("LCK")) {
            lock(p, i);
        }
    }

    private void lock(Tag.Position p, int i) {
        if (p.threat() == null) {
            found.add(Finding.at(r, i, "lock-without-threat", Severity.INFO, CoreWords.of("check.lock-threat")));
        }
        boolean tried = r.tags().stream()
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.by() == p.holder()
                        && (p.technique() == null || a.technique().equals(p.technique()))
                        && Math.abs(a.t().since(p.t())) <= 15_000);
        if (!tried && p.holder() != null && p.technique() != null) {
            Tag attempt = Tag.Action.of(p.t(), p.holder(), p.technique());
            found.add(Finding.at(r, i, "lock-without-attempt", Severity.WARNING, CoreWords.of("check.lock-attempt"))
                    .repair(Edit.addAll(r, TagIds.name(r, List.of(attempt))), CoreWords.of("repair.add-attempt")));
        }
    }

    private Edit change(int i, Tag.Position p, @Nullable Corner holder, @Nullable Corner guard) {
        return Edit.replace(r, i, p.builder().holder(holder).guard(guard).build());
    }

    private @Nullable Corner guardBefore(int i) {
        for (int k = i - 1; k >= 0; k--) {
            if (r.tags().get(k) instanceof Tag.Position p) {
                return p.guard();
            }
        }
        return null;
    }

    private @Nullable Corner actorBefore(int i) {
        for (int k = i - 1; k >= 0; k--) {
            if (r.tags().get(k) instanceof Tag.Action a && a.completed()) {
                return a.by();
            }
        }
        return null;
    }

    private void repeated(Tag.Position before, Tag.Position p, int i) {
        boolean same = before.position().equals(p.position())
                && before.holder() == p.holder()
                && before.guard() == p.guard()
                && before.side() == p.side()
                && Objects.equals(before.variant(), p.variant())
                && !p.position().equals("LCK");
        if (same) {
            found.add(Finding.at(r, i, "same-place-again", Severity.INFO, CoreWords.of("check.same-place"))
                    .repair(Edit.remove(r, i), CoreWords.of("repair.take-out")));
        }
    }

    private void spans() {
        List<Span> spans = line.spans();
        for (int k = 0; k < spans.size(); k++) {
            Span s = spans.get(k);
            boolean byPosition = r.tags().get(s.tag()) instanceof Tag.Position;
            if (s.lengthMs() < BLINK_MS && s.exit() == Span.Exit.MOVED && byPosition) {
                found.add(Finding.at(
                                r,
                                s.tag(),
                                "blink",
                                Severity.WARNING,
                                CoreWords.of("check.blink", Long.toString(s.lengthMs())))
                        .repair(Edit.remove(r, s.tag()), CoreWords.of("repair.take-out")));
            }
            if (s.lengthMs() >= LONG_MS && quiet(s)) {
                found.add(Finding.at(
                        r,
                        s.tag(),
                        "long-place",
                        Severity.INFO,
                        CoreWords.of("check.long-place", Clock.seconds(s.lengthMs()))));
            }
            if (k > 0 && byPosition && s.byAction() < 0 && !spans.get(k - 1).censored()) {
                unlikely(spans.get(k - 1), s);
            }
        }
    }

    private boolean quiet(Span s) {
        return r.tags().stream().noneMatch(t -> t.t().compareTo(s.from()) > 0 && t.t().compareTo(s.to()) < 0);
    }

    /** From standing straight into a pin or the back, or from under a pin to being ahead, with nothing between. */
    private void unlikely(Span before, Span now) {
        String from = family(before);
        String to = family(now);
        boolean dropped =
                from.equals("standing") && (to.equals("pin") || now.place().equals("BCK"));
        boolean turned = (from.equals("pin") || from.equals("back-turtle"))
                && to.equals("pin")
                && before.holder() != null
                && now.holder() == before.holder().other();
        if (dropped || turned) {
            found.add(Finding.at(
                    r,
                    now.tag(),
                    "unlikely-transition",
                    Severity.WARNING,
                    CoreWords.of(
                            "check.unlikely",
                            lexicon.positionName(before.position()),
                            lexicon.positionName(now.position()))));
        }
    }

    private String family(Span s) {
        return lexicon.position(s.place()).map(Position::family).orElse("");
    }

    /** Tags at moments that no film shows live. */
    private void gaps() {
        for (ClockMap.Gap g : r.filmGaps()) {
            for (int i = 0; i < r.tags().size(); i++) {
                Tag t = r.tags().get(i);
                boolean inside = t.t().compareTo(g.from()) > 0 && t.t().compareTo(g.to()) < 0;
                if (inside && (t instanceof Tag.Action || t instanceof Tag.Position)) {
                    found.add(Finding.at(r, i, "no-film-here", Severity.INFO, CoreWords.of("check.no-film")));
                }
            }
        }
    }
}
