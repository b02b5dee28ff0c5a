package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Span;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A span that was seen to end, and where it led.
 *
 * @param to position as tagged
 * @param toRole the athlete's role there
 * @param by {@code self}, {@code other}, or null when no action was tagged
 * @param technique null when no action was tagged
 */
record Transition(
        Span span,
        String to,
        Role toRole,
        @Nullable String by,
        @Nullable String technique) {
    String category() {
        return to + "|" + toRole + "|" + by + "|" + technique;
    }

    static Map<Situation, List<Transition>> of(MatchFacts facts, Corner me) {
        Map<Situation, List<Transition>> found = new LinkedHashMap<>();
        List<Span> spans = facts.line().spans();
        for (int i = 0; i + 1 < spans.size(); i++) {
            Span s = spans.get(i);
            if (!s.censored()) {
                found.computeIfAbsent(new Situation(s.place(), Role.of(s, me)), k -> new ArrayList<>())
                        .add(exit(facts, me, s, spans.get(i + 1)));
            }
        }
        return found;
    }

    private static Transition exit(MatchFacts facts, Corner me, Span span, Span next) {
        String by = null;
        String technique = null;
        if (next.byAction() >= 0 && facts.record().tags().get(next.byAction()) instanceof Tag.Action a) {
            by = a.by() == me ? "self" : "other";
            technique = a.technique();
        }
        return new Transition(span, next.position(), roleAs(next, me), by, technique);
    }

    /** In a lock one is ahead and one is under, whatever place lies below it. */
    private static Role roleAs(Span next, Corner me) {
        boolean lock = !next.position().equals(next.place()) && next.holder() != null;
        return lock ? (next.holder() == me ? Role.HOLDER : Role.UNDER) : Role.of(next, me);
    }
}
