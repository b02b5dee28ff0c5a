package farglass.tendency;

import farglass.match.Situation;
import java.util.List;
import java.util.Map;

/**
 * What one athlete did in some matches, counted: what the library's average is made of. All numbers are whole, so that
 * counts of different matches may be added in any order.
 *
 * @param tries by technique, by {@code @family} and so on, as {@link MatchFacts.Tally}: attempts that worked, that had
 * an outcome, and all
 * @param ms live time by place and role
 * @param answers by trigger of the other's, then answer
 * @param exits by place and role, then how it was left
 * @param stays by place and role, then technique: stays in which it was tried, all under {@link PlaceStays#ALL}
 * @param follows how often one attempt followed another
 * @param byMatch of every key whose likeness within a match is asked for, see {@link #alike}: per match, attempts that
 * worked and attempts
 */
public record AthleteCounts(
        Map<String, int[]> tries,
        Map<Situation, Long> ms,
        Map<String, Map<String, Integer>> answers,
        Map<Situation, Map<String, Integer>> exits,
        Map<Situation, Map<String, Integer>> stays,
        FollowCounts follows,
        Map<String, List<int[]>> byMatch) {
    /** Rises when the same matches are counted otherwise, so that what was counted before is not taken for it. */
    public static final int FORM = 1;

    /** Of some matches of an athlete, who fights in all of them. */
    public static AthleteCounts of(String athlete, List<MatchFacts> matches) {
        return new AthleteSums(athlete, matches).counts();
    }

    /** Whether it is asked of a key how alike its attempts within one match are. */
    static boolean alike(String key) {
        return key.startsWith("@") || key.startsWith("side ");
    }
}
