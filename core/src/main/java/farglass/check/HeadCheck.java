package farglass.check;

import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import java.util.ArrayList;
import java.util.List;

/** What the head of a record lacks or gets wrong. */
final class HeadCheck {
    private HeadCheck() {}

    static List<Finding> findings(MatchRecord r, Score score) {
        List<Finding> found = new ArrayList<>();
        MatchRecord.Details d = r.details();
        if (d.a().id().equals(d.b().id())) {
            found.add(Finding.whole(
                    "same-athlete", Severity.ERROR, "Both corners are " + d.a().name() + ". Correct who is who."));
        }
        if (d.date() == null) {
            found.add(Finding.whole(
                    "no-date", Severity.INFO, "No date is given: the match counts as old as the assignment."));
        }
        if (d.attire() == null) {
            found.add(Finding.whole(
                    "no-attire", Severity.INFO, "Gi or no-gi is not said: filters leave this match out."));
        }
        if (d.ruleset() == null || Rulesets.builtIn().of(d.ruleset(), d.date()).isEmpty()) {
            found.add(Finding.whole(
                    "no-ruleset",
                    Severity.INFO,
                    d.ruleset() == null
                            ? "No ruleset is given: gi points are taken."
                            : "The ruleset \"" + d.ruleset() + "\" is not known: gi points are taken."));
        }
        result(r, score, found);
        return found;
    }

    private static void result(MatchRecord r, Score score, List<Finding> found) {
        if (r.kind() != RecordKind.MATCH || r.tags().stream().noneMatch(farglass.match.Tag.End.class::isInstance)) {
            return;
        }
        Score.Verdict v = score.result();
        Result told = r.details().result();
        Result worked = new Result(v.winner(), v.method(), told == null ? null : told.technique(), score.end());
        Edit set = new Edit.SetDetails(r.details(), r.details().result(worked));
        String words = v.winner() == null
                ? v.method().code()
                : r.athlete(v.winner()).surname() + " by " + v.method().code();
        boolean open = v.winner() == null && v.method() == farglass.match.Method.DECISION;
        if (told == null) {
            Finding f = Finding.whole("no-result", Severity.INFO, "The match has ended and no result is written.");
            found.add(open ? f : f.repair(set, "write " + words));
        } else if (!open && (told.winner() != v.winner() || told.method() != v.method())) {
            found.add(Finding.whole(
                            "result-differs",
                            Severity.WARNING,
                            "The record says "
                                    + (told.winner() == null
                                            ? ""
                                            : r.athlete(told.winner()).surname() + " by ")
                                    + told.method().code() + "; worked out it is " + words + ".")
                    .repair(set, "write " + words));
        }
    }
}
