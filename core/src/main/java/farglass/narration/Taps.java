package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.Outcome;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a tap ends that is told in a sentence of its own: "Kimura grip, right arm. His shoulder is gone, he taps." */
final class Taps {
    private static final String SUBMISSION = "submission";
    /** Nobody fights a hold longer before it is told that he taps. */
    private static final long HELD_MS = 30_000;

    private static final double CONFIDENCE = 0.7;

    private final List<Word> words;
    private final Clauses clauses;
    private final Lexicon lexicon;
    private final TermFinder terms;
    private final Subjects subjects;
    private final SpeechWords patterns;

    Taps(
            List<Word> words,
            Clauses clauses,
            Lexicon lexicon,
            TermFinder terms,
            Subjects subjects,
            SpeechWords patterns) {
        this.words = words;
        this.clauses = clauses;
        this.lexicon = lexicon;
        this.terms = terms;
        this.subjects = subjects;
        this.patterns = patterns;
    }

    /** The submission attempt that was open becomes the finish; if none was told, the hold that was named last does. */
    void heard(int begin, int end, List<NamedAct> said, List<Find> finds) {
        String text = clauses.bare(begin, end);
        boolean submits = said.stream().anyMatch(s -> SUBMISSION.equals(family(s)));
        if (submits || !patterns.has("taps", text) || patterns.has("resists", text) || patterns.has("negation", text)) {
            return;
        }
        long ms = words.get(begin).ms();
        for (int i = finds.size() - 1; i >= 0; i--) {
            if (finds.get(i) instanceof Find.Act a && a.family().equals(SUBMISSION)) {
                if (ms - a.saidMs() <= HELD_MS) {
                    finish(finds, i, a);
                    return;
                }
                break;
            }
        }
        Corner who = subjects.first(begin, end);
        Mention hold = hold(begin, ms);
        if (hold != null && who != null && hold.term() instanceof Technique t) {
            int from = clauses.begin(hold.from(), 2);
            finds.add(new Find.Act(
                    words.get(hold.from()).ms(),
                    who.other(),
                    t.code(),
                    SUBMISSION,
                    null,
                    null,
                    Outcome.COMPLETED,
                    CONFIDENCE,
                    clauses.said(from, clauses.end(hold.from(), 2))));
        }
    }

    private static void finish(List<Find> finds, int i, Find.Act a) {
        if (a.outcome() == null || a.outcome() == Outcome.NEAR) {
            finds.set(
                    i,
                    new Find.Act(
                            a.saidMs(),
                            a.by(),
                            a.technique(),
                            a.family(),
                            a.side(),
                            a.limb(),
                            Outcome.COMPLETED,
                            a.confidence(),
                            a.sentence()));
        }
    }

    private String family(NamedAct s) {
        return s.family() ? s.code() : lexicon.familyOf(s.code());
    }

    /** The submission whose grip was named last. */
    private @Nullable Mention hold(int begin, long ms) {
        int from = begin;
        while (from > 0 && ms - words.get(from - 1).ms() <= HELD_MS) {
            from--;
        }
        Mention last = null;
        for (Mention m : terms.in(words, from, begin)) {
            last = m.term() instanceof Technique t && t.family().equals(SUBMISSION) ? m : last;
        }
        return last;
    }
}
