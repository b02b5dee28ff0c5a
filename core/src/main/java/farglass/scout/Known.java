package farglass.scout;

import farglass.lexicon.Position;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The claims of a profile by their names, and what may be said of their numbers. */
final class Known {
    private static final double Z = 1.645;
    /** Standard deviations by which the largest must lead: it was picked for being so. */
    private static final double LARGEST = 1.9;

    private static final double LITTLE = 0.05;
    private static final double FACTOR = 1.2;
    private static final double TIME_FACTOR = 1.3;

    private final Profile profile;
    private final Map<String, Claim> byId = new LinkedHashMap<>();

    Known(Profile profile) {
        this.profile = profile;
        for (Question q : Question.values()) {
            profile.page(q).claims().forEach(c -> byId.putIfAbsent(c.id(), c));
        }
    }

    Profile profile() {
        return profile;
    }

    /** Matches that count. */
    int matches() {
        return profile.evidence().matches().size();
    }

    /** A claim that rests on more than thin evidence. */
    Optional<Claim> firm(String id) {
        return Optional.ofNullable(byId.get(id)).filter(c -> c.estimate().grade() != Grade.THIN);
    }

    Optional<Claim> any(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Claims whose names begin so, as their page has them. */
    List<Claim> inOrder(String prefix) {
        List<Claim> found = new ArrayList<>();
        byId.forEach((id, c) -> {
            if (id.startsWith(prefix)) {
                found.add(c);
            }
        });
        return found;
    }

    /** Claims whose names begin so, the most frequent first. */
    List<Claim> all(String prefix) {
        List<Claim> found = inOrder(prefix);
        found.sort(Comparator.comparingDouble((Claim c) -> c.estimate().x())
                .reversed()
                .thenComparing(Claim::id));
        return found;
    }

    /** Those of {@link #all} that rest on more than thin evidence. */
    List<Claim> firmly(String prefix) {
        return all(prefix).stream()
                .filter(c -> c.estimate().grade() != Grade.THIN)
                .toList();
    }

    /**
     * Whether a number lies above what it is compared with, with a chance of at least 95 %, and by so much that one
     * would act upon it. Many are looked at, so that without the second a report would hold what is hardly different.
     */
    static boolean above(Claim c) {
        return c.departure() > 0 && c.estimate().lo() > average(c) && matters(c);
    }

    /** Whether it lies below. */
    static boolean below(Claim c) {
        return c.departure() > 0 && c.estimate().hi() < average(c) && matters(c);
    }

    /** By a fifth at the least; a share of time, which leans on no prior, by three tenths. */
    private static boolean matters(Claim c) {
        if (c.unit() == Claim.Unit.DIFFERENCE) {
            return true;
        }
        double factor = c.estimate().mean() / average(c);
        double least = c.unit() == Claim.Unit.TIME_SHARE ? TIME_FACTOR : FACTOR;
        return factor >= least || factor <= 1 / least;
    }

    /** Whether the place that a claim is about is a guard. */
    boolean guard(Claim tries) {
        String place = tries.id().split("\\.")[1];
        return profile.evidence().lexicon().position(place).map(Position::guard).orElse(false);
    }

    /** What a number is compared with, NaN without anything. */
    static double average(Claim c) {
        return c.unit() == Claim.Unit.DIFFERENCE ? 0 : c.estimate().baseline();
    }

    /** {@code MORE}, {@code LESS} or {@code COUNTED}, whatever can be said. */
    static Assertion.Says says(Claim c) {
        return above(c) ? Assertion.Says.MORE : below(c) ? Assertion.Says.LESS : Assertion.Says.COUNTED;
    }

    /**
     * Whether the first of some shares of one whole is the largest with a chance of about 97 %, by the normal
     * approximation of their difference; what one has the other lacks, so that they vary against each other.
     */
    static boolean largest(List<Claim> shares) {
        if (shares.size() < 2) {
            return !shares.isEmpty();
        }
        Estimate a = shares.get(0).estimate();
        Estimate b = shares.get(1).estimate();
        double sdA = (a.hi() - a.lo()) / (2 * Z);
        double sdB = (b.hi() - b.lo()) / (2 * Z);
        double together = b.mean() * sdA * sdA / Math.max(LITTLE, 1 - a.mean());
        return a.mean() - b.mean() > LARGEST * Math.sqrt(sdA * sdA + sdB * sdB + 2 * together);
    }

    static String x(Claim c) {
        return Long.toString(Math.round(c.estimate().x()));
    }

    static String n(Claim c) {
        return Long.toString(Math.round(c.estimate().n()));
    }

    static String percent(double p) {
        return ClaimWriter.percent(p);
    }

    /** The others' share as words, to stand in brackets. */
    static String others(Claim c) {
        return percent(c.estimate().baseline());
    }
}
