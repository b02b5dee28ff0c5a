package farglass.check;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.match.TagChanges;
import farglass.match.TagIds;
import farglass.phrase.Arrival;
import farglass.rules.Ruleset;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Attempts that cannot have been made so, or that do not lead where they say. */
final class AttemptCheck {
    /** One attempt tagged twice, or a replay counted. */
    private static final long TWICE_MS = 700;
    /** A place follows a completed attempt within so long. */
    private static final long ARRIVES_MS = 4000;

    private final MatchRecord r;
    private final Ruleset rules;
    private final Lexicon lexicon;
    private final PositionLine line;
    private final List<Finding> found = new ArrayList<>();

    private AttemptCheck(MatchRecord r, Ruleset rules, Lexicon lexicon) {
        this.r = r;
        this.rules = rules;
        this.lexicon = lexicon;
        this.line = PositionLine.of(r.withFilms(List.of()), lexicon);
    }

    static List<Finding> findings(MatchRecord r, Ruleset rules, Lexicon lexicon) {
        AttemptCheck check = new AttemptCheck(r, rules, lexicon);
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Action a) {
                check.level(a, i);
                check.twice(a, i);
                Optional<Technique> technique = lexicon.technique(a.technique());
                int index = i;
                technique.ifPresent(t -> check.technique(a, t, index));
            }
        }
        return check.found;
    }

    private void technique(Tag.Action a, Technique t, int i) {
        Span here = before(a, i);
        if (here != null) {
            boolean contested = here.holder() != null || here.guard() != null;
            if (!t.from().contains(here.position()) && !t.from().contains(here.place())) {
                found.add(Finding.at(
                        r,
                        i,
                        "start-place",
                        Severity.WARNING,
                        CoreWords.of("check.start-place", t.name(), lexicon.positionName(here.place()))));
            } else if (!t.role().allows(here.holder() == a.by(), here.guard() == a.by(), contested)) {
                found.add(Finding.at(r, i, "wrong-role", Severity.WARNING, CoreWords.of("check.wrong-role", t.name()))
                        .repair(
                                Edit.replace(r, i, TagChanges.swapped(a)),
                                CoreWords.of(
                                        "repair.it-was",
                                        r.athlete(a.by().other()).surname())));
            }
        }
        if (!t.sided() && !a.sides().isEmpty()) {
            found.add(Finding.at(r, i, "side-without-meaning", Severity.INFO, CoreWords.of("check.no-side", t.name()))
                    .repair(Edit.replace(r, i, a.sides(List.of())), CoreWords.of("repair.no-side")));
        }
        if (rules.restricted().contains(a.technique()) || t.restricted().contains(rules.code())) {
            found.add(Finding.at(
                    r, i, "restricted", Severity.INFO, CoreWords.of("check.restricted", t.name(), rules.title())));
        }
        if (t.family().equals("feint") && a.target() == null) {
            found.add(Finding.at(r, i, "feint-of-what", Severity.INFO, CoreWords.of("check.feint")));
        }
        limb(a, t, i);
        arrival(a, t, i);
    }

    private @Nullable Span before(Tag.Action a, int i) {
        Span last = null;
        for (Span s : line.spans()) {
            if (s.tag() < i && s.from().compareTo(a.t()) <= 0) {
                last = s;
            }
        }
        return last;
    }

    /** Of some techniques the attacked limb follows from the side. */
    private void limb(Tag.Action a, Technique t, int i) {
        Side side = a.side();
        boolean tied = "opposite".equals(t.limbTie()) && (side == Side.LEFT || side == Side.RIGHT);
        if (!tied || a.limb() == null) {
            return;
        }
        String limb = (side == Side.RIGHT ? "left-" : "right-") + (t.limb() == null ? "arm" : t.limb());
        if (!a.limb().equals(limb) && a.limb().matches("(left|right)-.*")) {
            Tag.Action right = a.builder().limb(limb).build();
            found.add(Finding.at(
                            r,
                            i,
                            "limb-side",
                            Severity.WARNING,
                            CoreWords.of(
                                    "check.limb",
                                    CoreWords.code(requireNonNull(side).code()),
                                    CoreWords.code(limb)))
                    .repair(Edit.replace(r, i, right), CoreWords.of("repair.write", CoreWords.code(limb))));
        }
    }

    private void arrival(Tag.Action a, Technique t, int i) {
        if (!a.completed() || a.to() == null || t.family().equals("submission")) {
            return;
        }
        for (int k = i + 1; k < r.tags().size(); k++) {
            Tag next = r.tags().get(k);
            if (next instanceof Tag.Position p) {
                boolean soon = p.t().since(a.end()) <= ARRIVES_MS;
                if (soon && !p.position().equals(a.to())) {
                    found.add(Finding.at(
                                    r,
                                    i,
                                    "target-differs",
                                    Severity.WARNING,
                                    CoreWords.of(
                                            "check.target",
                                            lexicon.positionName(a.to()),
                                            lexicon.positionName(p.position())))
                            .repair(
                                    Edit.replace(r, i, a.result(a.outcome(), a.reached(), p.position(), a.until())),
                                    CoreWords.of("repair.led", lexicon.positionName(p.position()))));
                } else if (!soon) {
                    missing(a, t, i);
                }
                return;
            }
            if (next instanceof Tag.Stop || next instanceof Tag.End) {
                if (next.t().since(a.end()) > ARRIVES_MS) {
                    missing(a, t, i);
                }
                return;
            }
        }
        missing(a, t, i);
    }

    private void missing(Tag.Action a, Technique t, int i) {
        Span here = before(a, i);
        lexicon.position(a.to())
                .filter(p -> here == null || !p.code().equals(here.position()))
                .ifPresent(p -> {
                    Tag there = Arrival.of(a.end(), t, a.by(), p);
                    found.add(Finding.at(r, i, "no-place-after", Severity.WARNING, CoreWords.of("check.no-place"))
                            .repair(
                                    Edit.addAll(r, TagIds.name(r, List.of(there))),
                                    CoreWords.of("repair.add", p.name())));
                });
    }

    private void level(Tag.Action a, int i) {
        boolean less = a.completed() && a.reached() != null && a.reached() < 4;
        boolean more = a.outcome() != null
                && !a.completed()
                && a.outcome() != Outcome.NOT_VISIBLE
                && a.reached() != null
                && a.reached() == 4;
        if (less || more) {
            Tag right = less
                    ? a.result(a.outcome(), 4, a.to(), a.until())
                    : a.result(Outcome.COMPLETED, 4, a.to(), a.until());
            found.add(Finding.at(
                            r,
                            i,
                            "outcome-ladder",
                            Severity.WARNING,
                            CoreWords.of(
                                    "check.ladder",
                                    CoreWords.code(requireNonNull(a.outcome()).code()),
                                    a.reached()))
                    .repair(
                            Edit.replace(r, i, right),
                            less ? CoreWords.of("repair.rung") : CoreWords.code("completed")));
        }
    }

    private void twice(Tag.Action a, int i) {
        for (int k = i - 1; k >= 0 && a.t().since(r.tags().get(k).t()) <= TWICE_MS; k--) {
            if (r.tags().get(k) instanceof Tag.Action b
                    && b.by() == a.by()
                    && b.technique().equals(a.technique())) {
                found.add(Finding.at(r, i, "twice", Severity.WARNING, CoreWords.of("check.twice"))
                        .repair(Edit.remove(r, i), CoreWords.of("repair.take-out")));
                return;
            }
        }
    }
}
