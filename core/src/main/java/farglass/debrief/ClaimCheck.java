package farglass.debrief;

import farglass.plan.PinnedClaim;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.stats.Trial;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.jspecify.annotations.Nullable;

/**
 * A claim that a plan rested on, in the match that took place.
 *
 * @param x, n what happened of it in this match
 * @param verdict null when it did not come up
 * @param trials the moments of this match
 */
public record ClaimCheck(
        PinnedClaim claim, long x, long n, @Nullable Verdict verdict, List<Trial> trials) {
    private static final long SEED = 1;
    /** A match is called otherwise than the claim when it would come so rarely under it, on either side. */
    private static final double RARE = 0.05;

    public ClaimCheck {
        trials = List.copyOf(trials);
    }

    /** What one match says about a claim. */
    public enum Verdict {
        /** It could well have come like this under the claim. */
        HELD,
        /** It would hardly have. */
        FAILED
    }

    /** @param match id of the record */
    public static List<ClaimCheck> of(List<PinnedClaim> pinned, LibraryIndex index, String match) {
        List<ClaimCheck> list = new ArrayList<>();
        for (PinnedClaim p : pinned) {
            // this match, whenever it was, and of it what the claim was about
            Filter only = p.filter().dates(null, null).matches(Set.of(match)).halfLife(null);
            Claim now = Profile.of(index, p.athlete(), only, SEED).claims().stream()
                    .filter(c -> c.id().equals(p.claim()))
                    .findFirst()
                    .orElse(null);
            list.add(now == null ? new ClaimCheck(p, 0, 0, null, List.of()) : of(p, now));
        }
        return list;
    }

    private static ClaimCheck of(PinnedClaim p, Claim now) {
        long n = now.trials().size();
        long x = now.trials().stream().filter(Trial::worked).count();
        // only of a counted share does one match say how likely it was
        boolean share = now.unit() == Claim.Unit.SHARE && p.mean() > 0 && p.mean() < 1 && n > 0;
        return new ClaimCheck(p, x, n, share ? judge(x, n, p.mean()) : null, now.trials());
    }

    static Verdict judge(long x, long n, double p) {
        BinomialDistribution d = BinomialDistribution.of((int) n, p);
        double below = d.cumulativeProbability((int) x);
        double above = x == 0 ? 1 : d.survivalProbability((int) x - 1);
        return Math.min(below, above) < RARE ? Verdict.FAILED : Verdict.HELD;
    }
}
