package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;

/** Codes that the lexicon does not know: kept as they are, and reported. */
public final class CodeCheck {
    private static final String HIDDEN = "not-visible";

    private CodeCheck() {}

    public static List<Finding> findings(MatchRecord record, Lexicon lexicon) {
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < record.tags().size(); i++) {
            Tag tag = record.tags().get(i);
            if (tag instanceof Tag.Position p) {
                check(
                        findings,
                        record,
                        i,
                        "position",
                        p.position(),
                        lexicon.position(p.position()).isPresent());
            } else if (tag instanceof Tag.Resume r && r.position() != null) {
                check(
                        findings,
                        record,
                        i,
                        "position",
                        r.position(),
                        lexicon.position(r.position()).isPresent());
            } else if (tag instanceof Tag.Action a) {
                check(
                        findings,
                        record,
                        i,
                        "technique",
                        a.technique(),
                        lexicon.technique(a.technique()).isPresent());
                if (a.to() != null) {
                    check(
                            findings,
                            record,
                            i,
                            "position",
                            a.to(),
                            lexicon.position(a.to()).isPresent());
                }
                if (a.answer() != null) {
                    check(
                            findings,
                            record,
                            i,
                            "answer",
                            a.answer(),
                            lexicon.answers().contains(a.answer()));
                }
            } else if (tag instanceof Tag.Grip g) {
                check(
                        findings,
                        record,
                        i,
                        "grip",
                        g.grip(),
                        lexicon.grip(g.grip()).isPresent());
            } else if (tag instanceof Tag.Body b) {
                check(
                        findings,
                        record,
                        i,
                        "body-fact",
                        b.fact(),
                        lexicon.facts().contains(b.fact()));
            }
        }
        return findings;
    }

    private static void check(
            List<Finding> findings, MatchRecord record, int index, String what, String code, boolean known) {
        if (!known && !code.equals(HIDDEN)) {
            findings.add(Finding.at(
                    record,
                    index,
                    "unknown-code",
                    Finding.Severity.WARNING,
                    CoreWords.of("check.unknown-code", CoreWords.code(what), code)));
        }
    }
}
