package farglass.tendency;

import farglass.match.Situation;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

    /**
     * What of an athlete is in the library's average, which is of matches under any rules.
     *
     * @param groups all of his matches, counted
     * @return empty when none of them belongs to it
     */
    public static Optional<AthleteCounts> inAverage(String athlete, Map<CountedGroup, AthleteCounts> groups) {
        List<AthleteCounts> counted = groups.entrySet().stream()
                .filter(g -> Filter.ALL.accepts(g.getKey()))
                .map(Map.Entry::getValue)
                .toList();
        return counted.isEmpty()
                ? Optional.empty()
                : Optional.of(new AthleteSums(athlete, (Collection<AthleteCounts>) counted).counts());
    }

    /** Whether it is asked of a key how alike its attempts within one match are. */
    static boolean alike(String key) {
        return key.startsWith("@") || key.startsWith("side ");
    }
}
