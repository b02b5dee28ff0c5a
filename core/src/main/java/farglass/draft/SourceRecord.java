package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How often a source was right: of its drafts that somebody looked at, how many were taken as they were.
 *
 * @param taken as they were
 * @param changed taken, but they say something else now
 */
public record SourceRecord(Source source, int taken, int changed, int refused) {
    /** A source that nobody has judged is taken at its word: ten judgements as it claims stand before the first. */
    private static final double PRIOR_TAKEN = 8;

    private static final double PRIOR_OTHER = 2;
    private static final double JEFFREYS = 0.5;
    private static final double LOWER = 0.05;
    private static final double UPPER = 0.95;

    /** How many were looked at. */
    public int judged() {
        return taken + changed + refused;
    }

    /** The share that was taken as it was; NaN while none was judged. */
    public double precision() {
        return judged() == 0 ? Double.NaN : taken / (double) judged();
    }

    /** The 90 % interval of that share by Jeffreys' prior (Brown, Cai and DasGupta 2001): lower end, upper end. */
    public double[] interval() {
        BetaDistribution b = BetaDistribution.of(taken + JEFFREYS, judged() - taken + JEFFREYS);
        return new double[] {b.inverseCumulativeProbability(LOWER), b.inverseCumulativeProbability(UPPER)};
    }

    /**
     * By what its confidence is multiplied, above 0 and at most 1: the mean of Beta(8 + taken, 2 + not taken) over that
     * of nobody's judgement. A source that is mostly refused grows quieter.
     */
    public double weight() {
        double mean = (PRIOR_TAKEN + taken) / (PRIOR_TAKEN + PRIOR_OTHER + judged());
        return Math.min(1, mean * (PRIOR_TAKEN + PRIOR_OTHER) / PRIOR_TAKEN);
    }

    /** By source, what all lists of a library tell; every source is there. */
    public static Map<Source, SourceRecord> of(
            Collection<DraftList> lists, Function<String, Optional<MatchRecord>> records, Lexicon lexicon) {
        List<Map<Source, SourceRecord>> each = new ArrayList<>();
        for (DraftList list : lists) {
            records.apply(list.match()).ifPresent(r -> each.add(of(list, r, lexicon)));
        }
        return sum(each);
    }

    /** By source, what the drafts of one match tell; every source is there. */
    public static Map<Source, SourceRecord> of(DraftList list, MatchRecord record, Lexicon lexicon) {
        Map<Source, SourceRecord> counts = sum(List.of());
        for (DraftList.Judged j : list.judged(record, lexicon, 0)) {
            sources(j.draft()).forEach(s -> counts.computeIfPresent(s, (k, r) -> r.with(j.fate())));
        }
        return counts;
    }

    private SourceRecord with(DraftFate fate) {
        return switch (fate) {
            case TAKEN -> new SourceRecord(source, taken + 1, changed, refused);
            case CHANGED -> new SourceRecord(source, taken, changed + 1, refused);
            case REFUSED -> new SourceRecord(source, taken, changed, refused + 1);
            default -> this;
        };
    }

    /** What several matches tell together; every source is there. */
    public static Map<Source, SourceRecord> sum(Collection<Map<Source, SourceRecord>> matches) {
        Map<Source, SourceRecord> all = new EnumMap<>(Source.class);
        for (Source s : Source.values()) {
            all.put(s, new SourceRecord(s, 0, 0, 0));
        }
        matches.forEach(m -> m.forEach((s, r) -> all.merge(
                s, r, (x, y) -> new SourceRecord(s, x.taken + y.taken, x.changed + y.changed, x.refused + y.refused))));
        return all;
    }

    private static List<Source> sources(Draft d) {
        return d.bases().stream().map(Basis::source).distinct().toList();
    }

    /** A draft whose sources are heard as loud as they have deserved. */
    public static Draft heard(Draft d, Map<Source, SourceRecord> records) {
        return d.resting(d.bases().stream()
                .map(b -> new Basis(
                        b.source(), b.from(), b.confidence() * weight(records, b.source()), b.text(), b.saidMs()))
                .toList());
    }

    private static double weight(Map<Source, SourceRecord> records, Source s) {
        SourceRecord r = records.get(s);
        return r == null ? 1 : r.weight();
    }
}
