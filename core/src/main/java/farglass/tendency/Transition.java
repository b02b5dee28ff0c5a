package farglass.tendency;

import farglass.match.Corner;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Span;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A span that was seen to end, and where it led.
 *
 * @param to position as tagged; {@link #FINISHED} or {@link #SUBMITTED} when the match was over
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
    /** The athlete finished the match from here. */
    static final String FINISHED = "finished";
    /** The other finished it. */
    static final String SUBMITTED = "submitted";

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
        // a training round goes on after a submission
        if (!spans.isEmpty() && facts.record().kind() == RecordKind.MATCH) {
            Span last = spans.get(spans.size() - 1);
            finish(facts, me, last)
                    .ifPresent(t -> found.computeIfAbsent(
                                    new Situation(last.place(), Role.of(last, me)), k -> new ArrayList<>())
                            .add(t));
        }
        return found;
    }

    /** A submission that ended the match out of its last place. */
    private static Optional<Transition> finish(MatchFacts facts, Corner me, Span last) {
        for (MatchFacts.Act act : facts.acts()) {
            Tag.Action a = act.action();
            // an attempt may begin before the lock that is the last place; what counts is where it ends
            boolean tap = act.family().equals("submission") && a.completed();
            if (tap && a.end().compareTo(last.from()) >= 0) {
                boolean own = a.by() == me;
                return Optional.of(new Transition(
                        last,
                        own ? FINISHED : SUBMITTED,
                        own ? Role.HOLDER : Role.UNDER,
                        own ? "self" : "other",
                        a.technique()));
            }
        }
        return Optional.empty();
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
