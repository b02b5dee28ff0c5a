package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What one athlete did about the other's attempt.
 *
 * @param trigger the attempt
 * @param answer a technique, a code of the lexicon's answers with {@code =} before it, or {@code none}
 * @param answeredBy index of the tag that answers, or that of the trigger
 * @param delayMs time to the answering action, or -1 when it is no action
 */
record Reaction(MatchFacts.Act trigger, @Nullable String answer, int answeredBy, long delayMs) {
    static final String NONE = "none";
    /** A coded answer is told from a technique by this. */
    static final String CODED = "=";

    private static final long WINDOW_MS = 6000;
    private static final Set<String> NO_ANSWER = Set.of("grip", "feint");

    /**
     * Reactions of one corner to the other's attempts. The trigger's own {@code answer} comes first, else the first
     * action within 6 s; the latest trigger owns it. A window cut by a stop, the end or a gap counts only when answered
     * before.
     */
    static List<Reaction> of(MatchFacts facts, Corner reacting) {
        List<MatchFacts.Act> acts = facts.acts();
        List<Reaction> found = new ArrayList<>();
        for (int i = 0; i < acts.size(); i++) {
            MatchFacts.Act trigger = acts.get(i);
            if (trigger.action().by() != reacting && !NO_ANSWER.contains(trigger.family())) {
                Reaction r = to(facts, acts, i, reacting);
                if (r != null) {
                    found.add(r);
                }
            }
        }
        return found;
    }

    private static @Nullable Reaction to(MatchFacts facts, List<MatchFacts.Act> acts, int i, Corner reacting) {
        MatchFacts.Act trigger = acts.get(i);
        if (trigger.action().answer() != null) {
            String coded = trigger.action().answer();
            return coded.equals("not-visible")
                    ? null
                    : new Reaction(trigger, coded.equals(NONE) ? NONE : CODED + coded, trigger.index(), -1);
        }
        long from = trigger.action().t().ms();
        // what succeeds at once is answered by nobody: only what was done before it was over is a reaction to it
        boolean worked = trigger.action().completed();
        long cut = worked ? trigger.action().end().ms() : cut(facts, trigger);
        for (int k = i + 1; k < acts.size(); k++) {
            MatchFacts.Act next = acts.get(k);
            long t = next.action().t().ms();
            boolean answers = next.action().by() == reacting && !NO_ANSWER.contains(next.family());
            if (t > from + WINDOW_MS || (t >= cut && t > from)) {
                break;
            }
            if (answers && t > from) {
                return new Reaction(trigger, next.action().technique(), next.index(), t - from);
            }
            if (!answers && next.action().by() != reacting && !NO_ANSWER.contains(next.family()) && t > from) {
                // a later trigger owns what comes after it
                return worked ? null : new Reaction(trigger, NONE, trigger.index(), -1);
            }
        }
        return worked || cut < from + WINDOW_MS ? null : new Reaction(trigger, NONE, trigger.index(), -1);
    }

    /** When the window is cut: the next stop, the end of the record, or a gap of film. */
    private static long cut(MatchFacts facts, MatchFacts.Act trigger) {
        List<Tag> tags = facts.record().tags();
        long cut = facts.end().ms();
        for (int k = trigger.index() + 1; k < tags.size(); k++) {
            Tag tag = tags.get(k);
            if (tag.t().ms() > trigger.action().t().ms() + WINDOW_MS) {
                break;
            }
            if (tag instanceof Tag.Stop || tag instanceof Tag.End) {
                cut = Math.min(cut, tag.t().ms());
                break;
            }
        }
        for (MatchTime gap : facts.gaps()) {
            if (gap.compareTo(trigger.action().t()) >= 0) {
                return Math.min(cut, gap.ms());
            }
        }
        return cut;
    }
}
