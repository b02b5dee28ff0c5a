package farglass.profile;

import farglass.stats.Curve;
import farglass.stats.Trial;
import farglass.tendency.FinishTree;
import java.util.List;
import java.util.Map;

/** What a section draws. */
public sealed interface Figure {
    /**
     * Shares over the time since something began.
     *
     * @param curves the share still there first
     * @param trials by cause, the stays that ended so
     */
    record Curves(List<Curve> curves, Map<String, List<Trial>> trials) implements Figure {}

    /** What led to every lock. */
    record Trees(List<FinishTree.Node> roots) implements Figure {}

    /** What was written down, in words, newest match first. */
    record Notes(List<Note> notes) implements Figure {
        /** @param about where it was written */
        public record Note(String text, Trial about) {}
    }

    /**
     * Counts by year.
     *
     * @param years ascending
     * @param rows what is counted, most frequent first
     */
    record Years(List<Integer> years, List<Row> rows) implements Figure {
        /** @param trials one list per year */
        public record Row(String name, List<List<Trial>> trials) {}
    }
}
