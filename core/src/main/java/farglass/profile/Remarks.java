package farglass.profile;

import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What was written about the athlete. */
final class Remarks {
    private Remarks() {}

    /** A remark and its match. */
    record Said(Evidence.Seen seen, int index, Tag.Remark remark) {
        /** The same fault in the same words is the same fault, whatever the capitals. */
        String subject() {
            String text = remark.text() == null ? "" : remark.text().strip();
            if (!text.isEmpty()) {
                return text.toLowerCase(Locale.ROOT);
            }
            return instead().isEmpty() ? "-" : "instead " + instead();
        }

        /** What should have been done: a technique's code, or words; empty when unstated. */
        String instead() {
            Object instead = remark.instead();
            if (instead instanceof Map<?, ?> map) {
                Object technique = map.get("technique");
                return technique != null
                        ? technique.toString()
                        : map.values().stream()
                                .map(String::valueOf)
                                .reduce((a, b) -> a + " " + b)
                                .orElse("");
            }
            return instead == null ? "" : instead.toString();
        }
    }

    /** Remarks of a kind about the athlete, in order. */
    static List<Said> of(Evidence evidence, RemarkKind kind) {
        List<Said> found = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            List<Tag> tags = seen.record().tags();
            for (int i = 0; i < tags.size(); i++) {
                if (tags.get(i) instanceof Tag.Remark r
                        && r.kind() == kind
                        && r.by() == seen.corner()
                        && seen.counts(r.t())) {
                    found.add(new Said(seen, i, r));
                }
            }
        }
        return found;
    }
}
