package farglass.check;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.Finding.Severity;
import farglass.match.MatchRecord;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Grips that overlap or outlast a restart, and remarks that say half of what they should. */
final class HoldCheck {
    private HoldCheck() {}

    static List<Finding> findings(MatchRecord r, Lexicon lexicon) {
        List<Finding> found = new ArrayList<>();
        Map<String, Integer> held = new LinkedHashMap<>();
        for (int i = 0; i < r.tags().size(); i++) {
            Tag tag = r.tags().get(i);
            if (tag instanceof Tag.Grip g) {
                String hand = g.by() + " " + g.grip() + " " + g.hand();
                Integer before = g.hand() == null ? null : held.get(hand);
                if (before != null && goesOn(r, before, g.t())) {
                    found.add(Finding.at(
                                    r,
                                    before,
                                    "grip-twice",
                                    Severity.INFO,
                                    CoreWords.of("check.grip-twice", name(g, lexicon)))
                            .repair(ended(r, before, g.t(), "lost"), CoreWords.of("repair.lost-before")));
                }
                held.put(hand, i);
            } else if (tag instanceof Tag.Resume s && s.position() != null) {
                restarted(r, held, s.t(), lexicon, found);
            } else if (tag instanceof Tag.Remark m && m.kind() == RemarkKind.ERROR) {
                error(r, m, i, found);
            }
        }
        return found;
    }

    private static void error(MatchRecord r, Tag.Remark m, int i, List<Finding> found) {
        if (m.by() == null) {
            found.add(Finding.at(r, i, "whose-error", Severity.INFO, CoreWords.of("check.whose-error")));
        }
        if (m.punished() == null) {
            found.add(Finding.at(r, i, "error-unpunished", Severity.INFO, CoreWords.of("check.error-unpunished")));
        }
    }

    private static boolean goesOn(MatchRecord r, int grip, MatchTime t) {
        MatchTime until = ((Tag.Grip) r.tags().get(grip)).until();
        return until == null || until.compareTo(t) > 0;
    }

    /** No grip outlasts a restart in another place. */
    private static void restarted(
            MatchRecord r, Map<String, Integer> held, MatchTime t, Lexicon lexicon, List<Finding> found) {
        for (int i : held.values()) {
            Tag.Grip g = (Tag.Grip) r.tags().get(i);
            if (g.until() != null && g.until().compareTo(t) > 0) {
                found.add(Finding.at(
                                r,
                                i,
                                "grip-over-restart",
                                Severity.INFO,
                                CoreWords.of("check.grip-over-restart", name(g, lexicon)))
                        .repair(ended(r, i, t, "over"), CoreWords.of("repair.ended-stop")));
            }
        }
        held.clear();
    }

    private static @Nullable String name(Tag.Grip g, Lexicon lexicon) {
        return lexicon.grip(g.grip()).map(Grip::name).orElse(g.grip());
    }

    private static Edit ended(MatchRecord r, int i, MatchTime until, String how) {
        Tag.Grip g = (Tag.Grip) r.tags().get(i);
        return Edit.replace(r, i, new Tag.Grip(g.t(), g.by(), g.grip(), g.hand(), g.depth(), until, how, g.info()));
    }
}
