package farglass.check;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score;
import java.util.ArrayList;
import java.util.List;

/** Where the table and the tags disagree, and what the rules engine could not understand. */
final class ScoreCheck {
    private ScoreCheck() {}

    static List<Finding> findings(MatchRecord r, Score score) {
        List<Finding> found = new ArrayList<>();
        for (Finding f : score.findings()) {
            found.add(f.code().equals("transition-without-action") ? explained(r, f) : f);
        }
        for (Score.Difference d : score.differences()) {
            if (!Settled.is(r, d)) {
                found.add(Finding.at(r, d.tag(), "table-differs", Severity.WARNING, d.message()));
            }
        }
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Call c && c.call() == CallKind.POINTS && c.value() == null) {
                found.add(Finding.at(
                        r, i, "points-without-value", Severity.ERROR, "Points are called and nothing says how many."));
            }
        }
        return found;
    }

    /** The usual reason is a guard pull by whoever plays guard. */
    private static Finding explained(MatchRecord r, Finding f) {
        if (!(r.tags().get(f.index()) instanceof Tag.Position p)) {
            return f;
        }
        Corner guard = p.guard() == null && p.holder() != null ? p.holder().other() : p.guard();
        if (guard == null) {
            return f;
        }
        Tag pull = Tag.Action.of(p.t(), guard, "guard-pull")
                .result(farglass.match.Outcome.COMPLETED, 4, p.position(), null);
        return f.repair(new Edit.Add(f.index(), pull), r.athlete(guard).surname() + " pulled guard");
    }
}
