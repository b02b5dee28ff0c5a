package farglass.tendency;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is kept of a library's athletes beside its matches, so that a question does not read them all. */
public interface KeptCounts {
    /** Of a library that is read whole. */
    KeptCounts NONE = of(Map.of());

    /** What was counted of all of an athlete's matches, by group; null when it is not kept. */
    @Nullable
    Map<CountedGroup, AthleteCounts> of(String athlete);

    /** The columns of the average; null when they are not kept. */
    @Nullable
    KeptAverage average();

    /** Counts by athlete, in memory. */
    static KeptCounts of(Map<String, Map<CountedGroup, AthleteCounts>> counts) {
        return new KeptCounts() {
            @Override
            public @Nullable Map<CountedGroup, AthleteCounts> of(String athlete) {
                return counts.get(athlete);
            }

            @Override
            public @Nullable KeptAverage average() {
                return null;
            }
        };
    }
}
