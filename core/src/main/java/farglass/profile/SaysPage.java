package farglass.profile;

import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.stats.Trial;
import farglass.text.CoreWords;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Stated preferences against measured use. */
final class SaysPage {
    private final ClaimFactory q;

    private SaysPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new SaysPage(q).page();
    }

    private ClaimPage page() {
        Map<String, Claim> claims = new LinkedHashMap<>();
        for (Remarks.Said s : Remarks.of(q.evidence(), RemarkKind.PREFERENCE)) {
            String id = "says." + s.remark().fields().get("choice") + "."
                    + s.remark().fields().get("over");
            Claim c = claims.containsKey(id) ? null : claim(id, s.remark());
            if (c != null) {
                claims.put(id, c);
            }
        }
        return new ClaimPage(Question.SAYS, List.of(Section.of("says.does", List.copyOf(claims.values()))));
    }

    /** Null when neither the choice nor the alternative names techniques that were tried. */
    private @Nullable Claim claim(String id, Tag.Remark r) {
        String choice = r.fields().get("choice");
        String over = r.fields().get("over");
        Set<String> chosen = codes(choice);
        Set<String> other = codes(over);
        if (chosen.isEmpty()) {
            return null;
        }
        String family = q.lexicon().familyOf(chosen.iterator().next());
        List<Trial> trials = q
                .evidence()
                .own(a -> chosen.contains(a.action().technique())
                        || (other.isEmpty()
                                ? a.family().equals(family)
                                : other.contains(a.action().technique())))
                .stream()
                .map(a -> a.trial(chosen.contains(a.action().technique())))
                .toList();
        String reason = r.fields().getOrDefault("reason", "");
        String except = r.fields().getOrDefault("except", "");
        String why = reason + (except.isEmpty() ? "" : (reason.isEmpty() ? "" : "; ") + "except " + except);
        String against = over == null || over.isBlank() ? CoreWords.of("says.other", CoreWords.code(family)) : over;
        return trials.isEmpty()
                ? null
                : q.plain(
                        id,
                        Claim.Topic.PREFERENCE,
                        why.isEmpty() ? "says.plain" : "says.because",
                        q.words(choice, against, why),
                        trials);
    }

    /** The techniques that some words name, the likeliest first. */
    private Set<String> codes(@Nullable String words) {
        Set<String> codes = new LinkedHashSet<>();
        if (words != null) {
            for (Term t : q.lexicon().lookUp(words)) {
                if (t instanceof Technique) {
                    codes.add(t.code());
                }
            }
        }
        return codes;
    }
}
