package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Outcome;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** What became of an action, by what is said before and behind it. */
final class Outcomes {
    private static final List<String> OUTCOMES = List.of("near", "countered", "stuffed", "abandoned", "completed");
    /** Words behind an action that may say what became of it. */
    private static final int AFTER = 16;

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
        for (NamedAct o : acts.in(s.to() + 1, stop)) {
            stop = Math.min(stop, clauses.begin(o.from(), 1) > s.to() ? clauses.begin(o.from(), 1) : o.from());
        }
        int at = s.to() + 1;
        String behind = clauses.bare(at, stop);
        String family = s.family() ? s.code() : lexicon.familyOf(s.code());
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
                if (patterns.has("frees", clause) || (said != null && said != Outcome.COMPLETED)) {
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
        if (patterns.has("stuffed", near) || patterns.has("defends", near)) {
            return Outcome.STUFFED;
        }
        boolean done = s.verb() || patterns.has("completed", near);
        return done && !patterns.has("tried", near) ? Outcome.COMPLETED : null;
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
