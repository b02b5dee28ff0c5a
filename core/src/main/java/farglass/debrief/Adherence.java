package farglass.debrief;

import farglass.conduct.Occurrence;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One branch of a plan in one match.
 *
 * @param met whether the situation came up: for a branch of ours, whether what comes before it happened; for one of
 * theirs, whether they did it. Null when film cannot show it
 * @param followed whether we did what the branch says; null for branches of theirs, and when it did not come up
 * @param outcome best outcome of what was done, or null
 * @param tags indices of the tags that show it
 */
public record Adherence(
        Branch branch,
        int depth,
        @Nullable Boolean met,
        @Nullable Boolean followed,
        @Nullable Outcome outcome,
        List<Integer> tags) {
    /** A branch belongs to what came before it for so long. */
    private static final long WINDOW_MS = 60_000;
    /** Best first. */
    private static final List<Outcome> BEST =
            List.of(Outcome.COMPLETED, Outcome.NEAR, Outcome.STUFFED, Outcome.ABANDONED, Outcome.COUNTERED);

    public Adherence {
        tags = List.copyOf(tags);
    }

    /** All branches, each after the one it follows. */
    public static List<Adherence> of(List<Branch> roots, MatchRecord record, Corner us, Lexicon lexicon) {
        List<Adherence> list = new ArrayList<>();
        for (Branch root : roots) {
            walk(root, null, 0, record, us, lexicon, list);
        }
        return list;
    }

    /** @param before moments of the branch before; null at the beginning, where everything comes up */
    private static void walk(
            Branch b,
            @Nullable List<MatchTime> before,
            int depth,
            MatchRecord record,
            Corner us,
            Lexicon lexicon,
            List<Adherence> into) {
        boolean told = b.sight() != null && Occurrence.lookedFor(b.sight(), record, us, lexicon);
        List<Occurrence> seen = !told
                ? List.of()
                : Occurrence.of(b.sight(), record, us, lexicon).stream()
                        .filter(o -> before == null || belongs(o.t(), before))
                        .toList();
        boolean cameUp = before == null || !before.isEmpty();
        Boolean met = b.ours() ? Boolean.valueOf(cameUp) : told ? Boolean.valueOf(!seen.isEmpty()) : null;
        Boolean followed = (!b.ours() || !cameUp || !told) ? null : Boolean.valueOf(!seen.isEmpty());
        into.add(new Adherence(
                b,
                depth,
                met,
                followed,
                best(record, seen),
                seen.stream().map(Occurrence::tag).toList()));
        // what film cannot show is taken to have happened, so that what follows it can still be judged
        List<MatchTime> moments = told || (before == null && b.sight() != null)
                ? seen.stream().map(Occurrence::t).toList()
                : before;
        for (Branch n : b.next()) {
            // an opening that is only a place to begin from leaves the whole match open for what they do
            walk(
                    n,
                    before == null && !n.ours() && seen.isEmpty() ? null : moments,
                    depth + 1,
                    record,
                    us,
                    lexicon,
                    into);
        }
    }

    private static boolean belongs(MatchTime t, List<MatchTime> before) {
        return before.stream().anyMatch(b -> t.compareTo(b) >= 0 && t.since(b) <= WINDOW_MS);
    }

    private static @Nullable Outcome best(MatchRecord record, List<Occurrence> seen) {
        Outcome best = null;
        for (Occurrence o : seen) {
            if (record.tags().get(o.tag()) instanceof Tag.Action a
                    && a.outcome() != null
                    && BEST.contains(a.outcome())
                    && (best == null || BEST.indexOf(a.outcome()) < BEST.indexOf(best))) {
                best = a.outcome();
            }
        }
        return best;
    }
}
