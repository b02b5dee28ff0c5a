package farglass.check;

import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;

/** What the head of a record lacks or gets wrong. */
final class HeadCheck {
    private HeadCheck() {}

    static List<Finding> findings(MatchRecord r, Score score) {
        List<Finding> found = new ArrayList<>();
        MatchRecord.Details d = r.details();
        if (d.a().id().equals(d.b().id())) {
            found.add(Finding.whole("same-athlete", Severity.ERROR, CoreWords.of("check.same-athlete", d.a().name())));
        }
        if (d.date() == null) {
            found.add(Finding.whole("no-date", Severity.INFO, CoreWords.of("check.no-date")));
        }
        if (d.attire() == null) {
            found.add(Finding.whole("no-attire", Severity.INFO, CoreWords.of("check.no-attire")));
        }
        if (d.ruleset() == null || Rulesets.builtIn().of(d.ruleset(), d.date()).isEmpty()) {
            found.add(Finding.whole(
                    "no-ruleset",
                    Severity.INFO,
                    d.ruleset() == null
                            ? CoreWords.of("check.no-ruleset")
                            : CoreWords.of("check.unknown-ruleset", d.ruleset())));
        }
        result(r, score, found);
        return found;
    }

    private static String words(MatchRecord r, Result result) {
        String method = CoreWords.code(result.method().code());
        return result.winner() == null
                ? method
                : CoreWords.of("check.by", r.athlete(result.winner()).surname(), method);
    }

    private static void result(MatchRecord r, Score score, List<Finding> found) {
        if (r.kind() != RecordKind.MATCH || r.tags().stream().noneMatch(farglass.match.Tag.End.class::isInstance)) {
            return;
        }
        Score.Verdict v = score.result();
        Result told = r.details().result();
        Result worked = new Result(v.winner(), v.method(), told == null ? null : told.technique(), score.end());
        Edit set = new Edit.SetDetails(r.details(), r.details().result(worked));
        String words = words(r, worked);
        boolean open = v.winner() == null && v.method() == farglass.match.Method.DECISION;
        if (told == null) {
            Finding f = Finding.whole("no-result", Severity.INFO, CoreWords.of("check.no-result"));
            found.add(open ? f : f.repair(set, CoreWords.of("repair.write", words)));
        } else if (!open && (told.winner() != v.winner() || told.method() != v.method())) {
            found.add(Finding.whole(
                            "result-differs",
                            Severity.WARNING,
                            CoreWords.of("check.result-differs", words(r, told), words))
                    .repair(set, CoreWords.of("repair.write", words)));
        }
    }
}
