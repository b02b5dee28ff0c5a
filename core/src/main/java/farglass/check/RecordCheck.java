package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Everything doubtful in a record, with a repair where there is one. */
public final class RecordCheck {
    private RecordCheck() {}

    /**
     * In the order of time, worse ones first at the same moment.
     *
     * @param rules what the match was fought under
     */
    public static List<Finding> findings(MatchRecord record, Ruleset rules, Lexicon lexicon) {
        return findings(record, Scoring.of(record, rules, lexicon), lexicon);
    }

    /** The same with a score that has been worked out already. */
    public static List<Finding> findings(MatchRecord record, Score score, Lexicon lexicon) {
        List<Finding> all = new ArrayList<>();
        all.addAll(HeadCheck.findings(record, score));
        all.addAll(AttireCheck.findings(record, score.ruleset(), lexicon));
        all.addAll(CodeCheck.findings(record, lexicon));
        all.addAll(ShapeCheck.findings(record, lexicon));
        all.addAll(PlaceCheck.findings(record, lexicon));
        all.addAll(AttemptCheck.findings(record, score.ruleset(), lexicon));
        all.addAll(HoldCheck.findings(record, lexicon));
        all.addAll(ScoreCheck.findings(record, score, lexicon));
        all.sort(Comparator.comparing(Finding::t)
                .thenComparing(Finding::severity, Comparator.reverseOrder())
                .thenComparing(Finding::index)
                .thenComparing(Finding::code));
        return all;
    }
}
