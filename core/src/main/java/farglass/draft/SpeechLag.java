package farglass.draft;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** How long after an act people speak of it. */
public final class SpeechLag {
    /** Until taken drafts say otherwise. */
    public static final long USUAL_MS = 1500;

    /** Fewer say nothing. */
    private static final int LEAST = 5;

    private static final long MOST_MS = 10_000;

    private SpeechLag() {}

    /**
     * What drafts that were taken and put to their true moment tell: the median of what was said less when it was done.
     * Those that were left where they were proposed say nothing, because nobody has put them there.
     *
     * @return 0..10000 ms
     */
    public static long learned(Collection<DraftList> lists, Function<String, Optional<MatchRecord>> records) {
        List<Long> lags = new ArrayList<>();
        for (DraftList list : lists) {
            records.apply(list.match()).ifPresent(r -> lags.addAll(of(list, r)));
        }
        return median(lags);
    }

    /** What the drafts of one match tell: of each that was moved, what was said less when it was done, ms. */
    public static List<Long> of(DraftList list, MatchRecord record) {
        List<Long> lags = new ArrayList<>();
        list.drafts().forEach(d -> lag(d, record).ifPresent(lags::add));
        return List.copyOf(lags);
    }

    /** The median of what several matches tell; the usual one while they are too few. */
    public static long median(List<Long> lags) {
        if (lags.size() < LEAST) {
            return USUAL_MS;
        }
        List<Long> sorted = new ArrayList<>(lags);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }

    private static Optional<Long> lag(Draft d, MatchRecord record) {
        if (d.saidMs() < 0 || d.film() == null || d.id() == null) {
            return Optional.empty();
        }
        Optional<Draft> said = d.timed(record, 0);
        for (Tag tag : record.tags()) {
            if (said.isPresent() && d.id().equals(tag.info().id()) && moved(tag)) {
                long lag = said.get().tag().t().since(tag.t());
                return lag < 0 || lag > MOST_MS ? Optional.empty() : Optional.of(lag);
            }
        }
        return Optional.empty();
    }

    private static boolean moved(Tag tag) {
        return tag.info().extra().get(Draft.PROPOSED) instanceof Number n
                && n.longValue() != tag.t().ms();
    }
}
