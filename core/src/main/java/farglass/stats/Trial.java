package farglass.stats;

import farglass.time.MatchTime;

/**
 * One occurrence: something that could work and did, or did not.
 *
 * @param index index of the tag in its record
 * @param weight recency weight in (0, 1]
 * @param unsure whether the tagger doubted it
 */
public record Trial(TagRef tag, int index, MatchTime t, boolean worked, double weight, boolean unsure) {
    /** What worked did not, and the other way round. */
    public Trial turned() {
        return new Trial(tag, index, t, !worked, weight, unsure);
    }
}
