package farglass.check;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What does not go with the clothes of the match: its ruleset, and grips and chokes that need cloth. */
final class AttireCheck {
    private AttireCheck() {}

    static List<Finding> findings(MatchRecord r, Ruleset rules, Lexicon lexicon) {
        List<Finding> found = new ArrayList<>();
        MatchRecord.Details d = r.details();
        if (d.attire() == null) {
            return found;
        }
        if (d.ruleset() != null
                && d.ruleset().equals(rules.code())
                && rules.attire() != null
                && !rules.attire().equals(d.attire())
                && !d.attire().equals("not-visible")) {
            found.add(ruleset(r, rules, rules.attire(), d.attire()));
        }
        if (d.attire().equals("no-gi")) {
            for (int i = 0; i < r.tags().size(); i++) {
                String code = code(r.tags().get(i));
                if (code != null && lexicon.needsGi(code)) {
                    found.add(Finding.at(
                                    r,
                                    i,
                                    "gi-in-no-gi",
                                    Severity.WARNING,
                                    CoreWords.of("check.cloth", name(code, lexicon)))
                            .repair(wearing(r, "gi"), CoreWords.of("repair.in-gi")));
                }
            }
        }
        return found;
    }

    private static Finding ruleset(MatchRecord r, Ruleset rules, String wanted, String worn) {
        Finding f = Finding.whole(
                        "attire-differs",
                        Severity.WARNING,
                        CoreWords.of("check.attire", CoreWords.code(worn), rules.title(), CoreWords.code(wanted)))
                .repair(wearing(r, wanted), CoreWords.of("repair.attire", CoreWords.code(wanted)));
        return Rulesets.builtIn().all().stream()
                .filter(o -> worn.equals(o.attire()))
                .findFirst()
                .map(o -> f.repair(
                        new Edit.SetDetails(r.details(), r.details().ruleset(o.code())),
                        CoreWords.of("repair.ruleset", o.title())))
                .orElse(f);
    }

    private static Edit wearing(MatchRecord r, String attire) {
        return new Edit.SetDetails(r.details(), r.details().attire(attire));
    }

    private static @Nullable String code(Tag tag) {
        if (tag instanceof Tag.Grip g) {
            return g.grip();
        }
        if (tag instanceof Tag.Action a) {
            return a.technique();
        }
        return tag instanceof Tag.Position p ? p.position() : null;
    }

    private static String name(String code, Lexicon lexicon) {
        return lexicon.grip(code)
                .map(farglass.lexicon.Grip::name)
                .orElseGet(() -> lexicon.technique(code)
                        .map(farglass.lexicon.Technique::name)
                        .orElseGet(() -> lexicon.positionName(code)));
    }
}
