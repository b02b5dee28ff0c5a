package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Outcome;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What became of an action, by what is said before and behind it. */
final class Outcomes {
    private static final List<String> OUTCOMES = List.of("near", "countered", "stuffed", "abandoned", "completed");
    /** Words behind an action that may say what became of it. */
    private static final int AFTER = 16;

    /** What the other one may get out of. */
    private static final Set<String> ATTACKS =
            Set.of("takedown", "sweep", "reversal", "pass", "pin-advance", "back-take", "submission");

    private static final Set<String> ESCAPES = Set.of("escape", "recovery");

    private final List<Word> words;
    private final Clauses clauses;
    private final Subjects subjects;
    private final NamedActs acts;
    private final Lexicon lexicon;
    private final SpeechWords patterns;

    Outcomes(
            List<Word> words,
            Clauses clauses,
            Subjects subjects,
            NamedActs acts,
            Lexicon lexicon,
            SpeechWords patterns) {
        this.words = words;
        this.clauses = clauses;
        this.subjects = subjects;
        this.acts = acts;
        this.lexicon = lexicon;
        this.patterns = patterns;
    }

    /** What is said to have become of it, in the clauses behind it before something else is named. */
    @Nullable
    Outcome of(NamedAct s, @Nullable Corner by, String near, int end) {
        int stop = Math.min(words.size(), s.to() + 1 + AFTER);
        String family = s.family() ? s.code() : lexicon.familyOf(s.code());
        boolean escaped = false;
        List<NamedAct> next = acts.in(s.to() + 1, stop);
        if (!next.isEmpty() && ATTACKS.contains(family)) {
            escaped = escapes(next.get(0), s.to() + 1, by);
        }
        for (NamedAct o : next) {
            stop = Math.min(stop, clauses.begin(o.from(), 1) > s.to() ? clauses.begin(o.from(), 1) : o.from());
        }
        int at = s.to() + 1;
        String behind = clauses.bare(at, stop);
        if (family.equals("submission") && patterns.has("taps", behind) && !patterns.has("resists", behind)) {
            return Outcome.COMPLETED;
        }
        if (patterns.has("near", near)) {
            return Outcome.NEAR;
        }
        while (at < stop) {
            int to = Math.min(stop, clauses.end(at, 1));
            String clause = clauses.bare(at, to);
            Corner subject = subjects.first(at, to);
            Outcome said = said(clause);
            if (patterns.has("undefended", clause)) {
                return Outcome.COMPLETED;
            }
            if (subject != null && by != null && subject != by) {
                // what the other gets free of is what this one did not get done
                boolean frees = ATTACKS.contains(family) && patterns.has("frees", clause);
                if (frees || (said != null && said != Outcome.COMPLETED)) {
                    return said == Outcome.NEAR ? Outcome.NEAR : Outcome.STUFFED;
                }
            } else if (at >= end && said == Outcome.COMPLETED && !patterns.has("confirmed", clause)) {
                // another sentence must say so more plainly
                said = null;
            } else if (said != null) {
                return said;
            }
            at = to;
        }
        if (escaped || patterns.has("stuffed", near) || patterns.has("defends", near)) {
            return Outcome.STUFFED;
        }
        boolean done = s.verb() || patterns.has("completed", near);
        return done && !patterns.has("tried", near) ? Outcome.COMPLETED : null;
    }

    /** Whether what is named next is how the other one gets out of it, as in "triangle, she postures". */
    private boolean escapes(NamedAct o, int from, @Nullable Corner by) {
        String family = o.family() ? o.code() : lexicon.familyOf(o.code());
        Corner who = subjects.first(Math.max(from, clauses.begin(o.from(), 1)), o.to());
        return ESCAPES.contains(family) && by != null && who == by.other();
    }

    private @Nullable Outcome said(String clause) {
        for (String key : OUTCOMES) {
            if (patterns.has(key, clause) && !(key.equals("completed") && patterns.has("negation", clause))) {
                return Outcome.valueOf(key.toUpperCase(Locale.ROOT));
            }
        }
        return null;
    }
}
