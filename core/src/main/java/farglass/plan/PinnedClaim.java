package farglass.plan;

import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.stats.Grade;

/**
 * A claim as it stood when it was pinned.
 *
 * @param athlete id of the athlete it is about
 * @param claim id of the claim, to find it again under today's numbers
 * @param mean, lo, hi its number and interval
 */
public record PinnedClaim(
        String athlete, String claim, String sentence, String counts, double mean, double lo, double hi, Grade grade) {
    public static PinnedClaim of(String athlete, Claim c, ClaimWriter writer) {
        return new PinnedClaim(
                athlete,
                c.id(),
                writer.sentence(c),
                writer.counts(c),
                c.estimate().mean(),
                c.estimate().lo(),
                c.estimate().hi(),
                c.estimate().grade());
    }

    public boolean sameAs(PinnedClaim other) {
        return athlete.equals(other.athlete) && claim.equals(other.claim);
    }
}
