package farglass.skim;

import farglass.check.SecondPass;
import farglass.draft.Draft;
import farglass.draft.Source;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Whether the first pass has done its work: places, score and finish are there.
 *
 * @param silentMs the longest part of the match in which nothing is tagged
 * @param openScores changes of the score that were read and not decided
 * @param finished whether the end is tagged
 * @param asked what a second pass would ask, by kind; only what is asked at all
 */
public record Skeleton(long silentMs, int openScores, boolean finished, Map<SecondPass.Asks, Integer> asked) {
    /** A place may last; longer without any tag nobody has looked. */
    public static final long LONGEST_MS = 60_000;

    public Skeleton {
        asked = Map.copyOf(asked);
    }

    /** @param open drafts that nobody has decided */
    public static Skeleton of(MatchRecord record, List<Draft> open, Lexicon lexicon) {
        List<Long> times = new ArrayList<>();
        record.tags().forEach(t -> times.add(t.t().ms()));
        boolean finished = record.tags().stream().anyMatch(Tag.End.class::isInstance);
        times.add(0L);
        if (!finished) {
            times.add(record.details().lengthMs());
        }
        times.sort(Comparator.naturalOrder());
        long silent = 0;
        for (int i = 1; i < times.size(); i++) {
            silent = Math.max(silent, times.get(i) - times.get(i - 1));
        }
        int scores = (int) open.stream().filter(d -> d.source() == Source.SCORE).count();
        return new Skeleton(silent, scores, finished, SecondPass.open(record, lexicon));
    }

    /** Whether nothing of it is missing. */
    public boolean stands() {
        return silentMs <= LONGEST_MS && openScores == 0 && finished;
    }

    /** How many questions a second pass would ask. */
    public int questions() {
        return asked.values().stream().mapToInt(Integer::intValue).sum();
    }
}
