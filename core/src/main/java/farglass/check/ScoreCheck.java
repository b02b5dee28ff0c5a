package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.rules.Score;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;

/** Where the table and the tags disagree, and what the rules engine could not understand. */
final class ScoreCheck {
    /** An attempt so old may still be what brought them to the ground. */
    private static final long ATTEMPT_MS = 15_000;

    private ScoreCheck() {}

    static List<Finding> findings(MatchRecord r, Score score, Lexicon lexicon) {
        List<Finding> found = new ArrayList<>();
        for (Finding f : score.findings()) {
            found.add(f.code().equals("transition-without-action") ? explained(r, f, lexicon) : f);
        }
        for (Score.Difference d : score.differences()) {
            if (!Settled.is(r, d)) {
                found.add(Finding.at(r, d.tag(), "table-differs", Severity.WARNING, d.message()));
            }
        }
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Call c && c.call() == CallKind.POINTS && c.value() == null) {
                found.add(Finding.at(r, i, "points-without-value", Severity.ERROR, CoreWords.of("check.how-many")));
            }
        }
        return found;
    }

    /** Whoever plays guard has pulled it, or the other has taken him down (ruling R20). */
    private static Finding explained(MatchRecord r, Finding f, Lexicon lexicon) {
        if (!(r.tags().get(f.index()) instanceof Tag.Position p)) {
            return f;
        }
        boolean onGuard = lexicon.position(p.position()).map(Position::guard).orElse(false);
        Corner guard =
                onGuard && p.guard() == null && p.holder() != null ? p.holder().other() : p.guard();
        Corner top = guard == null ? p.holder() : guard.other();
        Finding told = top == null ? f : takedown(r, f, p, top, lexicon);
        if (guard == null) {
            return told;
        }
        Tag pull = Tag.Action.of(p.t(), guard, "guard-pull").result(Outcome.COMPLETED, 4, p.position(), null);
        Finding pulled = f.repair(
                new Edit.Add(f.index(), pull),
                CoreWords.of("repair.pulled", r.athlete(guard).surname()));
        return told.repairs().stream().reduce(pulled, (g, x) -> g.repair(x.edit(), x.words()), (g, h) -> h);
    }

    /** His last attempt worked after all; without one, the first takedown of the lexicon that leads there. */
    private static Finding takedown(MatchRecord r, Finding f, Tag.Position p, Corner top, Lexicon lexicon) {
        for (int i = f.index() - 1; i >= 0; i--) {
            if (r.tags().get(i) instanceof Tag.Action a
                    && a.by() == top
                    && p.t().since(a.end()) <= ATTEMPT_MS
                    && lexicon.familyOf(a.technique()).equals("takedown")) {
                Tag worked = a.result(Outcome.COMPLETED, 4, p.position(), a.until());
                return f.repair(
                        Edit.replace(r, i, worked),
                        CoreWords.of("repair.worked", r.athlete(top).surname(), lexicon.techniqueName(a.technique())));
            }
        }
        return lexicon.techniques().stream()
                .filter(t -> t.family().equals("takedown") && t.to().contains(p.position()))
                .findFirst()
                .map(t -> f.repair(
                        new Edit.Add(
                                f.index(),
                                Tag.Action.of(p.t(), top, t.code()).result(Outcome.COMPLETED, 4, p.position(), null)),
                        CoreWords.of("repair.took-down", r.athlete(top).surname(), t.name())))
                .orElse(f);
    }
}
