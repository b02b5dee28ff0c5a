package farglass.plan;

import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.stats.Grade;
import farglass.tendency.Filter;

/**
 * A claim as it stood when it was pinned.
 *
 * @param athlete id of the athlete it is about
 * @param claim id of the claim, to find it again under today's numbers
 * @param mean, lo, hi its number and interval
 * @param shown both in words with their unit; empty where an older version pinned it
 * @param filter which matches it was counted in; all where an older version pinned it
 */
public record PinnedClaim(
        String athlete,
        String claim,
        String sentence,
        String counts,
        double mean,
        double lo,
        double hi,
        Grade grade,
        String shown,
        Filter filter) {
    /** A share that was pinned before units were kept. */
    public PinnedClaim(
            String athlete,
            String claim,
            String sentence,
            String counts,
            double mean,
            double lo,
            double hi,
            Grade grade) {
        this(athlete, claim, sentence, counts, mean, lo, hi, grade, "", Filter.ALL);
    }

    /** @param filter which matches the claim was counted in */
    public static PinnedClaim of(String athlete, Claim c, ClaimWriter writer, Filter filter) {
        return new PinnedClaim(
                athlete,
                c.id(),
                writer.sentence(c),
                writer.counts(c),
                c.estimate().mean(),
                c.estimate().lo(),
                c.estimate().hi(),
                c.estimate().grade(),
                shown(c, writer),
                filter);
    }

    private static String shown(Claim c, ClaimWriter writer) {
        String interval = writer.interval(c);
        return interval.isEmpty() ? writer.number(c) : writer.number(c) + " (" + interval + ")";
    }

    /** Number and interval with their unit; of an older pin as percent. */
    public String number() {
        return shown.isEmpty() ? percent(mean) + " (" + percent(lo) + " to " + percent(hi) + ")" : shown;
    }

    private static String percent(double p) {
        return Double.isFinite(p) ? Math.round(100 * p) + "%" : "?";
    }

    /** Whether both are of the same claim about the same athlete. */
    public boolean sameAs(PinnedClaim other) {
        return athlete.equals(other.athlete) && claim.equals(other.claim);
    }
}
